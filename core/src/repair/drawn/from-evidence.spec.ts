import { seededRandom } from '../../evidence/proof';
import { woodruffSeat } from '../../book/keys';
import { placeOutside, validatePart } from '../../making/part';
import { choiceKey, workOut, jobItems, type JobSheet, type PlaceRecord, type ReadingRecord } from '../job';
import { testChoice, testInstrument, testPlace, testReading, testSheet, testShop } from '../job/testing';
import { comparedWith, partFromEvidence } from './index';
import { endToEnd } from './stretches';

const exact = testInstrument('exact', { uMm: 0.001, repeatMm: 0.001, rangeLowMm: 0, rangeHighMm: 1000 });
const shop = { ...testShop, instruments: [...testShop.instruments, exact] };

const diameter = (id: string, startMm: number, lengthMm: number, mm: number, more: Partial<PlaceRecord> = {}) => ({
  place: testPlace(id, {
    name: id,
    startMm,
    lengthMm,
    stationsMm: [startMm + 1, startMm + lengthMm - 1],
    instrumentId: 'exact',
    land: 'unworn',
    ...more,
  }),
  readings: [startMm + 1, startMm + lengthMm - 1].flatMap((stationMm) =>
    [0, 90].map((clockDeg) => testReading({ placeId: id, stationMm, clockDeg, valueMm: mm, instrumentId: 'exact' })),
  ),
});
const read = (
  id: string,
  kind: PlaceRecord['kind'],
  startMm: number,
  lengthMm: number,
  values: object,
  more: Partial<PlaceRecord> = {},
) => ({
  place: testPlace(id, { name: id, kind, startMm, lengthMm, instrumentId: 'exact', ...more }),
  readings: Object.entries(values).map(([quantity, valueMm]) =>
    testReading({ placeId: id, quantity: quantity as ReadingRecord['quantity'], valueMm: valueMm as number, instrumentId: 'exact' }),
  ),
});
type Measured = ReturnType<typeof diameter>;

const jobOf = (measured: readonly Measured[], choices: JobSheet['choices'] = []): JobSheet =>
  testSheet({
    components: testSheet().components.map((c) => (c.id === 'pin' ? { ...c, verdict: 'remake' as const } : c)),
    places: measured.map((m) => m.place),
    readings: measured.flatMap((m) => m.readings),
    choices,
  });
function drawn(sheet: JobSheet) {
  const item = jobItems(sheet).find((i) => i.kind === 'make')!;
  return partFromEvidence(item, workOut(sheet, shop), sheet);
}

it('a stepped shaft that was measured step by step comes back as it was made', () => {
  const random = seededRandom(13);
  for (let n = 0; n < 25; n++) {
    const count = 2 + Math.floor(random() * 4);
    let at = 0;
    let before = 0;
    const steps = Array.from({ length: count }, () => {
      let mm = before;
      while (Math.abs(mm - before) < 4) mm = 5 * Math.round(4 + 8 * random());
      before = mm;
      const lengthMm = Math.round(20 + 60 * random());
      const fromMm = at;
      at += lengthMm;
      return { fromMm, lengthMm, mm };
    });
    // Each step is read clear of its shoulders by up to 1.5 mm, each shoulder from the zero face.
    const measured = steps.flatMap((s, i) => [
      diameter(`d${i}`, s.fromMm + (i ? 1.5 * random() : 0), s.lengthMm - 3, s.mm),
      read(`l${i}`, 'length', 0, s.fromMm + s.lengthMm, { length: s.fromMm + s.lengthMm }),
    ]);
    const { part, doubts } = drawn(jobOf(measured))!;
    expect(doubts).toEqual([]);
    expect(placeOutside(part).map((s) => [s.fromMm, s.lengthMm, s.diameterMm].map((x) => Number(x.toFixed(6))))).toEqual(
      steps.map((s) => [s.fromMm, s.lengthMm, s.mm]),
    );
    expect(validatePart(part).ok).toBe(true);
  }
});

