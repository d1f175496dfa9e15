import { inSentence } from '../../terms/words';
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
