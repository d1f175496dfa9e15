import { loadDemo } from './load-demo';

const [address, directory] = process.argv.slice(2);
const loaded = await loadDemo(address!, directory!, Date.now());
process.stdout.write(`${loaded}\n`);
