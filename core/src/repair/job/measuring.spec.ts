import { explain } from '../../terms/working';
import { choiceKey } from './choices';
import { expectedAt } from './expected';
import { NO_DETAIL, type PlaceRecord, type JobSheet, type Shop } from './records';
import { workOut } from './repair';
import type { ActChoice, StripChoice } from './strip-records';
import { holdsBack } from './no-return';
import { barrelReadings, testChoice, testPlace, testInstrument, testReading, testSheet, testShop } from './testing';

const place = (sheet: JobSheet, id: string, shop: Shop = testShop) => workOut(sheet, shop).places.find((f) => f.place.id === id)!;
const withPlace = (place: PlaceRecord, readings: JobSheet['readings'], more: Partial<JobSheet> = {}): JobSheet => {
  const base = testSheet();
  return testSheet({ places: [...base.places, place], readings: [...base.readings, ...readings], ...more });
};
const standing = (sheet: JobSheet, id: string, shop: Shop = testShop) => workOut(sheet, shop).stations.find((s) => s.id === id)!;

describe('an instrument', () => {
  const checked: Shop = {
    ...testShop,
    instruments: [testInstrument('tele', { kind: 'telescoping-gauge', biasMm: 0.01, dueOn: '2026-10-01' }), testInstrument('mic')],
    instrumentChecks: [
      {
        id: 'c1',
        instrumentId: 'mic',
        reference: 'Setting piece 25 mm',
        referenceMm: 25,
        text: '25.004',
        unit: 'mm',
        readMm: 25.004,
        remark: '',
        personId: 'tomas',
        at: '2026-11-20T09:00:00Z',
      },
    ],
  };

  it('has its bias taken off: by its record, and from a check on by what the check found', () => {
    expect(place(testSheet(), 'barrel', checked).shape!.smallestMm).toBeCloseTo(40.15, 9);
    expect(place(testSheet(), 'land', checked).shape!.meanMm).toBeCloseTo(39.971, 9);
    const earlier = testReading({
      placeId: 'land',
      stationMm: 14,
      valueMm: 39.975,
      instrumentId: 'mic',
      takenAt: '2026-11-20T08:00:00Z',
    });
    expect(place(testSheet({ readings: [earlier] }), 'land', checked).shape!.meanMm).toBeCloseTo(39.975, 9);
  });

  it('that is overdue is flagged on every figure that used it, and on no other', () => {
    const { fits, places } = workOut(testSheet(), checked);
    expect(fits[0]!.figures!.upper.flags).toEqual(['Outside mic 25 to 50 was overdue for calibration since 2026-10-01']);
    expect(places.find((f) => f.place.id === 'land')!.mean!.flags).toBeUndefined();
    expect(explain(fits[0]!.figures!.hole, 'mm')[0]!.text).toContain('overdue');
  });
});

const landSpot = { stationMm: 14, clockDeg: 0, quantity: 'size' as const };

it('expects at a spot what was read there, else the newest of the place', () => {
  const barrel = place(testSheet(), 'barrel');
  const [first] = barrel.readings;
  const newest = barrel.readings.reduce((p, q) => (q.takenAt >= p.takenAt ? q : p));
  expect(expectedAt(barrel, { ...first!, quantity: 'size' })).toBe(first!.valueMm);
  expect(expectedAt(barrel, { stationMm: 11, clockDeg: 30, quantity: 'size' })).toBe(newest.valueMm);
  expect(first!.valueMm).not.toBe(newest.valueMm);
  expect(expectedAt(barrel, { stationMm: 11, clockDeg: 30, quantity: 'indicator' })).toBeNull();
});

describe('two instruments that disagree', () => {
  const readings = [
    ...testSheet().readings,
    testReading({ placeId: 'land', stationMm: 14, clockDeg: 0, valueMm: 39.9, instrumentId: 'tele' }),
  ];

  it('stand in the way of Measure until somebody says which is believed', () => {
    const sheet = testSheet({ readings });
    const [d] = place(sheet, 'land').disputes;
    expect(d).toMatchObject({ pair: 'mic|tele', believed: null });
    // Never the average: the finer one stands for the size, and says so.
    expect(place(sheet, 'land').shape!.meanMm).toBeCloseTo(39.975, 9);
    expect(place(sheet, 'land').mean!.flags).toEqual([expect.stringContaining('two instruments disagree')]);
    expect(standing(sheet, 'measure')).toMatchObject({ state: 'out', waitsFor: 'two instruments disagree on land' });
  });

  it('are open again once neither is believed', () => {
    const opened = testSheet({ readings, choices: [testChoice(choiceKey.settle('land', 'mic|tele'), { believed: 'neither' })] });
    expect(place(opened, 'land').disputes[0]!.believed).toBeNull();
  });

  it('leave only the believed one in the size, and keep the other on record', () => {
    const settled = testSheet({ readings, choices: [testChoice(choiceKey.settle('land', 'mic|tele'), { believed: 'mic' })] });
    const land = place(settled, 'land');
    expect(land.shape!.meanMm).toBeCloseTo(39.975, 9);
    expect(land.readings).toHaveLength(2);
    // The next reading is expected by what counts, not by the one that came last.
    expect(expectedAt(land, landSpot)).toBeCloseTo(39.975, 9);
    const other = testSheet({ readings, choices: [testChoice(choiceKey.settle('land', 'mic|tele'), { believed: 'tele' })] });
    expect(expectedAt(place(other, 'land'), landSpot)).toBeCloseTo(39.9, 9);
    expect(standing(settled, 'measure').state).not.toBe('out');
  });
});

