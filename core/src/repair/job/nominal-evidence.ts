import { B17_1_ROWS, DIN6885_ROWS } from '../../book/keys';
import { UNEVEN_WEAR, WITNESS_TIMES, type MachinePlace, type UnitWitness } from '../../evidence/nominal';
import { MM_PER_INCH } from '../../terms/quantity';
import type { Shape } from '../../evidence/readings';
import type { QuantityFinding } from './place-figures';
import type { Measured } from './measured';
import type { PlaceRecord } from './records';
import { bearingsOn, type Sized } from './runs-here';
import type { ThreadFinding } from './thread-finding';
import { areMates } from './pair';

/** A worn place and a land this near in size are taken for one turned size: share of the size, and mm. */
const ONE_SIZE = { share: 0.05, mm: 1 };
/** A pin and its hole further apart than this were not drawn alike, mm. */
const ONE_PAIR_MM = 1.5;

const seenMm = ({ place, shape }: Measured): number | null => shape && (place.side === 'outside' ? shape.largestMm : shape.smallestMm);

const isPair = (p: Measured, q: Measured): boolean => areMates(p.place, q.place);
const isSaidOneSize = (p: Measured, q: Measured): boolean =>
  q.place.detail.oneSizeWithId === p.place.id || p.place.detail.oneSizeWithId === q.place.id;
const apartMm = (p: Measured, q: Measured): number => Math.abs(seenMm(p)! - seenMm(q)!);

/** Two places of a part near in size may be of one turned size, or have a shoulder between them. */
const near = (p: Measured, q: Measured): boolean =>
  q.component.id === p.component.id && q.place.side === p.place.side && apartMm(p, q) < Math.min(ONE_SIZE.share * seenMm(p)!, ONE_SIZE.mm);

/** One lies within the stretch of the other: there is no shoulder between them. */
const overlap = ({ place: p }: Measured, { place: q }: Measured): boolean =>
  Math.min(p.startMm + p.lengthMm, q.startMm + q.lengthMm) > Math.max(p.startMm, q.startMm);

/** Were these two drawn to the same size: a pin and its hole, places that are told to be of one turned size, or one within the other? */
const drawnAlike = (p: Measured, q: Measured): boolean =>
  isSaidOneSize(p, q) || (isPair(p, q) && apartMm(p, q) < ONE_PAIR_MM) || (near(p, q) && overlap(p, q));

/** All places that hang together with this one by such likeness, from one to the next. */
function togetherWith(m: Measured, all: readonly Measured[], like: (p: Measured, q: Measured) => boolean): string[] {
  const together = new Set([m]);
  for (const p of together) for (const q of all) if (!together.has(q) && like(p, q)) together.add(q);
  together.delete(m);
  return [...together].map((t) => t.place.id);
}

/** How far the sizes of a place lie apart, where enough of it was read to show that it wore unevenly. */
function rangeOf({ sections, largestMm, smallestMm }: Shape): { readonly rangeMm?: number } {
  const { stations, directions } = UNEVEN_WEAR;
  const enough = sections.filter((s) => s.directions >= directions).length >= stations;
  return enough ? { rangeMm: largestMm - smallestMm } : {};
}

/** What was read of a place as evidence of what it was, with the places that were drawn like it. */
export function nominalEvidence(m: Measured, all: readonly Measured[]): MachinePlace {
  const { place, shape } = m;
  const seen = seenMm(m);
  const twinIds = togetherWith(m, all, drawnAlike);
  const anyhow = togetherWith(m, all, (p, q) => drawnAlike(p, q) || near(p, q));
  return {
    id: place.id,
    side: place.side,
    use: place.suspicions.includes('bearing') ? 'seat' : 'any',
    land: place.land === 'unworn' && shape ? { sizeMm: shape.meanMm, uMm: shape.plusMinusMm / 2 } : null,
    worn: place.land === 'worn' && seen !== null && shape ? { sizeMm: seen, uMm: shape.plusMinusMm / 2, ...rangeOf(shape) } : null,
    twinIds,
    nearIds: anyhow.filter((id) => !twinIds.includes(id)),
  };
}

/** A key's width this near to a listed one is one of it, mm. */
const KEY_WIDTH_MM = 0.06;

/** What a bearing that was measured, bore and outside, tells of the machine's system, where its sizes are of one alone. */
export function bearingWitness(hole: Sized, all: readonly Sized[]): UnitWitness[] {
  const units = new Set(bearingsOn(hole, all).map((b) => b.unit));
  return units.size === 1 ? [...units].map((unit) => ({ unit, times: WITNESS_TIMES.bearing[unit] })) : [];
}

/** What a thread or a key tells of the machine's system, where it can be of one alone. */
export function unitWitness(
  place: Pick<PlaceRecord, 'kind'>,
  { thread, values }: { readonly thread: ThreadFinding | null; readonly values: readonly QuantityFinding[] },
): UnitWitness[] {
  const units = new Set(thread?.answer?.matches.map((m) => m.thread.unit));
  if (units.size === 1) return [{ unit: [...units][0]!, times: WITNESS_TIMES.thread }];
  const width = place.kind === 'key' || place.kind === 'keyseat' ? values.find((v) => v.quantity === 'width')?.mean.value : undefined;
  if (width === undefined) return [];
  const near = (listed: number): boolean => Math.abs(width - listed) <= KEY_WIDTH_MM;
  const [mm, inch] = [DIN6885_ROWS.some((r) => near(r[2])), B17_1_ROWS.some((r) => near(r[2] * MM_PER_INCH))];
  return mm === inch ? [] : [{ unit: mm ? 'mm' : 'in', times: WITNESS_TIMES.key }];
}
