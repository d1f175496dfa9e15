import { displayed, idealMm, takeSimulated, type SimulatedInstrument } from './simulated-instrument';
import type { TruePart } from './true-part';

const part: TruePart = {
  name: 'worn pin',
  lengthMm: 200,
  alphaPerK: 11.5e-6,
  bend: { bowMm: 0.1, planeDeg: 90 },
  stretches: [
    {
      name: 'body',
      side: 'outside',
      fromMm: 0,
      toMm: 200,
      diameterMm: 50,
      taperPerMm: 0.001,
      bellyMm: 0,
      waves: [
        { order: 2, amplitudeMm: 0.02, peakDeg: 0 },
        { order: 3, amplitudeMm: 0.01, peakDeg: 0 },
      ],
    },
  ],
};
const instrument = (more: Partial<SimulatedInstrument>): SimulatedInstrument => ({
  name: 'mic',
  contact: 'two-point',
  side: 'outside',
  unit: 'mm',
  resolutionMm: 0.001,
  biasMm: 0,
  scatterMm: 0,
  vDeg: 90,
  supportsMm: [],
  alphaPerK: 11.5e-6,
  ...more,
});
const at = (clockDeg: number, more = {}) => ({ stationMm: 100, clockDeg, partC: 20, instrumentC: 20, ...more });
const none = (): number => 0;

it.each([
  // Two points see twice the oval's radius and no three lobes; three points the reverse; a 90° V-block 2 lobes x1 and 3 lobes x2.
  ['two-point', 0, 50.04],
  ['two-point', 90, 49.96],
  ['three-point', 0, 50.02],
  ['three-point', 60, 49.98],
  ['v-block', 0, 0.02 + 2 * 0.01],
  // Between centres: the radius itself, and at 90° the bow of 0.1 too.
  ['centres', 0, 0.03],
  ['centres', 90, -0.02 + 0.1],
] as const)('%s at %d° shows %d', (contact, clockDeg, mm) =>
  expect(idealMm(part, instrument({ contact }), at(clockDeg))).toBeCloseTo(mm, 9),
);

it('shows the taper along the axis, and nothing where it touches nothing', () => {
  expect(idealMm(part, instrument({}), at(45, { stationMm: 150 }))).toBeCloseTo(50.05, 9);
  expect(idealMm(part, instrument({}), at(0, { stationMm: 300 }))).toBeNull();
  expect(idealMm(part, instrument({ side: 'inside' }), at(0))).toBeNull();
});

it('reads a part 30 °C warm 0.017 mm big (ISO 1), with its bias, in its own steps', () => {
  expect(takeSimulated(part, instrument({ resolutionMm: 0.00001 }), at(45, { partC: 50 }), none)).toBeCloseTo(50.01725, 5);
  expect(takeSimulated(part, instrument({ biasMm: 0.0042, resolutionMm: 0.01 }), at(45), none)).toBeCloseTo(50, 9);
  expect(takeSimulated(part, instrument({ biasMm: 0.0062, resolutionMm: 0.01 }), at(45), none)).toBeCloseTo(50.01, 9);
});

it('writes as many digits as it shows, in its own unit', () => {
  expect(displayed(50.0172, { unit: 'mm', resolutionMm: 0.001 })).toBe('50.017');
  expect(displayed(25.4, { unit: 'in', resolutionMm: 0.00254 })).toBe('1.0000');
});
