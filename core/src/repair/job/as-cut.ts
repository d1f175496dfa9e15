import { isCutBackHere, processOf, type Treatment } from '../../making/part';
import type { Limits } from '../../evidence/proof';
import type { Figure } from '../../terms/working';
import { beforeKey, treatmentOf } from './before-treatment';
import type { PartFinding, SegmentFinding } from './part-finding';
import type { ProofFinding } from './proof-finding';

const cutTo = (s: SegmentFinding, name: string, figure: Figure, limits: Limits): SegmentFinding => ({
  segment: { ...s.segment, name: `${s.segment.name}, ${name}`, diameterMm: figure.value, leftMm: figure.value, rightMm: figure.value },
  diameter: figure,
  limits,
  fits: [],
  bores: [],
});

/**
 * Diameters as cutting leaves them: of what is treated the size before it, until that is passed at Prove; after that the finished size where it is
 * cut back here, and nothing where another shop does it.
 *
 * @param proofs of the piece; none for what is planned
 */
export function asCut({ part, segments, dimensions }: PartFinding, proofs: readonly ProofFinding[] = []): SegmentFinding[] {
  return segments.flatMap((s): SegmentFinding[] => {
    const f = treatmentOf(part, s.segment.id);
    if (!f) return [s];
    if (treatedAt(f, proofs) !== null) return isCutBackHere(f) ? [s] : [];
    const before = dimensions.find((d) => d.dimension.key === beforeKey(f));
    return before?.limits ? [cutTo(s, processOf(f).before, before.figure, before.limits)] : [];
  });
}

/** When the size before a treatment was passed, ms: from then on it counts as treated; null where nobody has, or it does not stand any more. */
export function treatedAt(f: Treatment, proofs: readonly ProofFinding[]): number | null {
  const signed = proofs.find((p) => p.dimension.dimension.key === beforeKey(f))?.signed;
  return signed?.passed ? Date.parse(signed.at) : null;
}