it('lengths that nobody read are drawn half-way or with the neighbour, and said', () => {
  const { part, doubts } = drawn(jobOf([diameter('seat', 20, 20, 25), diameter('wheel', 60, 30, 30)]))!;
  expect(placeOutside(part).map((s) => [s.name, s.fromMm, s.toMm])).toEqual([
    ['seat', 0, 50],
    ['wheel', 50, 90],
  ]);
  expect(doubts).toEqual([
    'Nothing was read on the first 20.000 mm: drawn as seat goes on.',
    'Where seat ends and wheel begins was not read: drawn half-way, at 50.000 mm.',
    'The overall length was not read: drawn to the end of wheel, at 90.000 mm.',
  ]);
});

it('a stretch between two shoulders that nobody read has a surface of its own', () => {
  const { part, doubts } = drawn(
    jobOf([
      diameter('seat', 0, 20, 25),
      diameter('wheel', 60, 30, 30),
      read('a', 'length', 0, 20, { length: 20 }),
      read('b', 'length', 0, 60, { length: 60 }),
      read('c', 'length', 0, 90, { length: 90 }),
    ]),
  )!;
  expect(placeOutside(part).map((s) => [s.name, s.fromMm, s.toMm, s.diameterMm])).toEqual([
    ['seat', 0, 20, 25],
    ['Unread stretch', 20, 60, 25],
    ['wheel', 60, 90, 30],
  ]);
  expect(doubts).toEqual(['Nothing was read from 20.000 mm to 60.000 mm: drawn with the size of seat.']);
  // Nothing goes to the machine that nobody read, until somebody says what it has to be.
  const found = (limits: typeof part.limits) => {
    const sheet = jobOf([], [testChoice(choiceKey.part, { ...part, limits })]);
    return workOut(sheet, shop).part!.unlimited.map((d) => d.dimension.label);
  };
  expect(found({})).toEqual(['diameter of seat', 'diameter of unread stretch']);
  const around = { lowerDev: -0.2, upperDev: 0.2, text: '±0.2' };
  expect(found({ 'unread-20.0': around })).toEqual(['diameter of seat']);
  expect(found({ 'unread-20.0': around, 'of-seat': around })).toEqual([]);
});

it('an unworn land and the worn track beside it are one turned size; it fits the mate that stays', () => {
  const sheet = testSheet({
    places: testSheet().places.map((f) =>
      f.id === 'body' ? { ...f, startMm: 8, lengthMm: 112 } : f.id === 'land' ? { ...f, startMm: 10, lengthMm: 12 } : f,
    ),
  });
  const { part } = drawn(sheet)!;
  expect(part.outside).toMatchObject([{ name: 'Body', lengthMm: 120, diameterMm: 40, fitsPlaceIds: ['barrel'] }]);
  expect(part.materialId).toBe('steel-c45');
});

it('a land beside what wore is of its size too, unless a shoulder stands between them', () => {
  const seat = diameter('seat', 0, 20, 24.95, { land: 'worn' });
  const land = diameter('land', 21, 4, 25, { land: 'unworn' });
  const end = read('whole', 'length', 0, 25, { length: 25 });
  const nominal = [testChoice(choiceKey.nominal('seat'), { sizeMm: 25, name: '25' })];
  const one = drawn(jobOf([seat, land, end], nominal))!.part;
  expect(one.outside).toMatchObject([{ id: 'of-seat', lengthMm: 25, diameterMm: 25 }]);
  const two = drawn(jobOf([seat, land, end, read('step', 'length', 0, 20, { length: 20.5 })], nominal))!.part;
  expect(two.outside).toMatchObject([
    { id: 'of-seat', lengthMm: 20.5 },
    { id: 'of-land', lengthMm: 4.5 },
  ]);
});

