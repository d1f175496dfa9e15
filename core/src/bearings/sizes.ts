import { MM_PER_INCH } from '../quantity';
import * as table from './sizes.data';

/** Boundary dimensions of one rolling bearing; inch series keep their exact inch sizes as mm times 25.4. */
export interface BearingSize {
  /** Series and bore code as written: `6204`, `61805`, `R8`, `RLS6`, `4905`, or sizes for a drawn cup. */
  readonly code: string;
  readonly series: string;
  readonly kind: 'ball' | 'needle' | 'cup';
  /** Bore of the inner ring; of the shaft that runs under the needles where there is no inner ring. */
  readonly boreMm: number;
  readonly outsideMm: number;
  readonly widthMm: number;
  /** Raceway under the needles, where the bearing is one of needles. */
  readonly underNeedlesMm?: number;
  readonly unit: 'mm' | 'in';
  readonly source: string;
}

const METRIC = {
  '60': table.SERIES_60,
  '62': table.SERIES_62,
  '63': table.SERIES_63,
  '618': table.SERIES_618,
  '619': table.SERIES_619,
} as const;
const INCH = { R: table.SERIES_R, RLS: table.SERIES_RLS, RMS: table.SERIES_RMS } as const;

const all = (): BearingSize[] => [
  ...Object.entries(METRIC).flatMap(([series, rows]) =>
    rows.map(([code, boreMm, outsideMm, widthMm]): BearingSize => ({
      code: `${series}${code}`,
      series,
      kind: 'ball',
      boreMm,
      outsideMm,
      widthMm,
      unit: 'mm',
      source: table.BEARING_SOURCES.radial,
    })),
  ),
  ...table.NEEDLE_49.map(([code, boreMm, outsideMm, widthMm, underNeedlesMm]): BearingSize => ({
    code: `49${code}`,
    series: '49',
    kind: 'needle',
    boreMm,
    outsideMm,
    widthMm,
    underNeedlesMm,
    unit: 'mm',
    source: table.BEARING_SOURCES.needle,
  })),
  ...table.DRAWN_CUPS.map(([under, outsideMm, widthMm]): BearingSize => ({
    code: `cup ${under} x ${outsideMm} x ${widthMm}`,
    series: 'drawn cup',
    kind: 'cup',
    boreMm: under,
    outsideMm,
    widthMm,
    underNeedlesMm: under,
    unit: 'mm',
    source: table.BEARING_SOURCES.cup,
  })),
  ...Object.entries(INCH).flatMap(([series, rows]) =>
    rows.map(([code, bore, outside, width]): BearingSize => ({
      code: `${series}${code}`,
      series,
      kind: 'ball',
      boreMm: bore * MM_PER_INCH,
      outsideMm: outside * MM_PER_INCH,
      widthMm: width * MM_PER_INCH,
      unit: 'in',
      source: table.BEARING_SOURCES.inch,
    })),
  ),
];

/** Every bearing in the book. */
export const BEARINGS: readonly BearingSize[] = all();

const byCode = new Map(BEARINGS.map((b) => [b.code.toLowerCase().replace(/\s/g, ''), b]));

/** The bearing of a code, with or without what stands behind it for seals and play (`6204-2RS`, `6204 C3`); undefined when it is none. */
export function bearingOf(code: string): BearingSize | undefined {
  const bare = code.toLowerCase().replace(/\s/g, '');
  return byCode.get(bare) ?? byCode.get(/^(r(?:ls|ms)?\d+a?|\d{3,5})(?=[^\d])/.exec(bare)?.[1] ?? '');
}

/** Bearings nearest to measured sizes, nearest first by the sum of the misses; sizes not measured are left out. */
export function nearestBearings(measured: { boreMm?: number; outsideMm?: number; widthMm?: number }, how = 5): BearingSize[] {
  const miss = (b: BearingSize): number =>
    (['boreMm', 'outsideMm', 'widthMm'] as const).reduce(
      (sum, k) => sum + (measured[k] === undefined ? 0 : Math.abs(b[k] - measured[k])),
      0,
    );
  return [...BEARINGS].sort((a, b) => miss(a) - miss(b)).slice(0, how);
}
