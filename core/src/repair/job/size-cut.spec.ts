import { surface, type Part, type PartFeature } from '../../making/part';
import { choiceKey } from './choices';
import { usualPlan } from './plan-finding';
import type { ReadingRecord } from './records';
import { workOut } from './repair';
import type { SizeCut } from './size-cut';
import { testChoice, testInstrument, testReading, testSheet, testShop } from './testing';

const groove: PartFeature = {
  ...{ id: 'g', kind: 'seal-groove', on: 'b', name: 'Groove', use: 'rod-seal', atMm: 20, widthMm: 4, diameterMm: 24, cornerMm: 0 },
};
const keyseat = {
  ...{ id: 'k', kind: 'keyseat', on: 'a', name: 'Keyseat', atMm: 10, lengthMm: 25, widthMm: 12, depthMm: 5, clockDeg: 0, timedTo: '' },
  ...{ cutter: 'end-mill', fit: 'normal', withKey: '' },
} as unknown as PartFeature;
const WITHIN = { lowerDev: -0.1, upperDev: 0.1, text: '±0.1' };
/** A thick end and a thin one, turned from the thin one: its shoulder comes about on the side of the chuck. */
const PART: Part = {
  ...{
    name: 'Shaft',
    materialId: 'steel-c45',
    limits: { 'g.width': WITHIN, 'g.diameter': WITHIN },
    block: null,
    features: [groove, keyseat],
  },
  outside: [surface('a', 'cylinder', 'Collar', 50, 44), surface('b', 'cylinder', 'Journal', 40, 30)],
  bores: [{ id: 'bore', from: 'far', through: false, surfaces: [surface('h', 'cylinder', 'Hole', 15, 12)] }],
};
const crib = [testInstrument('fine', { name: 'Fine', kind: 'caliper', rangeLowMm: 0, rangeHighMm: 300, uMm: 0.01 })];
const read = (segmentId: string, valueMm: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ purpose: 'cut', segmentId, valueMm, instrumentId: 'fine', ...more });
function sizes(readings: readonly ReadingRecord[] = [], part = PART, instruments = crib): readonly SizeCut[] {
  const plan = { ...usualPlan(testShop.lathes[0]!), way: 'bar' };
  const choices = [testChoice(choiceKey.part, part), testChoice(choiceKey.plan, plan)];
  return workOut(testSheet({ choices, readings }), { ...testShop, instruments }).sizes;
}
const size = (key: string, ...mm: number[]): SizeCut => sizes(mm.map((x) => read(key, x))).find((s) => s.key === key)!;

