import { placeBore, placeOutside, validatePart, type Part } from '../../making/part';
import { jobItems, workOut, type PlaceRecord, type ReadingRecord } from '../job';
import { testInstrument, testPlace, testReading, testSheet, testShop } from '../job/testing';
import { depthMm } from './depths';
import { partFromEvidence } from './index';

const exact = testInstrument('exact', { uMm: 0.001, repeatMm: 0.001, rangeLowMm: 0, rangeHighMm: 1000 });
const shop = { ...testShop, instruments: [...testShop.instruments, exact] };
const noDetail = testPlace('x', {}).detail;
type Detail = PlaceRecord['detail'];

const read = (
  id: string,
  kind: PlaceRecord['kind'],
  startMm: number,
  lengthMm: number,
  values: object,
  more: Partial<PlaceRecord> = {},
) => ({
  place: testPlace(id, { name: id, kind, startMm, lengthMm, instrumentId: 'exact', land: 'unworn', ...more }),
  readings: Object.entries(values).map(([quantity, valueMm]) =>
    testReading({
      placeId: id,
      quantity: quantity as ReadingRecord['quantity'],
      valueMm: valueMm as number,
      stationMm: startMm + 1,
      instrumentId: 'exact',
    }),
  ),
});
type Measured = ReturnType<typeof read>;
const inside = { side: 'inside' as const };
/** A tube of 90 by 80, 60 long. */
const TUBE: readonly Measured[] = [
  read('outside', 'diameter', 0, 60, { size: 90 }),
  read('bore', 'diameter', 0, 60, { size: 80 }, inside),
  read('long', 'length', 0, 60, { length: 60 }),
];
function drawn(measured: readonly Measured[]): { readonly part: Part; readonly doubts: readonly string[] } {
  const sheet = testSheet({
    components: testSheet().components.map((c) => (c.id === 'pin' ? { ...c, verdict: 'remake' as const } : c)),
    places: measured.map((m) => m.place),
    readings: measured.flatMap((m) => m.readings),
    choices: [],
  });
  const item = jobItems(sheet).find((i) => i.kind === 'make')!;
  return partFromEvidence(item, workOut(sheet, shop), sheet)!;
}
const ring = (more: Partial<Detail> = {}): Detail => ({
  ...noDetail,
  ringMm: 2.5,
  grooveWidthMm: 3.2,
  ringRestsOn: 'near',
  ringFace: 'near',
  ...more,
});
const groove = read('groove', 'groove', 12, 3, { width: 3.2, 'groove-size': 84.6 }, inside);
const wall = (part: Part): number => (part.features[0] as unknown as { atMm: number }).atMm;

it('a groove lies where a depth was read to its near wall, not where somebody said at Strip', () => {
  expect(wall(drawn([...TUBE, groove]).part)).toBeCloseTo(12, 6);
  const { part, doubts } = drawn([...TUBE, groove, read('depth', 'depth', 0, 10, { depth: 8.1 }, inside)]);
  // It begins nowhere near 12 and no ring speaks for it: a shoulder in the bore, as before.
  expect(wall(part)).toBeCloseTo(12, 6);
  expect(doubts.join(' ')).not.toContain('depth is not drawn');
  const named = drawn([...TUBE, groove, read('depth to the ring groove', 'depth', 0, 10, { depth: 8.1 }, inside)]);
  expect(wall(named.part)).toBeCloseTo(8.1, 6);
  expect(validatePart({ ...named.part, materialId: 'steel-c45' }).ok).toBe(true);
});

it.each([
  // The ring lies against the wall nearest to the end and its near face was read: that is the wall.
  [{}, 8.1],
  // Its far face was read: less the ring.
  [{ ringFace: 'far' as const }, 8.1 - 2.5],
  // It lies against the far wall: less the room it has.
  [{ ringRestsOn: 'far' as const }, 8.1 - 0.7],
  [{ ringRestsOn: 'far' as const, ringFace: 'far' as const }, 8.1 - 2.5 - 0.7],
])('over the fitted ring %j the near wall lies at %d', (detail, at) => {
  const over = read('over the ring', 'depth', 0, 10, { 'over-ring': 8.1 }, { ...inside, detail: ring(detail) });
  expect(wall(drawn([...TUBE, groove, over]).part)).toBeCloseTo(at, 6);
});

it('a depth over a ring that nobody described tells nothing, and is said', () => {
  const over = read('over the ring', 'depth', 0, 10, { 'over-ring': 8.1 }, inside);
  const { part, doubts } = drawn([...TUBE, groove, over]);
  expect(wall(part)).toBeCloseTo(12, 6);
  expect(doubts).toContain('over the ring (depth) is not drawn: take it from its reading.');
});

it('of two grooves the depth is of the nearer one, and never of one outside or on another component', () => {
  const far = read('far groove', 'groove', 40, 3, { width: 3.2, 'groove-size': 84.6 }, inside);
  const outer = read('outer groove', 'groove', 9, 2, { width: 2, 'groove-size': 86 });
  const over = read('over the ring', 'depth', 0, 10, { 'over-ring': 38.5 }, { ...inside, detail: ring() });
  const at = new Map(
    drawn([...TUBE, groove, far, outer, over]).part.features.map((f) => [f.name, (f as unknown as { atMm: number }).atMm]),
  );
  expect([at.get('groove'), at.get('far groove'), at.get('outer groove')]).toEqual([12, expect.closeTo(38.5, 6), 9]);
});

it('a depth inside is the floor of its bore, as deep as it was read, also past where its diameter was', () => {
  const blind = [
    read('outside', 'diameter', 0, 60, { size: 90 }),
    read('hole', 'diameter', 0, 20, { size: 40 }, inside),
    read('long', 'length', 0, 60, { length: 60 }),
  ];
  const floor = (measured: readonly Measured[]): number => {
    const { part } = drawn(measured);
    return Math.max(...placeBore(part, part.bores[0]!).map((s) => s.toMm));
  };
  expect(floor(blind)).toBeCloseTo(20, 6);
  expect(floor([...blind, read('depth of the hole', 'depth', 0, 5, { depth: 31.4 }, inside)])).toBeCloseTo(31.4, 6);
  // One as long as the part is the part's, no floor; one outside is none of the bore's.
  expect(floor([...blind, read('depth of all', 'depth', 0, 5, { depth: 60 }, inside)])).toBeCloseTo(20, 6);
  const beside = drawn([...blind, read('depth', 'depth', 0, 5, { depth: 31.4 })]);
  expect(beside.doubts).toContain('depth (depth) is not drawn: take it from its reading.');
  expect(placeOutside(beside.part)).toHaveLength(1);
});

it('a depth is what was read directly, whatever the ring says', () => {
  const both = read('over the ring', 'depth', 0, 10, { depth: 8.1, 'over-ring': 9 }, { ...inside, detail: ring() });
  const sheet = testSheet({ places: [both.place], readings: both.readings, choices: [] });
  expect(depthMm(workOut(sheet, shop).places[0]!)).toBeCloseTo(8.1, 6);
});
