import { BEARINGS } from '../../book/bearings';
import { MM_PER_INCH, toInchFraction, type LengthUnit } from '../../terms/quantity';
import type { Side } from '../readings';
import { THREADS } from '../../book/threads';
import { INCH_DECIMAL_WEIGHT, INCH_WEIGHTS, METRIC_WEIGHTS, TABLE_TIMES, type Use } from './judgement.data';

/** A size that the maker may have drawn. */
export interface Candidate {
  readonly sizeMm: number;
  readonly unit: LengthUnit;
  readonly name: string;
  /** Relative weight before any evidence, within its unit. */
  readonly weight: number;
  /** Tables that hold it besides plain sizes. */
  readonly also: readonly string[];
}

const INCH_DECIMALS_PER_INCH = 20;

/** ISO 3 R20 numbers from 1 to 10, rounded as makers use them (R'20). */
const R20 = [1, 1.1, 1.25, 1.4, 1.6, 1.8, 2, 2.2, 2.5, 2.8, 3.2, 3.6, 4, 4.5, 5, 5.6, 6.3, 7.1, 8, 9, 10];
/** Two sizes nearer than this are one, mm. */
const SAME_MM = 1e-4;

const isPreferred = (mm: number): boolean => R20.some((r) => [1, 10, 100].some((decade) => Math.abs(r * decade - mm) < 1e-9));

function inchCandidates(lowMm: number, highMm: number): Candidate[] {
  const from = Math.max(Math.ceil((lowMm / MM_PER_INCH) * 64), 1);
  const to = Math.floor((highMm / MM_PER_INCH) * 64);
  const fractions = Array.from({ length: Math.max(to - from + 1, 0) }, (_, i) => {
    const steps = from + i;
    const { weight } = INCH_WEIGHTS.find((w) => steps % (64 / w.denominator) === 0)!;
    const sizeMm = (steps * MM_PER_INCH) / 64;
    return { sizeMm, unit: 'in' as const, name: `${toInchFraction(sizeMm).text} in`, weight, also: [] };
  });
  const first = Math.max(Math.ceil((lowMm / MM_PER_INCH) * INCH_DECIMALS_PER_INCH), 1);
  const last = Math.floor((highMm / MM_PER_INCH) * INCH_DECIMALS_PER_INCH);
  const decimals = Array.from({ length: Math.max(last - first + 1, 0) }, (_, i) => (first + i) / INCH_DECIMALS_PER_INCH)
    .filter((inch) => !Number.isInteger(inch * 8))
    .map((inch) => ({
      sizeMm: inch * MM_PER_INCH,
      unit: 'in' as const,
      name: `${inch.toFixed(3)} in`,
      weight: INCH_DECIMAL_WEIGHT,
      also: [],
    }));
  return [...fractions, ...decimals];
}

function metricWeight(sizeMm: number): number {
  const { whole, five, preferred, half, preferredHalf } = METRIC_WEIGHTS;
  if (!Number.isInteger(sizeMm)) return isPreferred(sizeMm) ? preferredHalf : half;
  if (isPreferred(sizeMm)) return preferred;
  return sizeMm % 5 === 0 ? five : whole;
}

function metricCandidates(lowMm: number, highMm: number): Candidate[] {
  const from = Math.max(Math.ceil(lowMm * 2), 2);
  const to = Math.floor(highMm * 2);
  return Array.from({ length: Math.max(to - from + 1, 0) }, (_, i) => {
    const sizeMm = (from + i) / 2;
    return { sizeMm, unit: 'mm' as const, name: `${sizeMm} mm`, weight: metricWeight(sizeMm), also: [] };
  });
}

interface TableSize {
  readonly sizeMm: number;
  readonly unit: LengthUnit;
  readonly also: string;
  readonly name: string;
}

const metricName = (mm: number): string => `${Number(mm.toFixed(3))} mm`;
const sizeName = (mm: number, unit: LengthUnit): string =>
  unit === 'mm'
    ? metricName(mm)
    : Math.abs(toInchFraction(mm).remainderMm) < SAME_MM
      ? `${toInchFraction(mm).text} in`
      : `${(mm / MM_PER_INCH).toFixed(4)} in`;

let kept: Readonly<Record<string, readonly TableSize[]>> | null = null;

/** Sizes of the tables by what they are for; read once. */
function tableSizes(use: Use, side: Side): readonly TableSize[] {
  kept ??= {
    bore: BEARINGS.map((b) => ({ sizeMm: b.boreMm, unit: b.unit, also: 'a bearing bore', name: sizeName(b.boreMm, b.unit) })),
    outside: BEARINGS.map((b) => ({
      sizeMm: b.outsideMm,
      unit: b.unit,
      also: 'the outside of a bearing',
      name: sizeName(b.outsideMm, b.unit),
    })),
    thread: THREADS.filter((t) => t.common && !t.tapered).map((t) => ({
      sizeMm: t.majorMm,
      unit: t.unit,
      also: 'a thread’s major diameter',
      name: sizeName(t.majorMm, t.unit),
    })),
  };
  return kept[use === 'thread' ? 'thread' : side === 'outside' ? 'bore' : 'outside']!;
}

/** Sizes of the tables taken in: those that are plain sizes already weigh more, the others are added. */
function withTables(plain: readonly Candidate[], lowMm: number, highMm: number, use: Use, side: Side): Candidate[] {
  const all = new Map<string, Candidate>();
  const keyOf = (mm: number, unit: LengthUnit): string => `${unit} ${Math.round(mm / SAME_MM)}`;
  for (const c of plain) all.set(keyOf(c.sizeMm, c.unit), c);
  const seen = new Set<string>();
  for (const t of tableSizes(use, side)) {
    const key = keyOf(t.sizeMm, t.unit);
    if (t.sizeMm < lowMm || t.sizeMm > highMm || seen.has(key)) continue;
    seen.add(key);
    const there = all.get(key);
    const weight = (there?.weight ?? INCH_DECIMAL_WEIGHT) * TABLE_TIMES[use];
    all.set(key, { ...(there ?? { sizeMm: t.sizeMm, unit: t.unit, name: t.name }), weight, also: [t.also] });
  }
  return [...all.values()];
}

/**
 * Sizes between two that a maker may have drawn: inch fractions to 1/64 and twentieths, metric whole and half millimetres, bearing
 * bores and outsides (or thread majors where it is a thread); weights of each unit sum to 1.
 */
export function candidatesBetween(lowMm: number, highMm: number, use: Use = 'any', side: Side = 'outside'): Candidate[] {
  const all = withTables([...inchCandidates(lowMm, highMm), ...metricCandidates(lowMm, highMm)], lowMm, highMm, use, side);
  return (['in', 'mm'] as const).flatMap((unit) => {
    const family = all.filter((c) => c.unit === unit);
    const total = family.reduce((s, c) => s + c.weight, 0);
    return family.map((c) => ({ ...c, weight: c.weight / total }));
  });
}
