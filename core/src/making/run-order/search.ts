import { seededRandom } from '../../evidence/proof';
import { firstOrder } from './first-order';
import { movesFor, type Move } from './moves';
import type { Order, OrderProblem } from './problem';
import { SpanGuess } from './span-guess';
import { Clock, laidOut } from './timed';

/** A move with the sequence that it gives, and what it comes to: its cost, or a guess of it. */
interface Tried {
  readonly move: Move;
  readonly sequence: number[];
  readonly cost: number;
}

interface Mutable {
  sequence: number[];
  machine: number[];
  person: number[];
}

const copyOf = ({ sequence, machine, person }: Order): Mutable => ({ sequence: [...sequence], machine: [...machine], person: [...person] });

/** Rounds without a better order after which it begins again from a shaken best one. */
const PATIENCE = 3000;
/** How often the best one is shaken then. */
const SHAKES = [6, 20] as const;
/** Rounds for which a reversed pair must not be turned back: that many and up to half as many more. */
const FORBIDDEN_ROUNDS = 10;

/** Rounds between two questions whether it is enough. */
const ROUNDS_BETWEEN = 16;

/**
 * Looks for a better order for as long as it is let: a first order by rule, then tabu search over the acts that an end hangs on. Whenever
 * it is asked, it has the best order so far. The same seed and the same number of rounds give the same order.
 */
export class OrderSearch {
  private readonly random: () => number;
  private readonly base: Clock;
  private readonly trial: Clock;
  private readonly at: Int32Array;
  /** Rounds until which an act must not be put before another one. */
  private readonly forbidden: Int32Array;
  private readonly marked: Uint8Array;
  private now: Mutable;
  private kept: Order;
  private keptCost: number;
  private round = 0;
  private lastBetter = 0;
  private readonly guess: SpanGuess | null;

  /**
   * @param start an order to begin with; null for one by rule
   * @param held how many at the beginning of the start stay where they are: what is under way
   */
  constructor(
    private readonly problem: OrderProblem,
    start: Order | null = null,
    private readonly held = 0,
    seed = 1,
  ) {
    const laid = laidOut(problem);
    const n = problem.acts.length;
    this.random = seededRandom(seed);
    this.base = new Clock(laid);
    this.trial = new Clock(laid);
    this.at = new Int32Array(n);
    this.marked = new Uint8Array(n);
    this.forbidden = new Int32Array(n * n);
    const { late, flow, pin } = problem.cost;
    this.guess = late + flow + pin === 0 && !problem.people.length ? new SpanGuess(problem, this.base) : null;
    this.now = copyOf(start ?? firstOrder(problem));
    this.keptCost = this.settle();
    this.kept = copyOf(this.now);
  }

  get best(): Order {
    return this.kept;
  }

  get bestCost(): number {
    return this.keptCost;
  }

  get rounds(): number {
    return this.round;
  }

  /**
   * Goes on until it has had enough, which is asked every few rounds.
   *
   * @returns whether there is anything to look for: an order of fewer than two acts is the best there is
   */
  go(enough: () => boolean): boolean {
    if (this.problem.acts.length - this.held < 2) return false;
    do for (let k = 0; k < ROUNDS_BETWEEN; k++) this.step();
    while (!enough());
    return true;
  }

  /** Plays the order as it stands, and sorts it as its acts begin: what is changed together stands together. */
  private settle(): number {
    const cost = this.base.play(this.now);
    const { begin } = this.base;
    const { sequence } = this.now;
    // Nearly sorted already; acts of no time keep their places.
    for (let k = this.held + 1; k < sequence.length; k++) {
      const act = sequence[k]!;
      let to = k;
      for (; to > this.held && begin[sequence[to - 1]!]! > begin[act]!; to--) sequence[to] = sequence[to - 1]!;
      sequence[to] = act;
    }
    for (let k = 0; k < sequence.length; k++) this.at[sequence[k]!] = k;
    if (this.guess) this.guess.take(this.now);
    else this.base.remember(this.now);
    return cost;
  }

