import { MM_PER_INCH } from '../../terms/quantity';
import { LIP_SEALS, LIP_SEALS_INCH, LIP_SEAL_INCH_SOURCE, LIP_SEAL_SOURCE } from './seals.data';

/** A rotary lip seal by shaft, housing bore and width, mm. */
export interface LipSeal {
  /** `25 x 40 x 7`; inch sizes as decimals: `1.000 x 1.624 x 0.250 in`. */
  readonly name: string;
  readonly unit: 'mm' | 'in';
  readonly shaftMm: number;
  readonly boreMm: number;
  readonly widthMm: number;
  readonly source: string;
}

const inchName = (sizes: readonly number[]): string => `${sizes.map((x) => x.toFixed(3)).join(' x ')} in`;

export const LIP_SEAL_SIZES: readonly LipSeal[] = [
  ...LIP_SEALS.flatMap(([shaftMm, bores, widthMm]) =>
    bores.map((boreMm): LipSeal => ({
      name: `${shaftMm} x ${boreMm} x ${widthMm}`,
      unit: 'mm',
      shaftMm,
      boreMm,
      widthMm,
      source: LIP_SEAL_SOURCE,
    })),
  ),
  ...LIP_SEALS_INCH.flatMap(([shaft, bores, width]) =>
    bores.map((bore): LipSeal => ({
      name: inchName([shaft, bore, width]),
      unit: 'in',
      shaftMm: shaft * MM_PER_INCH,
      boreMm: bore * MM_PER_INCH,
      widthMm: width * MM_PER_INCH,
      source: LIP_SEAL_INCH_SOURCE,
    })),
  ),
];

/** What the shaft must be where the lip runs (ISO 6194-1). */
export const LIP_SEAL_SHAFT = {
  zone: 'h11',
  housingZone: 'H8',
  raMicrometres: [0.2, 0.5],
  leastHardnessHrc: 45,
  leadInDeg: [15, 30],
  words: 'Ground without lead (plunge, no feed marks), Ra 0.2 to 0.5 µm, 45 HRC or harder where dirt comes in; lead-in 15° to 30°.',
} as const;
