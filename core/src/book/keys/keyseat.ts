import { bad, good, type Outcome } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import { B17_1_ROWS, B17_1_SOURCE, DIN6885_ROWS, DIN6885_SOURCE } from './keys.data';

/** Height of the arc over a key's width on a round shaft: y = (D - sqrt(D² - W²))/2, mm. */
export const chordHeightMm = (shaftMm: number, widthMm: number): number => (shaftMm - Math.sqrt(shaftMm ** 2 - widthMm ** 2)) / 2;

/** A key with the depths of its seat, told both ways that people set them. */
export interface KeySeat {
  readonly standard: 'DIN 6885' | 'ASME B17.1 square' | 'ASME B17.1 flat';
  readonly widthMm: number;
  readonly heightMm: number;
  /** Depth in the shaft from the crown. */
  readonly fromCrownMm: number;
  /** Feed on after the flat is as wide as the cutter: depth at the side of the seat. */
  readonly afterFlatMm: number;
  /** From the opposite side of the shaft to the seat's floor: what a micrometer reads. */
  readonly overShaftMm: number;
  /** Bore of the hub to the seat's roof. */
  readonly overHubMm: number;
  readonly source: string;
}

function seat(standard: KeySeat['standard'], D: number, b: number, h: number, fromCrown: number, overHub: number, source: string): KeySeat {
  return {
    standard,
    widthMm: b,
    heightMm: h,
    fromCrownMm: fromCrown,
    afterFlatMm: fromCrown - chordHeightMm(D, b),
    overShaftMm: D - fromCrown,
    overHubMm: overHub,
    source,
  };
}

const within = <T extends readonly [number, number, ...unknown[]]>(rows: readonly T[], size: number): T | undefined =>
  rows.find(([over, upTo]) => size > over + 1e-9 && size <= upTo + 1e-9);

/** Room over the key in the hub, ASME B17.1: T = (D - y + H/2) + half of it on the side; 0.005 in on the diameter. */
const B17_ROOM_IN = 0.005;

/** Seat of a key that is half in the shaft at its sides, as ASME B17.1 has it. */
function inchSeat(standard: 'ASME B17.1 square' | 'ASME B17.1 flat', shaftMm: number, widthIn: number, heightIn: number): KeySeat {
  const [w, h] = [widthIn * MM_PER_INCH, heightIn * MM_PER_INCH];
  const y = chordHeightMm(shaftMm, w);
  return seat(standard, shaftMm, w, h, y + h / 2, shaftMm - y + h / 2 + B17_ROOM_IN * MM_PER_INCH, B17_1_SOURCE);
}

const dinSeat = (shaftMm: number, [, , b, h, t1, t2]: (typeof DIN6885_ROWS)[number]): KeySeat =>
  seat('DIN 6885', shaftMm, b, h, t1, shaftMm + t2, DIN6885_SOURCE);

const inchSeats = (shaftMm: number, [, , square, flat]: (typeof B17_1_ROWS)[number]): KeySeat[] => [
  inchSeat('ASME B17.1 square', shaftMm, square, square),
  ...(flat ? [inchSeat('ASME B17.1 flat', shaftMm, square, flat)] : []),
];

/** A key of a width that was measured or bought is this near to a listed one, mm. */
const SAME_WIDTH_MM = 0.06;

/**
 * Every standard key for a shaft with its seat: DIN 6885 (t1 from the crown) and ASME B17.1 (H/2 at the side).
 *
 * @param widthMm a key of that width instead of the one listed for the shaft: an earlier repair, or an inch key in a metric shaft
 * @example keySeats(25): DIN 8 x 7, t1 4.0, 21.0 over the shaft
 */
export function keySeats(shaftMm: number, widthMm: number | null = null): Outcome<KeySeat[]> {
  if (!(shaftMm > 0)) return bad('shaft', 'Give the shaft diameter.', 'shaftMm');
  const wide = (w: number): boolean => Math.abs(w - widthMm!) <= SAME_WIDTH_MM;
  const din = widthMm === null ? within(DIN6885_ROWS, shaftMm) : DIN6885_ROWS.find((r) => wide(r[2]));
  const inch = widthMm === null ? within(B17_1_ROWS, shaftMm / MM_PER_INCH) : B17_1_ROWS.find((r) => wide(r[2] * MM_PER_INCH));
  const found = [...(din ? [dinSeat(shaftMm, din)] : []), ...(inch ? inchSeats(shaftMm, inch) : [])];
  if (!found.length)
    return widthMm === null
      ? bad('out-of-table', 'Standard keys are in the book for shafts over 6 mm (5/16 in) to 230 mm.', 'shaftMm')
      : bad('out-of-table', 'No key of that width is in DIN 6885 or ASME B17.1.', 'widthMm');
  const fits = found.filter((k) => k.widthMm < MOST_WIDTH_SHARE * shaftMm && k.fromCrownMm < shaftMm / 2);
  return fits.length ? good(fits) : bad('too-wide', 'A key that wide would cut half the shaft away.', 'widthMm');
}
/**
 * DIN 6885-1: how much deeper than t1 and t2 a seat may be, by height of the key, mm.
 *
 * @example 6 x 6: 0.1; 8 x 7 to 32 x 18: 0.2; 36 x 20: 0.3
 */
export const keyDepthOverMm = (heightMm: number): number => (heightMm <= 6 ? 0.1 : heightMm <= 18 ? 0.2 : 0.3);

/** A seat wider than this share of the shaft leaves no shaft. */
const MOST_WIDTH_SHARE = 0.6;

/** Whether a key is the one that its standard lists for the shaft. */
export const isListedFor = (k: KeySeat, shaftMm: number): boolean => {
  const listed = keySeats(shaftMm);
  return listed.ok && listed.value.some((l) => l.standard === k.standard && l.widthMm === k.widthMm);
};
