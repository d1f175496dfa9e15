import type { Order, OrderProblem } from './problem';
import type { Timed } from './timed';

/**
 * Whether a timed order can be done at all, by another way than it was made: every pair of acts on one machine or with one person is held
 * apart, every act after those that it waits for, and the minutes that each person really works, counted minute by minute, come to what
 * the acts ask for.
 *
 * @returns what is wrong with it; nothing where all is well
 */
export function wrongWith(problem: OrderProblem, { machine, person, sequence }: Order, at: Timed): string[] {
  const wrong: string[] = [];
  const { acts, machines, people, now } = problem;
  const EPS = 1e-6;
  if ([...sequence].sort((a, b) => a - b).some((x, i) => x !== i) || sequence.length !== acts.length) wrong.push('not every act once');
  acts.forEach((a, i) => {
    const [begin, hands, end] = [at.begin[i]!, at.handsEnd[i]!, at.end[i]!];
    if (begin < Math.max(a.notBefore, now) - EPS) wrong.push(`${i} begins too soon`);
    if (a.machines.length ? !a.machines.includes(machine[i]!) : machine[i] !== -1) wrong.push(`${i} on a wrong machine`);
    if (a.people.length ? !a.people.includes(person[i]!) : person[i] !== -1) wrong.push(`${i} by the wrong person`);
    for (const b of a.after) if (at.end[b]! > begin + EPS) wrong.push(`${i} begins before ${b} is done`);
    if (machine[i]! >= 0 && begin < machines[machine[i]!]!.freeFrom - EPS) wrong.push(`${i} before its machine is free`);
    if (Math.abs(end - hands - a.aloneMin) > EPS) wrong.push(`${i} runs by itself for another time`);
    acts.forEach((_, k) => {
      if (k <= i) return;
      const apart = (m1: number, m2: number): boolean => m1 <= at.begin[k]! + EPS || m2 <= begin + EPS;
      if (machine[i]! >= 0 && machine[i] === machine[k] && !apart(end, at.end[k]!)) wrong.push(`${i} and ${k} on one machine at once`);
      if (person[i]! >= 0 && person[i] === person[k] && !apart(hands, at.handsEnd[k]!)) wrong.push(`${i} and ${k} by one person at once`);
    });
    const onMachine = sequence.filter((x) => machine[x] === machine[i]);
    const last = machine[i]! >= 0 ? onMachine[onMachine.indexOf(i) - 1] : undefined;
    const same = last !== undefined && a.setup !== '' && acts[last]!.setup === a.setup;
    const asked = a.handsMin + (same ? 0 : a.setupMin);
    const work = person[i]! >= 0 ? people[person[i]!]!.work : null;
    let worked = 0;
    if (!work) worked = hands - begin;
    else for (let k = 0; k < work.from.length; k++) worked += Math.max(0, Math.min(hands, work.to[k]!) - Math.max(begin, work.from[k]!));
    if (work && hands > (work.to.at(-1) ?? -Infinity)) worked += hands - Math.max(begin, work.to.at(-1) ?? -Infinity);
    if (Math.abs(worked - asked) > 1e-6) wrong.push(`${i} is worked on for ${worked}, not ${asked}`);
  });
  return wrong;
}
