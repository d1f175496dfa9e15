import type { Order, OrderProblem } from './problem';
import { laidOut } from './timed';
import { beginsAt, endsAt } from './worktime';

/** An act where it could be done next: on which machine, by whom, from when to when. */
interface Next {
  readonly act: number;
  readonly machine: number;
  readonly person: number;
  readonly begin: number;
  readonly handsEnd: number;
  readonly end: number;
}

const OR_NONE = (list: readonly number[]): readonly number[] => (list.length ? list : [-1]);

/**
 * An order to begin with: of the acts that could come next, those that stand in the way of whichever is done first are weighed, and the
 * most urgent of them is taken, by what is left of its time; where nothing is due, the one with the most work after it (Giffler and
 * Thompson's active schedules).
 *
 * @param kept acts that keep their machine, person and place before all others, in their sequence
 */
export function firstOrder(problem: OrderProblem, kept: Order | null = null): Order {
  const { acts, jobs, machines, people } = problem;
  const laid = laidOut(problem);
  const n = acts.length;
  const order = { sequence: [] as number[], machine: new Array<number>(n).fill(-1), person: new Array<number>(n).fill(-1) };
  const end = new Float64Array(n);
  const done = new Uint8Array(n);
  const machineFree = machines.map((m) => m.freeFrom);
  const machineSetup = machines.map(() => 0);
  const personFree = people.map(() => -Infinity);
  const leftOfJob = jobs.map((_, j) => acts.reduce((sum, a) => sum + (a.job === j ? a.handsMin + a.setupMin + a.aloneMin : 0), 0));

  const at = (act: number, machine: number, person: number): Next => {
    let from = laid.notBefore[act]!;
    for (const b of acts[act]!.after) from = Math.max(from, end[b]!);
    let minutes = laid.hands[act]! + laid.setupMin[act]!;
    if (machine >= 0) {
      from = Math.max(from, machineFree[machine]!);
      if (laid.setup[act]! > 0 && machineSetup[machine] === laid.setup[act]) minutes -= laid.setupMin[act]!;
    }
    if (person >= 0) from = Math.max(from, personFree[person]!);
    const work = person >= 0 ? people[person]!.work : null;
    const begin = beginsAt(work, from, minutes);
    const handsEnd = endsAt(work, begin, minutes);
    return { act, machine, person, begin, handsEnd, end: handsEnd + laid.alone[act]! };
  };
  const soonest = (act: number): Next => {
    let best: Next | null = null;
    for (const m of OR_NONE(acts[act]!.machines))
      for (const p of OR_NONE(acts[act]!.people)) {
        const next = at(act, m, p);
        if (!best || next.end < best.end) best = next;
      }
    return best!;
  };
  const take = (next: Next): void => {
    const { act, machine, person } = next;
    order.sequence.push(act);
    order.machine[act] = machine;
    order.person[act] = person;
    end[act] = next.end;
    done[act] = 1;
    if (machine >= 0) {
      machineFree[machine] = next.end;
      machineSetup[machine] = laid.setup[act]!;
    }
    if (person >= 0) personFree[person] = next.handsEnd;
    leftOfJob[acts[act]!.job]! -= acts[act]!.handsMin + acts[act]!.setupMin + acts[act]!.aloneMin;
  };
  /** What is left of its time after its work, by its weight; without a promise, the more work is left the sooner. */
  const urgency = ({ act, begin }: Next): number => {
    const { job, pinned } = acts[act]!;
    if (pinned) return -Infinity;
    const { due, weight } = jobs[job]!;
    const slack = due - begin - leftOfJob[job]!;
    return slack === Infinity ? 1e9 - leftOfJob[job]! : slack / weight;
  };

  for (const act of kept?.sequence ?? []) take(at(act, kept!.machine[act]!, kept!.person[act]!));
  while (order.sequence.length < n) {
    const ready: Next[] = [];
    for (let i = 0; i < n; i++) if (!done[i] && acts[i]!.after.every((b) => done[b])) ready.push(soonest(i));
    if (!ready.length) throw new Error('Acts wait for each other in a ring.');
    const first = ready.reduce((a, b) => (b.end < a.end ? b : a));
    const inTheWay = ready.filter(
      (r) =>
        r === first ||
        (r.begin < first.end && ((r.machine >= 0 && r.machine === first.machine) || (r.person >= 0 && r.person === first.person))),
    );
    take(inTheWay.reduce((a, b) => (urgency(b) < urgency(a) ? b : a)));
  }
  return order;
}
