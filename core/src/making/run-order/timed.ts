import type { Order, OrderProblem } from './problem';
import { beginsAt, endsAt } from './worktime';

/** A problem laid out for counting: flat arrays, one run through them an order. */
export interface Laid {
  readonly problem: OrderProblem;
  readonly hands: Float64Array;
  readonly setupMin: Float64Array;
  readonly alone: Float64Array;
  readonly notBefore: Float64Array;
  /** The number of its set-up; 0 for none. */
  readonly setup: Int32Array;
  /** Acts before act i are `before[beforeAt[i]]` up to `before[beforeAt[i + 1]]`. */
  readonly before: Int32Array;
  readonly beforeAt: Int32Array;
}

/** A problem in flat arrays, as the search goes through it thousands of times a second. */
export function laidOut(problem: OrderProblem): Laid {
  const { acts, now } = problem;
  const setups = new Map<string, number>([['', 0]]);
  const numbered = (name: string): number => {
    if (!setups.has(name)) setups.set(name, setups.size);
    return setups.get(name)!;
  };
  const beforeAt = new Int32Array(acts.length + 1);
  acts.forEach((a, i) => (beforeAt[i + 1] = beforeAt[i]! + a.after.length));
  return {
    problem,
    hands: Float64Array.from(acts, (a) => a.handsMin),
    setupMin: Float64Array.from(acts, (a) => a.setupMin),
    alone: Float64Array.from(acts, (a) => a.aloneMin),
    notBefore: Float64Array.from(acts, (a) => Math.max(a.notBefore, now)),
    setup: Int32Array.from(acts, (a) => numbered(a.setup)),
    before: Int32Array.from(acts.flatMap((a) => a.after)),
    beforeAt,
  };
}

/** Why an act does not begin sooner. */
export const WAITS = { nothing: 0, act: 1, machine: 2, person: 3 } as const;

/** When acts are done in an order, min. Filled in by {@link Clock.play}. */
export interface Timed {
  readonly begin: Float64Array;
  /** Hands off: the person is free. */
  readonly handsEnd: Float64Array;
  /** What runs by itself is done too: the machine is free. */
  readonly end: Float64Array;
  /** The act that each one waited for last, -1 for none, and why ({@link WAITS}). */
  readonly waitedFor: Int32Array;
  readonly why: Uint8Array;
  /** Of each job; -Infinity where it has no act. */
  readonly jobEnd: Float64Array;
}

/**
 * Plays orders: each act as soon as those before it are done, and its machine and person are free of those that stand before it in the
 * sequence. It can go on from a place in the sequence where another clock that it was set by has been.
 */
export class Clock implements Timed {
  readonly begin: Float64Array;
  readonly handsEnd: Float64Array;
  readonly end: Float64Array;
  readonly waitedFor: Int32Array;
  readonly why: Uint8Array;
  readonly jobEnd: Float64Array;
  /** The act before each one on its machine, and with its person; -1 for none. */
  readonly machineBefore: Int32Array;
  readonly personBefore: Int32Array;
  private readonly machineLast: Int32Array;
  private readonly personLast: Int32Array;
  /** The last acts as they are before each place of the sequence. */
  private readonly machineLastAt: Int32Array;
  private readonly personLastAt: Int32Array;
  private readonly jobs: Int32Array;
  private readonly pinned: readonly number[];

  /** @param hands minutes of hands of each act, where they are not those of the problem */
  constructor(
    private readonly laid: Laid,
    public hands: Float64Array = laid.hands,
  ) {
    const { acts, jobs, machines, people } = laid.problem;
    const n = acts.length;
    this.begin = new Float64Array(n);
    this.handsEnd = new Float64Array(n);
    this.end = new Float64Array(n);
    this.waitedFor = new Int32Array(n);
    this.why = new Uint8Array(n);
    this.jobEnd = new Float64Array(jobs.length);
    this.machineBefore = new Int32Array(n);
    this.personBefore = new Int32Array(n);
    this.machineLast = new Int32Array(machines.length);
    this.personLast = new Int32Array(people.length);
    this.machineLastAt = new Int32Array((n + 1) * machines.length);
    this.personLastAt = new Int32Array((n + 1) * people.length);
    this.jobs = Int32Array.from(acts, (a) => a.job);
    this.pinned = acts.flatMap((a, i) => (a.pinned ? [i] : []));
  }

  /** Sets this clock as another one that remembers stood before a place of the sequence. */
  setBy(other: Clock, from: number): void {
    this.begin.set(other.begin);
    this.handsEnd.set(other.handsEnd);
    this.end.set(other.end);
    const [m, p] = [this.machineLast.length, this.personLast.length];
    for (let k = 0; k < m; k++) this.machineLast[k] = other.machineLastAt[from * m + k]!;
    for (let k = 0; k < p; k++) this.personLast[k] = other.personLastAt[from * p + k]!;
  }

