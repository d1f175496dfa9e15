const nameOf = (x: unknown): unknown => {
  if (typeof x !== 'object' || x === null) return undefined;
  const { id, key } = x as { readonly id?: unknown; readonly key?: unknown };
  return id ?? key;
};

function sharedList(before: readonly unknown[], after: readonly unknown[]): readonly unknown[] {
  const named = new Map(before.map((x) => [nameOf(x), x]));
  const merged = after.map((x, i) => {
    const name = nameOf(x);
    return shareUnchanged(name === undefined ? before[i] : named.get(name), x);
  });
  return merged.length === before.length && merged.every((x, i) => x === before[i]) ? before : merged;
}

function sharedRecord(before: object, after: object): object {
  const [old, fresh] = [Object.entries(before), Object.entries(after)];
  const had = before as Readonly<Record<string, unknown>>;
  const merged = fresh.map(([k, v]): [string, unknown] => [k, shareUnchanged(had[k], v)]);
  return old.length === fresh.length && merged.every(([k, v]) => k in before && had[k] === v) ? before : Object.fromEntries(merged);
}

/**
 * A fresh answer of the server in which everything that did not change is the very object that was there before: what hangs on it
 * then neither works out nor draws anew. Rows of lists are known by their id or key, wherever they stand.
 */
export function shareUnchanged<T>(before: unknown, after: T): T {
  if (Object.is(before, after)) return after;
  if (Array.isArray(before) && Array.isArray(after)) return sharedList(before, after) as T;
  if (
    typeof before === 'object' &&
    typeof after === 'object' &&
    before !== null &&
    after !== null &&
    !Array.isArray(before) &&
    !Array.isArray(after)
  )
    return sharedRecord(before, after) as T;
  return after;
}
