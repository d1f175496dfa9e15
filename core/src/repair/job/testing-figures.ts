import { normalDraws, seededRandom } from '../../evidence/proof';
import { formatLength, type LengthUnit } from '../../terms/quantity';
import type { Side } from '../../evidence/readings';
import { workOut } from './repair';
import type { ReadingRecord } from './records';
import { testPlace, testInstrument, testReading, testSheet, testShop } from './testing';

/** What a hidden part is: round, oval, worn on one side by what ran against it, or both; with a step or a taper along it. */
export const FORMS = ['round', 'oval', 'arc', 'mixed'] as const;
export type Form = (typeof FORMS)[number];
export type Along = 'straight' | 'taper' | 'step';

/** A true value against the figure as it is shown, rounded as it is shown. */
export interface Shown {
  readonly truth: number;
  readonly shown: number;
  readonly plusMinus: number;
}

export interface FigureTrial {
  readonly form: Form;
  readonly along: Along;
  readonly side: Side;
  readonly directions: number;
  /** Width of the worn arc, degrees; 0 without one. */
  readonly arcDeg: number;
  readonly tight: Shown;
  readonly other: Shown;
  readonly taper: Shown | null;
  readonly step: Shown | null;
  /** An oval is said to be there, beyond its own band. */
  readonly ovalTold: boolean;
}

const rad = (deg: number): number => (deg * Math.PI) / 180;
const SCAN = 360;
const U_MM = { 'bore gauge': 0.004, telescoping: 0.012, micrometer: 0.003 } as const;
const ROOM_MM = { from: 0.1, to: 0.6 } as const;

/**
 * Radius of a hole that a pin wore by lying against one side, by solving the contact: the pin's circle, pushed in by some depth, cuts the
 * hole's; a shaft worn by a larger hole is the mirror of it.
 */
function wornRadius(side: Side, radiusMm: number, roomMm: number, depthMm: number, offDeg: number): number {
  const [other, push] = side === 'inside' ? [radiusMm - roomMm, roomMm + depthMm] : [radiusMm + roomMm, -(roomMm + depthMm)];
  const across = push * Math.sin(rad(offDeg));
  const edge = push * Math.cos(rad(offDeg)) + Math.sqrt(Math.max(other * other - across * across, 0));
  return side === 'inside' ? Math.max(radiusMm, edge) : Math.min(radiusMm, edge);
}

/** How wide the contact is, degrees, by looking where it begins. */
function contactDeg(side: Side, radiusMm: number, roomMm: number, depthMm: number): number {
  for (let off = 0; off <= 180; off += 0.5) if (wornRadius(side, radiusMm, roomMm, depthMm, off) === radiusMm) return 2 * off;
  return 360;
}

