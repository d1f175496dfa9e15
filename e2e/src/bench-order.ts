import { createReadStream } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join, resolve } from 'node:path';
import { openBrowser } from './support/browser';

/**
 * Puts the classical shops in order in a browser's worker, and gives a general constraint solver, compiled to WebAssembly, the same time for
 * each. Prints how far each comes from the proven optimum.
 */
const [root, forMsText] = process.argv.slice(2) as [string, string];
const forMs = Number(forMsText);

/** Starts at which nobody is before its turn, no machine does two things at once, and the last is done as soon as can be; whatever can begin first is begun first. */
const MODEL = `
include "disjunctive.mzn";
int: jobs; int: steps;
array[1..jobs, 1..steps] of int: machine;
array[1..jobs, 1..steps] of int: minutes;
int: horizon = sum(minutes);
array[1..jobs, 1..steps] of var 0..horizon: start;
var 0..horizon: span;
constraint forall(j in 1..jobs, k in 1..steps - 1)(start[j, k] + minutes[j, k] <= start[j, k + 1]);
constraint forall(j in 1..jobs)(start[j, steps] + minutes[j, steps] <= span);
constraint forall(m in 1..steps)(disjunctive(
  [start[j, k] | j in 1..jobs, k in 1..steps where machine[j, k] = m],
  [minutes[j, k] | j in 1..jobs, k in 1..steps where machine[j, k] = m]));
solve :: int_search([start[j, k] | j in 1..jobs, k in 1..steps] ++ [span], smallest, indomain_min) minimize span;
`;

const PAGE = `<!doctype html><title>Bench</title><script src="/minizinc/minizinc.js"></script><script>
const MODEL = ${JSON.stringify(MODEL)};
const ask = (question) => new Promise((answer, fail) => {
  const worker = new Worker('/ours.mjs', { type: 'module' });
  worker.onmessage = ({ data }) => { worker.terminate(); answer(data); };
  worker.onerror = (e) => fail(new Error(e.message));
  worker.postMessage(question);
});
const theirs = async ({ machines, minutes }, ms) => {
  const model = new MiniZinc.Model();
  model.addFile('shop.mzn', MODEL);
  model.addJson({ jobs: machines.length, steps: machines[0].length, machine: machines, minutes });
  let best = null;
  // Its time counts from when it looks, as ours does: reading the model is not in it.
  const solve = model.solve({ options: { solver: 'org.minizinc.chuffed', 'free-search': true, 'intermediate-solutions': true, 'solver-time-limit': ms } });
  solve.on('solution', ({ output }) => { best = output.json.span; });
  await solve;
  return best;
};
</script>`;

const FILES: Readonly<Record<string, readonly [file: string, type: string]>> = {
  '/ours.mjs': [join(root, 'core/dist/classical.worker.mjs'), 'text/javascript'],
  ...Object.fromEntries(
    [
      ['minizinc.js', 'text/javascript'],
      ['minizinc-worker.js', 'text/javascript'],
      ['minizinc.wasm', 'application/wasm'],
      ['minizinc.data', 'application/octet-stream'],
    ].map(([name, type]) => [`/minizinc/${name}`, [resolve(root, 'node_modules/minizinc/dist', name!), type!]]),
  ),
};

interface Shop {
  readonly name: string;
  readonly least: number;
}

const server = createServer(({ url = '/' }, res) => {
  const file = FILES[url];
  if (!file) return void res.setHeader('Content-Type', 'text/html').end(PAGE);
  res.setHeader('Content-Type', file[1]);
  createReadStream(file[0]).pipe(res);
});
await new Promise<void>((up) => server.listen(0, '127.0.0.1', up));
const browser = await openBrowser();
try {
  const { driver } = browser;
  await driver.manage().setTimeouts({ script: 60_000 });
  const run = <T>(script: string, ...args: unknown[]): Promise<T> =>
    driver.executeAsyncScript<T>(
      `const done = arguments[arguments.length - 1]; (async (...args) => { ${script} })(...arguments).then(done, (e) => done('wrong: ' + e));`,
      ...args,
    );
  await driver.get(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
  await run(
    `const at = (file) => location.origin + '/minizinc/' + file;
     await MiniZinc.init({ workerURL: at('minizinc-worker.js'), wasmURL: at('minizinc.wasm'), dataURL: at('minizinc.data') });
     return true;`,
  );
  const shops = await run<Shop[]>(`return ask({ kind: 'shops' });`);
  const over = { ours: [] as number[], theirs: [] as number[] };
  for (const shop of shops) {
    const ours = await run<number>(`return ask({ kind: 'order', name: args[0].name, forMs: args[1] });`, shop, forMs);
    const theirs = await run<number | null>(`return theirs(args[0], args[1]);`, shop, forMs);
    const percent = (span: number): number => 100 * (span / shop.least - 1);
    over.ours.push(percent(ours));
    if (theirs !== null) over.theirs.push(percent(theirs));
    const told = theirs === null ? 'nothing' : `${theirs}, ${percent(theirs).toFixed(2)} % over`;
    console.log(`  ${shop.name}, proven ${shop.least}: ours ${ours}, ${percent(ours).toFixed(2)} % over; the constraint solver ${told}`);
  }
  const mean = (all: readonly number[]): string => (all.reduce((a, b) => a + b, 0) / all.length).toFixed(3);
  console.log(
    `  in ${forMs / 1000} s each, in the browser's worker: ours ${mean(over.ours)} % over on average; the constraint solver ${mean(over.theirs)} % in the ${over.theirs.length} of ${shops.length} in which it found any order`,
  );
} finally {
  await browser.close();
  server.close();
}
