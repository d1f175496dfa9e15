import type { LengthUnit } from '../../terms/quantity';
import { readsIt } from './doubt/range';
import type { InstrumentKind, Reads } from './instruments.data';

/** What is needed of an instrument to suggest it. */
export interface Suggestable {
  readonly id: string;
  readonly kind: InstrumentKind;
  readonly unit: LengthUnit;
  readonly rangeLowMm: number;
  readonly rangeHighMm: number;
}

/** Kinds in the order a machinist reaches for them: an oval hole wants two points, so the bore head comes late. */
const REACH: Readonly<Record<Reads, readonly InstrumentKind[]>> = {
  outside: ['micrometer', 'caliper'],
  inside: ['telescoping-gauge', 'dial-bore-gauge', 'caliper', 'bore-head'],
  gap: ['caliper'],
  length: ['micrometer', 'caliper', 'depth-mic', 'depth-rod', 'rule'],
  depth: ['depth-mic', 'depth-rod', 'caliper', 'rule'],
  indicator: ['indicator'],
  pitch: ['rule', 'caliper'],
};

/**
 * Instruments of the crib that read such a thing and hold the size, the one to reach for first, in the job's unit before the other;
 * never an outside mic for a bore or an inside groove.
 *
 * @param sizeMm about what is measured; null when not known yet, then any range will do
 * @param kinds as a measuring plan names them, the one to reach for first
 * @returns empty when the crib has none that will do
 */
export function instrumentsFor<I extends Suggestable>(
  crib: readonly I[],
  reads: Reads,
  sizeMm: number | null,
  unit: LengthUnit,
  kinds: readonly InstrumentKind[] = REACH[reads],
): I[] {
  const order = [...kinds, ...REACH[reads]];
  const at = (i: I): number => {
    const place = order.indexOf(i.kind);
    return place < 0 ? order.length : place;
  };
  const rank = (i: I): number => at(i) * 2 + (i.unit === unit ? 0 : 1);
  return crib.filter((i) => readsIt(i, reads, sizeMm)).sort((p, q) => rank(p) - rank(q));
}
