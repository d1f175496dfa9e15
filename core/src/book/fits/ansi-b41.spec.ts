import { B41_MOST_IN, inchFit, inchFitMm, INCH_CLASSES } from './ansi-b41';
import { B41_FORCE_STEP_UPPER_IN, B41_STEP_UPPER_IN } from './ansi-b41.data';

const rowOf = (name: string, size: number): number[] => {
  const f = inchFit(name, size);
  if (!f.ok) throw new Error(f.problems[0]!.message);
  return [f.value.hole.upperThou, f.value.shaft.lowerThou, f.value.shaft.upperThou];
};

/** Published rows: hole upper, shaft lower, shaft upper, thousandths of an inch. */
it.each([
  ['RC1', 0.1, 0.2, -0.25, -0.1],
  ['RC1', 1, 0.4, -0.55, -0.3],
  ['RC2', 0.12, 0.25, -0.3, -0.1],
  ['RC2', 2, 0.7, -0.9, -0.4],
  ['RC3', 0.5, 0.7, -1.0, -0.6],
  ['RC4', 1, 1.2, -1.6, -0.8],
  ['RC4', 1.5, 1.6, -2.0, -1.0],
  ['RC5', 3, 1.8, -3.7, -2.5],
  ['RC6', 1, 2.0, -2.8, -1.6],
  ['RC7', 0.3, 1.4, -2.5, -1.6],
  ['RC8', 5, 6.0, -12.0, -8.0],
  ['RC9', 0.1, 2.5, -5.6, -4.0],
  ['RC9', 1, 5.0, -10.5, -7.0],
  ['LC1', 0.7, 0.4, -0.3, 0],
  ['LC3', 1.19, 1.2, -0.8, 0],
  ['LC5', 10, 2.0, -1.9, -0.7],
  ['LC6', 12, 5.0, -5.2, -2.2],
  ['LC9', 16, 16.0, -26.0, -16.0],
  ['LC10', 1, 8, -15, -7],
  ['LC11', 19.69, 40, -75, -35],
  ['LT1', 1, 0.8, -0.25, 0.25],
  ['LT2', 16, 4.0, -1.2, 1.2],
  ['LT3', 1, 0.8, 0.1, 0.6],
  ['LT4', 8, 2.8, 0.2, 2.0],
  ['LT5', 0.1, 0.4, 0.25, 0.5],
  ['LT6', 4, 1.4, 1.0, 2.4],
  ['LN1', 1, 0.5, 0.5, 1.0],
  ['LN2', 3, 1.2, 1.4, 2.1],
  ['LN3', 6, 1.6, 2.5, 3.5],
  ['FN1', 0.5, 0.4, 0.5, 0.8],
  ['FN1', 1.75, 0.6, 1.0, 1.4],
  ['FN2', 1, 0.8, 1.4, 1.9],
  ['FN2', 9, 1.8, 6.0, 7.2],
  ['FN3', 1.19, 0.8, 1.6, 2.1],
  ['FN4', 2, 1.2, 3.5, 4.2],
  ['FN5', 1.5, 1.6, 3.0, 4.0],
  ['FN5', 19, 4.0, 30.0, 32.5],
])('%s at %d in: hole +%d, shaft %d to %d thou', (name, size, ...rows) => expect(rowOf(name, size)).toEqual(rows));

it('takes the bound of a step into the step', () => {
  expect(rowOf('RC4', 1.19)).toEqual([1.2, -1.6, -0.8]);
  expect(rowOf('RC4', 1.1901)).toEqual([1.6, -2.0, -1.0]);
});

it('answers every class in order at every step, or says why not', () => {
  for (const name of INCH_CLASSES)
    for (const size of B41_FORCE_STEP_UPPER_IN) {
      const own = inchFitMm(name, size);
      const missing = (name === 'FN3' && size <= 0.95) || ((name === 'LT3' || name === 'LT4') && size <= 0.24);
      expect(own.ok).toBe(!missing);
      if (own.ok) expect(own.value.shaft.lowerMm).toBeLessThan(own.value.shaft.upperMm);
    }
});

it('gives reasons for what is no class and no size', () => {
  expect(inchFit('RC10', 1)).toMatchObject({ ok: false, problems: [{ code: 'class' }] });
  expect(inchFit(' rc 4 ', 1)).toMatchObject({ ok: true });
  for (const size of [0, -1, NaN, 19.7]) expect(inchFit('RC4', size)).toMatchObject({ ok: false, problems: [{ code: 'out-of-table' }] });
});

it('keeps every step at its very end, through mm and back', () => {
  for (const upper of [...B41_STEP_UPPER_IN, ...B41_FORCE_STEP_UPPER_IN].filter((x) => x < B41_MOST_IN)) {
    const through = (upper * 25.4) / 25.4;
    for (const name of ['RC4', 'LC5', 'FN2'] as const) expect(inchFit(name, through)).toEqual(inchFit(name, upper - 1e-5));
  }
  // 0.95 in is the end of a step of the force fits: FN2 +1.9 to +1.4 thou.
  expect(inchFit('FN2', (0.95 * 25.4) / 25.4)).toMatchObject({ value: { shaft: { lowerThou: 1.4, upperThou: 1.9 } } });
});
