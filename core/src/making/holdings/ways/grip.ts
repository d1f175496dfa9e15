import { inSentence } from '../../../terms/words';
import type { PlacedSurface } from '../../part';
import type { Cut } from '../cut';
import type { Locates } from '../set-up';
import type { Work } from '../work';

/** What a chuck does no good to: nobody grips on it who can help it. */
const TENDER = ['thread', 'knurl', 'seal-land', 'spline'] as const;

/**
 * The finished surface to hold on: cut already or bought so, round and straight, the longest that nothing tender is on; of two alike the one nearer to
 * the end that goes into the chuck. Null where nothing round was cut.
 */
export function gripOn({ part, outside, asBought }: Work, cut: readonly Cut[], chuckEnd: 'near' | 'far'): PlacedSurface | null {
  const done = new Set([...cut.map((c) => c.id), ...asBought]);
  const tender = (s: PlacedSurface): boolean => part.features.some((f) => f.on === s.id && TENDER.some((k) => k === f.kind));
  const round = outside.filter((s) => done.has(s.id) && s.kind !== 'taper');
  const from = round.some((s) => !tender(s)) ? round.filter((s) => !tender(s)) : round;
  const inOrder = chuckEnd === 'near' ? from : [...from].reverse();
  return inOrder.reduce<PlacedSurface | null>((best, s) => (best && best.lengthMm >= s.lengthMm - 1e-9 ? best : s), null);
}

/** Least length that jaws hold on, mm: half the diameter, and never under 8. */
export const leastGripMm = (diameterMm: number): number => Math.max(8, diameterMm / 2);

/** A first holding is on raw stock, which tells of nothing, or on what stays as it was bought. */
export const onBought = (bought: PlacedSurface | null): Locates => (bought ? { on: 'surface', id: bought.id } : { on: 'stock' });

/** The same in words. */
export const onBoughtWords = (bought: PlacedSurface | null): string =>
  bought ? `on ${inSentence(bought.name)}, as bought` : 'on the stock';
