import { crossDialFor } from '../../making/setups';
import { surface, type Part } from '../../making/part';
import { choiceKey } from './choices';
import { alongWords } from './along-cut';
import type { CutFinding } from './cut-finding';
import { usualPlan } from './plan-finding';
import type { ReadingRecord } from './records';
import { workOut } from './repair';
import { testChoice, testInstrument, testReading, testSheet, testShop } from './testing';

const LENGTH_MM = 300;
const ROD: Part = {
  ...{ name: 'Rod', materialId: 'steel-c45', limits: { a: { lowerDev: -0.02, upperDev: 0, text: '' } }, block: null, bores: [] },
  ...{ features: [], outside: [surface('a', 'cylinder', 'Rod', LENGTH_MM, 25)] },
};
const instruments = [testInstrument('fine', { name: 'Fine', kind: 'micrometer', rangeLowMm: 0, rangeHighMm: 50, uMm: 0.002 })];
const minute = (n: number): string => new Date(Date.UTC(2026, 2, 2, 9, n)).toISOString();
let n = 0;
const read = (valueMm: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ id: `r${n++}`, purpose: 'cut', segmentId: 'a', valueMm, instrumentId: 'fine', dial: 0, ...more });
const rod = (readings: readonly ReadingRecord[], part = ROD): CutFinding => {
  const choices = [testChoice(choiceKey.part, part), testChoice(choiceKey.plan, { ...usualPlan(testShop.lathes[0]!), way: 'bar' })];
  return workOut(testSheet({ choices, readings }), { ...testShop, instruments }).cuts.find((c) => c.segment.segment.id === 'a')!;
};
/** Cut once, and read along at the places that are asked. */
function readAlong(nowMm: number, sizes: readonly (number | null)[], part = ROD): CutFinding {
  const cuts = [
    read(26, { takenAt: minute(0) }),
    read(nowMm, { takenAt: minute(10), dial: crossDialFor(26 - nowMm, testShop.lathes[0]!) }),
  ];
  const spots = rod(cuts, part).along!.spots;
  const along = spots.flatMap((s, i) =>
    sizes[i] === null || sizes[i] === undefined ? [] : [read(sizes[i], { stationMm: s.stationMm, dial: null, takenAt: minute(11 + i) })],
  );
  return rod([...cuts, ...along], part);
}
const words = (c: CutFinding, tail: 'left' | 'right' = 'right', wholeMm = LENGTH_MM): string =>
  alongWords(c.along!, tail, wholeMm, 'mm').join(' ');

it('asks near both ends and in the middle, of what is slender in earnest, and never of what is not cut yet', () => {
  const { along } = readAlong(25.4, []);
  expect(along!.spots.map((s) => s.stationMm)).toEqual([45, 150, 255]);
  expect([along!.slender, readAlong(25.4, [], { ...ROD, outside: [surface('a', 'cylinder', 'Rod', 74, 25)] }).along!.slender]).toEqual([
    true,
    false,
  ]);
  expect(rod([]).along).toBeNull();
  expect(words(readAlong(25.4, [25.4, 25.41, null]))).toBe('');
});

it('teaches the coach nothing, and is gone once another cut was measured', () => {
  const plain = readAlong(25.4, []);
  const told = readAlong(25.4, [25.4, 25.45, 25.41]);
  expect(told.cuts).toEqual(plain.cuts);
  expect(told.advice.nextDial).toBe(plain.advice.nextDial);
  const spots = told.along!.spots;
  expect(spots.map((s) => s.read?.mm)).toEqual([25.4, 25.45, 25.41].map((mm) => expect.closeTo(mm, 6)));
  const on = rod([...told.readings, ...spots.map((s) => s.read!.reading), read(25.2, { takenAt: minute(30), dial: 0.31 })]);
  expect(on.along!.spots.every((s) => s.read === null)).toBe(true);
});

it('says what to shift at the tailstock, wherever that stands, and what it does not cure', () => {
  // 0.042 thicker at the far end over 210 of 300: the axis is off there by 0.03.
  const thick = readAlong(25.4, [25.4, 25.471, 25.442]);
  expect(words(thick)).toContain('Set the tailstock over by 0.030 mm towards the tool: the tailstock end is thick.');
  expect(words(thick)).toContain('A belly of 0.050 mm in the middle');
  expect(words(thick, 'left')).toContain('Set the tailstock over by 0.030 mm away from the tool: the tailstock end is thin.');
  expect(words(readAlong(25.4, [25.4, 25.36, 25.4]))).toContain('Hollow by 0.040 mm');
  // A mic of 2 µm tells nothing of 3.
  expect(words(readAlong(25.4, [25.4, 25.4, 25.403]))).toBe(
    'No taper that this instrument can tell: leave the tailstock where it is. No belly that this instrument can tell.',
  );
});

it('warns before a place that is thinner goes under the limit, and once it has', () => {
  const first = (c: CutFinding): string => c.advice.sentences[0] ?? '';
  expect(first(readAlong(25.6, [25.6, 25.6, 25.56]))).toBe(
    'At 255 mm it is 0.040 mm thinner than where the cuts are measured: put that right before the last cuts.',
  );
  expect(first(readAlong(25.15, [25.15, 25.15, 25.05]))).toContain('the next cut would go under the limit there. Put that right first.');
  expect(first(readAlong(25.05, [25.05, 25.05, 24.97]))).toContain('that reads under the limit already. Stop');
  expect(readAlong(25.6, [25.6, 25.66, 25.64]).advice.sentences).toEqual(readAlong(25.6, []).advice.sentences);
});
