import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { inOtherWords } from './other-words.mjs';
import { root } from './root.mjs';

export { root };
const RUN = join(root, '.run');
/** A catalogue of other words than English, to build in. */
const WORDS = process.env.IRON_PATCH_WORDS;

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
  if (WORDS && !existsSync(WORDS)) throw new Error(`There is no catalogue ${WORDS}. ./iron-patch words ${WORDS} writes one.`);
  const inWords = WORDS ? createHash('sha256').update(readFileSync(WORDS)).digest('hex') : '';
  const now = fingerprint([...sources, 'package-lock.json', 'tsconfig.base.json', 'tools/build.mjs']) + inWords;
  if (existsSync(output) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  console.log(`Building the ${name}.`);
  build();
  writeFileSync(stamp, now);
}

let copied = null;
/** Where the sources lie that are built: here, or in a copy in other words. */
const sourceRoot = () => (WORDS ? (copied ??= inOtherWords(WORDS)) : root);

/** Bundles a TypeScript program for Node.js; packages stay outside. */
export const bundle = (entry, out, from = root) =>
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
      `--outfile=${join(root, out)}`,
    ],
    { cwd: from, stdio: 'inherit' },
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

/** Builds web, server and demo loader as far as their sources changed, or the words they are built in. */
export function buildAll() {
  when('web application', ['core', 'contract', 'web'], join(root, 'web/dist/index.html'), () => {
    const from = sourceRoot();
    const built = spawnSync(join(root, 'node_modules/.bin/ng'), ['build'], {
      cwd: join(from, 'web'),
      encoding: 'utf8',
      env: { ...process.env, NG_CLI_ANALYTICS: 'false', FORCE_COLOR: '0' },
    });
    if (built.status !== 0) throw new Error(`The web application does not build:\n${built.stdout}\n${built.stderr}`);
    if (from !== root) {
      rmSync(join(root, 'web/dist'), { recursive: true, force: true });
      cpSync(join(from, 'web/dist'), join(root, 'web/dist'), { recursive: true });
    }
    packAll(join(root, 'web/dist'));
  });
  when('server', ['core', 'contract', 'server', 'demo/src', 'gauge/src'], join(root, 'server/dist/main.mjs'), () => {
    const from = sourceRoot();
    bundle('server/src/main.ts', 'server/dist/main.mjs', from);
    bundle('server/src/network.ts', 'server/dist/network.mjs', from);
    bundle('server/src/sign-in/seal.ts', 'server/dist/seal.mjs', from);
    bundle('server/src/standings/worker.ts', 'server/dist/standing-worker.mjs', from);
    bundle('demo/src/main.ts', 'demo/dist/load-demo.mjs', from);
    bundle('gauge/src/main.ts', 'gauge/dist/gauge.mjs', from);
  });
}
