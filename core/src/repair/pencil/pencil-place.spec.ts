import type { JobSheet } from '../job';
import { testInstrument, testPlace, testShop, testSheet } from '../job/testing';
import { parsePencil, pencilPlace, type PencilLine, type PencilPlace } from './index';

const shop = {
  ...testShop,
  instruments: [
    testInstrument('mic-in', { name: 'Outside mic 0 to 1 in', unit: 'in', rangeLowMm: 0, rangeHighMm: 25.4 }),
    testInstrument('mic-25', { name: 'Outside mic 0 to 25', rangeLowMm: 0, rangeHighMm: 25 }),
    testInstrument('tele', { name: 'Telescoping gauges', kind: 'telescoping-gauge', rangeLowMm: 8, rangeHighMm: 150 }),
  ],
};
const empty = testSheet({ components: [], places: [], readings: [], choices: [] });
const put = (text: string, sheet = testSheet(), inHand: string | null = null): PencilPlace | string => {
  const line = parsePencil(text, sheet.job.unit);
  if (!line.ok) return line.problems[0]!.code;
  const placed = pencilPlace(line.value, sheet, shop, inHand);
  return placed.ok ? placed.value : placed.problems[0]!.code;
};

it('makes what a sheet begins with: the part, not known of what, and the place with its readings', () => {
  const placed = put('jaw / swivel hole: @3 20.32 20.41 20.49 20.40 @12 20.33 20.40 20.48 20.41', empty) as PencilPlace;
  expect(placed.component).toMatchObject({ name: 'Jaw', role: 'mate', materialId: 'unknown', verdict: 'reuse' });
  expect(placed.place).toMatchObject({
    ...{ name: 'Swivel hole', kind: 'diameter', side: 'inside', startMm: 0, lengthMm: 15 },
    ...{ stationsMm: [3, 12], clocksDeg: [0, 45, 90, 135], instrumentId: 'tele' },
  });
  expect(placed.place.detail.lengthAssumed).toBe(true);
  expect(placed.readings.map((r) => [r.spot.stationMm, r.spot.clockDeg, r.text])).toEqual([
    [3, 0, '20.32'],
    [3, 45, '20.41'],
    [3, 90, '20.49'],
    [3, 135, '20.40'],
    [12, 0, '20.33'],
    [12, 45, '20.40'],
    [12, 90, '20.48'],
    [12, 135, '20.41'],
  ]);
});

it('takes the first outside part for the worn one, and the next for what it runs with', () => {
  expect((put('peg / body: 19.8', empty) as PencilPlace).component).toMatchObject({ role: 'worn', verdict: 'remake' });
  expect((put('collar / outside: 30', testSheet()) as PencilPlace).component).toMatchObject({ role: 'mate' });
});

it('finds a component and a place that are there, whatever their capitals, and adds stations', () => {
  const placed = put('HINGE PIN / BODY: @11 39.9 39.8') as PencilPlace;
  const body = testSheet().places.find((f) => f.name === 'Body')!;
  expect(placed.there?.id).toBe(body.id);
  expect(placed.place.stationsMm).toEqual([...new Set([...body.stationsMm, 11])].sort((a, b) => a - b));
  expect(placed.place.lengthMm).toBe(body.lengthMm);
});

it('reads in the job’s unit, whatever the instrument shows', () => {
  const inch = { ...empty, job: { ...empty.job, unit: 'in' as const } };
  expect((put('pin / body: 0.7462', inch) as PencilPlace).place.instrumentId).toBe('mic-in');
  const onlyMetric = pencilPlace(
    (parsePencil('pin / body: 0.7462', 'in') as { value: PencilLine }).value,
    inch,
    { instruments: shop.instruments.filter((i) => i.id === 'mic-25') },
    null,
  );
  expect(onlyMetric).toMatchObject({ value: { place: { instrumentId: 'mic-25' }, readings: [{ text: '0.7462 in' }] } });
});

it.each([
  ['groove: 3.2 84.6', 'which-component'],
  ['pin / body in cellar: 20', 'no-such-mate'],
])('asks about %s: %s', (text, code) => expect(put(text)).toBe(code));

it('takes the component in hand where the line names none', () => {
  expect(put('nose: 20', testSheet(), 'pin')).toMatchObject({ component: { id: 'pin' }, there: null });
});

it('reads a groove in its own order, at one spot', () => {
  const placed = put('tube / ring groove: 3.20 84.60', empty) as PencilPlace;
  expect(placed.readings.map((r) => r.spot.quantity)).toEqual(['width', 'groove-size']);
  expect(placed.place.clocksDeg).toEqual([0]);
});

it.each([
  ['tube / ring groove from 8.10: 3.20 84.60', 'mm', 3.2],
  ['tube / ring groove from 8.10, 5 long: 3.20 84.60', 'mm', 5],
  ['shaft / ring groove from 3.85: 1.6 mm 28.6 mm', 'in', 1.6],
  ['shaft / overall length: 11 1/4', 'in', 285.75],
  ['shaft / keyseat from 1: 0.25 0.141', 'in', 25.4],
  ['shaft / ring groove from 2: wide', 'mm', null],
] as const)('%s (%s) lies on %s mm of the part', (text, unit, lengthMm) => {
  const placed = put(text, { ...empty, job: { ...empty.job, unit } });
  expect(typeof placed === 'string' ? null : placed.place.lengthMm).toEqual(lengthMm === null ? null : expect.closeTo(lengthMm, 9));
});

describe('what a place runs in', () => {
  const jaw = { ...testSheet().components[1]!, id: 'jaw', name: 'Jaw', axisOffsetMm: 0 };
  const hole = testPlace('swivel', { name: 'Swivel hole', componentId: 'jaw', side: 'inside', startMm: 2, lengthMm: 15 });
  const sheet = (more: Partial<JobSheet> = {}): JobSheet =>
    testSheet({ components: [testSheet().components[0]!, jaw], places: [hole], readings: [], ...more });
  const moved = (text: string, on = sheet()) => (put(text, on) as PencilPlace).moved;

  it('comes to lie where they meet, once somebody says where that is', () => {
    expect(moved('Hinge pin / swivel end from 20, 15 long, in swivel hole: 19.80')).toMatchObject({ id: 'jaw', axisOffsetMm: 18 });
    expect(moved('Hinge pin / swivel end, 15 long, in swivel hole: 19.80')).toBeNull();
    expect(moved('Hinge pin / swivel end from 20: 19.80')).toBeNull();
  });
  it('stays where somebody put it, or where something else of it runs', () => {
    const put30 = sheet({ components: [testSheet().components[0]!, { ...jaw, axisOffsetMm: 30 }] });
    expect(moved('Hinge pin / swivel end from 20, in swivel hole: 19.80', put30)).toBeNull();
    const other = testPlace('other', { name: 'Other', componentId: 'pin', matesPlaceId: 'swivel' });
    expect(moved('Hinge pin / swivel end from 20, in swivel hole: 19.80', sheet({ places: [hole, other] }))).toBeNull();
  });
});
