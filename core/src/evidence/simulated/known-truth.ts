import { normalDraws, seededRandom } from '../proof';
import {
  analyseShape,
  fitBend,
  fitLobes,
  INSTRUMENT_ALPHA_PER_K,
  INSTRUMENT_KINDS,
  runOut,
  sizeAt20,
  type DiameterReading,
  type InstrumentKind,
} from '../readings';
import type { Side } from '../readings';
import { takeSimulated, type Contact, type SimulatedInstrument } from './simulated-instrument';
import type { TruePart, TrueStretch } from './true-part';

/** Quantities that are recovered from simulated readings and held against the truth. */
export const RECOVERED = [
  'mean size',
  'oval',
  'three lobes',
  'lobes in a V-block',
  'taper',
  'belly',
  'bend',
  'direction of the bend',
] as const;
export type Recovered = (typeof RECOVERED)[number];

export interface Trial {
  readonly truth: number;
  readonly found: number;
  readonly plusMinus: number;
}

const STATIONS = [5, 16, 27, 38];
const CLOCKS = [0, 30, 60, 90, 120, 150];
const ALPHA = 11.5e-6;

/** A made-up instrument of a kind: bias and scatter drawn from what its kind is known for. */
function draw(kind: InstrumentKind, contact: Contact, side: Side, normal: () => number): SimulatedInstrument & { readonly uMm: number } {
  const row = INSTRUMENT_KINDS[kind];
  const uMm = side === 'outside' ? row.outsideMm : row.insideMm;
  const share = uMm * Math.SQRT1_2;
  const base = { name: row.name, contact, side, unit: 'mm' as const, vDeg: 90, supportsMm: [], alphaPerK: INSTRUMENT_ALPHA_PER_K };
  return { ...base, resolutionMm: 10 ** -row.decimals.mm, biasMm: share * normal(), scatterMm: share, uMm };
}

function hiddenPart(uniform: () => number): TruePart {
  const between = (from: number, to: number): number => from + (to - from) * uniform();
  const stretch: TrueStretch = {
    name: 'journal',
    side: uniform() < 0.5 ? 'outside' : 'inside',
    fromMm: 0,
    toMm: 43,
    diameterMm: between(15, 60),
    taperPerMm: between(-0.004, 0.004),
    bellyMm: between(-0.08, 0.08),
    waves: [
      { order: 2, amplitudeMm: between(0.005, 0.1), peakDeg: between(0, 180) },
      { order: 3, amplitudeMm: between(0.004, 0.03), peakDeg: between(0, 120) },
      { order: 5, amplitudeMm: between(0.001, 0.01), peakDeg: between(0, 72) },
    ],
  };
  return { name: 'hidden', lengthMm: 400, alphaPerK: ALPHA, stretches: [stretch], bend: null };
}

/** Sizes by one instrument on a part that is a little warm: the thermometer is a degree out, as it may be. */
function sizes(
  part: TruePart,
  i: SimulatedInstrument & { readonly uMm: number },
  clocks: readonly number[],
  normal: () => number,
): DiameterReading[] {
  const toldC = 20 + 4 * normal();
  const trueC = toldC + normal();
  return STATIONS.flatMap((stationMm) =>
    clocks.map((clockDeg) => {
      const shown = takeSimulated(part, i, { stationMm, clockDeg, partC: trueC, instrumentC: 20 }, normal)!;
      const valueMm = sizeAt20(shown, { partC: toldC, instrumentC: 20, partAlphaPerK: ALPHA });
      return { stationMm, clockDeg, valueMm, instrumentMm: i.uMm, points: i.contact === 'three-point' ? (3 as const) : (2 as const) };
    }),
  );
}

