import { bad, good, type Outcome } from '../outcome';
import { MM_PER_INCH } from '../quantity';
import { B17_2_HEIGHT, B17_2_NUMBERS, B17_2_SOURCE, DIN6888_ROWS, DIN6888_SOURCE } from './keys.data';
import { chordHeightMm } from './keyseat';

/** A Woodruff key and its seat. */
export interface Woodruff {
  /** `606` or `5 x 6.5`. */
  readonly name: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly cutterMm: number;
  /** Depth in the shaft as the standard gives it. */
  readonly depthMm: number;
  /** Where the standard's depth is measured from. */
  readonly depthFrom: 'side of the seat' | 'crown';
  readonly unit: 'mm' | 'in';
  readonly source: string;
}

const inch = B17_2_NUMBERS.map((n): Woodruff => {
  const [width, eighths] = [Math.floor(n / 100) / 32, n % 100];
  const height = B17_2_HEIGHT[eighths]!;
  return {
    name: String(n),
    widthMm: width * MM_PER_INCH,
    heightMm: height * MM_PER_INCH,
    cutterMm: (eighths / 8) * MM_PER_INCH,
    depthMm: (height - width / 2) * MM_PER_INCH,
    depthFrom: 'side of the seat',
    unit: 'in',
    source: B17_2_SOURCE,
  };
});

const metric = DIN6888_ROWS.map(([b, h, d, t1]): Woodruff => ({
  name: `${b} x ${h}`,
  widthMm: b,
  heightMm: h,
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
  /** Key standing out of the shaft at its sides. */
  readonly standsOutMm: number;
}

/** The seat of a Woodruff key; a reason when the shaft is too small for it. */
export function woodruffSeat(name: string, shaftMm: number): Outcome<WoodruffSeat> {
  const key = WOODRUFF.find((k) => k.name === name);
  if (!key) return bad('key', `There is no Woodruff key ${name} in the book.`, 'name');
  if (!(shaftMm > 2 * key.heightMm))
    return bad('shaft', `A key ${name} cuts too deep into that shaft: over ${(2 * key.heightMm).toFixed(1)} mm.`, 'shaftMm');
  const y = chordHeightMm(shaftMm, key.widthMm);
  const fromCrownMm = key.depthFrom === 'crown' ? key.depthMm : key.depthMm + y;
  return good({
    key,
    fromCrownMm,
    afterFlatMm: fromCrownMm - y,
    cutterCentreOverCrownMm: key.cutterMm / 2 - fromCrownMm,
    standsOutMm: key.heightMm - (fromCrownMm - y),
  });
}
