import { movesFor, type Move } from './moves';
import { SHOP_COST, type Order, type OrderAct, type OrderProblem } from './problem';
import { seededRandom } from '../../evidence/proof';
import { Clock, laidOut } from './timed';

const act = (handsMin: number, more: Partial<OrderAct> = {}): OrderAct => ({
  ...{ job: 0, handsMin, setupMin: 0, setup: '', aloneMin: 0, machines: [], people: [], after: [], notBefore: 0, pinned: false },
  ...more,
});
const problemOf = (acts: OrderAct[], machines = 2): OrderProblem => ({
  acts,
  jobs: acts.map(() => ({ due: Infinity, weight: 1 })),
  machines: Array.from({ length: machines }, () => ({ freeFrom: 0 })),
  people: [],
  now: 0,
  cost: SHOP_COST,
});
const played = (problem: OrderProblem, order: Order): Clock => {
  const clock = new Clock(laidOut(problem));
  clock.play(order);
  return clock;
};
/** The sequence after a move; null where an act would come before one that it waits for. */
function after({ acts }: OrderProblem, order: Order, move: Move): Order | null {
  const machine = [...order.machine];
  if (move.machine >= 0) machine[move.act] = move.machine;
  let sequence = [...order.sequence];
  if (move.passes.length) {
    sequence = sequence.filter((i) => i !== move.act);
    const at = move.before ? sequence.indexOf(move.passes[0]!) : sequence.indexOf(move.passes.at(-1)!) + 1;
    sequence.splice(at, 0, move.act);
  }
  const place = new Map(sequence.map((i, k) => [i, k]));
  return sequence.every((i) => acts[i]!.after.every((b) => place.get(b)! < place.get(i)!)) ? { ...order, sequence, machine } : null;
}

it('three acts in a row on one machine: each may go before the first or after the last', () => {
  const acts = [0, 1, 2].map((i) => act(10, { job: i, machines: [0] }));
  const order = { sequence: [0, 1, 2], machine: [0, 0, 0], person: [-1, -1, -1] };
  const problem = problemOf(acts);
  const moves = movesFor(2, played(problem, order), order, problem);
  expect(moves.map((m) => [m.act, m.passes, m.before])).toEqual([
    [0, [1, 2], false],
    [1, [0], true],
    [1, [2], false],
    [2, [0, 1], true],
  ]);
});

it('what waits only for what has to be done before it has nothing to pass', () => {
  const acts = [act(10, { machines: [0] }), act(10, { machines: [1], after: [0] })];
  const order = { sequence: [0, 1], machine: [0, 1], person: [-1, -1] };
  const problem = problemOf(acts);
  expect(movesFor(1, played(problem, order), order, problem)).toEqual([]);
});

it('an act of the chain may go to another machine that can do it', () => {
  const acts = [act(10, { job: 0, machines: [0] }), act(10, { job: 1, machines: [0, 1] })];
  const order = { sequence: [0, 1], machine: [0, 0], person: [-1, -1] };
  const problem = problemOf(acts);
  const moves = movesFor(1, played(problem, order), order, problem);
  expect(moves).toContainEqual(expect.objectContaining({ act: 1, machine: 1 }));
  const given = after(
    problem,
    order,
    moves.find((m) => m.machine === 1)!,
  )!;
  expect(played(problem, given).end[1]).toBe(10);
});

/** Every order of so many things. */
const orders = (n: number): number[][] =>
  n === 0 ? [[]] : orders(n - 1).flatMap((o) => Array.from({ length: n }, (_, i) => [...o.slice(0, i), n - 1, ...o.slice(i)]));

it('where some order of acts on their machines ends sooner, one of the moves lies on the way: none is left only at the best', () => {
  const random = seededRandom(19);
  let better = 0;
  for (let t = 0; t < 60; t++) {
    // Three jobs of two acts, each on one of two machines.
    const acts = [0, 1, 2].flatMap((job) => {
      const first = Math.round(random());
      const min = (): number => 1 + Math.floor(20 * random());
      return [act(min(), { job, machines: [first] }), act(min(), { job, machines: [1 - first], after: [2 * job] })];
    });
    const problem = problemOf(acts);
    const valid = orders(6).filter((s) => s.every((i, k) => acts[i]!.after.every((b) => s.indexOf(b) < k)));
    const order = {
      sequence: valid[Math.floor(random() * valid.length)]!,
      machine: acts.map((a) => a.machines[0]!),
      person: acts.map(() => -1),
    };
    const span = (o: Order): number => Math.max(...played(problem, o).end);
    const best = Math.min(...valid.map((sequence) => span({ ...order, sequence })));
    const clock = played(problem, order);
    const last = acts.map((_, i) => i).reduce((p, q) => (clock.end[q]! > clock.end[p]! ? q : p));
    const moves = movesFor(last, clock, order, problem);
    if (span(order) > best) {
      better++;
      expect(moves.length).toBeGreaterThan(0);
    }
    // No chain of machine waits to change: it ends no sooner whatever is done.
    if (moves.length === 0) expect(span(order)).toBe(best);
  }
  expect(better).toBeGreaterThan(20);
});
