import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { gzipSync } from 'node:zlib';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const RUN = join(root, '.run');

/** Fingerprint of the files below some folders, by name, size and contents. */
function fingerprint(paths) {
  const hash = createHash('sha256');
  const walk = (path) => {
    const name = path.split('/').at(-1);
    if (/^(node_modules|dist|\.angular)$/.test(name) || /\.spec\.ts$/.test(name)) return;
    if (statSync(path).isDirectory()) for (const entry of readdirSync(path).sort()) walk(join(path, entry));
    else hash.update(path.slice(root.length)).update(readFileSync(path));
  };
  paths
    .map((p) => join(root, p))
    .filter(existsSync)
    .forEach(walk);
  return hash.digest('hex');
}

/** Builds a piece when its sources changed since the last time. */
function when(name, sources, output, build) {
  mkdirSync(RUN, { recursive: true });
  const stamp = join(RUN, `${name}.built`);
  const now = fingerprint([...sources, 'package-lock.json', 'tsconfig.base.json', 'tools/build.mjs']);
  if (existsSync(output) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  console.log(`Building the ${name}.`);
  build();
  writeFileSync(stamp, now);
}

/** Bundles a TypeScript program for Node.js; packages stay outside. */
export const bundle = (entry, out) =>
  execFileSync(
    join(root, 'node_modules/.bin/esbuild'),
    [
      entry,
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--target=node20',
      '--sourcemap',
      '--loader:.sql=text',
      '--log-level=error',
      '--external:@node-rs/argon2',
      '--external:@zxcvbn-ts/core',
      '--external:@zxcvbn-ts/language-common',
      '--external:express',
      '--external:pg',
      '--external:helmet',
      '--external:pino',
      '--external:pdfkit',
      '--external:fontkit',
      '--external:csv-parse',
      '--external:yazl',
      '--external:yup',
      '--external:sharp',
      '--external:qrcode',
      '--external:ws',
      '--external:piscina',
      '--external:express-rate-limit',
      '--external:compression',
      '--external:express-static-gzip',
      '--external:p-limit',
      '--external:selenium-webdriver',
      '--external:axe-core',
      `--outfile=${out}`,
    ],
    { cwd: root, stdio: 'inherit' },
  );

/** Files from this size on are packed, bytes. */
const LARGE_BYTES = 2048;

/** Packs what is large of the web application once, beside itself, so that the server need not do it for every page. */
function packAll(directory) {
  for (const entry of readdirSync(directory, { recursive: true })) {
    const file = join(directory, entry);
    if (/\.(js|css|svg|json|txt)$/.test(entry) && statSync(file).size >= LARGE_BYTES)
      writeFileSync(`${file}.gz`, gzipSync(readFileSync(file), { level: 9 }));
  }
}

/** Builds web, server and demo loader as far as their sources changed. */
export function buildAll() {
  when('web application', ['core', 'contract', 'web'], join(root, 'web/dist/index.html'), () => {
    const built = spawnSync(join(root, 'node_modules/.bin/ng'), ['build'], {
      cwd: join(root, 'web'),
      encoding: 'utf8',
      env: { ...process.env, NG_CLI_ANALYTICS: 'false', FORCE_COLOR: '0' },
    });
    if (built.status !== 0) throw new Error(`The web application does not build:\n${built.stdout}\n${built.stderr}`);
    packAll(join(root, 'web/dist'));
  });
  when('server', ['core', 'contract', 'server', 'demo/src', 'gauge/src'], join(root, 'server/dist/main.mjs'), () => {
    bundle('server/src/main.ts', 'server/dist/main.mjs');
    bundle('server/src/network.ts', 'server/dist/network.mjs');
    bundle('server/src/sign-in/seal.ts', 'server/dist/seal.mjs');
    bundle('server/src/standings/worker.ts', 'server/dist/standing-worker.mjs');
    bundle('demo/src/main.ts', 'demo/dist/load-demo.mjs');
    bundle('gauge/src/main.ts', 'gauge/dist/gauge.mjs');
  });
}