/** One seeded place, read through a whole job, and its figures as the screen shows them. */
export function figureTrial(seed: number, directions: number, form: Form, along: Along, unit: LengthUnit = 'mm'): FigureTrial {
  const uniform = seededRandom(seed);
  const normal = normalDraws(uniform);
  const between = (from: number, to: number): number => from + (to - from) * uniform();
  const side: Side = uniform() < 0.5 ? 'inside' : 'outside';
  const kind = side === 'outside' ? 'micrometer' : uniform() < 0.5 ? 'bore gauge' : 'telescoping';
  const uMm = U_MM[kind];
  const radius = between(8, 30);
  const oval = form === 'oval' || form === 'mixed' ? between(0.01, 0.1) : 0;
  const [axis, middle] = [between(0, 180), between(0, 360)];
  const hasArc = form === 'arc' || form === 'mixed';
  // Rooms and depths are drawn again until the contact is as wide as worn arcs are.
  let [room, depth, arcDeg] = [0, 0, 0];
  while (hasArc && !(arcDeg >= 40 && arcDeg <= 180)) {
    [room, depth] = [between(ROOM_MM.from, ROOM_MM.to), between(0.03, 0.25)];
    arcDeg = contactDeg(side, radius, room, depth);
  }
  const rise = along === 'straight' ? 0 : (uniform() < 0.5 ? -1 : 1) * between(0.04, 0.15);
  const stations = along === 'straight' ? [5, 20, 35] : [5, 13, 21, 29, 37];
  const stepAt = 17;
  const grown = (x: number): number => (along === 'taper' ? (rise * x) / 40 : along === 'step' && x > stepAt ? rise : 0);
  const radiusAt = (deg: number): number =>
    (hasArc ? wornRadius(side, radius, room, depth, deg - middle) : radius) + (oval / 4) * Math.cos(2 * rad(deg - axis));
  const diameterAt = (x: number, deg: number): number => radiusAt(deg) + radiusAt(deg + 180) + grown(x);
  const bias = (uMm / Math.SQRT2) * normal();
  const read = (x: number, deg: number): number => {
    const mm = diameterAt(x, deg) + bias + (uMm / Math.SQRT2) * normal();
    return unit === 'in' ? (Math.round((mm / 25.4) * 1e4) / 1e4) * 25.4 : Math.round(mm * 1000) / 1000;
  };
  const spots = stations.flatMap((x) =>
    Array.from({ length: directions }, (_, i) => [x, Math.round((i * 1800) / directions) / 10] as const),
  );
  // One spot in six is read twice.
  const taken = spots.flatMap((s) => (uniform() < 1 / 6 ? [s, s] : [s]));
  const readings: ReadingRecord[] = taken.map(([stationMm, clockDeg]) =>
    testReading({ placeId: 'it', stationMm, clockDeg, valueMm: read(stationMm, clockDeg), instrumentId: 'own' }),
  );
  const own = testInstrument('own', {
    kind: side === 'outside' ? 'micrometer' : kind === 'telescoping' ? 'telescoping-gauge' : 'dial-bore-gauge',
    uMm,
    rangeLowMm: 0,
    rangeHighMm: 200,
  });
  const sheet = testSheet({
    job: { ...testSheet().job, unit },
    places: [
      testPlace('it', {
        side,
        stationsMm: stations,
        clocksDeg: spots.slice(0, directions).map((s) => s[1]),
        instrumentId: 'own',
        lengthMm: 40,
      }),
    ],
    readings,
  });
  const [f] = workOut(sheet, { ...testShop, instruments: [...testShop.instruments, own] }).places;
  const sizes = stations.flatMap((x) => Array.from({ length: SCAN }, (_, i) => diameterAt(x, (i * 180) / SCAN)));
  const asShown = (mm: number): number => Number(formatLength(mm, unit)) * (unit === 'in' ? 25.4 : 1);
  const ends = { smallest: Math.min(...sizes), largest: Math.max(...sizes) };
  const end = (which: 'smallest' | 'largest'): Shown => ({
    truth: ends[which],
    shown: asShown(f![which]!.value),
    plusMinus: f![which]!.plusMinus!,
  });
  const { taperPerMm, taperPlusMinus } = f!.shape!.profile!;
  const taper: Shown | null = f!.taper && { truth: along === 'taper' ? rise / 40 : 0, shown: taperPerMm, plusMinus: taperPlusMinus };
  const most = f!.shape!.mostOval;
  return {
    form,
    along,
    side,
    directions,
    arcDeg,
    tight: end(side === 'inside' ? 'smallest' : 'largest'),
    other: end(side === 'inside' ? 'largest' : 'smallest'),
    taper,
    step: f!.step && { truth: along === 'step' ? rise : 0, shown: f!.step.value, plusMinus: f!.step.plusMinus! },
    ovalTold: most.ovalityKind === 'fitted' && most.ovalityMm > (most.ovalityPlusMinusMm ?? Infinity),
  };
}

/** How the figures of some places hold against the truth. */
export interface FigureScore {
  readonly places: number;
  readonly tight: number;
  readonly other: number;
  /** Places whose arc is wide enough for the other end to be seen. */
  readonly otherCounted: number;
  readonly taper: number;
  readonly tapers: number;
  readonly stepFound: number;
  readonly ovalTold: number;
}

const holds = (s: Shown): boolean => Math.abs(s.shown - s.truth) <= s.plusMinus + HALF_DIGIT_MM;
/** What rounding to the shown digits adds, mm: half of the last digit of either unit. */
const HALF_DIGIT_MM = 0.0013;

/** Scores seeded places of one form and number of directions. */
export function figureScore(
  count: number,
  directions: number,
  form: Form,
  along: Along,
  unit: LengthUnit = 'mm',
  firstSeed = 1,
): FigureScore {
  const trials = Array.from({ length: count }, (_, i) => figureTrial(firstSeed + i, directions, form, along, unit));
  const seen = trials.filter((t) => t.arcDeg === 0 || t.arcDeg > 180 / directions);
  const tapers = trials.flatMap((t) => (t.taper ? [t.taper] : []));
  return {
    places: count,
    tight: trials.filter((t) => holds(t.tight)).length,
    other: seen.filter((t) => holds(t.other)).length,
    otherCounted: seen.length,
    taper: tapers.filter((s) => Math.abs(s.shown - s.truth) <= s.plusMinus).length,
    tapers: tapers.length,
    stepFound: trials.filter((t) => t.step && holds(t.step)).length,
    ovalTold: trials.filter((t) => t.ovalTold).length,
  };
}
