import { spawnSync } from 'node:child_process';

// What knows neither browser nor server, what runs on the server, and the rest: fewer programs read the same files fewer times.
const projects = ['tsconfig.shared.json', 'tsconfig.node.json', 'words', 'e2e', 'web', 'web/tsconfig.worker.json'];
const failed = projects.filter((p) => spawnSync('node_modules/.bin/tsc', ['-p', p], { stdio: 'inherit' }).status !== 0);
// Templates are checked by Angular's own compiler when the web application is built.
process.exit(failed.length ? 1 : 0);
