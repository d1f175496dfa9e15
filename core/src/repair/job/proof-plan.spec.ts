import { newPart, surface } from '../../making/part';
import { choiceKey } from './choices';
import { proofPlanWords } from './proof-plan';
import { signProblems, type ProofFinding } from './proof-finding';
import type { InstrumentRecord, ReadingRecord } from './records';
import { seenAt, workOut } from './repair';
import { testChoice, testInstrument, testItem, testReading, testSheet, testShop, verdicts, withChoices } from './testing';

const limits = { lowerDev: -0.025, upperDev: -0.009, text: '-0.009 -0.025' };
/** A pin of 40 with typed limits, so long; nothing else of it is a seat. */
function proofOf(
  lengthMm: number,
  readings: readonly (readonly [station: number, clock: number, mm: number, more?: Partial<ReadingRecord>])[] = [],
  { typed = true, crib = testShop.instruments }: { typed?: boolean; crib?: readonly InstrumentRecord[] } = {},
): ProofFinding {
  const pin = newPart('plain-pin', 'Pin', 40, lengthMm);
  const part = {
    ...pin,
    outside: [surface('body', 'cylinder', 'Body', lengthMm, 40)],
    features: [],
    limits: typed ? { body: limits } : {},
  };
  const read = readings.map(([stationMm, clockDeg, valueMm, more]) =>
    testReading({ purpose: 'proof', segmentId: 'body', stationMm, clockDeg, valueMm, instrumentId: 'mic', ...more }),
  );
  const sheet = testSheet({ choices: [testChoice(choiceKey.part, part)], readings: read });
  return workOut(sheet, { ...testShop, instruments: crib }).proofs.find((p) => p.name === 'Body')!;
}
const spots = (p: ProofFinding): (readonly [number, number])[] => p.plan!.spots.map((s) => [s.stationMm, s.clockDeg]);
const pass = { passed: true, remark: '', gaugedWith: '', gaugedValue: null };

describe('where a finished diameter is read', () => {
  it.each([
    ['a short seat at one place', 12, true, [6]],
    ['a seat at both ends', 40, true, [6, 34]],
    ['a slender one in the middle too', 200, true, [30, 100, 170]],
    ['what has the general tolerance at one place', 40, false, [20]],
  ] as const)('%s, two ways round each', (_, lengthMm, typed, places) =>
    expect(spots(proofOf(lengthMm, [], { typed }))).toEqual(
      places.flatMap((x) => [
        [x, 0],
        [x, 90],
      ]),
    ),
  );

  it('what is read elsewhere along it is no reading of its ends', () => {
    expect(
      proofOf(40, [
        [20, 0, 39.98],
        [20, 90, 39.98],
      ]).plan,
    ).toMatchObject({ read: 0, next: { stationMm: 6, clockDeg: 0 } });
    expect(
      proofOf(40, [
        [8, 0, 39.98],
        [3, 90, 39.98],
      ]).plan,
    ).toMatchObject({ read: 2, next: { stationMm: 34, clockDeg: 0 } });
    expect(
      proofOf(12, [
        [1, 0, 39.98],
        [11, 90, 39.98],
      ]).plan,
    ).toMatchObject({ read: 2, next: null });
  });

  it('a taper that one place hides comes out', () => {
    // 0.03 over 40 mm: the middle is right, both ends are out.
    const at = (x: number): number => 39.983 + 0.03 * (x / 40 - 0.5);
    const middle = proofOf(
      40,
      [0, 90].map((c) => [20, c, at(20)] as const),
    );
    expect(middle.verdict).not.toBe('out');
    expect(signProblems(middle, pass)).toMatchObject([{ code: 'unread', path: 'remark', message: expect.stringContaining('0 of 4') }]);
    const told = middle.plan!.spots.map((s) => [s.stationMm, s.clockDeg, at(s.stationMm)] as const);
    expect(proofOf(40, told, { crib: [testInstrument('mic', { uMm: 0.001 })] }).verdict).toBe('out');
  });

  it('with a reason less will do; failing it needs none', () => {
    const once = proofOf(40, [[6, 0, 39.983]]);
    expect(signProblems(once, { ...pass, remark: 'The other end sits in the housing.' })).toEqual([]);
    expect(signProblems(once, { ...pass, passed: false })).toEqual([]);
    const all = proofOf(
      40,
      once.plan!.spots.map((s) => [s.stationMm, s.clockDeg, 39.983] as const),
    );
    expect(signProblems(all, pass)).toEqual([]);
  });
});

describe('with what', () => {
  it('the finest of the crib that holds it, and what may be read with it: the limits less its uncertainty at each end', () => {
    const crib = [
      testInstrument('cal', { kind: 'caliper', rangeLowMm: 0, rangeHighMm: 150 }),
      testInstrument('fine', { name: 'Fine', uMm: 0.002 }),
    ];
    const { plan } = proofOf(40, [], { crib });
    // 39.975 to 39.991, 95 % of it 0.004.
    expect(plan!.with).toMatchObject({
      instrument: { id: 'fine' },
      inside: { lowerMm: expect.closeTo(39.979, 3), upperMm: expect.closeTo(39.987, 3) },
    });
    expect(proofPlanWords(plan!, 'mm')).toEqual([
      'Read it at 2 places, two ways round, each: 0 of 4 read.',
      'Best with Fine, ±0.004: surely inside where it reads 39.979 to 39.987 mm.',
    ]);
  });

  it('says so where none can tell it, or none holds it', () => {
    const coarse = proofOf(40, [], {
      crib: [testInstrument('cal', { name: 'Caliper', kind: 'caliper', rangeLowMm: 0, rangeHighMm: 150 })],
    });
    expect(coarse.plan!.with!.inside).toBeNull();
    expect(proofPlanWords(coarse.plan!, 'mm')[1]).toContain('cannot tell it');
    const none = proofOf(40, [], { crib: [testInstrument('small', { rangeLowMm: 0, rangeHighMm: 25 })] });
    expect(none.plan!.with).toBeNull();
    expect(proofPlanWords(none.plan!, 'mm')[1]).toContain('Nothing in the crib reads it');
  });
});