  /**
   * Plays an order from its beginning.
   *
   * @returns what it costs
   */
  play(order: Order): number {
    this.machineLast.fill(-1);
    this.personLast.fill(-1);
    return this.goOn(order, 0);
  }

  /** Remembers which acts are the last ones before each place of an order that was played. */
  remember({ sequence, machine, person }: Order): void {
    const [m, p] = [this.machineLast.length, this.personLast.length];
    this.machineLast.fill(-1);
    this.personLast.fill(-1);
    for (let at = 0; at < sequence.length; at++) {
      for (let k = 0; k < m; k++) this.machineLastAt[at * m + k] = this.machineLast[k]!;
      for (let k = 0; k < p; k++) this.personLastAt[at * p + k] = this.personLast[k]!;
      const i = sequence[at]!;
      if (machine[i]! >= 0) this.machineLast[machine[i]!] = i;
      if (person[i]! >= 0) this.personLast[person[i]!] = i;
    }
  }

  /** Plays the rest of an order from where it was set. */
  goOn(order: Order, from: number): number {
    const { sequence } = order;
    for (let at = from; at < sequence.length; at++) this.act(sequence[at]!, order);
    return this.costNow();
  }

  private act(i: number, { machine, person }: Order): void {
    const { problem, setupMin, setup, alone, notBefore, before, beforeAt } = this.laid;
    let at = notBefore[i]!;
    let waitedFor = -1;
    let why: number = WAITS.nothing;
    for (let k = beforeAt[i]!; k < beforeAt[i + 1]!; k++) {
      const done = this.end[before[k]!]!;
      if (done > at) {
        at = done;
        waitedFor = before[k]!;
        why = WAITS.act;
      }
    }
    let minutes = this.hands[i]! + setupMin[i]!;
    const m = machine[i]!;
    if (m >= 0) {
      const last = this.machineLast[m]!;
      const free = last >= 0 ? this.end[last]! : problem.machines[m]!.freeFrom;
      // Of two that it waits for as long, the one on the machine: that one can be changed.
      if (free > at || (free === at && last >= 0)) {
        at = free;
        waitedFor = last;
        why = WAITS.machine;
      }
      if (last >= 0 && setup[i]! > 0 && setup[last] === setup[i]) minutes -= setupMin[i]!;
      this.machineBefore[i] = last;
      this.machineLast[m] = i;
    } else this.machineBefore[i] = -1;
    const p = person[i]!;
    this.personBefore[i] = -1;
    if (p >= 0) {
      const last = this.personLast[p]!;
      if (last >= 0 && this.handsEnd[last]! > at) {
        at = this.handsEnd[last]!;
        waitedFor = last;
        why = WAITS.person;
      }
      this.personBefore[i] = last;
      this.personLast[p] = i;
    }
    const work = p >= 0 ? problem.people[p]!.work : null;
    const begin = beginsAt(work, at, minutes);
    const handsEnd = endsAt(work, begin, minutes);
    this.begin[i] = begin;
    this.handsEnd[i] = handsEnd;
    this.end[i] = handsEnd + alone[i]!;
    this.waitedFor[i] = waitedFor;
    this.why[i] = why;
  }

  /** What an order that was played whole costs. */
  private costNow(): number {
    const { jobs, cost } = this.laid.problem;
    const { jobEnd, end } = this;
    jobEnd.fill(-Infinity);
    for (let i = 0; i < end.length; i++) {
      const job = this.jobs[i]!;
      if (end[i]! > jobEnd[job]!) jobEnd[job] = end[i]!;
    }
    let pinnedLate = 0;
    for (const i of this.pinned) pinnedLate += this.begin[i]! - this.laid.notBefore[i]!;
    let [late, flow, span] = [0, 0, 0];
    for (let j = 0; j < jobs.length; j++) {
      const done = jobEnd[j]!;
      if (done === -Infinity) continue;
      const { due, weight } = jobs[j]!;
      if (done > due) late += weight * (done - due);
      flow += weight * done;
      if (done > span) span = done;
    }
    return cost.late * late + cost.flow * flow + cost.span * span + cost.pin * pinnedLate;
  }
}

/** When everything is done in an order, and what it costs. */
export function timed(problem: OrderProblem, order: Order): { readonly at: Timed; readonly cost: number } {
  const at = new Clock(laidOut(problem));
  const cost = at.play(order);
  return { at, cost };
}
