import { MM_PER_INCH, toInchFraction, type LengthUnit } from '../quantity';

/** A size that the maker may have drawn. */
export interface Candidate {
  readonly sizeMm: number;
  readonly unit: LengthUnit;
  readonly name: string;
  /** Relative weight before any evidence, within its unit. */
  readonly weight: number;
}

/** Weight by the coarsest fraction that a size is a multiple of. */
const INCH_WEIGHTS = [
  { denominator: 8, weight: 1 },
  { denominator: 16, weight: 0.5 },
  { denominator: 32, weight: 0.2 },
  { denominator: 64, weight: 0.08 },
] as const;

/** ISO 3 R20 numbers from 1 to 10, rounded as makers use them (R'20). */
const R20 = [1, 1.1, 1.25, 1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.6, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10];
const METRIC_WHOLE_WEIGHT = 0.5;
const METRIC_FIVE_WEIGHT = 0.8;
const METRIC_PREFERRED_WEIGHT = 1;
const METRIC_HALF_WEIGHT = 0.1;

const isPreferred = (mm: number): boolean => R20.some((r) => [1, 10, 100].some((decade) => Math.abs(r * decade - mm) < 1e-9));

function inchCandidates(lowMm: number, highMm: number): Candidate[] {
  const from = Math.max(Math.ceil((lowMm / MM_PER_INCH) * 64), 1);
  const to = Math.floor((highMm / MM_PER_INCH) * 64);
  return Array.from({ length: Math.max(to - from + 1, 0) }, (_, i) => {
    const steps = from + i;
    const { weight } = INCH_WEIGHTS.find((w) => steps % (64 / w.denominator) === 0)!;
    const sizeMm = (steps * MM_PER_INCH) / 64;
    return { sizeMm, unit: 'in' as const, name: `${toInchFraction(sizeMm).text} in`, weight };
  });
}

function metricCandidates(lowMm: number, highMm: number): Candidate[] {
  const from = Math.max(Math.ceil(lowMm * 2), 2);
  const to = Math.floor(highMm * 2);
  return Array.from({ length: Math.max(to - from + 1, 0) }, (_, i) => {
    const sizeMm = (from + i) / 2;
    const whole = Number.isInteger(sizeMm);
    const weight = !whole
      ? METRIC_HALF_WEIGHT
      : isPreferred(sizeMm)
        ? METRIC_PREFERRED_WEIGHT
        : sizeMm % 5 === 0
          ? METRIC_FIVE_WEIGHT
          : METRIC_WHOLE_WEIGHT;
    return { sizeMm, unit: 'mm' as const, name: `${sizeMm} mm`, weight };
  });
}

/** Inch fractions to 1/64 and metric whole and half millimetres between two sizes; weights of each unit sum to 1. */
export function candidatesBetween(lowMm: number, highMm: number): Candidate[] {
  return [inchCandidates(lowMm, highMm), metricCandidates(lowMm, highMm)].flatMap((family) => {
    const total = family.reduce((s, c) => s + c.weight, 0);
    return family.map((c) => ({ ...c, weight: c.weight / total }));
  });
}
