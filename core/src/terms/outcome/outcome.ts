/** One thing that is wrong with an input, told to a machinist. */
export interface Problem {
  /** Stable word for programs, e.g. `negative`. */
  readonly code: string;
  /** Where it is: a field path such as `segments.1.lengthMm`, empty when the input is a single value. */
  readonly path: string;
  /** One sentence in trade English that says what to do. */
  readonly message: string;
  /** Character position in a typed text, counted from 0, where the trouble starts. */
  readonly at?: number;
}

/** A value, or every reason why there is none. Core never throws for what a person typed. */
export type Outcome<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

/** What was asked for. */
export const good = <T>(value: T): Outcome<T> => ({ ok: true, value });

/** Why it cannot be had: one problem, at a field where it has one. */
export const bad = (code: string, message: string, path = '', at?: number): Outcome<never> => ({
  ok: false,
  problems: [at === undefined ? { code, path, message } : { code, path, message, at }],
});
