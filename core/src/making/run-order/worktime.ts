/** From when to when somebody works, min from a common beginning. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** Somebody's working time, ready to be counted along. */
export interface Worktime {
  readonly from: Float64Array;
  readonly to: Float64Array;
  /** Minutes worked before each span. */
  readonly before: Float64Array;
}

/**
 * Working time of spans in any order; what overlaps counts once, what is empty or turned round not at all.
 *
 * @param spans finite, min
 */
export function worktimeOf(spans: readonly Span[]): Worktime {
  const merged: { from: number; to: number }[] = [];
  for (const { from, to } of spans.filter((s) => s.to > s.from).sort((a, b) => a.from - b.from)) {
    const last = merged.at(-1);
    if (last && from <= last.to) last.to = Math.max(last.to, to);
    else merged.push({ from, to });
  }
  const before = new Float64Array(merged.length);
  for (let i = 1; i < merged.length; i++) before[i] = before[i - 1]! + merged[i - 1]!.to - merged[i - 1]!.from;
  return { from: Float64Array.from(merged, (s) => s.from), to: Float64Array.from(merged, (s) => s.to), before };
}

/** The first span that ends after a moment; their number where none does. */
function spanAt({ to }: Worktime, at: number): number {
  let low = 0;
  let high = to.length;
  while (low < high) {
    const mid = (low + high) >> 1;
    if (to[mid]! > at) high = mid;
    else low = mid + 1;
  }
  return low;
}

/** Nobody begins what takes so few minutes only to leave it lie over lunch or night. An estimate of the shop. */
export const IN_ONE_GO_MIN = 30;

/**
 * The first moment of work from `at` on, of somebody who always works where `work` is null; what is short waits until it can be done in one
 * go. After the last span there is work all the time: a plan may be long, it never ends nowhere.
 *
 * @param minutes that it takes
 */
export function beginsAt(work: Worktime | null, at: number, minutes: number): number {
  if (!work) return at;
  const { from, to } = work;
  let i = spanAt(work, at);
  if (minutes <= IN_ONE_GO_MIN) while (i < to.length && to[i]! - Math.max(at, from[i]!) < minutes) i++;
  return i < to.length ? Math.max(at, from[i]!) : Math.max(at, i > 0 ? to[i - 1]! : at);
}

/**
 * When work is done that begins at a moment of work, and rests while its person does.
 *
 * @param begin as {@link beginsAt} tells it
 * @param minutes of work, 0 or more
 */
export function endsAt(work: Worktime | null, begin: number, minutes: number): number {
  if (!work) return begin + minutes;
  const { from, to, before } = work;
  let i = spanAt(work, begin);
  const n = to.length;
  if (i >= n || minutes === 0) return begin + minutes;
  if (begin + minutes <= to[i]!) return begin + minutes;
  const worked = before[i]! + (begin - from[i]!) + minutes;
  // The last span that begins before that much is worked.
  let high = n;
  while (i < high) {
    const mid = (i + high) >> 1;
    if (before[mid]! < worked) i = mid + 1;
    else high = mid;
  }
  return from[i - 1]! + worked - before[i - 1]!;
}