describe('places that are no plain diameter', () => {
  it('have each quantity with its mean and band', () => {
    const seat = testPlace('seat', { kind: 'keyseat', stationsMm: [80], clocksDeg: [0] });
    const reading = (quantity: 'width' | 'key-depth', valueMm: number) =>
      testReading({ placeId: 'seat', quantity, stationMm: 80, valueMm, instrumentId: 'mic' });
    const sheet = withPlace(seat, [reading('width', 8.02), reading('width', 8.04), reading('key-depth', 4.1)]);
    const found = place(sheet, 'seat');
    expect(found.values.map((v) => [v.quantity, v.mean.value])).toEqual([
      ['width', expect.closeTo(8.03, 9)],
      ['key-depth', expect.closeTo(4.1, 9)],
    ]);
    expect(found.values[0]!.plusMinusMm).toBeGreaterThan(2 * Math.hypot(0.002, 0.01) - 1e-6);
    expect(found.shape).toBeNull();
    expect(found.next).toBeNull();
    expect(workOut(sheet, testShop).fits).toHaveLength(1);
  });

  it('name a thread from its crests and its pitch', () => {
    const thread = testPlace('thread', { kind: 'thread', stationsMm: [110], clocksDeg: [0], detail: { ...NO_DETAIL, pitches: 10 } });
    const sheet = withPlace(thread, [
      testReading({ placeId: 'thread', quantity: 'major', valueMm: 9.46, stationMm: 110, instrumentId: 'mic' }),
      testReading({ placeId: 'thread', quantity: 'crests', valueMm: 10.58, stationMm: 110, instrumentId: 'mic' }),
    ]);
    const found = place(sheet, 'thread').thread!;
    expect(found.pitch.value).toBeCloseTo(1.058, 9);
    expect(found.answer!.matches[0]!.thread.name).toBe('3/8-24 UNF');
    expect(place(sheet, 'thread').next).toMatchObject({ quantity: 'wires' });
  });

  it('give the pitch diameter from the size over three wires', () => {
    // 1/2-13 UNC: wire 0.0444 in, over wires 0.5166 in, E 0.4500 in (as in the wires' own published case).
    const detail = { ...NO_DETAIL, pitches: 1, wireMm: 0.0444 * 25.4 };
    const thread = testPlace('thread', { kind: 'thread', stationsMm: [110], clocksDeg: [0], detail });
    const reading = (quantity: 'major' | 'crests' | 'wires', inch: number) =>
      testReading({ placeId: 'thread', quantity, valueMm: inch * 25.4, stationMm: 110, instrumentId: 'mic' });
    const readings = [reading('major', 0.498), reading('crests', 1 / 13), reading('wires', 0.5166)];
    const found = place(withPlace(thread, readings), 'thread').thread!;
    expect(found.answer!.matches[0]!.thread.name).toBe('1/2-13 UNC');
    expect(found.pitchDiameter!.value / 25.4).toBeCloseTo(0.45, 3);
    const thick = { ...thread, detail: { ...detail, wireMm: 5 } };
    expect(place(withPlace(thick, readings), 'thread').thread!.wireProblem).toContain('lies between');
    expect(place(withPlace({ ...thread, detail: { ...detail, wireMm: null } }, readings), 'thread').thread!.wireProblem).toContain(
      'which wire',
    );
  });

  it('hold a depth over the ring against the direct one', () => {
    const detail = { ...NO_DETAIL, ringMm: 1.75, grooveWidthMm: 1.85, ringRestsOn: 'far' as const, ringFace: 'near' as const };
    const depth = testPlace('depth', { kind: 'depth', stationsMm: [40], clocksDeg: [0], detail });
    const reading = (quantity: 'depth' | 'over-ring', valueMm: number) =>
      testReading({ placeId: 'depth', quantity, valueMm, stationMm: 40, instrumentId: 'mic' });
    expect(place(withPlace(depth, [reading('depth', 40), reading('over-ring', 40.1)]), 'depth').depth).toMatchObject({ agree: true });
    expect(place(withPlace(depth, [reading('depth', 40), reading('over-ring', 40.5)]), 'depth').depth).toMatchObject({ agree: false });
  });

  it('show a bend with its plane, and take overload for its cause', () => {
    const stationsMm = [0, 50, 100];
    const clocksDeg = [0, 90, 180, 270];
    const rod = testPlace('rod', { kind: 'straightness', stationsMm, clocksDeg, detail: { ...NO_DETAIL, holding: 'centres' } });
    const readings = stationsMm.flatMap((stationMm) =>
      clocksDeg.map((clockDeg) => {
        const valueMm = (stationMm === 50 ? 0.3 : 0) * Math.cos(((clockDeg - 90) * Math.PI) / 180);
        return testReading({ placeId: 'rod', quantity: 'indicator', stationMm, clockDeg, valueMm, instrumentId: 'mic' });
      }),
    );
    const sheet = withPlace(rod, readings);
    const { indicator } = place(sheet, 'rod');
    expect(indicator!.bend).toMatchObject({
      planeDeg: expect.closeTo(90, 6),
      highAtMm: expect.closeTo(50, 6),
      totalMm: expect.closeTo(0.6, 9),
    });
    expect(indicator!.figure!.value).toBeCloseTo(0.6, 9);
    expect(workOut(sheet, testShop).diagnosis.causes.map((c) => c.causeId)).toContain('overload');
  });

  it('show lobes in a V-block, and what that block is blind to', () => {
    const clocksDeg = Array.from({ length: 16 }, (_, i) => i * 22.5);
    const lobed = testPlace('lobed', { kind: 'lobes', stationsMm: [60], clocksDeg, detail: { ...NO_DETAIL, vDeg: 60 } });
    const readings = clocksDeg.map((clockDeg) =>
      testReading({
        placeId: 'lobed',
        quantity: 'indicator',
        stationMm: 60,
        clockDeg,
        valueMm: 0.03 * Math.cos((3 * clockDeg * Math.PI) / 180),
      }),
    );
    const { indicator } = place(withPlace(lobed, readings), 'lobed');
    expect(indicator!.lobes!.lobes[0]).toMatchObject({ order: 3, amplitudeMm: expect.closeTo(0.01, 9) });
    expect(indicator!.cannotShow[0]).toContain('2, 4, 5');
  });
});

