import { formatLength, type LengthUnit } from '../../terms/quantity';

export const BAR_SHAPES = ['round', 'tube', 'hexagon', 'square', 'flat'] as const;
export type BarShape = (typeof BAR_SHAPES)[number];

export const BAR_FINISHES = ['bright', 'black', 'ground', 'chromed', 'not-said'] as const;
export type BarFinish = (typeof BAR_FINISHES)[number];

/** Bar, tube or offcut on the rack: so many alike in one place. */
export interface Bar {
  readonly id: string;
  readonly shape: BarShape;
  /** Of the book, or `unknown`. */
  readonly materialId: string;
  /** Diameter of a round or a tube, across flats of a hexagon or square, width of a flat, mm. */
  readonly diameterMm: number;
  /** Bore of a tube, thickness of a flat, mm; null for what is solid and told by one size. */
  readonly innerMm: number | null;
  readonly finish: BarFinish;
  /** Of one piece. */
  readonly lengthMm: number;
  readonly pieces: number;
  readonly place: string;
  /** What one piece cost, in the smallest coin; null where nobody said. */
  readonly priceMinor: number | null;
  readonly version: number;
}

/** What was counted of a bar, when, by whom and why: its history. */
export interface BarCount {
  readonly pieces: number;
  readonly lengthMm: number;
  readonly why: string;
  readonly personId: string;
  readonly at: string;
}

export const SHAPE_WORDS: Readonly<Record<BarShape, string>> = {
  round: 'round',
  tube: 'tube',
  hexagon: 'hexagon',
  square: 'square',
  flat: 'flat',
};
export const FINISH_WORDS: Readonly<Record<BarFinish, string>> = {
  bright: 'bright',
  black: 'black',
  ground: 'ground',
  chromed: 'chromed',
  'not-said': '',
};

/** Shapes whose second size must be told. */
export const hasInner = (shape: BarShape): boolean => shape === 'tube' || shape === 'flat';

const plain = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/** `38.1 round`, `50 x 30 tube`. */
export function barSize({ shape, diameterMm, innerMm }: Pick<Bar, 'shape' | 'diameterMm' | 'innerMm'>, unit: LengthUnit): string {
  const sizes = [diameterMm, ...(innerMm === null ? [] : [innerMm])].map((mm) => plain(formatLength(mm, unit)));
  return `${sizes.join(' x ')} ${SHAPE_WORDS[shape]}`;
}

/** A bar in one line, as it can be typed: `38.1 x 350 round`, `50 x 30 x 400 tube`. */
export function barLine(
  { shape, diameterMm, innerMm, lengthMm }: Pick<Bar, 'shape' | 'diameterMm' | 'innerMm' | 'lengthMm'>,
  unit: LengthUnit,
): string {
  const sizes = [diameterMm, ...(innerMm === null ? [] : [innerMm])].map((mm) => plain(formatLength(mm, unit)));
  return `${[...sizes, plain(formatLength(lengthMm, unit, unit === 'mm' ? 1 : 2))].join(' x ')} ${SHAPE_WORDS[shape]}`;
}
