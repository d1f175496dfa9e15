import { zoneDeviations } from '../fits';
import { formatLength, MM_PER_INCH, type LengthUnit } from '../quantity';
import type { Side } from '../readings';
import { candidatesBetween, type Candidate } from './candidates';

/** What was measured of one feature, at 20 °C. */
export interface NominalEvidence {
  readonly side: Side;
  /** Size of a place that never wore, with its standard uncertainty; null when there is none. */
  readonly land: { readonly sizeMm: number; readonly uMm: number } | null;
  /** The least worn size seen where it did wear: largest of a shaft, smallest of a hole; null when not measured. */
  readonly worn: { readonly sizeMm: number; readonly uMm: number } | null;
}

/** A candidate with what the evidence makes of it. */
export interface RankedNominal {
  readonly sizeMm: number;
  readonly unit: LengthUnit;
  readonly name: string;
  readonly probability: number;
  readonly reasons: readonly string[];
}

export interface RecoveredNominal {
  /** Most probable first; probabilities of the whole list sum to 1. */
  readonly ranked: readonly RankedNominal[];
  /** False when the evidence cannot tell the first two apart. */
  readonly canTell: boolean;
  readonly note: string;
  /** Likelihood of all the evidence under each unit, for sharing one belief over a machine's features. */
  readonly evidence: Readonly<Record<LengthUnit, number>>;
}

/** Wear on the diameter where a part did wear: most of it light, some of it heavy; mean of each, mm. */
export const WEAR_MIXTURE = [
  { share: 0.75, meanMm: 0.15 },
  { share: 0.25, meanMm: 0.6 },
] as const;
/** How far evidence may stand from a candidate to be looked at, mm. */
const SEARCH_MM = 3;
/** Below this share of the first, the second is told apart; how much a part wore is a weaker witness than a land. */
const TELLING_RATIO = { land: 1 / 3, wear: 1 / 10 };
/** Inch running shafts are made this much under the fraction (clearance for oil), inch. */
const INCH_UNDER = { from: 0.0005, to: 0.002 };
const INCH_HOLE_OVER = { from: 0, to: 0.0015 };

/** The band in which an unworn part of that nominal was usually made, mm. */
function usualBand(c: Candidate, side: Side): { low: number; high: number; words: string } {
  if (c.unit === 'in') {
    const band = side === 'outside' ? { from: -INCH_UNDER.to, to: -INCH_UNDER.from } : INCH_HOLE_OVER;
    return {
      low: c.sizeMm + band.from * MM_PER_INCH,
      high: c.sizeMm + band.to * MM_PER_INCH,
      words: side === 'outside' ? 'running size' : 'hole',
    };
  }
  const zone = side === 'outside' ? 'f7' : 'H7';
  const limits = zoneDeviations(zone, c.sizeMm);
  const { lowerMm, upperMm } = limits.ok ? limits.value : { lowerMm: -0.08, upperMm: 0 };
  return { low: c.sizeMm + lowerMm, high: c.sizeMm + upperMm, words: zone };
}

const normal = (x: number, sd: number): number => Math.exp(-0.5 * (x / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));

/** Normal blurred exponential: density of wear plus noise at `x`, wear at least 0 with the given mean. */
export function wearDensity(x: number, sd: number, meanWear: number): number {
  const lambda = 1 / meanWear;
  const z = (x - lambda * sd * sd) / sd;
  // Far in the tail phi's own error would be blown up: Mills' ratio, phi(z) ~ normal(z) / -z.
  if (z < -4) return (lambda * sd * normal(x, sd)) / -z;
  return lambda * Math.exp(lambda * (0.5 * lambda * sd * sd - x)) * phi(z);
}

/** Standard normal distribution function, Abramowitz and Stegun 7.1.26 (absolute error below 1.5e-7). */
function phi(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const erf = 1 - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * Math.exp(-x * x);
  return 0.5 * (1 + Math.sign(z) * erf);
}