it('two places of one size far apart are not silently one', () =>
  expect(drawn(jobOf([diameter('seat', 0, 18, 20), diameter('track', 62, 16, 20)]))!.doubts[0]).toBe(
    'Where seat ends and track begins was not read: drawn half-way, at 40.000 mm.',
  ));

it('grooves, keyseats, threads, flats and cross holes are cut where they were read, at the size of the book where they are by it', () => {
  const sheet = jobOf(
    [
      diameter('seat', 0, 60, 25),
      diameter('wheel', 60, 60, 35),
      read('end', 'thread', 120, 20, { major: 17.9, crests: 15 }, { detail: { ...testPlace('x', {}).detail, pitches: 10 } }),
      read('whole', 'length', 0, 140, { length: 140 }),
      read('first', 'length', 0, 60, { length: 60 }),
      read('second', 'length', 0, 120, { length: 120 }),
      read('ring', 'groove', 50, 1.3, { width: 1.32, 'groove-size': 23.85 }),
      read('key', 'keyseat', 80, 30, { width: 10.01, 'key-depth': 5.02 }),
      read('pin', 'cross-hole', 130, 4, { 'hole-size': 4.05, 'hole-at': 132 }),
      read('flat', 'flats', 10, 15, { across: 21 }),
    ],
    [testChoice(choiceKey.seen('pin'), { surface: '', hardness: null, scale: 'HRC', clockDeg: 90, timedToPlaceId: 'key' })],
  );
  const { part, doubts } = drawn(sheet)!;
  expect(doubts).toEqual(['end is drawn right-handed with one start: say otherwise where it is.', 'flat: drawn as two flats.']);
  expect(validatePart(part).ok).toBe(true);
  const by = (id: string) => part.features.find((f) => f.id === id);
  // DIN 471 for 25: groove 23.9, 1.3 wide; DIN 6885 for 30 to 38: 10 x 8, 5.0 deep.
  expect(by('of-ring')).toMatchObject({ kind: 'ring-groove', on: 'of-seat', atMm: 50, widthMm: 1.3, diameterMm: 23.9, ring: 'book' });
  expect(by('of-key')).toMatchObject({ kind: 'keyseat', on: 'of-wheel', atMm: 20, lengthMm: 30, widthMm: 10, depthMm: 5, clockDeg: 0 });
  expect(by('of-end-thread')).toMatchObject({ thread: 'M18 x 1.5', lengthMm: 20, end: 'right' });
  expect(part.outside.at(-1)).toMatchObject({ name: 'end', diameterMm: 18, lengthMm: 20 });
  expect(by('of-pin')).toMatchObject({ kind: 'cross-hole', on: 'of-end', atMm: 12, diameterMm: 4.05, clockDeg: 90, timedTo: 'of-key' });
  expect(by('of-flat')).toMatchObject({ kind: 'flats', on: 'of-seat', atMm: 10, acrossMm: 21 });
});

it('a thread with its relief beside a body: the relief is cut behind the thread, and the body begins where it ends', () => {
  const sheet = jobOf([
    diameter('body', 20, 160, 12.5),
    read('end', 'thread', 0, 18, { major: 9.97, crests: 1.25 }),
    read('relief', 'groove', 18, 2, { width: 2, 'groove-size': 8.2 }),
    read('whole', 'length', 0, 180, { length: 180 }),
  ]);
  const { part, doubts } = drawn(sheet)!;
  expect(placeOutside(part).map((s) => [s.name, s.fromMm, s.toMm])).toEqual([
    ['end', 0, 20],
    ['body', 20, 180],
  ]);
  expect(part.features.find((f) => f.kind === 'relief')).toMatchObject({ on: 'of-end', atMm: 18, widthMm: 2, diameterMm: 8.2 });
  expect(validatePart(part).ok).toBe(true);
  expect(doubts.filter((d) => d.includes('half-way') || d.includes('not drawn'))).toEqual([]);
});

