import type { Reads } from './instruments.data';
import { planFor } from './measuring-plan';
import { readsFor } from './place-kinds.data';
import { instrumentsFor, type Suggestable } from './suggest-instrument';

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
  instrument('depth', 'depth-mic', 'mm', 0, 75),
];
const of = (...args: [reads: Reads, sizeMm: number | null, unit: 'mm' | 'in']): string | undefined => instrumentsFor(crib, ...args)[0]?.id;

it.each([
  ['outside', 19, 'mm', 'mic-0-25'],
  ['outside', 19, 'in', 'mic-0-1-in'],
  ['outside', 40, 'in', 'mic-25-50'],
  ['outside', 90, 'mm', 'caliper'],
  ['outside', 400, 'mm', undefined],
  ['outside', null, 'in', 'mic-0-1-in'],
  ['inside', 40, 'mm', 'tele'],
  ['inside', 5, 'mm', 'caliper'],
  ['depth', 12, 'mm', 'depth'],
  ['indicator', null, 'mm', undefined],
] as const)('%s %p in a job in %s: %s', (reads, size, unit, id) => expect(of(reads, size, unit)).toBe(id));

it('never reaches for a three-point head while a two-point instrument will do, nor for an outside mic in a bore', () => {
  expect(of('inside', 30, 'mm')).not.toBe('head');
  expect(instrumentsFor([crib[4]!], 'inside', 30, 'mm')[0]!.id).toBe('head');
  expect(instrumentsFor([crib[3]!], 'inside', 30, 'mm', ['micrometer'])).toEqual([]);
});

it('takes what the plan reaches for first, and what there is where the crib lacks it', () => {
  expect(instrumentsFor(crib, 'inside', 40, 'mm', ['bore-head', 'telescoping-gauge'])[0]?.id).toBe('head');
  expect(instrumentsFor(crib, 'inside', 90, 'mm', ['bore-head', 'telescoping-gauge'])[0]?.id).toBe('tele');
  expect(instrumentsFor(crib, 'outside', 20, 'mm', ['indicator'])[0]?.id).toBe('mic-0-25');
});

describe('a width', () => {
  const mic = { id: 'mic', kind: 'micrometer', unit: 'mm', rangeLowMm: 0, rangeHighMm: 25 } as const;
  const jaws = { id: 'jaws', kind: 'caliper', unit: 'mm', rangeLowMm: 0, rangeHighMm: 150 } as const;
  const named = (kind: 'groove' | 'keyseat' | 'key'): string[] =>
    instrumentsFor([mic, jaws], readsFor('width', 'outside', kind), 8, 'mm', planFor(plan(kind)).instruments).map((i) => i.id);
  const plan = (kind: 'groove' | 'keyseat' | 'key') =>
    ({ kind, side: 'outside', startMm: 0, lengthMm: 30, suspicions: [], unit: 'mm' }) as const;

  it('between two walls is read by what goes in there: no anvils do; over a key by a mic', () => {
    expect(named('groove')).toEqual(['jaws']);
    expect(named('keyseat')).toEqual(['jaws']);
    expect(named('key')).toEqual(['mic', 'jaws']);
  });
});
