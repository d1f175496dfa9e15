import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './build.mjs';
import { freePort, postgres } from './postgres.mjs';

const bin = (name) => join(root, 'node_modules/.bin', name);
let passed = 0;
let failed = 0;
/** How long something takes, for whoever looks at where the time goes. */
const clock = () => {
  const from = performance.now();
  return () => `${Math.round((performance.now() - from) / 1000)} s`;
};

/** Runs a program to its end. */
const run = (command, args, env = {}) =>
  new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, ...env, FORCE_COLOR: '0' } });
    let told = '';
    child.stdout.setEncoding('utf8');
    child.stderr.setEncoding('utf8');
    child.stdout.on('data', (d) => (told += d));
    child.stderr.on('data', (d) => (told += d));
    child.on('error', (e) => resolve({ status: 1, told: e.message }));
    child.on('close', (status) => resolve({ status, told }));
  });

/** One check that passes or fails as a whole. */
async function check(title, command, args) {
  const took = clock();
  const { status, told } = await run(command, args);
  if (status === 0) passed++;
  else failed++;
  console.log(`${title} ... ${status === 0 ? `good, ${took()}` : `wrong\n${told}`}`);
}

/** A set of Jest projects; each test counts. */
async function jest(title, projects, env) {
  const directory = mkdtempSync(join(tmpdir(), 'iron-patch-jest-'));
  const file = join(directory, 'result.json');
  const args = ['--selectProjects', ...projects, '--json', `--outputFile=${file}`, '--forceExit', '--maxWorkers=2'];
  const took = clock();
  const { told } = await run(bin('jest'), args, env);
  try {
    const result = JSON.parse(readFileSync(file, 'utf8'));
    passed += result.numPassedTests;
    const wrong = result.numFailedTests + result.numRuntimeErrorTestSuites;
    failed += wrong;
    console.log(`${title} ... ${wrong ? `${wrong} wrong` : `${result.numPassedTests} good`}, ${took()}`);
    if (wrong) for (const suite of result.testResults.filter((s) => s.status === 'failed')) console.log(suite.message);
  } catch {
    failed++;
    console.log(`${title} ... wrong\n${told}`);
  }
  rmSync(directory, { recursive: true, force: true });
}

const arrows = [
  '--config',
  '.dependency-cruiser.cjs',
  ...['core', 'contract', 'server', 'web', 'demo', 'gauge', 'words'].map((w) => `${w}/src`),
];

/** Lint, types, arrows, unit, database and interface tests; what does not need all of the machine goes side by side. The last line counts them. */
export async function test() {
  const slow = check('Lint', bin('eslint'), ['.', '--max-warnings', '0']);
  await check('Format', bin('prettier'), ['--check', '.']);
  await check('Types', process.execPath, ['tools/types.mjs']);
  await check('Dependency arrows', bin('depcruise'), arrows);
  await slow;
  await jest('Unit tests', ['core', 'contract', 'demo', 'gauge', 'words', 'web'], {});
  const directory = mkdtempSync(join(tmpdir(), 'iron-patch-test-'));
  const db = postgres(directory, await freePort(), { throwAway: true });
  try {
    db.start();
    const env = { IRON_PATCH_TEST_DATABASE_URL: db.url('postgres') };
    await Promise.all([jest('Database tests', ['server'], env), check('Build', process.execPath, ['tools/build-all.mjs'])]);
    await jest('Interface tests', ['e2e'], env);
  } catch (e) {
    failed++;
    console.log(e.message);
  } finally {
    db.stop();
    db.remove();
  }
  console.log(`${passed} passed, ${failed} failed`);
  process.exit(failed ? 1 : 0);
}