  /** The last act of a job that is to end sooner: one that is late where one is, more often the later it is. */
  private target(): number {
    const { jobs, cost, acts } = this.problem;
    const { jobEnd, end } = this.base;
    let total = 0;
    let span = -Infinity;
    const weights = jobs.map(({ due, weight }, j) => {
      const done = jobEnd[j]!;
      if (done === -Infinity) return 0;
      span = Math.max(span, done);
      const w = cost.late * weight * Math.max(0, done - due) + cost.flow * weight * Math.max(0, done - this.problem.now);
      total += w;
      return w;
    });
    let job = -1;
    if (total > 0 && this.random() > 0.1) {
      let left = this.random() * total;
      job = weights.findIndex((w) => (left -= w) < 0);
    }
    if (job < 0) job = jobEnd.indexOf(span);
    let last = -1;
    for (let i = 0; i < acts.length; i++) if (acts[i]!.job === job && end[i] === jobEnd[job]) last = i;
    return last;
  }

  /**
   * The sequence after a move, from the first place that differs; null where it cannot be made: something between the two waits for one and
   * is waited for by the other.
   */
  private moved({ act, passes, before }: Move): { readonly sequence: number[]; readonly from: number } | null {
    const { sequence } = this.now;
    const to = before ? passes[0]! : passes.at(-1)!;
    const [low, high] = before ? [this.at[to]!, this.at[act]!] : [this.at[act]!, this.at[to]!];
    if (low < this.held) return null;
    const { marked } = this;
    for (let k = low; k <= high; k++) marked[sequence[k]!] = 0;
    if (before) this.markWhatItWaitsFor(act, low, high);
    else this.markWhatWaitsForIt(act, low, high);
    if (marked[to]) return null;
    const next = sequence.slice();
    // Before: what it waits for, it, the rest. After: the rest, it, what waits for it.
    let place = low;
    for (let k = low; k <= high; k++) if (sequence[k] !== act && (marked[sequence[k]!] === 1) === before) next[place++] = sequence[k]!;
    next[place++] = act;
    for (let k = low; k <= high; k++) if (sequence[k] !== act && (marked[sequence[k]!] === 1) !== before) next[place++] = sequence[k]!;
    return { sequence: next, from: low };
  }

  /** Marks whatever an act waits for from a place on, but for what it only stands behind on its machine or with its person. */
  private markWhatItWaitsFor(act: number, low: number, high: number): void {
    const { marked, at } = this;
    const { acts } = this.problem;
    const { machineBefore, personBefore } = this.base;
    for (const b of acts[act]!.after) if (at[b]! >= low) marked[b] = 1;
    for (let k = high - 1; k >= low; k--) {
      const x = this.now.sequence[k]!;
      if (!marked[x]) continue;
      for (const b of acts[x]!.after) if (at[b]! >= low) marked[b] = 1;
      const [m, p] = [machineBefore[x]!, personBefore[x]!];
      if (m >= 0 && at[m]! >= low) marked[m] = 1;
      if (p >= 0 && at[p]! >= low) marked[p] = 1;
    }
  }

  /** Marks whatever waits for an act up to a place, but for what only stands behind it on its machine or with its person. */
  private markWhatWaitsForIt(act: number, low: number, high: number): void {
    const { marked, at } = this;
    const { acts } = this.problem;
    const { machineBefore, personBefore } = this.base;
    const isMarked = (b: number): boolean => b >= 0 && at[b]! >= low && marked[b] === 1;
    marked[act] = 1;
    for (let k = low + 1; k <= high; k++) {
      const x = this.now.sequence[k]!;
      const [m, p] = [machineBefore[x]!, personBefore[x]!];
      if ((m !== act && isMarked(m)) || (p !== act && isMarked(p)) || acts[x]!.after.some(isMarked)) marked[x] = 1;
    }
  }

  private step(): void {
    this.round++;
    const moves = movesFor(this.target(), this.base, this.now, this.problem);
    const taken = this.guess ? this.likeliest(moves, this.guess) : this.cheapest(moves);
    if (taken) this.take(taken.move, taken.sequence);
    if (!taken || this.round - this.lastBetter > PATIENCE) this.shake();
  }

