import { commonMm, scatterMm } from './diameter-reading';

it.each([{ instrumentMm: 0.004 }, { instrumentMm: 0.004, repeatMm: 0.001 }, { instrumentMm: 0.004, repeatMm: 0.004 }])(
  'what scatters and what is common to all readings of %j make up the whole',
  (r) => expect(Math.hypot(scatterMm(r), commonMm(r))).toBeCloseTo(0.004, 12),
);

it('an instrument that repeats worse than its record says has nothing in common', () => {
  expect(scatterMm({ instrumentMm: 0.004, repeatMm: 0.006 })).toBe(0.006);
  expect(commonMm({ instrumentMm: 0.004, repeatMm: 0.006 })).toBe(0);
});