it('what is told from another place counts on from where that stands, clockwise from the right end', () => {
  const told = (clockDeg: number, timedToPlaceId: string | null) => ({
    surface: '',
    hardness: null,
    scale: 'HRC' as const,
    clockDeg,
    timedToPlaceId,
  });
  const keyed = (gear: ReturnType<typeof told>, out: ReturnType<typeof told>) => {
    const sheet = jobOf(
      [
        diameter('seat', 0, 120, 35),
        read('gear', 'keyseat', 10, 30, { width: 10.01, 'key-depth': 5.02 }),
        read('out', 'keyseat', 70, 30, { width: 10.01, 'key-depth': 5.02 }),
      ],
      [testChoice(choiceKey.seen('gear'), gear), testChoice(choiceKey.seen('out'), out)],
    );
    const { features } = drawn(sheet)!.part;
    return ['of-gear', 'of-out'].map((id) => {
      const f = features.find((x) => x.id === id);
      return f?.kind === 'keyseat' ? [f.clockDeg, f.timedTo] : null;
    });
  };
  expect(keyed(told(30, null), told(90, 'gear'))).toEqual([
    [30, ''],
    [120, 'of-gear'],
  ]);
  expect(keyed(told(300, null), told(90, 'gear'))[1]).toEqual([30, 'of-gear']);
  expect(keyed(told(30, 'seat'), told(90, null))).toEqual([
    [30, ''],
    [90, ''],
  ]);
  // Each told from the other: what was typed stands.
  expect(keyed(told(30, 'out'), told(90, 'gear')).map((k) => k![0])).toEqual([120, 120]);
});

it('tells what was found and what it was beside what it becomes', () => {
  const plain = jobOf([diameter('seat', 0, 60, 24.95), read('ring', 'groove', 50, 1.3, { width: 1.32, 'groove-size': 23.85 })]);
  const { part } = drawn(plain)!;
  const sheet = {
    ...plain,
    choices: [testChoice(choiceKey.part, part), testChoice(choiceKey.nominal('seat'), { sizeMm: 25, name: '25' })],
  };
  const repair = workOut(sheet, shop);
  const rows = comparedWith(repair.part!.dimensions, repair.places);
  expect(rows.get('of-seat')).toMatchObject({ placeId: 'seat', foundMm: [expect.closeTo(24.95, 2), expect.closeTo(24.95, 2)], wasMm: 25 });
  expect(rows.get('of-ring.width')).toMatchObject({ foundMm: [1.32, 1.32], wasMm: 1.3 });
  expect(rows.get('of-ring.at')).toBeUndefined();
});

it('a bush is bored through, a blind hole from its own end', () => {
  const bush = drawn(jobOf([diameter('out', 0, 40, 40), diameter('hole', 0, 40, 30, { side: 'inside' })]))!.part;
  expect(bush.bores).toMatchObject([{ from: 'near', through: true, surfaces: [{ diameterMm: 30 }] }]);
  const cup = drawn(
    jobOf([diameter('out', 0, 60, 40), diameter('seat', 40, 20, 32, { side: 'inside' }), diameter('neck', 25, 15, 20, { side: 'inside' })]),
  )!.part;
  expect(cup.bores).toMatchObject([
    {
      from: 'far',
      through: false,
      surfaces: [
        { name: 'seat', lengthMm: 20 },
        { name: 'neck', diameterMm: 20 },
      ],
    },
  ]);
  expect(validatePart(cup).ok).toBe(true);
});

it('a bore steps where its own depth was read, not where the outside steps', () => {
  const outside = [
    diameter('a', 0, 22, 50),
    diameter('b', 22, 38, 60),
    read('la', 'length', 0, 22, { length: 22 }),
    read('whole', 'length', 0, 60, { length: 60 }),
  ];
  const inside = [diameter('wide', 0, 18, 30, { side: 'inside' }), diameter('narrow', 40, 20, 20, { side: 'inside' })];
  const deep = read('deep', 'length', 0, 25, { length: 25 }, { side: 'inside' });
  expect(drawn(jobOf([...outside, ...inside, deep]))!.part.bores[0]!.surfaces).toMatchObject([{ lengthMm: 25 }, { name: 'narrow' }]);
  // Half-way where nobody read it.
  expect(drawn(jobOf([...outside, ...inside]))!.part.bores[0]!.surfaces).toMatchObject([{ lengthMm: 29 }, { name: 'narrow' }]);
});

