/** Do two lists hold the very same things in the same order? */
export function sameMembers(p: readonly unknown[], q: readonly unknown[]): boolean {
  if (p.length !== q.length) return false;
  for (let i = 0; i < p.length; i++) if (!Object.is(p[i], q[i])) return false;
  return true;
}

/**
 * Keeps the last answer of each thing, good while all that it rests on is the very same: what is stored never changes in place,
 * so with thousands of readings on a job one more leaves nearly all of what was worked out standing.
 *
 * @returns a function of the thing, of what its answer rests on, and of how to work it out
 */
export function keeper<K extends object, T>(): (thing: K, restsOn: readonly unknown[], make: () => T) => T {
  const answers = new WeakMap<K, { readonly restsOn: readonly unknown[]; readonly answer: T }>();
  return (thing, restsOn, make) => {
    const there = answers.get(thing);
    if (there && sameMembers(there.restsOn, restsOn)) return there.answer;
    const answer = make();
    answers.set(thing, { restsOn, answer });
    return answer;
  };
}