function likelihood(c: Candidate, e: NominalEvidence): number {
  const { low, high } = usualBand(c, e.side);
  const madeMm = (low + high) / 2;
  const madeSd = (high - low) / 4;
  let product = 1;
  if (e.land) product *= normal(e.land.sizeMm - madeMm, Math.hypot(madeSd, e.land.uMm));
  if (e.worn) {
    const wear = e.side === 'outside' ? madeMm - e.worn.sizeMm : e.worn.sizeMm - madeMm;
    const sd = Math.hypot(madeSd, e.worn.uMm);
    product *= WEAR_MIXTURE.reduce((s, w) => s + w.share * wearDensity(wear, sd, w.meanMm), 0);
  }
  return Number.isFinite(product) ? product : 0;
}

function reasonsFor(c: Candidate, e: NominalEvidence): string[] {
  const { low, high, words } = usualBand(c, e.side);
  const said: string[] = [];
  const decimals = c.unit === 'mm' ? 3 : 4;
  const show = (mm: number): string => formatLength(mm, c.unit, decimals);
  if (e.land) {
    const off = e.land.sizeMm > high ? e.land.sizeMm - high : e.land.sizeMm < low ? low - e.land.sizeMm : 0;
    const where = off === 0 ? `inside ${words}` : `${show(off)} ${e.land.sizeMm > high ? 'over' : 'under'} ${words}`;
    said.push(`unworn land ${show(e.land.sizeMm)} is ${where} (${show(low)} to ${show(high)})`);
  }
  if (e.worn) {
    const wear = e.side === 'outside' ? (low + high) / 2 - e.worn.sizeMm : e.worn.sizeMm - (low + high) / 2;
    said.push(wear >= 0 ? `means at least ${show(wear)} of wear` : `worn place stands ${show(-wear)} on the wrong side: deposit or burr?`);
  }
  return said;
}

function noteFor(e: NominalEvidence, canTell: boolean, ranked: readonly RankedNominal[]): string {
  if (ranked.length === 0) return 'Nothing measured yet.';
  if (canTell && e.land) return 'The unworn land tells.';
  if (canTell) return 'No unworn land: this rests on how much it may have worn.';
  const [first, second] = ranked;
  const pair = second ? `${first!.name} and ${second.name}` : first!.name;
  return e.land
    ? `These readings cannot tell ${pair} apart.`
    : `Without an unworn land ${pair} cannot be told apart: look for a place that never ran.`;
}

/**
 * What was it? Ranks the sizes a maker may have drawn by prior weight x likelihood of the unworn land and of the wear seen.
 *
 * @param inchBelief probability that this machine is inch, 0 to 1; share it over the machine's features
 */
export function recoverNominal(e: NominalEvidence, inchBelief = 0.5): RecoveredNominal {
  const seen = e.land?.sizeMm ?? e.worn?.sizeMm;
  if (seen === undefined) return { ranked: [], canTell: false, note: noteFor(e, false, []), evidence: { mm: 0, in: 0 } };
  const evidence = { mm: 0, in: 0 };
  const scored = candidatesBetween(seen - SEARCH_MM, seen + SEARCH_MM).map((c) => {
    const share = c.weight * likelihood(c, e);
    evidence[c.unit] += share;
    return { c, score: share * (c.unit === 'in' ? inchBelief : 1 - inchBelief) };
  });
  const total = scored.reduce((s, x) => s + x.score, 0);
  const ranked = scored
    .filter((x) => x.score > 0)
    .sort((p, q) => q.score - p.score)
    .map(({ c, score }) => ({
      sizeMm: c.sizeMm,
      unit: c.unit,
      name: c.unit === 'mm' ? `${c.name} ${usualBand(c, e.side).words}` : c.name,
      probability: score / total,
      reasons: reasonsFor(c, e),
    }));
  const canTell = ranked.length > 0 && (ranked[1]?.probability ?? 0) < TELLING_RATIO[e.land ? 'land' : 'wear'] * ranked[0]!.probability;
  return { ranked, canTell, note: noteFor(e, canTell, ranked), evidence };
}
