/** A way to hold what stays, for one thing that is cut of it: with what it costs and gives. */
export interface HoldWay<Id extends string> {
  readonly id: Id;
  readonly name: string;
  /** In the words of a set-up sheet. */
  readonly hold: string;
  readonly about: string;
  /** How near it comes, in words. */
  readonly gives: string;
  readonly minutes: number;
  readonly cautions: readonly string[];
  /** Why not; empty where it will do. */
  readonly cannot: string;
}

/**
 * Ways with the best first: what will do, then as they are ranked, then what is set up sooner.
 *
 * @param rank smaller is better
 */
export const bestFirst = <W extends HoldWay<string>>(ways: readonly W[], rank: (way: W) => number): W[] =>
  [...ways].sort((p, q) => Number(p.cannot !== '') - Number(q.cannot !== '') || rank(p) - rank(q) || p.minutes - q.minutes);

/** The way that somebody chose, which stands though it will not do and says why; else the best that will; null where none does. */
export const wayOf = <W extends HoldWay<string>>(ways: readonly W[], chosen: string | undefined): W | null =>
  ways.find((w) => w.id === chosen) ?? ways.find((w) => !w.cannot) ?? null;
