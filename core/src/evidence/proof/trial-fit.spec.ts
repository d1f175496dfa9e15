import { analyseShape, type InstrumentReading, type Side } from '../readings';
import { normalDraws, seededRandom } from './random';
import { trialBounds, type TrialFeel, type TriedMate } from './trial-fit';

interface TrueMate {
  readonly side: Side;
  readonly lengthMm: number;
  /** Diameter at a place and direction. */
  readonly sizeMm: (zMm: number, deg: number) => number;
}

interface Hand {
  /** Clearance at which it stops, mm; below nought where it pushes. */
  readonly stopsMm: number;
  /** Play that it feels, mm. */
  readonly feelsMm: number;
}

const all = Array.from({ length: 18 }, (_, i) => i * 10);

/** Pushes a straight round piece along the mate by small steps and reports what a hand would. */
function push(ownMm: number, mate: TrueMate, hand: Hand, from: 'start' | 'end'): { feel: TrialFeel; wentInMm: number | null } {
  const sign = mate.side === 'inside' ? 1 : -1;
  const room = (inMm: number): number[] =>
    all.map((deg) => sign * (mate.sizeMm(from === 'start' ? inMm : mate.lengthMm - inMm, deg) - ownMm));
  let mostPlay = -Infinity;
  for (let inMm = 0; inMm <= mate.lengthMm; inMm += 0.25) {
    const here = room(inMm);
    if (Math.min(...here) < hand.stopsMm)
      return inMm === 0 ? { feel: 'will-not-enter', wentInMm: null } : { feel: 'binds', wentInMm: inMm };
    mostPlay = Math.max(mostPlay, ...here);
  }
  return { feel: mostPlay > hand.feelsMm ? 'shakes' : 'slides', wentInMm: null };
}

function measured(mate: TrueMate, from: 'start' | 'end', uMm: number, draw: () => number): TriedMate {
  const readings = [0.08, 0.36, 0.64, 0.92].flatMap((share) =>
    [0, 45, 90, 135].map((clockDeg): InstrumentReading => ({
      stationMm: share * mate.lengthMm,
      clockDeg,
      valueMm: mate.sizeMm(share * mate.lengthMm, clockDeg) + uMm * draw(),
      instrumentMm: uMm,
      points: 2,
      instrumentId: 'bore gauge',
    })),
  );
  return { side: mate.side, shape: analyseShape(mate.side, readings, 11.5e-6)!, startMm: 0, lengthMm: mate.lengthMm, from };
}

describe('what a trial with the mate says of a size', () => {
  it.each(['inside', 'outside'] as const)('holds the true size for mates of any shape, %s', (side) => {
    const random = seededRandom(41);
    const draw = normalDraws(random);
    const count: Record<TrialFeel, number> = { 'will-not-enter': 0, binds: 0, slides: 0, shakes: 0 };
    let wrong = 0;
    const widths: number[] = [];
    for (let i = 0; i < 800; i++) {
      const lengthMm = 20 + 60 * random();
      // Every third is nearly true: only such a one slides without a shake.
      const worn = i % 3 ? 1 : 0.2;
      const [taper, oval, bell] = [0.04 * worn * (random() - 0.5), 0.03 * worn * random(), 0.02 * worn * random()];
      const sign = side === 'inside' ? 1 : -1;
      const sizeMm = (z: number, deg: number): number =>
        25 + taper * (z / lengthMm) + sign * bell * (2 * (z / lengthMm) - 1) ** 2 + (oval / 2) * Math.cos((2 * (deg - 30) * Math.PI) / 180);
      const mate: TrueMate = { side, lengthMm, sizeMm };
      const from = random() < 0.5 ? 'start' : 'end';
      const ownMm = 25 + 0.05 * worn * (random() - 0.5) * 2;
      const hand = { stopsMm: -0.0015 + 0.008 * random(), feelsMm: 0.006 + 0.022 * random() };
      const told = push(ownMm, mate, hand, from);
      const { atLeastMm, atMostMm } = trialBounds(told.feel, told.wentInMm, measured(mate, from, 0.002, draw));
      count[told.feel]++;
      if ((atLeastMm ?? -Infinity) > ownMm || (atMostMm ?? Infinity) < ownMm) wrong++;
      if (told.feel === 'binds') widths.push(atMostMm! - atLeastMm!);
    }
    expect(wrong).toBeLessThan(0.02 * 800);
    for (const n of Object.values(count)) expect(n).toBeGreaterThan(40);
    // A trial that says nothing would be right as well.
    expect(widths.reduce((s, w) => s + w, 0) / widths.length).toBeLessThan(0.03);
  });

  const reading = (stationMm: number, valueMm: number): InstrumentReading[] =>
    [0, 45, 90, 135].map((clockDeg) => ({ stationMm, clockDeg, valueMm, instrumentMm: 0.001, points: 2 as const, instrumentId: 'g' }));
  const tapered = (from: 'start' | 'end'): TriedMate => ({
    side: 'inside',
    shape: analyseShape('inside', [...reading(105, 30), ...reading(115, 30.1)], 11.5e-6)!,
    startMm: 100,
    lengthMm: 20,
    from,
  });

  it('counts from the face where it goes in', () => {
    // 30.1 at 5 mm from the end, 30.0 at 15: half way between them 30.05.
    const { atLeastMm, atMostMm } = trialBounds('binds', 10, tapered('end'));
    expect((atLeastMm! + atMostMm!) / 2).toBeCloseTo(30.05 - 0.003, 2);
    expect(trialBounds('binds', 10, tapered('start')).atMostMm).toBeLessThan(30.01);
  });

  it('has no lower end where the smallest of the hole was not seen', () => {
    const means = [5, 15].map((stationMm): InstrumentReading => ({ ...reading(stationMm, 30)[0]!, points: 3 }));
    const mate: TriedMate = { ...tapered('start'), shape: analyseShape('inside', means, 11.5e-6)!, startMm: 0 };
    expect(trialBounds('binds', 10, mate).atLeastMm).toBeNull();
    expect(trialBounds('binds', 10, mate).atMostMm).toBeGreaterThan(30);
    expect(trialBounds('will-not-enter', null, mate)).toEqual({ atLeastMm: null, atMostMm: null });
  });
});
