import { aLength } from '../../../terms/quantity';
import type { ContourPoint, End, FeatureProblem, Host } from '../feature-kind';

/** Least metal left under or round something that is cut, mm. */
const LEAST_METAL_MM = 0.5;
const ROUNDING_MM = 1e-6;

export const END_OPTIONS: readonly (readonly [End, string])[] = [
  ['left', 'left end'],
  ['right', 'right end'],
];

/** Length of the surface, mm. */
export const lengthOf = (host: Host): number => host.surface.toMm - host.surface.fromMm;
/** A place of the part, mm from its zero face, from one that is counted from the left end of the surface. */
export const at = (host: Host, alongMm: number): number => host.surface.fromMm + alongMm;
/** Where an end of the surface lies, mm from the zero face. */
export const endAt = (host: Host, end: End): number => (end === 'left' ? host.surface.fromMm : host.surface.toMm);
/** Into the surface from an end: +1 from the left end, -1 from the right one. */
export const inward = (end: End): 1 | -1 => (end === 'left' ? 1 : -1);
/** Radius of the surface at an end, mm. */
export const radiusAtEnd = (host: Host, end: End): number => (end === 'left' ? host.surface.leftMm : host.surface.rightMm) / 2;
/** Radius beyond an end, mm; null where the part ends there. */
export const neighbour = (host: Host, end: End): number | null => (end === 'left' ? host.leftMm : host.rightMm);
/** From an end of the surface inwards, told from left to right. */
export function fromEnd(host: Host, end: End, deepMm: number): { readonly fromMm: number; readonly toMm: number } {
  const [x, y] = [endAt(host, end), endAt(host, end) + inward(end) * deepMm];
  return { fromMm: Math.min(x, y), toMm: Math.max(x, y) };
}
/** The same thing at the other end of its surface. */
export const otherEnd = <F extends { readonly end: End }>(f: F): F => ({ ...f, end: f.end === 'left' ? 'right' : 'left' });
/** The same thing counted from the other end of its surface: it reaches so far to the right of where it begins, 0 for a centre; mm. */
export const fromOtherEnd = <F extends { readonly atMm: number }>(f: F, lengthMm: number, reachMm: number): F => ({
  ...f,
  // To a millionth of a millimetre: what begins at the very end begins at 0.
  atMm: Number((lengthMm - f.atMm - reachMm).toFixed(6)) + 0,
});
/** An end that nothing stands beside is an end of the part. */
export const isPartEnd = (host: Host, end: End): boolean => neighbour(host, end) === null;
/** The middle of the surface, mm from the zero face. */
export const middle = (host: Host): number => (host.surface.fromMm + host.surface.toMm) / 2;

/** A share of the surface's length, no more than what is usual, in round tenths of a millimetre. */
export const startLength = (host: Host, usualMm: number, share = 0.5): number =>
  Math.max(Math.round(Math.min(usualMm, lengthOf(host) * share) * 10) / 10, 0.1);

/** A stretch that leaves its surface. */
export function leaves(host: Host, fromMm: number, toMm: number, field: string): FeatureProblem[] {
  return fromMm < -ROUNDING_MM || toMm > lengthOf(host) + ROUNDING_MM
    ? [{ field, message: `${host.surface.name} is ${aLength(lengthOf(host))} long: this does not lie wholly on it.` }]
    : [];
}

/** A floor that cuts nothing, or cuts through: a radius between the surface and what lies beyond it. */
export function badFloor(host: Host, floorMm: number, atMm: number, field: string): FeatureProblem[] {
  const [surface, beyond] = [host.radiusAt(atMm), host.beyondAt(atMm)];
  const outside = host.surface.side === 'outside';
  if (outside ? floorMm >= surface - ROUNDING_MM : floorMm <= surface + ROUNDING_MM)
    return [{ field, message: `It cuts nothing: the surface there is ${aLength(2 * surface)} across.` }];
  const left = outside ? floorMm - beyond : beyond - floorMm;
  return left < LEAST_METAL_MM ? [{ field, message: outside ? 'It leaves no metal under it.' : 'It breaks through to the outside.' }] : [];
}

/** A groove with square walls: its corners as a contour. */
export const boxGroove = (host: Host, fromMm: number, widthMm: number, floorMm: number): ContourPoint[] => [
  { x: fromMm, r: host.radiusAt(fromMm) },
  { x: fromMm, r: floorMm },
  { x: fromMm + widthMm, r: floorMm },
  { x: fromMm + widthMm, r: host.radiusAt(fromMm + widthMm) },
];

const ARC_STEPS = 12;

/** A groove whose floor meets its walls by a radius, no larger than its depth or half its width. */
export function roundGroove(host: Host, fromMm: number, widthMm: number, floorMm: number, cornerMm: number): ContourPoint[] {
  const out = host.surface.side === 'outside' ? 1 : -1;
  const depth = Math.min(...[fromMm, fromMm + widthMm].map((x) => Math.abs(host.radiusAt(x) - floorMm)));
  const r = Math.min(cornerMm, depth, widthMm / 2);
  if (r <= 0) return boxGroove(host, fromMm, widthMm, floorMm);
  const arc = (centreMm: number, fromDeg: number): ContourPoint[] =>
    Array.from({ length: ARC_STEPS + 1 }, (_, i) => {
      const a = ((fromDeg + (90 * i) / ARC_STEPS) * Math.PI) / 180;
      return { x: centreMm + r * Math.cos(a), r: floorMm + out * (r + r * Math.sin(a)) };
    });
  return [
    { x: fromMm, r: host.radiusAt(fromMm) },
    ...arc(fromMm + r, 180),
    ...arc(fromMm + widthMm - r, 270),
    { x: fromMm + widthMm, r: host.radiusAt(fromMm + widthMm) },
  ];
}

/** What is cut across a surface is worked out over a cylinder. */
export const needsCylinder = (host: Host): FeatureProblem[] =>
  host.surface.kind === 'taper' ? [{ field: 'on', message: `It is cut into a cylinder here, and ${host.surface.name} is a taper.` }] : [];