/** Turns of a shaft on V-blocks near its ends, an indicator at seven stations. */
function bendTrials(uniform: () => number, normal: () => number): Pick<Record<Recovered, Trial>, 'bend' | 'direction of the bend'> {
  const bowMm = 0.03 + 0.5 * uniform();
  const planeDeg = 360 * uniform();
  const body: TrueStretch = { name: 'shaft', side: 'outside', fromMm: 0, toMm: 400, diameterMm: 30, taperPerMm: 0, bellyMm: 0, waves: [] };
  const part: TruePart = { name: 'bent shaft', lengthMm: 400, alphaPerK: ALPHA, stretches: [body], bend: { bowMm, planeDeg } };
  const indicator = { ...draw('indicator', 'centres', 'outside', normal), supportsMm: [] };
  const map = [40, 90, 150, 200, 250, 310, 360].map((stationMm) =>
    runOut(
      stationMm,
      [0, 45, 90, 135, 180, 225, 270, 315].map((clockDeg) => ({
        clockDeg,
        valueMm: takeSimulated(part, indicator, { stationMm, clockDeg, partC: 20, instrumentC: 20 }, normal)!,
      })),
      indicator.scatterMm,
    )!,
  );
  const bend = fitBend(map, [])!;
  const off = ((bend.planeDeg - planeDeg + 540) % 360) - 180;
  return {
    bend: { truth: 2 * bowMm, found: bend.totalMm, plusMinus: bend.plusMinusMm },
    'direction of the bend': { truth: 0, found: off, plusMinus: bend.planePlusMinusDeg },
  };
}

/**
 * One seeded part measured by simulated instruments and analysed: what was true, what was found, and the stated 95 % band.
 */
function knownTruthTrial(seed: number): Readonly<Record<Recovered, Trial>> {
  const uniform = seededRandom(seed);
  const normal = normalDraws(uniform);
  const part = hiddenPart(uniform);
  const s = part.stretches[0]!;
  const wave = (order: number): number => s.waves.find((w) => w.order === order)!.amplitudeMm;
  const mic = draw(s.side === 'outside' ? 'micrometer' : 'dial-bore-gauge', 'two-point', s.side, normal);
  const shape = analyseShape(s.side, sizes(part, mic, CLOCKS, normal), ALPHA)!;
  const mid = shape.sections[1]!;
  const half = (s.toMm - s.fromMm) / 2;
  const span = (STATIONS.at(-1)! - STATIONS[0]!) / 2;
  const centre = (STATIONS.at(-1)! + STATIONS[0]!) / 2;
  const trueMean =
    STATIONS.reduce((sum, x) => {
      const u = (x - half) / half;
      return sum + s.diameterMm + s.taperPerMm * (x - half) - s.bellyMm * u * u;
    }, 0) / STATIONS.length;
  const head = analyseShape(
    s.side,
    sizes(part, draw('bore-head', 'three-point', s.side, normal), [0, 20, 40, 60, 80, 100], normal),
    ALPHA,
  )!;
  const indicator = { ...draw('indicator', 'v-block', s.side, normal), vDeg: 90 };
  const turned = Array.from({ length: 16 }, (_, i) => ({
    clockDeg: i * 22.5,
    valueMm: takeSimulated(part, indicator, { stationMm: 20, clockDeg: i * 22.5, partC: 20, instrumentC: 20 }, normal)!,
  }));
  const lobes = fitLobes(turned, 90, indicator.scatterMm)!.lobes.find((w) => w.order === 3)!;
  return {
    'mean size': { truth: trueMean, found: shape.meanMm, plusMinus: shape.meanPlusMinusMm },
    oval: { truth: 4 * wave(2), found: mid.ovalityMm, plusMinus: mid.ovalityPlusMinusMm! },
    'three lobes': { truth: 2 * wave(3), found: head.sections[1]!.lobingMm!, plusMinus: head.sections[1]!.lobingPlusMinusMm! },
    'lobes in a V-block': { truth: wave(3), found: lobes.amplitudeMm, plusMinus: lobes.plusMinusMm },
    taper: {
      truth: s.taperPerMm - (2 * s.bellyMm * (centre - half)) / (half * half),
      found: shape.profile!.taperPerMm,
      plusMinus: shape.profile!.taperPlusMinus,
    },
    belly: { truth: s.bellyMm * (span / half) ** 2, found: shape.profile!.bellyMm!, plusMinus: shape.profile!.bellyPlusMinusMm! },
    ...bendTrials(uniform, normal),
  };
}

/** How many of `parts` seeded parts have their truth inside the stated band, quantity by quantity. */
export function knownTruthScore(parts: number, firstSeed = 1): Record<Recovered, number> {
  const score = Object.fromEntries(RECOVERED.map((q) => [q, 0])) as Record<Recovered, number>;
  for (let i = 0; i < parts; i++) {
    const trial = knownTruthTrial(firstSeed + i);
    for (const q of RECOVERED) if (Math.abs(trial[q].found - trial[q].truth) <= trial[q].plusMinus) score[q]++;
  }
  return score;
}
