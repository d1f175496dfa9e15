import { zoneDeviations, type Deviations } from '../fits';
import { bad, good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import * as data from './rings.data';

/** A retaining ring with its groove. */
export interface RingGroove {
  readonly standard: string;
  readonly on: 'shaft' | 'bore';
  readonly kind: 'ring' | 'retaining washer';
  /** Shaft or bore that it is for; a retaining washer takes a range. */
  readonly sizeMm: number;
  readonly upToMm: number;
  readonly thicknessMm: number;
  readonly grooveMm: number;
  /** Tolerance of the groove diameter, where the standard names a zone for it. */
  readonly grooveLimits: Deviations | null;
  readonly widthMm: number;
  /** Metal that must stand outside the groove, where the standard names it, mm. */
  readonly outsideMm: number | null;
  readonly unit: 'mm' | 'in';
  readonly source: string;
}

/** Groove zones of DIN 471 and 472 by size, loosest at the end. */
function dinZone(on: 'shaft' | 'bore', sizeMm: number): string {
  if (on === 'shaft') return sizeMm <= 10 ? 'h10' : sizeMm <= 22 ? 'h11' : sizeMm <= 100 ? 'h12' : 'h13';
  return sizeMm <= 22 ? 'H11' : sizeMm <= 100 ? 'H12' : 'H13';
}

function din(on: 'shaft' | 'bore', rows: readonly (readonly [number, number, number, number])[], source: string): RingGroove[] {
  return rows.map(([size, thicknessMm, grooveMm, widthMm]) => {
    const limits = zoneDeviations(dinZone(on, size), grooveMm);
    const grooveLimits = limits.ok ? limits.value : null;
    return {
      standard: source.split(':')[0]!,
      on,
      kind: 'ring',
      sizeMm: size,
      upToMm: size,
      thicknessMm,
      grooveMm,
      grooveLimits,
      widthMm,
      outsideMm: null,
      unit: 'mm',
      source,
    };
  });
}

const inch = (on: 'shaft' | 'bore', rows: readonly (readonly [number, number, number, number])[]): RingGroove[] =>
  rows.map((row) => {
    const [sizeMm, thicknessMm, grooveMm, widthMm] = row.map((x) => x * MM_PER_INCH) as [number, number, number, number];
    return {
      standard: 'ASME B18.27',
      on,
      kind: 'ring',
      sizeMm,
      upToMm: sizeMm,
      thicknessMm,
      grooveMm,
      grooveLimits: null,
      widthMm,
      outsideMm: null,
      unit: 'in',
      source: data.B18_27_SOURCE,
    };
  });

const washers = (): RingGroove[] =>
  data.DIN6799_ROWS.map(([grooveMm, from, to, thicknessMm, widthMm, outsideMm]) => {
    const limits = zoneDeviations('h11', grooveMm);
    return {
      standard: 'DIN 6799',
      on: 'shaft',
      kind: 'retaining washer',
      sizeMm: from,
      upToMm: to,
      thicknessMm,
      grooveMm,
      grooveLimits: limits.ok ? limits.value : null,
      widthMm,
      outsideMm,
      unit: 'mm',
      source: data.DIN6799_SOURCE,
    };
  });

export const RINGS: readonly RingGroove[] = [
  ...din('shaft', data.DIN471_ROWS, data.DIN471_SOURCE),
  ...din('bore', data.DIN472_ROWS, data.DIN472_SOURCE),
  ...inch('shaft', data.INCH_EXTERNAL_ROWS),
  ...inch('bore', data.INCH_INTERNAL_ROWS),
  ...washers(),
];

/** A ring fits a shaft or bore this near to its own size, mm. */
const SAME_MM = 0.06;

/**
 * Rings for a shaft or bore, with their grooves; a reason that names the nearest size when none is made for it.
 *
 * @example ringsFor('shaft', 25): DIN 471 25 x 1.2, groove 23.9 by 1.3
 */
export function ringsFor(on: 'shaft' | 'bore', sizeMm: number): Outcome<RingGroove[]> {
  if (!(sizeMm > 0)) return bad('size', `Give the diameter of the ${on}.`, 'sizeMm');
  const own = RINGS.filter((r) => r.on === on);
  const found = own.filter((r) => (r.kind === 'ring' ? Math.abs(r.sizeMm - sizeMm) <= SAME_MM : sizeMm >= r.sizeMm && sizeMm <= r.upToMm));
  // Rings made for the size first, nearest first; retaining washers, which take a range, behind them.
  const miss = (r: RingGroove): number => (r.kind === 'ring' ? Math.abs(r.sizeMm - sizeMm) : 1);
  if (found.length) return good(found.sort((a, b) => miss(a) - miss(b)));
  const near = [...own].filter((r) => r.kind === 'ring').sort((a, b) => Math.abs(a.sizeMm - sizeMm) - Math.abs(b.sizeMm - sizeMm))[0]!;
  const name = near.unit === 'mm' ? `${near.sizeMm} mm` : `${near.sizeMm / MM_PER_INCH} in`;
  return bad('no-ring', `No ring in the book is made for that ${on}; the nearest is ${name} (${near.standard}).`, 'sizeMm');
}

/**
 * A ring pushes on the groove's wall: what must stand outside the groove, mm. A retaining washer's is its standard's n (DIN 6799); a
 * ring's three groove depths (DIN 471, 472).
 */
export const leastEdgeMm = (r: Pick<RingGroove, 'sizeMm' | 'grooveMm' | 'outsideMm'>): number =>
  r.outsideMm ?? (3 * Math.abs(r.sizeMm - r.grooveMm)) / 2;