  /** The move that is guessed to be the best of those that can be made, forbidden ones only where there is no other. */
  private likeliest(moves: readonly Move[], guess: SpanGuess): Tried | null {
    const guessed = moves
      .filter((m) => m.passes.length > 0)
      .map((move) => ({ move, cost: guess.of(move, this.now) + 1e-3 * this.random() }));
    guessed.sort((a, b) => a.cost - b.cost);
    const free = guessed.filter((g) => g.cost < this.keptCost || !this.isForbidden(g.move));
    for (const { move, cost } of free) {
      const next = this.moved(move);
      if (next) return { move, sequence: next.sequence, cost };
    }
    const { move, cost } = guessed[Math.floor(this.random() * guessed.length)] ?? {};
    const next = move ? this.moved(move) : null;
    return next ? { move: move!, sequence: next.sequence, cost: cost! } : null;
  }

  /** The move that costs least of those that can be made, forbidden ones only where there is no other. */
  private cheapest(moves: readonly Move[]): Tried | null {
    let best: Tried | null = null;
    let ties = 0;
    let any: Tried | null = null;
    for (const move of moves) {
      const tried = this.tried(move);
      if (!tried) continue;
      if (this.isForbidden(move) && tried.cost >= this.keptCost) {
        if (!any || this.random() < 0.3) any = tried;
        continue;
      }
      if (!best || tried.cost < best.cost - 1e-9) {
        best = tried;
        ties = 1;
      } else if (tried.cost < best.cost + 1e-9 && this.random() * ++ties < 1) best = tried;
    }
    return best ?? any;
  }

  /** What a move comes to, by playing it. */
  private tried(move: Move): Tried | null {
    const { act, passes, machine, person } = move;
    if (!passes.length) {
      const from = this.at[act]!;
      if (from < this.held) return null;
      const [m, p] = [this.now.machine[act]!, this.now.person[act]!];
      if (machine >= 0) this.now.machine[act] = machine;
      if (person >= 0) this.now.person[act] = person;
      this.trial.setBy(this.base, from);
      const cost = this.trial.goOn(this.now, from);
      this.now.machine[act] = m;
      this.now.person[act] = p;
      return { move, sequence: this.now.sequence, cost };
    }
    const next = this.moved(move);
    if (!next) return null;
    this.trial.setBy(this.base, next.from);
    const { machine: machines, person: people } = this.now;
    return {
      move,
      sequence: next.sequence,
      cost: this.trial.goOn({ sequence: next.sequence, machine: machines, person: people }, next.from),
    };
  }

  private isForbidden({ act, passes, before }: Move): boolean {
    const n = this.at.length;
    if (!passes.length) return this.forbidden[act * n + act]! > this.round;
    return passes.some((x) => this.forbidden[before ? act * n + x : x * n + act]! > this.round);
  }

  private take({ act, passes, before, machine, person }: Move, sequence: number[]): void {
    const n = this.at.length;
    const rounds = FORBIDDEN_ROUNDS + n / Math.max(1, this.problem.machines.length) ** 2;
    const until = this.round + Math.floor(rounds * (1 + this.random() / 2));
    if (!passes.length) this.forbidden[act * n + act] = until;
    if (machine >= 0) this.now.machine[act] = machine;
    if (person >= 0) this.now.person[act] = person;
    for (const x of passes) this.forbidden[before ? x * n + act : act * n + x] = until;
    this.now.sequence = sequence;
    const cost = this.settle();
    if (cost < this.keptCost - 1e-9) {
      this.kept = copyOf(this.now);
      this.keptCost = cost;
      this.lastBetter = this.round;
    }
  }

  /** Begins again from the best one, with some moves at random. */
  private shake(): void {
    this.now = copyOf(this.kept);
    this.settle();
    this.forbidden.fill(0);
    this.lastBetter = this.round;
    const times = SHAKES[0] + Math.floor(this.random() * (SHAKES[1] - SHAKES[0]));
    for (let k = 0; k < times; k++) {
      const moves = movesFor(this.target(), this.base, this.now, this.problem);
      if (!moves.length) return;
      const move = moves[Math.floor(this.random() * moves.length)]!;
      const next = move.passes.length ? this.moved(move) : null;
      if (next) this.take(move, next.sequence);
    }
  }
}
