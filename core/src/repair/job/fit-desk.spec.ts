import { unknownMetal } from './fit-desk';
import { choiceKey } from './choices';
import { ownOption } from './fit-finding';
import { workOut } from './repair';
import { testChoice, testReading, testSheet, testShop } from './testing';

const holeReadings = [0, 45, 90, 135].map((clockDeg) => testReading({ placeId: 'barrel', stationMm: 5, clockDeg, valueMm: 40.2 }));
const fitOf = (more: Parameters<typeof testSheet>[0] = {}) => workOut(testSheet({ readings: holeReadings, ...more }), testShop).fits[0]!;
const option = (id: string, more: Parameters<typeof testSheet>[0] = {}) => fitOf(more).options.find((o) => o.id === id)!;

it('every school has an outlook: grease slides, s6 is pressed with a force', () => {
  const grease = option('grease').outlook!;
  expect(grease.goesIn.slides).toBeGreaterThan(0.99);
  expect(grease.push).toBeNull();
  const s6 = option('iso:s6').outlook!;
  expect(s6.goesIn.presses).toBeGreaterThan(0.9);
  expect(s6.push!.pushForceN).toBeGreaterThan(10_000);
});

it('temperatures and the metal round the hole are asked for and kept', () => {
  const running = (hubOutsideMm: number | null, pinC = 20) => ({
    choices: [testChoice(choiceKey.running('barrel'), { pinC, holeC: 20, hubOutsideMm })],
  });
  expect(option('grease', running(null, 80)).outlook!.playWarm.leastMm).toBeLessThan(option('grease').outlook!.playNow.leastMm - 0.02);
  expect(fitOf().setting.hubOutsideMm).toBeCloseTo(80.4, 6);
  expect(option('iso:s6', running(50)).outlook!.push!.pushForceN).toBeLessThan(option('iso:s6', running(120)).outlook!.push!.pushForceN);
});

it('an own target is its clearance, is found again by its id, and can be chosen', () => {
  const fit = fitOf();
  const own = ownOption(fit, 40.123)!;
  expect(own.id).toBe('own:0.0770');
  expect(own.kept).toMatchObject({ value: { upperMm: expect.closeTo(40.123, 9) } });
  const chosen = fitOf({ choices: [testChoice(choiceKey.fit('barrel'), { schoolId: own.id, hole: 'keep', truedMm: null })] });
  expect(chosen.figures!.upper.value).toBeCloseTo(40.123, 6);
  expect(chosen.options.at(-1)).toMatchObject({ id: 'own:0.0770', name: 'Own target' });
});

it('a bored size that is chosen outlives the only reading of its hole', () => {
  const choices = [testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'true', truedMm: 40.5 })];
  const one = testReading({ placeId: 'barrel', stationMm: 5, valueMm: 40.2 });
  const gone = { ...one, id: 'gone', supersedesId: one.id, withdrawn: true };
  expect(fitOf({ choices, readings: [one] }).figures!.hole.value).toBeCloseTo(40.5, 9);
  expect(fitOf({ choices, readings: [one, gone] })).toMatchObject({
    options: [],
    figures: null,
    problem: expect.stringContaining('Measure'),
  });
});

it('cracks no iron hub with a pin that has play, but says where the hole is too little known to be sure', () => {
  const sheet = testSheet();
  const components = sheet.components.map((c) => (c.role === 'mate' ? { ...c, materialId: 'iron-grey' } : c));
  const readings = [0, 90].map((clockDeg) =>
    testReading({ placeId: 'barrel', stationMm: 5, clockDeg, valueMm: clockDeg ? 6.65 : 6.35, instrumentId: 'caliper' }),
  );
  const cracks = (schoolId: string) => {
    const choices = [testChoice(choiceKey.fit('barrel'), { schoolId, hole: 'keep', truedMm: null })];
    return fitOf({ components, readings, choices }).options.find((o) => o.id === schoolId)!.outlook!.cracks;
  };
  expect(cracks('own:0.0200')).toBe('may');
  expect(cracks('own:2.0000')).toBe('no');
  expect(cracks('own:-0.1000')).toBe('yes');
});

describe('schools of the pair itself', () => {
  const sheet = testSheet();
  const land = (id: string, side: 'inside' | 'outside', componentId: string) => ({
    ...sheet.places[0]!,
    id,
    name: id,
    side,
    componentId,
    land: 'unworn' as const,
  });
  const worn = sheet.components.find((c) => c.role === 'worn')!;
  const mate = sheet.components.find((c) => c.role === 'mate')!;

  it('what the maker gave: the unworn place of the mate less the unworn land', () => {
    const places = [...sheet.places, land('land', 'outside', worn.id), land('mouth', 'inside', mate.id)];
    const readings = [
      ...holeReadings,
      ...[0, 90].map((clockDeg) => testReading({ placeId: 'land', stationMm: 5, clockDeg, valueMm: 39.95 })),
      ...[0, 90].map((clockDeg) => testReading({ placeId: 'mouth', stationMm: 5, clockDeg, valueMm: 40.02 })),
    ];
    const maker = workOut(testSheet({ places, readings }), testShop).fits[0]!.options.find((o) => o.id === 'maker')!;
    expect(maker.kept).toMatchObject({ value: { clearanceMm: expect.closeTo(0.07, 6) } });
    expect(fitOf().options.some((o) => o.id === 'maker')).toBe(false);
  });

  it('a bearing’s bore gets its seat, on the nominal bore and not on what was read', () => {
    // Known by what was said of the place, not by a word in its name.
    const places = sheet.places.map((f) => (f.id === 'barrel' ? { ...f, suspicions: ['bearing'] as const } : f));
    const readings = [0, 90].map((clockDeg) => testReading({ placeId: 'barrel', stationMm: 5, clockDeg, valueMm: 39.994 }));
    const seat = workOut(testSheet({ places, readings }), testShop).fits[0]!.options.find((o) => o.id === 'seat')!;
    expect(seat.name).toBe('Bearing seat k5');
    expect(seat.kept).toMatchObject({ value: { upperMm: expect.closeTo(40.013, 6), lowerMm: expect.closeTo(40.002, 6) } });
  });
});

it('says what cannot be worked out of metal that nobody knows, and nothing where both are known', () => {
  const said = (pinMaterialId: string, holeMaterialId: string, pinBoreMm = 0): string =>
    unknownMetal({ pinMaterialId, holeMaterialId, pinBoreMm }, 'Ramp barrel');
  expect(said('steel-c45', 'iron-grey')).toBe('');
  expect(said('steel-c45', 'unknown')).toContain('The material of Ramp barrel is not known');
  expect(said('unknown', 'iron-grey')).toContain('of what runs in the hole is not known');
  expect(said('unknown', 'unknown')).toContain('of Ramp barrel and of what runs in it is not known');
  expect(said('bronze-tin', 'unknown')).not.toContain('close');
  expect(said('bronze-tin', 'unknown', 25)).toContain('taken to close in as in steel');
  expect(said('unknown', 'iron-grey', 25)).toContain('Nor is how far its bore closes in');
});