it('passes over a spot that is skipped on purpose', () => {
  const skip = testChoice(choiceKey.skip('barrel'), { spots: [{ stationMm: 35, clockDeg: 135, quantity: 'size' }] });
  const readings = testSheet().readings.filter((r) => !(r.stationMm === 35 && r.clockDeg === 135));
  expect(place(testSheet({ readings }), 'barrel').next).toMatchObject({ stationMm: 35, clockDeg: 135 });
  expect(place(testSheet({ readings, choices: [skip] }), 'barrel').next).toBeNull();
});

it('takes the size of the bore from the land of its pin', () => {
  const { nominal } = place(testSheet(), 'barrel');
  expect(nominal.ranked[0]!.sizeMm).toBe(40);
  expect(nominal.canTell).toBe(true);
});

describe('the point of no return', () => {
  const act = (more: Partial<ActChoice> = {}): ActChoice => ({
    componentId: 'barrel-part',
    kind: 'cut-weld',
    where: 'Both lugs',
    state: 'planned',
    override: '',
    removed: false,
    ...more,
  });
  const strip: StripChoice = { faced: 'Head to port', shims: [], endPlayMm: null, sidePlayMm: null, noPlay: true, damaged: '' };
  const photo: JobSheet['photos'][number] = {
    id: 'p',
    jobId: 'job',
    caption: '',
    widthPx: 10,
    heightPx: 10,
    markers: [],
    personId: 'tomas',
    at: '2026-11-20T10:00:00Z',
    version: 1,
  };
  const sheetWith = (value: ActChoice, more: Partial<JobSheet> = {}, choices: JobSheet['choices'] = []): JobSheet =>
    testSheet({ choices: [testChoice('act:1', value), ...choices], ...more });

  it('holds an act until each dimension that it would take is on record', () => {
    const readings = testSheet().readings.slice(0, -1);
    const held = sheetWith(act(), { readings });
    const [point] = workOut(held, testShop).pointsOfNoReturn;
    expect(point!.state).toBe('held');
    expect(point!.missing.map((m) => m.what)).toEqual([
      'Barrel bore: diameter at 35 mm 135°',
      expect.stringContaining('faced'),
      expect.stringContaining('play'),
      expect.stringContaining('photograph'),
    ]);
    expect(standing(held, 'strip')).toMatchObject({ state: 'out', waitsFor: 'the point of no return: ramp barrel' });
    expect(holdsBack(held, act({ state: 'done' }), workOut(held, testShop).places)).toContain('and 2 more');
  });

  it('yields once they are, or to a reason that is kept', () => {
    const full = sheetWith(act(), { photos: [photo] }, [testChoice('strip:barrel-part', strip)]);
    expect(workOut(full, testShop).pointsOfNoReturn[0]).toMatchObject({ state: 'clear', missing: [] });
    expect(holdsBack(full, act({ state: 'done' }), workOut(full, testShop).places)).toBeNull();
    const forced = sheetWith(act({ override: 'Ferry sails tonight; barrel is scrap.' }));
    expect(workOut(forced, testShop).pointsOfNoReturn[0]!.state).toBe('overridden');
    expect(holdsBack(forced, act({ state: 'done', override: 'so' }), [])).toBeNull();
    expect(workOut(sheetWith(act({ state: 'done', override: 'so' })), testShop).pointsOfNoReturn[0]!.state).toBe('done');
  });

  it('forgets an act that was taken off the plan', () => {
    expect(workOut(sheetWith(act({ removed: true })), testShop).pointsOfNoReturn).toEqual([]);
  });
});

