import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';

/** A short torture: faults of all kinds while eight people read and four change the same jobs. */
it('loses, doubles and overwrites nothing while things break', () => {
  const root = resolve(__dirname, '../..');
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['tools/iron-patch.mjs', 'torture', '--faults', '14', '--seed', '20261126', '--healed', '20000'],
    {
      cwd: root,
      encoding: 'utf8',
    },
  );
  expect([status, stderr]).toEqual([0, '']);
  expect(stdout).toContain('0 lost, 0 doubled, 0 that nobody sent');
  expect(Number(/(\d+) readings acknowledged/.exec(stdout)?.[1])).toBeGreaterThan(100);
  expect(Number(/(\d+) changes acknowledged/.exec(stdout)?.[1])).toBeGreaterThan(10);
});
