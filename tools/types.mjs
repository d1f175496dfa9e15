import { spawnSync } from 'node:child_process';

const projects = ['core', 'contract', 'server', 'demo', 'gauge', 'e2e', 'web', 'web/tsconfig.worker.json'];
const failed = projects.filter((p) => spawnSync('node_modules/.bin/tsc', ['-p', p], { stdio: 'inherit' }).status !== 0);
// Templates are checked by Angular's own compiler.
if (spawnSync('node_modules/.bin/ngc', ['-p', 'web/tsconfig.app.json', '--noEmit'], { stdio: 'inherit' }).status !== 0)
  failed.push('templates');
process.exit(failed.length ? 1 : 0);
