import { spawnSync } from 'node:child_process';

const projects = ['core', 'contract', 'server', 'demo', 'gauge', 'e2e', 'web', 'web/tsconfig.worker.json'];
const failed = projects.filter((p) => spawnSync('node_modules/.bin/tsc', ['-p', p], { stdio: 'inherit' }).status !== 0);
// Templates are checked by Angular's own compiler when the web application is built.
process.exit(failed.length ? 1 : 0);
