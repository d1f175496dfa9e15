import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildAll, root } from './build.mjs';
import { freePort, postgres } from './postgres.mjs';

const bin = (name) => join(root, 'node_modules/.bin', name);
let passed = 0;
let failed = 0;

/** One check that passes or fails as a whole. */
function check(title, command, args) {
  process.stdout.write(`${title} ... `);
  const result = spawnSync(command, args, { cwd: root, encoding: 'utf8', env: { ...process.env, FORCE_COLOR: '0' } });
  if (result.status === 0) passed++;
  else failed++;
  console.log(result.status === 0 ? 'good' : `wrong\n${result.stdout}${result.stderr}`);
}

/** A set of Jest projects; each test counts. */
function jest(title, projects, env, extra = []) {
  process.stdout.write(`${title} ... `);
  const directory = mkdtempSync(join(tmpdir(), 'iron-patch-jest-'));
  const file = join(directory, 'result.json');
  const args = ['--selectProjects', ...projects, '--json', `--outputFile=${file}`, '--forceExit', ...extra];
  const result = spawnSync(bin('jest'), args, {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, ...env, FORCE_COLOR: '0' },
    maxBuffer: 1 << 28,
  });
  try {
    const told = JSON.parse(readFileSync(file, 'utf8'));
    passed += told.numPassedTests;
    failed += told.numFailedTests + told.numRuntimeErrorTestSuites;
    const wrong = told.numFailedTests + told.numRuntimeErrorTestSuites;
    console.log(wrong ? `${wrong} wrong` : `${told.numPassedTests} good`);
    if (wrong) for (const suite of told.testResults.filter((s) => s.status === 'failed')) console.log(suite.message);
  } catch {
    failed++;
    console.log(`wrong\n${result.stdout}${result.stderr}`);
  }
  rmSync(directory, { recursive: true, force: true });
}

/** Lint, types, arrows, unit, database and interface tests; the last line counts them. */
export async function test() {
  check('Format', bin('prettier'), ['--check', '.']);
  check('Lint', bin('eslint'), ['.', '--max-warnings', '0']);
  check('Types', process.execPath, ['tools/types.mjs']);
  check('Dependency arrows', bin('depcruise'), [
    '--config',
    '.dependency-cruiser.cjs',
    ...['core', 'contract', 'server', 'web', 'demo', 'gauge'].map((w) => `${w}/src`),
  ]);
  jest('Unit tests', ['core', 'contract', 'demo', 'gauge', 'web'], {});
  const directory = mkdtempSync(join(tmpdir(), 'iron-patch-test-'));
  const db = postgres(directory, await freePort(), { throwAway: true });
  try {
    db.start();
    const env = { IRON_PATCH_TEST_DATABASE_URL: db.url('postgres') };
    jest('Database tests', ['server'], env);
    buildAll();
    passed++;
    jest('Interface tests', ['e2e'], env, ['--maxWorkers=2']);
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
