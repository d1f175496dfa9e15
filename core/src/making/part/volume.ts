import { materialOf } from '../../book/materials';
import { outline } from './outline';
import { partLengthMm, placeSegments, type TurnedPart } from './turned-part';

const frustum = (length: number, r1: number, r2: number): number => (Math.PI * length * (r1 * r1 + r1 * r2 + r2 * r2)) / 3;

/** Common volume of a cylinder of diameter D and a radial through hole d, by Simpson's rule over the hole's width, mm³. */
function crossHoleMm3(cylinderMm: number, holeMm: number): number {
  const R = cylinderMm / 2;
  const r = holeMm / 2;
  const n = 200;
  const h = (2 * r) / n;
  let sum = 0;
  for (let i = 0; i <= n; i++) {
    const y = -r + i * h;
    const weight = i === 0 || i === n ? 1 : i % 2 ? 4 : 2;
    sum += weight * 4 * Math.sqrt(Math.max(r * r - y * y, 0)) * Math.sqrt(Math.max(R * R - y * y, 0));
  }
  return (sum * h) / 3;
}

/**
 * Volume of the finished part, mm³. A cross hole in a bored part is counted over the solid section less the bore.
 *
 * @param part a valid part
 */
export function volumeMm3(part: TurnedPart): number {
  const points = outline(part);
  const outside = points.slice(1).reduce((s, p, i) => s + frustum(p.x - points[i]!.x, points[i]!.r, p.r), 0);
  const boreDepth = part.bore ? (part.bore.depthMm ?? partLengthMm(part)) : 0;
  const bore = part.bore ? (Math.PI / 4) * part.bore.diameterMm ** 2 * boreDepth : 0;
  const placed = placeSegments(part);
  const holes = part.crossHoles.reduce((s, hole) => {
    const at = placed.find((q) => hole.atMm >= q.fromMm && hole.atMm <= q.toMm);
    if (!at) return s;
    const overBore =
      part.bore && hole.atMm < boreDepth ? crossHoleMm3(part.bore.diameterMm, Math.min(hole.diameterMm, part.bore.diameterMm)) : 0;
    return s + crossHoleMm3(at.diameterMm, hole.diameterMm) - overBore;
  }, 0);
  return outside - bore - holes;
}

/** Mass of the finished part, kg; null when the material is unknown. */
export function massKg(part: TurnedPart): number | null {
  const material = materialOf(part.materialId);
  return material ? volumeMm3(part) * 1e-9 * material.densityKgM3 : null;
}
