import type { CutFinding } from './cut-finding';
import type { ProofFinding } from './proof-finding';
import type { Repair } from './repair';
import type { SizeCut } from './size-cut';

/**
 * The diameter that is cut now: the one picked, else one that is begun and not in its limits, else the first that is not, else the first; null where
 * nothing is turned.
 */
export function cutInHand({ cuts }: Pick<Repair, 'cuts'>, spanId: string | null): CutFinding | null {
  const left = cuts.filter((c) => c.advice.state !== 'in');
  return cuts.find((c) => c.segment.segment.id === spanId) ?? left.find((c) => c.readings.length > 0) ?? left[0] ?? cuts[0] ?? null;
}

/** When it was last read; null where it was not. */
const readAt = ({ readings }: CutFinding): string | null => readings.at(-1)?.takenAt ?? null;

/** The diameter that was brought into its limits last, as long as nothing was read after it; null where that, or another that is in, is in hand. */
export function cameIn({ cuts }: Pick<Repair, 'cuts'>, inHand: CutFinding | null): CutFinding | null {
  const newest = cuts.reduce<CutFinding | null>((a, c) => ((readAt(c) ?? '') > ((a && readAt(a)) ?? '') ? c : a), null);
  return newest?.advice.state === 'in' && inHand?.advice.state !== 'in' ? newest : null;
}

/** What is cut now and is no diameter of a surface; null unless it was picked. */
export const sizeInHand = ({ sizes }: Pick<Repair, 'sizes'>, spanId: string | null): SizeCut | null =>
  sizes.find((s) => s.key === spanId) ?? null;

/** The dimension that is read now: the one picked, else the first that must be and is not read all round; null where none is left. */
export const proofInHand = ({ proofs }: Pick<Repair, 'proofs'>, spanId: string | null): ProofFinding | null => {
  const read = proofs.filter((p) => !p.gauged);
  return read.find((p) => p.dimension.dimension.key === spanId) ?? read.find((p) => p.dimension.mustProve && p.plan?.next) ?? null;
};
