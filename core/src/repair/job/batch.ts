import type { Advice } from '../../making/coach';
import type { SizeCutState } from './asked-cut';
import { goodPieces, type ItemFinding, type PieceFinding } from './item-finding';
import type { PlannedSetUp } from './plan-finding';

/** Nothing more is cut: it stands in its limits, or so near to one that only a finer instrument tells, and that is for Prove. */
const STOPS: readonly string[] = ['in', 'close'] satisfies readonly (Advice['state'] | SizeCutState)[];

/** Everything that must be proved of a set-up of one piece is cut as far as it goes; null where nothing must, and nothing is turned in it. */
export function isThrough({ cuts, sizes }: Pick<PieceFinding, 'cuts' | 'sizes'>, { setUp }: PlannedSetUp): boolean | null {
  const here = cuts.filter((c) => setUp.cuts.includes(c.segment.segment.id));
  const cut = sizes.filter((s) => s.setUp === setUp.number && s.due);
  if (here.length + cut.length === 0) return null;
  return here.every((c) => STOPS.includes(c.advice.state)) && cut.every((s) => STOPS.includes(s.state));
}

/** How many pieces have been through a set-up, of how many; null where there is but one, or nothing is read in it. */
export function throughOf(at: ItemFinding, one: PlannedSetUp): { readonly through: number; readonly of: number } | null {
  const pieces = goodPieces(at);
  if (pieces.length < 2 || isThrough(pieces[0]!, one) === null) return null;
  return { through: pieces.filter((p) => isThrough(p, one)).length, of: pieces.length };
}

/** Where a batch goes on: a piece, and the set-up it is cut in. */
export interface BatchStep {
  readonly piece: number;
  readonly setUp: PlannedSetUp;
}

/**
 * What is cut next once a piece is through a set-up: the same set-up of the next piece, and when all are through the next set-up of the first, or the
 * next set-up of the same piece where each goes right through. Null while it is not through, for a single piece, and when all is cut.
 *
 * @param piece number of the piece that is at the machine
 */
export function nextOfBatch(at: ItemFinding, piece: number, one: PlannedSetUp): BatchStep | null {
  const pieces = goodPieces(at);
  const { plan } = at;
  const now = pieces.find((p) => p.piece.number === piece);
  if (!plan || !now || pieces.length < 2 || isThrough(now, one) !== true) return null;
  const open = ({ p, s }: { readonly p: PieceFinding; readonly s: PlannedSetUp }): boolean => isThrough(p, s) === false;
  const around = <T>(list: readonly T[], at: number): T[] => [...list.slice(at + 1), ...list.slice(0, at + 1)];
  const setUps = around(
    plan.setUps,
    plan.setUps.findIndex((s) => s.setUp.number === one.setUp.number),
  );
  const others = around(pieces, pieces.indexOf(now));
  // What is begun is finished first: this set-up of the others, or the others of this piece's set-ups.
  const steps = plan.plan.eachThrough
    ? [now, ...others].flatMap((p) => setUps.map((s) => ({ p, s })))
    : [one, ...setUps].flatMap((s) => others.map((p) => ({ p, s })));
  const next = steps.find(open);
  return next ? { piece: next.p.piece.number, setUp: next.s } : null;
}
