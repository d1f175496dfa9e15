import { axisStartMm, meanOf, type PlaceFinding } from '../job';
import { size, type ReadStretch } from './stretches';

/** A groove as it was read, mm from the zero face. */
export interface ReadGroove {
  readonly fromMm: number;
  readonly toMm: number;
}

/** A groove that begins or ends this near to where something was read begins or ends with it, mm. */
const MEETS_MM = 0.1;

/** Where a groove was read, as long as it was read, whatever its place was taken for; null for what is none. */
export function readGroove(f: PlaceFinding, zeroMm: number): ReadGroove | null {
  if (f.place.kind !== 'groove') return null;
  const fromMm = axisStartMm(f) - zeroMm;
  return { fromMm, toMm: fromMm + (meanOf(f, 'width') ?? f.place.lengthMm) };
}

/**
 * Stretches that go on over the grooves beside them: nobody reads a diameter in a groove, and what stands between two stretches is cut into the one
 * that the other's shoulder stands over, outside the thinner, in a bore the wider.
 *
 * @example a thread read to 18, its relief 18 to 20, the body from 20: the thread's stretch goes on to 20
 */
export function overGrooves(read: readonly ReadStretch[], grooves: readonly ReadGroove[], side: 'outside' | 'inside'): ReadStretch[] {
  const gives = (a: ReadStretch, b: ReadStretch): boolean => (side === 'outside' ? size(a) <= size(b) : size(a) >= size(b));
  let all = [...read];
  const put = (old: ReadStretch, ends: Partial<ReadStretch>): void => {
    all = all.map((s) => (s === old ? { ...s, ...ends } : s));
  };
  for (const { fromMm, toMm } of [...grooves].sort((p, q) => p.fromMm - q.fromMm)) {
    if (all.some((s) => s.fromMm < toMm - MEETS_MM && s.toMm > fromMm + MEETS_MM)) continue;
    const left = all.filter((s) => s.toMm <= fromMm + MEETS_MM).sort((p, q) => q.toMm - p.toMm)[0];
    const right = all.filter((s) => s.fromMm >= toMm - MEETS_MM).sort((p, q) => p.fromMm - q.fromMm)[0];
    if (left && (!right || gives(left, right))) put(left, { toMm: Math.max(left.toMm, toMm) });
    else if (right) put(right, { fromMm: Math.min(right.fromMm, fromMm) });
  }
  return all;
}