it('what lies between two walls is read by what goes in there: never by an outside mic', () => {
  const pin = newPart('plain-pin', 'Pin', 40, 60);
  const groove = {
    id: 'g',
    kind: 'seal-groove',
    on: 'body',
    name: 'Groove',
    use: 'rod-seal',
    atMm: 20,
    widthMm: 30,
    diameterMm: 34,
    cornerMm: 0,
  };
  const within = { lowerDev: -0.01, upperDev: 0.01, text: '±0.01' };
  const part = { ...pin, features: [groove], limits: { 'g.width': within } };
  const crib = [testInstrument('mic'), testInstrument('cal', { name: 'Caliper', kind: 'caliper', rangeLowMm: 0, rangeHighMm: 150 })];
  const { proofs } = workOut(testSheet({ choices: [testChoice(choiceKey.part, part)] }), { ...testShop, instruments: crib });
  const width = proofs.find((p) => p.dimension.dimension.key === 'g.width')!;
  expect(width.plan!.with!.instrument.id).toBe('cal');
  // Inside jaws, 0.03 standard: the band of 0.02 is less than it can tell.
  expect(proofPlanWords(width.plan!, 'mm')[1]).toBe(
    'Even Caliper, ±0.060, cannot tell it within these limits: try it with the key, the ring or gauge blocks.',
  );
});

it('where something begins is read from the end face, by what reads a depth', () => {
  const pin = newPart('plain-pin', 'Pin', 40, 60);
  const groove = {
    id: 'g',
    kind: 'seal-groove',
    on: 'body',
    name: 'Groove',
    use: 'rod-seal',
    atMm: 20,
    widthMm: 5,
    diameterMm: 34,
    cornerMm: 0,
  };
  const crib = [testInstrument('mic', { rangeLowMm: 0 }), testInstrument('depth', { kind: 'depth-mic', rangeLowMm: 0, rangeHighMm: 150 })];
  const { proofs } = workOut(testSheet({ choices: [testChoice(choiceKey.part, { ...pin, features: [groove] })] }), {
    ...testShop,
    instruments: crib,
  });
  expect(proofs.find((p) => p.dimension.dimension.key === 'g.at')!.plan!.with!.instrument.id).toBe('depth');
});

it('a warm part proves nothing, though it may be failed', () => {
  const warm = proofOf(12, [
    [6, 0, 39.99, { partTempC: 31 }],
    [6, 90, 39.983],
  ]);
  expect(signProblems(warm, { ...pass, remark: 'In a hurry' })).toMatchObject([{ code: 'warm' }]);
  expect(signProblems(warm, { ...pass, passed: false })).toEqual([]);
  expect(proofPlanWords(warm.plan!, 'mm').at(-1)).toBe('1 reading taken while it was warm: let it cool and read again.');
  const cool = proofOf(12, [
    [6, 0, 39.983, { partTempC: 22 }],
    [6, 90, 39.983],
  ]);
  expect(signProblems(cool, pass)).toEqual([]);
});

describe('a bore that may be oval', () => {
  const H7 = { lowerDev: 0, upperDev: 0.025, text: 'H7' };
  const itemId = 'barrel-part';
  /** Trued, and sprung open along 45°: every way round it is D + e cos 2(way - 45°). */
  const bored = (e: number, ways: readonly number[]) => {
    const sheet = withChoices(verdicts('reuse', 'repair'), [
      choiceKey.item(itemId),
      testItem('rework', 'Ramp barrel', { componentIds: [itemId], cuts: [{ placeId: 'barrel', sizeMm: 40.35, limits: H7 }] }),
    ]);
    const bare = seenAt(workOut(sheet, testShop), itemId).proofs[0]!;
    const stations = [...new Set(bare.plan!.spots.map((s) => s.stationMm))];
    const readings = stations.flatMap((stationMm) =>
      ways.map((clockDeg) =>
        testReading({
          ...{ purpose: 'proof', itemId, segmentId: 'barrel', stationMm, clockDeg, instrumentId: 'mic' },
          valueMm: 40.3625 + e * Math.cos((2 * (clockDeg - 45) * Math.PI) / 180),
        }),
      ),
    );
    return seenAt(workOut({ ...sheet, readings: [...sheet.readings, ...readings] }, testShop), itemId).proofs[0]!;
  };

  it('is read four ways, at its middle too, and what two ways would pass is seen', () => {
    const planned = bored(0, []).plan!;
    expect([...new Set(planned.spots.map((s) => s.clockDeg))]).toEqual([0, 45, 90, 135]);
    expect(new Set(planned.spots.map((s) => s.stationMm)).size).toBe(3);
    expect(proofPlanWords(planned, 'mm')[0]).toBe('Read it at 3 places, four ways round, as it may be oval, each: 0 of 12 read.');
    // 0.03 out of round: at 0° and 90° it reads 40.3625 and looks as if it were good.
    const [two, four] = [bored(0.03, [0, 90]), bored(0.03, [0, 45, 90, 135])];
    expect([two.shape!.smallestMm, two.shape!.largestMm].map((mm) => mm.toFixed(4))).toEqual(['40.3625', '40.3625']);
    expect([two.plan!.next === null, four.plan!.next === null]).toEqual([false, true]);
    expect(four.verdict).toBe('out');
  });
});
