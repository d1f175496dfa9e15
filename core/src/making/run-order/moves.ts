import type { Order, OrderProblem } from './problem';
import { WAITS, type Clock } from './timed';

/** A change of an order: an act is put before or after others that stand in its way, or is given to another machine or person. */
export interface Move {
  readonly act: number;
  /** Those that it passes on one machine, or with one person, in their sequence; none where it stays and is only given away. */
  readonly passes: readonly number[];
  /** Before the first of them, else after the last. */
  readonly before: boolean;
  /** -1 where it keeps its own. */
  readonly machine: number;
  readonly person: number;
}

/** A chain of acts, each of which waits for the one before on the same machine or for the same person. */
function blocksTo(last: number, { waitedFor, why }: Clock): number[][] {
  const blocks: number[][] = [];
  let block = [last];
  let kind: number = WAITS.nothing;
  for (let i = last; waitedFor[i]! >= 0; i = waitedFor[i]!) {
    const by = why[i]!;
    if (by === WAITS.act || (kind !== WAITS.nothing && by !== kind)) {
      if (block.length > 1) blocks.push(block.reverse());
      block = by === WAITS.act ? [] : [i];
      kind = by === WAITS.act ? WAITS.nothing : by;
      block.push(waitedFor[i]!);
    } else {
      kind = by;
      block.push(waitedFor[i]!);
    }
  }
  if (block.length > 1) blocks.push(block.reverse());
  return blocks.reverse();
}

/** Acts that a job's end hangs on, the last first. */
function chainTo(last: number, { waitedFor }: Clock): number[] {
  const chain: number[] = [];
  for (let i = last; i >= 0; i = waitedFor[i]!) chain.push(i);
  return chain;
}

/**
 * Changes that may bring the end of an act forward: in each stretch of acts that wait for one machine or person, each of them before the
 * first or after the last (Balas and Vazacopoulos); and each act of the chain with another machine or person. Whatever else is changed, it
 * ends no sooner.
 */
export function movesFor(last: number, clock: Clock, { machine, person }: Order, { acts }: OrderProblem): Move[] {
  const moves: Move[] = [];
  const own = { machine: -1, person: -1 };
  for (const block of blocksTo(last, clock))
    block.forEach((act, k) => {
      if (k > 0) moves.push({ act, passes: block.slice(0, k), before: true, ...own });
      if (k < block.length - 1 && block.length > 2) moves.push({ act, passes: block.slice(k + 1), before: false, ...own });
    });
  for (const act of chainTo(last, clock)) {
    const given = { act, passes: [], before: true };
    for (const m of acts[act]!.machines) if (m !== machine[act]) moves.push({ ...given, ...own, machine: m });
    for (const p of acts[act]!.people) if (p !== person[act]) moves.push({ ...given, ...own, person: p });
  }
  return moves;
}
