import { execFileSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readdirSync, rmSync, symlinkSync } from 'node:fs';
import { basename, join, resolve } from 'node:path';
import { root } from './root.mjs';

const TOOL = join(root, 'words/dist/words.mjs');
/** What is built out of the copy; the words are said in its sources. */
const COPIED = ['core', 'contract', 'server', 'web', 'demo', 'gauge', 'package.json', 'tsconfig.base.json', 'tsconfig.node.json'];
const LEFT = new Set(['node_modules', 'dist', '.angular']);

/** Builds what reads the wording out of the sources. */
function ready() {
  execFileSync(
    join(root, 'node_modules/.bin/esbuild'),
    [
      'words/src/main.ts',
      '--bundle',
      '--platform=node',
      '--format=esm',
      '--target=node20',
      '--log-level=error',
      '--external:typescript',
      '--external:@angular/compiler',
      '--external:gettext-parser',
      `--outfile=${TOOL}`,
    ],
    { cwd: root, stdio: 'inherit' },
  );
}

/** Runs it; what it says goes where this process's own words go, and its refusal is this one's. */
function words(...args) {
  ready();
  try {
    execFileSync(process.execPath, [TOOL, ...args], { cwd: root, stdio: ['ignore', 'inherit', 'pipe'], encoding: 'utf8' });
  } catch (e) {
    throw new Error(/Error: ([\s\S]*?)\n\s+at /.exec(e.stderr ?? '')?.[1] ?? e.message, { cause: e });
  }
}

/** Writes the catalogue of all wording, or brings one up to date: what it said stays said. */
export const takeWords = (file, language) => words('take', root, resolve(file), language);

/** Writes a catalogue in marked letters, to see what of a screen no translation reaches. */
export function markWords(file) {
  if (existsSync(file)) throw new Error(`${file} is there already: marked letters go into a file of their own.`);
  words('mark', root, resolve(file));
}

/** A copy of the sources with the wording of a catalogue in it, to be built in their place. */
export function inOtherWords(file) {
  const copy = join(root, '.run/words');
  rmSync(copy, { recursive: true, force: true });
  mkdirSync(join(copy, 'node_modules/@iron-patch'), { recursive: true });
  for (const name of COPIED) cpSync(join(root, name), join(copy, name), { recursive: true, filter: (from) => !LEFT.has(basename(from)) });
  for (const name of readdirSync(join(root, 'node_modules')))
    if (name !== '@iron-patch') symlinkSync(join(root, 'node_modules', name), join(copy, 'node_modules', name));
  for (const name of ['core', 'contract', 'server', 'web', 'demo', 'gauge'])
    symlinkSync(join(copy, name), join(copy, 'node_modules/@iron-patch', name));
  words('put', root, resolve(file), copy);
  return copy;
}
