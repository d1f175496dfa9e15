import type { LengthUnit } from '../quantity';
import type { Side } from './diameter-reading';
import type { InstrumentKind } from './instruments.data';

/** What is needed of an instrument to suggest it. */
export interface Suggestable {
  readonly id: string;
  readonly kind: InstrumentKind;
  readonly unit: LengthUnit;
  readonly rangeLowMm: number;
  readonly rangeHighMm: number;
}

/** Kinds in the order a machinist reaches for them: an oval hole wants two points, so the bore head comes late. */
const REACH: Readonly<Record<Side, readonly InstrumentKind[]>> = {
  outside: ['micrometer', 'caliper'],
  inside: ['telescoping-gauge', 'dial-bore-gauge', 'caliper', 'bore-head'],
};

/**
 * The instrument to reach for: the best kind whose range holds the size, in the job's unit before the other.
 *
 * @param sizeMm about what is measured; null when not known yet, then any range will do
 * @returns undefined when the crib has none that will do
 */
export function suggestInstrument<I extends Suggestable>(
  crib: readonly I[],
  side: Side,
  sizeMm: number | null,
  unit: LengthUnit,
): I | undefined {
  const holds = (i: I): boolean => sizeMm === null || (sizeMm >= i.rangeLowMm && sizeMm <= i.rangeHighMm);
  const rank = (i: I): number => REACH[side].indexOf(i.kind) * 2 + (i.unit === unit ? 0 : 1);
  return crib.filter((i) => REACH[side].includes(i.kind) && holds(i)).sort((p, q) => rank(p) - rank(q))[0];
}

/**
 * The instrument for a measuring plan: the first kind that the plan reaches for whose range holds the size, in the job's unit
 * before the other.
 *
 * @param kinds as the plan names them, the one to reach for first
 * @param sizeMm about what is measured; null when not known yet, or when the range is of something else
 */
export function suggestForPlan<I extends Suggestable>(
  crib: readonly I[],
  kinds: readonly InstrumentKind[],
  side: Side,
  sizeMm: number | null,
  unit: LengthUnit,
): I | undefined {
  const holds = (i: I): boolean => sizeMm === null || (sizeMm >= i.rangeLowMm && sizeMm <= i.rangeHighMm);
  const rank = (i: I): number => kinds.indexOf(i.kind) * 2 + (i.unit === unit ? 0 : 1);
  const fit = crib.filter((i) => kinds.includes(i.kind) && holds(i)).sort((p, q) => rank(p) - rank(q))[0];
  return fit ?? suggestInstrument(crib, side, sizeMm, unit);
}
