import { join } from 'node:path';
import { parseLength } from '@iron-patch/core';
import { readDemo, withIds } from './index';

const demo = readDemo(join(__dirname, '../data/jobs'));

it('has its jobs with every reading readable', async () => {
  const jobs = await demo;
  expect(jobs).toHaveLength(13);
  for (const j of jobs)
    for (const g of j.readings)
      for (const r of g.rows) {
        expect(r.texts).toHaveLength(g.clocksDeg.length);
        for (const t of r.texts) expect(parseLength(t, { unit: j.job.unit, allowNegative: true, allowZero: true }).ok).toBe(true);
      }
});

it('replaces names by ids wherever they stand, and knows a wrong one', () => {
  const ids = new Map([['bore', 'id-1']]);
  expect(withIds({ key: 'fit:$bore', list: ['$bore', 4, null] }, ids)).toEqual({ key: 'fit:id-1', list: ['id-1', 4, null] });
  expect(() => withIds('$nose', ids)).toThrow('$nose');
});
