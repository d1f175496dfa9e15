import { formatLength, type LengthUnit } from '../../terms/quantity';

export const BAR_SHAPES = ['round', 'tube', 'hexagon', 'square', 'flat', 'ring', 'plate', 'casting', 'weldment'] as const;
export type BarShape = (typeof BAR_SHAPES)[number];

export const BAR_FINISHES = ['bright', 'black', 'ground', 'chromed', 'not-said'] as const;
export type BarFinish = (typeof BAR_FINISHES)[number];

/** Bar, tube, plate, rough blank or offcut on the rack: so many alike in one place. */
export interface Bar {
  readonly id: string;
  readonly shape: BarShape;
  /** Of the book, or `unknown`. */
  readonly materialId: string;
  /** Diameter of what is round, across flats of a hexagon or square, width of a flat or a plate, mm. */
  readonly diameterMm: number;
  /** Bore of what is hollow, thickness of a flat or a plate, mm; null for what is solid and told by one size. */
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

interface ShapeRow {
  readonly words: string;
  /** Its first size, and its second; empty where it has none. */
  readonly first: string;
  readonly second: string;
  /** The second one may be left out: it is solid then. */
  readonly maybeSolid?: true;
}

/** How each shape is called and told. */
export const SHAPES: Readonly<Record<BarShape, ShapeRow>> = {
  round: { words: 'round', first: 'Diameter', second: '' },
  tube: { words: 'tube', first: 'Outside', second: 'Bore' },
  hexagon: { words: 'hexagon', first: 'Across flats', second: '' },
  square: { words: 'square', first: 'Across flats', second: '' },
  flat: { words: 'flat', first: 'Width', second: 'Thickness' },
  ring: { words: 'ring', first: 'Outside', second: 'Bore' },
  plate: { words: 'plate', first: 'Width', second: 'Thickness' },
  casting: { words: 'casting', first: 'Outside', second: 'Bore', maybeSolid: true },
  weldment: { words: 'weldment', first: 'Outside', second: 'Bore', maybeSolid: true },
};
export const FINISH_WORDS: Readonly<Record<BarFinish, string>> = {
  bright: 'bright',
  black: 'black',
  ground: 'ground',
  chromed: 'chromed',
  'not-said': '',
};

/** Shapes that have a second size. */
export const hasInner = (shape: BarShape): boolean => SHAPES[shape].second !== '';
/** Shapes whose second size is a hole: of the others it is a thickness. */
export const isHollow = (shape: BarShape): boolean => SHAPES[shape].second === 'Bore';
/** Shapes whose second size must be told. */
export const needsInner = (shape: BarShape): boolean => hasInner(shape) && !SHAPES[shape].maybeSolid;

const plain = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);

/** A bore under a quarter of the outside may as well be somebody's wall: of a tube it is said which. */
export const looksLikeWall = ({ diameterMm, innerMm }: Pick<Bar, 'diameterMm' | 'innerMm'>): boolean =>
  innerMm !== null && innerMm < diameterMm / 4;

function sizesOf(bar: Pick<Bar, 'shape' | 'diameterMm' | 'innerMm'>, unit: LengthUnit): string[] {
  const { shape, diameterMm, innerMm } = bar;
  const bore = shape === 'tube' && looksLikeWall(bar) ? ' bore' : '';
  return [plain(formatLength(diameterMm, unit)), ...(innerMm === null ? [] : [plain(formatLength(innerMm, unit)) + bore])];
}

/** `38.1 round`, `50 x 30 tube`. */
export const barSize = (bar: Pick<Bar, 'shape' | 'diameterMm' | 'innerMm'>, unit: LengthUnit): string =>
  `${sizesOf(bar, unit).join(' x ')} ${SHAPES[bar.shape].words}`;

/** A bar in one line, as it can be typed: `38.1 x 350 round`, `50 x 30 x 400 tube`. */
export const barLine = (bar: Pick<Bar, 'shape' | 'diameterMm' | 'innerMm' | 'lengthMm'>, unit: LengthUnit): string =>
  `${[...sizesOf(bar, unit), plain(formatLength(bar.lengthMm, unit, unit === 'mm' ? 1 : 2))].join(' x ')} ${SHAPES[bar.shape].words}`;
