import { MM_PER_INCH } from '../../terms/quantity';
import * as table from './sizes.data';

/** Boundary dimensions of one rolling bearing; inch series keep their exact inch sizes as mm times 25.4. */
export interface BearingSize {
  /** Series and bore code as written: `6204`, `61805`, `R8`, `RLS6`, `4905`, or sizes for a drawn cup. */
  readonly code: string;
  readonly series: string;
  readonly kind: 'ball' | 'angular' | 'roller' | 'taper' | 'needle' | 'cup';
  /** Bore of the inner ring; of the shaft that runs under the needles where there is no inner ring. */
  readonly boreMm: number;
  readonly outsideMm: number;
  readonly widthMm: number;
  /** Width with seals or shields, where it is another, mm. */
  readonly sealedWidthMm?: number;
  /** Other ways that it is written: `NA4905`, `HK1612`. */
  readonly alias?: string;
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

/** Series that share the boundary sizes of a ball bearing's (ISO 15): cylindrical rollers and angular contact. */
const LIKE_BALLS = [
  { head: 'NU2', kind: 'roller', of: '62' },
  { head: 'NU3', kind: 'roller', of: '63' },
  { head: '72', kind: 'angular', of: '62' },
  { head: '73', kind: 'angular', of: '63' },
] as const;
const TAPER = [
  { head: '302', tail: '', rows: table.TAPER_302 },
  { head: '303', tail: '', rows: table.TAPER_303 },
  { head: '320', tail: 'X', rows: table.TAPER_320 },
] as const;
/** Bore codes from 02: smaller rollers and angular ones are seldom made. */
const FROM_BORE_MM = 15;

const others = (): BearingSize[] => [
  ...LIKE_BALLS.flatMap(({ head, kind, of }) =>
    METRIC[of]
      .filter(([code, bore]) => /^\d\d$/.test(code) && bore >= FROM_BORE_MM)
      .map(([code, boreMm, outsideMm, widthMm]): BearingSize => ({
        code: `${head}${code}`,
        series: head,
        kind,
        boreMm,
        outsideMm,
        widthMm,
        unit: 'mm',
        source: table.BEARING_SOURCES.radial,
      })),
  ),
  ...TAPER.flatMap(({ head, tail, rows }) =>
    rows.map(([code, boreMm, outsideMm, widthMm]): BearingSize => ({
      code: `${head}${code}${tail}`,
      series: head,
      kind: 'taper',
      boreMm,
      outsideMm,
      widthMm,
      unit: 'mm',
      source: table.BEARING_SOURCES.taper,
    })),
  ),
];

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
    alias: `NA49${code}`,
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
    // DIN 618: size under the needles and width, two figures each.
    alias: `HK${String(under).padStart(2, '0')}${widthMm}`,
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
      ...(series === 'R' && table.SERIES_R_SEALED[code] !== width ? { sealedWidthMm: table.SERIES_R_SEALED[code]! * MM_PER_INCH } : {}),
      unit: 'in',
      source: table.BEARING_SOURCES.inch,
    })),
  ),
];

/** Every bearing in the book. */
export const BEARINGS: readonly BearingSize[] = [...all(), ...others()];

const plain = (code: string): string => code.toLowerCase().replace(/\s/g, '');
const byCode = new Map(BEARINGS.flatMap((b) => [b.code, ...(b.alias ? [b.alias] : [])].map((code) => [plain(code), b] as const)));
/** A code with what may stand behind it: seals and shields, play, cage, ring groove, tapered bore. */
const WITH_SUFFIX =
  /^((?:na|hk|nu|r(?:ls|ms)?)?\d+[ax]?)(?:[-./]?(?:2?rs[a-z0-9]*|2?z|zz|dd[a-z]*|ll[a-z]*|c[2-5]|p[2456]|nr?|k|m|t[a-z0-9]*|[bej]))+$/;

/** The bearing of a code, with or without what stands behind it for seals and play (`6204-2RS`, `6205ZZ`, `6204 C3`), or by its needle series (`HK1612`, `NA4905`); undefined when it is none. */
export function bearingOf(code: string): BearingSize | undefined {
  const bare = plain(code);
  return byCode.get(bare) ?? byCode.get(WITH_SUFFIX.exec(bare)?.[1] ?? '');
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
