import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';

/** A short torture: faults of all kinds while eight people read and four change the same jobs. */
it.each([
  [1, 14],
  [4, 8],
])('with %d servers loses, doubles and overwrites nothing while %d things break, and leaves no screen stale', (processes, faults) => {
  const root = resolve(__dirname, '../..');
  const often = ['--faults', String(faults), '--seed', '20261128', '--healed', '20000', '--processes', String(processes)];
  const { status, stdout, stderr } = spawnSync(process.execPath, ['tools/iron-patch.mjs', 'torture', ...often], {
    cwd: root,
    encoding: 'utf8',
  });
  // What it found stands in what it printed.
  if (status !== 0) throw new Error(stdout + stderr);
  expect(stderr).toBe('');
  expect(stdout).toContain('0 lost, 0 doubled, 0 that nobody sent');
  expect(stdout).toContain('0 of 4 screens stale');
  expect(Number(/(\d+) readings acknowledged/.exec(stdout)?.[1])).toBeGreaterThan(100);
  expect(Number(/(\d+) changes acknowledged/.exec(stdout)?.[1])).toBeGreaterThan(10);
});
