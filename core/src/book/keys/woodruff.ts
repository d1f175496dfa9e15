import { bad, good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import {
  B17_2_HEIGHT,
  B17_2_HEIGHT_TOLERANCE,
  B17_2_NUMBERS,
  B17_2_SEAT_DEEPER,
  B17_2_SEAT_WIDTH,
  B17_2_SOURCE,
  DIN6888_ROWS,
  DIN6888_SHAFTS,
  DIN6888_SOURCE,
} from './keys.data';
import { zoneDeviations } from '../fits';
import { chordHeightMm } from './keyseat';
import type { SeatLimits } from './zones';

/** A Woodruff key and its seat. */
export interface Woodruff {
  /** `606` or `5 x 6.5`. */
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Least height that the standard allows. */
  readonly leastHeightMm: number;
  readonly cutterMm: number;
  /** Depth in the shaft as the standard gives it, the least one. */
  readonly depthMm: number;
  /** Where the standard's depth is measured from. */
  readonly depthFrom: 'side of the seat' | 'crown';
  readonly unit: 'mm' | 'in';
  readonly source: string;
}

const inch = B17_2_NUMBERS.map((n): Woodruff => {
  const [width, eighths] = [Math.floor(n / 100) / 32, n % 100];
  const height = B17_2_HEIGHT[eighths]!;
  const least = height - B17_2_HEIGHT_TOLERANCE;
  return {
    name: String(n),
    widthMm: width * MM_PER_INCH,
    heightMm: height * MM_PER_INCH,
    leastHeightMm: least * MM_PER_INCH,
    cutterMm: (eighths / 8) * MM_PER_INCH,
    depthMm: (least - width / 2) * MM_PER_INCH,
    depthFrom: 'side of the seat',
    unit: 'in',
    source: B17_2_SOURCE,
  };
});

const metric = DIN6888_ROWS.map(([b, h, d, t1]): Woodruff => ({
  name: `${b} x ${h}`,
  widthMm: b,
  heightMm: h,
  leastHeightMm: h,
  cutterMm: d,
  depthMm: t1,
  depthFrom: 'crown',
  unit: 'mm',
  source: DIN6888_SOURCE,
}));

export const WOODRUFF: readonly Woodruff[] = [...inch, ...metric];

/** How to set the cutter for a seat in a given shaft. */
export interface WoodruffSeat {
  readonly key: Woodruff;
  readonly fromCrownMm: number;
  readonly afterFlatMm: number;
  /** Cutter's centre line over the crown: its radius less the depth from the crown. */
  readonly cutterCentreOverCrownMm: number;
  /** The smallest such key standing out of the shaft at its sides. */
  readonly standsOutMm: number;
  /** It can be cut, but is not usual. */
  readonly unusual: string | null;
}

/**
 * The usual limits of a Woodruff key's seat in the shaft by its own standard: of an inch key its width, tight on the key, and its depth from the
 * crown; of a metric one the width N9. Nothing where the book has none.
 *
 * @param fromCrownMm depth of the seat in that shaft, the least one
 * @example No. 808: 0.2487 to 0.2505 wide, up to 0.005 in deeper
 */
export function woodruffLimits(k: Woodruff, fromCrownMm: number): { readonly width?: SeatLimits; readonly depth?: SeatLimits } {
  if (k.unit === 'mm') {
    const zone = zoneDeviations('N9', k.widthMm);
    return zone.ok
      ? { width: { lower: k.widthMm + zone.value.lowerMm, upper: k.widthMm + zone.value.upperMm, source: `${k.source}, N9` } }
      : {};
  }
  const own = B17_2_SEAT_WIDTH[Math.round((k.widthMm / MM_PER_INCH) * 32)];
  const source = k.source;
  return {
    depth: { lower: fromCrownMm, upper: fromCrownMm + B17_2_SEAT_DEEPER * MM_PER_INCH, source },
    ...(own ? { width: { lower: own[0] * MM_PER_INCH, upper: own[1] * MM_PER_INCH, source } } : {}),
  };
}

/** Widths of a key that are usual, as a share of the shaft. */
const USUAL_SHARE = { least: 0.12, most: 0.34 } as const;

function dinRange(key: Woodruff, shaftMm: number): string | null {
  const range = key.depthFrom === 'crown' ? DIN6888_SHAFTS[key.widthMm] : undefined;
  if (!range) return null;
  const [over, upTo] = range;
  if (shaftMm > over && (upTo === null || shaftMm <= upTo)) return null;
  return upTo === null
    ? `${DIN6888_SOURCE} has a key ${key.name} for shafts over ${over} mm.`
    : `${DIN6888_SOURCE} has a key ${key.name} for shafts over ${over} to ${upTo} mm.`;
}

/**
 * The seat of a Woodruff key, from the smallest key that the standard allows. DIN 6888 has a range of shafts for each width; ASME B17.2
 * has none: refused is only a seat that reaches the middle of the shaft, or a key that no longer stands proud of it.
 */
export function woodruffSeat(name: string, shaftMm: number): Outcome<WoodruffSeat> {
  const key = WOODRUFF.find((k) => k.name === name);
  if (!key) return bad('key', `There is no Woodruff key ${name} in the book.`, 'name');
  if (!(shaftMm > key.widthMm)) return bad('shaft', `A key ${name} is wider than that shaft.`, 'shaftMm');
  const y = chordHeightMm(shaftMm, key.widthMm);
  const fromCrownMm = key.depthFrom === 'crown' ? key.depthMm : key.depthMm + y;
  const range = dinRange(key, shaftMm);
  if (range) return bad('shaft', range, 'shaftMm');
  if (fromCrownMm >= shaftMm / 2) return bad('shaft', `The seat of a key ${name} would reach the middle of that shaft.`, 'shaftMm');
  if (key.leastHeightMm <= fromCrownMm) return bad('shaft', `A key ${name} would not stand proud of that shaft.`, 'shaftMm');
  const share = key.widthMm / shaftMm;
  return good({
    key,
    fromCrownMm,
    afterFlatMm: fromCrownMm - y,
    cutterCentreOverCrownMm: key.cutterMm / 2 - fromCrownMm,
    standsOutMm: key.leastHeightMm - (fromCrownMm - y),
    unusual:
      share > USUAL_SHARE.most
        ? 'A wide key for that shaft: look at what is left beside it.'
        : share < USUAL_SHARE.least
          ? 'A narrow key for that shaft: look at what it must carry.'
          : null,
  });
}
