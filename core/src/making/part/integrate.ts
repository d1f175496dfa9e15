/** Integral of `f` from a to b by Simpson's rule over n (even) steps; error falls with the fourth power of the step for smooth f. */
export function simpson(f: (x: number) => number, a: number, b: number, n = 200): number {
  const h = (b - a) / n;
  let sum = f(a) + f(b);
  for (let i = 1; i < n; i++) sum += (i % 2 ? 4 : 2) * f(a + i * h);
  return (sum * h) / 3;
}

/** Square root of what may fall below zero by rounding: 0 there. */
export const root = (x: number): number => Math.sqrt(Math.max(x, 0));

/** Area between a circle's arc and a chord at a distance from its centre, mm²: the segment that a flat takes off. */
export function segmentMm2(radiusMm: number, chordAtMm: number): number {
  if (chordAtMm >= radiusMm) return 0;
  return radiusMm ** 2 * Math.acos(chordAtMm / radiusMm) - chordAtMm * root(radiusMm ** 2 - chordAtMm ** 2);
}

/** Volume of a frustum of a cone, mm³. */
export const frustumMm3 = (lengthMm: number, r1: number, r2: number): number => (Math.PI * lengthMm * (r1 * r1 + r1 * r2 + r2 * r2)) / 3;