it('does not let a job go back while a loose piece is unaccounted for', () => {
  const fragment = (settled: string) =>
    testChoice('fragment:1', { what: 'Half a snap ring', where: 'In the barrel', settled, removed: false });
  expect(standing(testSheet({ choices: [fragment('')] }), 'return')).toMatchObject({
    state: 'out',
    waitsFor: expect.stringContaining('half a snap ring'),
  });
  expect(standing(testSheet({ choices: [fragment('Found under the bush')] }), 'return').state).toBe('not-yet');
});

describe('why it wore', () => {
  const round = [0, 45, 90, 135].map((clockDeg) =>
    testReading({ placeId: 'body', stationMm: 60, clockDeg, valueMm: 39.68, instrumentId: 'mic' }),
  );
  const sheet = (cure: string): JobSheet =>
    testSheet({
      readings: [...barrelReadings(), ...round],
      choices: [testChoice(choiceKey.route, { cause: 'x', route: 'new pin', causeId: 'load-one-way', cure })],
    });

  it('is read off the hole and the pin: oval hole, round pin', () => {
    const [likeliest] = workOut(sheet(''), testShop).diagnosis.causes;
    expect(likeliest!.causeId).toBe('load-one-way');
    expect(likeliest!.because[0]).toContain('barrel bore is oval');
  });

  it('is flagged when like for like would keep it alive, until something is done against it', () => {
    expect(workOut(sheet(''), testShop).diagnosis.keptAlive).toContain('Like for like keeps this alive');
    expect(workOut(sheet('A bush that can be changed'), testShop).diagnosis.keptAlive).toBeNull();
  });
});

it('leaves the other places of a job of 5,000 readings alone when one more is taken', () => {
  const places = Array.from({ length: 10 }, (_, i) => testPlace(`f${i}`, { stationsMm: [5], clocksDeg: [0] }));
  const readings = Array.from({ length: 5000 }, (_, i) =>
    testReading({
      placeId: `f${i % 10}`,
      stationMm: 5 + ((i / 10) % 25),
      clockDeg: (i * 45) % 180,
      valueMm: 40 + (i % 7) * 0.002,
      instrumentId: 'mic',
    }),
  );
  const sheet = testSheet({ places, readings });
  const before = workOut(sheet, testShop);
  const more = testReading({ placeId: 'f3', stationMm: 5, valueMm: 40.3, instrumentId: 'mic' });
  const edited = { ...sheet, readings: [...readings, more] };
  const after = workOut(edited, testShop);
  expect(after.places[3]!.shape === before.places[3]!.shape).toBe(false);
  expect(after.places[4]!.shape === before.places[4]!.shape).toBe(true);
});

describe('a land beside a worn place', () => {
  const apart = testSheet().places.map((f) =>
    f.id === 'body' ? { ...f, startMm: 50, lengthMm: 30 } : f.id === 'land' ? { ...f, startMm: 10, lengthMm: 12 } : f,
  );
  const bodyOf = (places: JobSheet['places']) => workOut(testSheet({ places }), testShop).places.find((f) => f.place.id === 'body')!;

  it('is only near in size while nobody says that they were turned to one size', () => {
    const { nominal } = bodyOf(apart);
    expect(nominal.canTell).toBe(false);
    expect(nominal.note).toContain('say so at Strip');
  });

  it('tells once it is said, on either of the two', () => {
    for (const [id, other] of [
      ['body', 'land'],
      ['land', 'body'],
    ]) {
      const said = apart.map((f) => (f.id === id ? { ...f, detail: { ...f.detail, oneSizeWithId: other! } } : f));
      expect(bodyOf(said).nominal.canTell).toBe(true);
      expect(bodyOf(said).nominal.ranked[0]!.sizeMm).toBe(40);
    }
  });
});