describe('what is read between cuts', () => {
  it('is what the set-ups cut and is no diameter of a surface', () => {
    const keys = sizes().map((s) => s.key);
    expect(keys).toEqual(expect.arrayContaining(['b.length', 'h.length', 'g.width', 'g.diameter']));
    // What is between two set-ups has no shoulder that ends it.
    for (const not of ['a', 'b', 'h', 'a.length']) expect(keys).not.toContain(not);
    expect(sizes().every((s) => s.state === 'not-read' && s.left === null && s.dial === '')).toBe(true);
  });

  it('a shoulder still to go: as far as it is short, on the carriage', () => {
    // 40 wanted, 39.5 read: 0.5 mm is 0.0197 in, half a line of this dial is 0.0025.
    expect(size('b.length', 39.5)).toMatchObject({
      state: 'go-on',
      nowMm: 39.5,
      left: { value: expect.closeTo(0.5, 9) },
      dial: '0.0200 in',
    });
    expect(size('h.length', 12)).toMatchObject({ state: 'go-on', left: { value: expect.closeTo(3, 9) }, dial: '0.1175 in' });
  });

  it('a groove: its width along, its floor by half of what is on the diameter', () => {
    expect(size('g.width', 3.5)).toMatchObject({ state: 'go-on', dial: '0.0200 in' });
    // 26 to 24 on the diameter is 1 mm a side: 0.0394 in on a radius dial.
    const floor = size('g.diameter', 28, 26);
    expect(floor).toMatchObject({ state: 'go-on', nowMm: 26, left: { value: expect.closeTo(2, 9) }, dial: '0.0395 in' });
    expect(floor.sentences[0]).toContain('goes 1.000 mm on, on each side');
    expect(floor.readings.map((r) => r.valueMm)).toEqual([28, 26]);
  });

  it.each([
    ['g.width', 4, 'in'],
    ['g.width', 4.3, 'beyond'],
    ['g.width', 4.095, 'close'],
    ['b.length', 40.29, 'close'],
    ['g.diameter', 24, 'in'],
    ['g.diameter', 23, 'beyond'],
    ['b.length', 41, 'beyond'],
    ['b.length', 40.1, 'in'],
  ] as const)('%s at %d is %s', (key, mm, state) => expect(size(key, mm)).toMatchObject({ state, dial: '' }));

  it('barely over the near limit it goes on to the middle, unless the instrument is too coarse for that', () => {
    // 3.9 to 4.1, a caliper of 0.02: the middle is still told from the far limit.
    expect(size('g.width', 3.91)).toMatchObject({ state: 'go-on', left: { value: expect.closeTo(0.09, 9) } });
    const coarse = { ...crib[0]!, id: 'coarse', uMm: 0.06 };
    const found = sizes([read('g.width', 3.91, { instrumentId: 'coarse' })], PART, [coarse]).find((s) => s.key === 'g.width')!;
    expect(found).toMatchObject({ state: 'close', dial: '' });
  });

  it('a warm reading is taken at 20 °C, one that is withdrawn tells nothing, and a proof is no cut', () => {
    const warm = sizes([read('b.length', 40, { partTempC: 70 })]).find((s) => s.key === 'b.length')!;
    // 50 K of steel over 40 mm: 0.023.
    expect(warm.nowMm).toBeCloseTo(40 - 40 * 11.5e-6 * 50, 2);
    const first = read('b.length', 39);
    const gone = sizes([first, read('b.length', 39, { supersedesId: first.id, withdrawn: true })]);
    expect(gone.find((s) => s.key === 'b.length')).toMatchObject({ state: 'not-read', nowMm: null });
    expect(sizes([read('b.length', 39, { purpose: 'proof' })]).find((s) => s.key === 'b.length')!.state).toBe('not-read');
  });

  it.each([
    [2, '0.5'],
    [6, '0.5'],
    [1, '1'],
    [3, '1'],
  ])('%d flats that are 1 mm too far across take %s mm off each', (count, mm) => {
    const flats = { id: 'f', kind: 'flats', on: 'a', name: 'Flats', count, atMm: 5, lengthMm: 20, acrossMm: 38, clockDeg: 0, timedTo: '' };
    const part = { ...PART, features: [flats as unknown as PartFeature] };
    const found = sizes([read('f.across', 39)], part).find((s) => s.key === 'f.across')!;
    expect(found).toMatchObject({ state: 'go-on', left: { value: expect.closeTo(1, 9) } });
    expect(found.sentences[0]).toContain(`goes ${Number(mm).toFixed(3)} mm on`);
  });

  it('a thread over its wires: half of what is too much, straight in, or along the compound', () => {
    const thread = {
      ...{ id: 't', kind: 'thread', on: 'b', name: 'Thread', thread: 'M20 x 2.5', end: 'right', lengthMm: 30 },
      ...{ starts: 1, hand: 'right', threadClass: '6g' },
    } as unknown as PartFeature;
    const part = { ...PART, outside: [PART.outside[0]!, surface('b', 'cylinder', 'Journal', 40, 20)], features: [thread], bores: [] };
    const of = (mm: number): SizeCut | undefined => sizes([read('t.over-wires', mm)], part).find((s) => s.key === 't.over-wires');
    // ISO 965-1, M20-6g: pitch diameter 18.164 to 18.334; best wire 1.4434: three of them less 0.866 pitches.
    const { limits } = of(20.6)!;
    expect(limits.upperMm).toBeCloseTo(18.334 + 3 * 1.4434 - 0.866 * 2.5, 2);
    expect(limits.lowerMm).toBeCloseTo(18.164 + 3 * 1.4434 - 0.866 * 2.5, 2);
    const lack = 20.6 - (limits.lowerMm + limits.upperMm) / 2;
    expect(of(20.6)).toMatchObject({ state: 'go-on', left: { value: expect.closeTo(lack, 5) }, dial: '0.0035 in' });
    expect(of(20.6)!.sentences[0]).toContain(
      `Straight in by ${(lack / 2).toFixed(3)} mm, or ${(lack / 2 / 0.87036).toFixed(3)} mm along the compound at 29.5°`,
    );
    expect(of(20.4)!.state).toBe('in');
    expect(of(20.2)!.state).toBe('beyond');
  });

  it('on the mill the table’s dial counts, and there is none where no mill is known', () => {
    const seat = size('k.depth', 4);
    expect(seat).toMatchObject({ state: 'go-on', dial: '' });
    // It lies in the middle of the shaft and stays there: each wall by half.
    expect(size('k.width', 11.5).sentences[0]).toMatch(/goes 0\.2\d\d mm on, on each side/);
    expect(seat.setUp).toBeGreaterThan(1);
  });
});
