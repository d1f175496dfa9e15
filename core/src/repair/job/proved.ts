import { inSentence } from '../../terms/words';
import { unitBehind } from './drawing-sheet';
import { goodPieces, pieceName } from './item-finding';
import type { ProofFinding } from './proof-finding';
import type { Job } from './repair';

/** A dimension of what was made, as a report names it. */
export interface Proved {
  readonly key: string;
  /** With item and piece where there are several. */
  readonly name: string;
  readonly proof: ProofFinding;
}

/** What came of a proof: the size as `show` writes a length, what a gauge showed, what it was tried with; null where nothing is known yet. */
export function provedWords({ gauged, dimension, measured, signed }: ProofFinding, show: (mm: number) => string): string | null {
  if (!gauged) return measured && show(measured.value);
  if (!signed) return null;
  const { measuredMm, gaugedWith } = signed;
  if (measuredMm === null) return `tried: ${gaugedWith}`;
  const { unit } = dimension.dimension;
  return `${unit ? `${measuredMm}${unitBehind(dimension)}` : show(measuredMm)}, ${gaugedWith}`;
}

/** Smallest and largest of what was read round about and along, where they lie further apart than the instrument leaves open; empty otherwise. */
export function spreadWords({ shape, measured }: ProofFinding, show: (mm: number) => string): string {
  if (!shape || shape.largestMm - shape.smallestMm <= (measured?.plusMinus ?? 0)) return '';
  return `${show(shape.smallestMm)} to ${show(shape.largestMm)}`;
}

/** Of every item and good piece, what had to be proved, and what was read all the same. */
export function provedOf({ items }: Pick<Job, 'items'>): Proved[] {
  const parts = items.filter((i) => i.part);
  return parts.flatMap((item) =>
    goodPieces(item).flatMap(({ piece, proofs }) => {
      const of = pieceName(item, piece, parts);
      return proofs
        .filter((p) => p.dimension.mustProve || p.readings.length > 0)
        .map((proof): Proved => ({
          key: `${item.item.id}.${piece.number}.${proof.dimension.dimension.key}`,
          name: of ? `${of}: ${inSentence(proof.name)}` : proof.name,
          proof,
        }));
    }),
  );
}
