type Later<L> = { readonly [K in keyof L]: () => L[K] };

/**
 * A value some of whose fields are worked out when they are first asked for, once. What `own` has yet to work out stays so.
 *
 * @param own the fields that are there
 * @param later how each of the others is worked out; all of it must be free of side effects
 */
export function withLater<T extends object, L extends object>(own: T, later: Later<L>): T & L {
  const made = Object.defineProperties({}, Object.getOwnPropertyDescriptors(own)) as T & L;
  for (const name of Object.keys(later) as (keyof L & string)[]) {
    let known: { readonly value: L[keyof L] } | null = null;
    const get = (): L[keyof L] => (known ??= { value: later[name]() }).value;
    Object.defineProperty(made, name, { get, enumerable: true, configurable: true });
  }
  return made;
}
