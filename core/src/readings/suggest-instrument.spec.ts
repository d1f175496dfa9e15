import { suggestForPlan, suggestInstrument, type Suggestable } from './suggest-instrument';

const instrument = (id: string, kind: Suggestable['kind'], unit: 'mm' | 'in', rangeLowMm: number, rangeHighMm: number): Suggestable => ({
  id,
  kind,
  unit,
  rangeLowMm,
  rangeHighMm,
});
const crib = [
  instrument('caliper', 'caliper', 'mm', 0, 150),
  instrument('mic-0-1-in', 'micrometer', 'in', 0, 25.4),
  instrument('mic-0-25', 'micrometer', 'mm', 0, 25),
  instrument('mic-25-50', 'micrometer', 'mm', 25, 50),
  instrument('head', 'bore-head', 'mm', 20, 50),
  instrument('tele', 'telescoping-gauge', 'mm', 8, 150),
];
const of = (...args: [side: 'outside' | 'inside', sizeMm: number | null, unit: 'mm' | 'in']): string | undefined =>
  suggestInstrument(crib, ...args)?.id;

it.each([
  ['outside', 19, 'mm', 'mic-0-25'],
  ['outside', 19, 'in', 'mic-0-1-in'],
  ['outside', 40, 'in', 'mic-25-50'],
  ['outside', 90, 'mm', 'caliper'],
  ['outside', 400, 'mm', undefined],
  ['outside', null, 'in', 'mic-0-1-in'],
  ['inside', 40, 'mm', 'tele'],
  ['inside', 5, 'mm', 'caliper'],
] as const)('%s %p in a job in %s: %s', (side, size, unit, id) => expect(of(side, size, unit)).toBe(id));

it('never reaches for a three-point head while a two-point instrument will do', () => {
  expect(of('inside', 30, 'mm')).not.toBe('head');
  expect(suggestInstrument([crib[4]!], 'inside', 30, 'mm')!.id).toBe('head');
});

it('takes what the plan reaches for first, and what there is where the crib lacks it', () => {
  expect(suggestForPlan(crib, ['bore-head', 'telescoping-gauge'], 'inside', 40, 'mm')?.id).toBe('head');
  expect(suggestForPlan(crib, ['bore-head', 'telescoping-gauge'], 'inside', 90, 'mm')?.id).toBe('tele');
  expect(suggestForPlan(crib, ['indicator'], 'outside', null, 'mm')?.id).toBe('mic-0-25');
});