it('a part broken in two is put together on one axis, and what crumbled away is said', () => {
  const sheet = jobOf([
    diameter('left', 0, 50, 30),
    diameter('right', 5, 45, 30, { componentId: 'stub' }),
    read('sound', 'length', 0, 50, { length: 51.5 }, { componentId: 'stub' }),
  ]);
  const stub = { ...sheet.components[0]!, id: 'stub', name: 'Stub', axisOffsetMm: 58 };
  const item = { name: 'Shaft', componentIds: ['pin', 'stub'] };
  const both = { ...sheet, components: [...sheet.components, stub] };
  const { part, doubts } = partFromEvidence(item, workOut(both, shop), both)!;
  // The stub's sound end lies at 58 + 51.5 from the other piece's sound end.
  expect(placeOutside(part).at(-1)!.toMm).toBeCloseTo(109.5, 6);
  expect(doubts.join(' ')).toContain('It is broken between left and right: put together from 50.000 mm to 63.000 mm');
});

it('what wore, fits nothing and was nobody knows what is drawn as found, and said', () => {
  // 23.63 is near no size that is listed.
  const { part, doubts } = drawn(
    jobOf([diameter('journal', 0, 40, 23.63, { land: 'worn' }), read('whole', 'length', 0, 40, { length: 40 })]),
  )!;
  const was = workOut(jobOf([diameter('journal', 0, 40, 23.63, { land: 'worn' })]), shop).places[0]!;
  expect(was.nominal.canTell).toBe(false);
  expect(part.outside[0]!.diameterMm).toBeCloseTo(23.63, 2);
  expect(doubts).toEqual(['What journal was is not known: drawn as found, worn as it is.']);
  const known = [testChoice(choiceKey.nominal('journal'), { sizeMm: 24, name: '24' })];
  expect(
    drawn(jobOf([diameter('journal', 0, 40, 23.63, { land: 'worn' }), read('whole', 'length', 0, 40, { length: 40 })], known))!.doubts,
  ).toEqual([]);
});

it('a half-moon seat is drawn by its key', () => {
  // DIN 6888, 6 x 9: cutter 22; in a shaft of 30 it lies 6.5 below the crown or so.
  const seat = woodruffSeat('6 x 9', 30);
  if (!seat.ok) throw new Error('no such key');
  const sheet = jobOf([
    diameter('shaft', 0, 80, 30),
    read('whole', 'length', 0, 80, { length: 80 }),
    read('key', 'keyseat', 40, 21.6, { width: 6.01, 'key-depth': seat.value.fromCrownMm + 0.02 }),
  ]);
  expect(drawn(sheet)!.part.features[0]).toMatchObject({
    ...{ kind: 'woodruff-seat', widthMm: 6, cutterMm: seat.value.key.cutterMm, depthMm: seat.value.fromCrownMm },
    atMm: expect.closeTo(50.8, 6),
  });
});

it('nothing read, nothing drawn', () => {
  expect(drawn(jobOf([]))).toBeNull();
  expect(endToEnd([], [10], 20, 'mm')).toEqual({ stretches: [], doubts: [] });
});

it('what does not go where it was measured is left out and said', () => {
  const { part, doubts } = drawn(
    jobOf([
      diameter('seat', 0, 60, 25),
      read('whole', 'length', 0, 60, { length: 60 }),
      read('ring', 'groove', 59.5, 3, { width: 3, 'groove-size': 22 }),
    ]),
  )!;
  expect(part.features).toEqual([]);
  expect(doubts[0]).toContain('ring is not drawn: ');
});
