import type { Move } from './moves';
import type { Order, OrderProblem } from './problem';
import type { Clock } from './timed';

/**
 * What moves come to where nothing counts but the time until everything is done, and nobody is needed: the longest way through the acts
 * that a move touches, by how long it takes to get to them and from them (Taillard; Balas and Vazacopoulos). Unlike the time of the whole it tells
 * apart moves that leave another way as long as it was, and it needs no play of the whole order.
 */
export class SpanGuess {
  private readonly next: Int32Array;
  /** From the end of each act to that of the last, and the part of it that the jobs alone ask for, min. */
  private readonly tail: Float64Array;
  private readonly jobTail: Float64Array;
  private readonly ready: Float64Array;
  private readonly later: readonly number[][];
  private readonly from: Float64Array;

  constructor(
    private readonly problem: OrderProblem,
    private readonly clock: Clock,
  ) {
    const n = problem.acts.length;
    this.next = new Int32Array(n);
    this.tail = new Float64Array(n);
    this.jobTail = new Float64Array(n);
    this.ready = new Float64Array(n);
    this.from = new Float64Array(n);
    const later: number[][] = problem.acts.map(() => []);
    problem.acts.forEach((a, i) => a.after.forEach((b) => later[b]!.push(i)));
    this.later = later;
  }

  private minutes(i: number): number {
    return this.clock.end[i]! - this.clock.begin[i]!;
  }

  /** Takes an order that the clock has played. */
  take({ sequence }: Order): void {
    const { machineBefore, end } = this.clock;
    this.next.fill(-1);
    for (const i of sequence) if (machineBefore[i]! >= 0) this.next[machineBefore[i]!] = i;
    for (let k = sequence.length - 1; k >= 0; k--) {
      const i = sequence[k]!;
      let tail = 0;
      for (const s of this.later[i]!) tail = Math.max(tail, this.minutes(s) + this.tail[s]!);
      this.jobTail[i] = tail;
      const next = this.next[i]!;
      this.tail[i] = next >= 0 ? Math.max(tail, this.minutes(next) + this.tail[next]!) : tail;
      let ready = this.problem.acts[i]!.notBefore;
      for (const b of this.problem.acts[i]!.after) ready = Math.max(ready, end[b]!);
      this.ready[i] = ready;
    }
  }

  /** The longest way through what a move touches, min. */
  of({ act, passes, before }: Move, { machine }: Order): number {
    const acts = before ? [act, ...passes] : [...passes, act];
    const first = before ? passes[0]! : act;
    const last = before ? act : passes.at(-1)!;
    const prior = this.clock.machineBefore[first]!;
    let at = prior >= 0 ? this.clock.end[prior]! : this.problem.machines[machine[act]!]!.freeFrom;
    for (const x of acts) {
      const begin = Math.max(at, this.ready[x]!);
      this.from[x] = begin;
      at = begin + this.minutes(x);
    }
    const next = this.next[last]!;
    let left = next >= 0 ? this.minutes(next) + this.tail[next]! : 0;
    let longest = 0;
    for (let k = acts.length - 1; k >= 0; k--) {
      const x = acts[k]!;
      const tail = Math.max(left, this.jobTail[x]!);
      left = tail + this.minutes(x);
      longest = Math.max(longest, this.from[x]! + left);
    }
    return longest;
  }
}
