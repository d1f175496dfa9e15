import { B17_2_SEAT_DEEPER, isListedFor, keySeatLimits, keySeats, WOODRUFF, woodruffSeat, type KeySeat } from '../../book/keys';
import { formatWithUnit, MM_PER_INCH, toInchFraction, type LengthUnit } from '../../terms/quantity';
import { besideMm } from './beside';
import type { QuantityFinding } from './place-figures';
import type { Measured } from './measured';

/** A keyseat as measured against those of the book: which key it is for, and whether the book has that key for its shaft. */
export interface KeyseatFinding {
  /** `1/4 x 1/4`, `8 x 7`, `No. 808`; null where the book has no key of that width. */
  readonly key: string | null;
  readonly halfMoon: boolean;
  /** That key's seat in this shaft, mm; the cutter's diameter of a half-moon one, else null. Null where the book has no such key. */
  readonly seat: { readonly widthMm: number; readonly fromCrownMm: number; readonly cutterMm: number | null } | null;
  /** Measured deeper from the crown than the book's seat of that key, mm; below 0 it is shallower, null where it was not read. */
  readonly deeperMm: number | null;
  readonly asInBook: boolean;
  readonly words: string;
}

/** A half-moon seat this near to a listed width is one of it, mm; as near as a key's own width is taken. */
const SAME_WIDTH_MM = 0.06;
/** A depth this much under the book's is read off a burr or a worn crown, mm. */
const UNDER_MM = 0.03;
/** How much deeper a half-moon seat may be by its standard, mm: ASME B17.2 0.005 in, DIN 6888 at most 0.2. */
const overMm = { woodruffInch: B17_2_SEAT_DEEPER * MM_PER_INCH, woodruffMetric: 0.2 } as const;

const fraction = (mm: number): string => toInchFraction(mm).text;
const keyName = (k: KeySeat): string =>
  k.standard === 'DIN 6885' ? `${k.widthMm} x ${k.heightMm}` : `${fraction(k.widthMm)} x ${fraction(k.heightMm)}`;

interface Seat {
  readonly name: string;
  readonly halfMoon: boolean;
  readonly widthMm: number;
  readonly fromCrownMm: number;
  /** Of a half-moon seat. */
  readonly cutterMm: number | null;
  readonly source: string;
  /** How much deeper it may be, mm. */
  readonly overMm: number;
  /** What the book has for that shaft instead; null where this is it, or where a standard leaves the choice open. */
  readonly instead: string | null;
}

function parallelSeats(shaftMm: number, widthMm: number): Seat[] {
  const found = keySeats(shaftMm, widthMm);
  const listed = keySeats(shaftMm);
  return (found.ok ? found.value : []).map((k) => {
    const own = listed.ok ? listed.value.find((l) => l.source === k.source) : undefined;
    const instead = own && !isListedFor(k, shaftMm) ? keyName(own) : null;
    return {
      name: keyName(k),
      halfMoon: false,
      widthMm: k.widthMm,
      fromCrownMm: k.fromCrownMm,
      cutterMm: null,
      source: k.source,
      overMm: keySeatLimits(k).shaft.depth.upper - k.fromCrownMm,
      instead,
    };
  });
}

const halfMoonSeats = (shaftMm: number, widthMm: number): Seat[] =>
  WOODRUFF.filter((k) => Math.abs(k.widthMm - widthMm) <= SAME_WIDTH_MM).flatMap((k): Seat[] => {
    const seat = woodruffSeat(k.name, shaftMm);
    if (!seat.ok) return [];
    const name = k.unit === 'in' ? `No. ${k.name} (${fraction(k.widthMm)} x ${fraction(k.cutterMm)})` : k.name;
    return [
      {
        name,
        halfMoon: true,
        widthMm: k.widthMm,
        fromCrownMm: seat.value.fromCrownMm,
        cutterMm: k.cutterMm,
        source: k.source,
        overMm: k.unit === 'in' ? overMm.woodruffInch : overMm.woodruffMetric,
        instead: null,
      },
    ];
  });

/**
 * Holds a measured keyseat of a shaft against the book's. Its depth tells a half-moon seat from a parallel one: it is much deeper. Null
 * where its width or the shaft beside it is not measured, and for a hub's keyway.
 *
 * @example 3/16 wide in 0.9845 in: ASME B17.1 has 1/4 x 1/4 for that shaft
 */
export function keyseatFinding(
  m: Measured,
  values: readonly QuantityFinding[],
  all: readonly Measured[],
  unit: LengthUnit,
): KeyseatFinding | null {
  if (m.place.kind !== 'keyseat' || m.place.side !== 'outside') return null;
  const width = values.find((v) => v.quantity === 'width')?.mean.value;
  const depth = values.find((v) => v.quantity === 'key-depth');
  const shaftMm = width === undefined ? null : besideMm(m, all);
  if (width === undefined || shaftMm === null) return null;

  const show = (mm: number): string => formatWithUnit(mm, unit);
  const parallel = parallelSeats(shaftMm, width);
  const seats = depth ? [...parallel, ...halfMoonSeats(shaftMm, width)] : parallel;
  const off = (s: Seat): number => (depth ? Math.abs(depth.mean.value - s.fromCrownMm) : 0);
  const [seat] = [...seats].sort((p, q) => off(p) - off(q) || Math.abs(p.widthMm - width) - Math.abs(q.widthMm - width));
  if (!seat) {
    const words = `No key of ${show(width)} wide is in the book for a shaft of ${show(shaftMm)}: a special, or worn wide.`;
    return { key: null, halfMoon: false, seat: null, deeperMm: null, asInBook: false, words };
  }

  const deeperMm = depth ? depth.mean.value - seat.fromCrownMm : null;
  const band = depth?.plusMinusMm ?? 0;
  const depthFits = deeperMm === null || (deeperMm >= -UNDER_MM - band && deeperMm <= seat.overMm + band);
  const what = seat.halfMoon ? `A half-moon seat for key ${seat.name}, ${seat.source}` : `A seat for key ${seat.name}, ${seat.source}`;
  const listing = seat.instead
    ? `, which has ${seat.instead} for a shaft of ${show(shaftMm)}: keep it as found only with the hub that belongs to it.`
    : seat.halfMoon
      ? '.'
      : `, as the book has it for a shaft of ${show(shaftMm)}.`;
  const book = `the book's ${show(seat.fromCrownMm)} from the crown`;
  const depthWords =
    deeperMm === null
      ? ' Its depth is not read yet: a half-moon seat would be told by it.'
      : depthFits
        ? ` Its depth agrees with ${book}.`
        : deeperMm > 0
          ? ` It is ${show(deeperMm)} deeper than ${book}: the shaft is weaker by that, or the key stands too low.`
          : ` It is ${show(-deeperMm)} shallower than ${book}: the key stands too high for the hub, or the crown wore.`;
  return {
    key: seat.name,
    halfMoon: seat.halfMoon,
    seat: { widthMm: seat.widthMm, fromCrownMm: seat.fromCrownMm, cutterMm: seat.cutterMm },
    deeperMm,
    asInBook: depthFits && seat.instead === null,
    words: `${what}${listing}${depthWords}`,
  };
}
