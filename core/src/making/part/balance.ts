import { materialOf } from '../../book/materials';
import type { ContourPoint } from './feature-kind';
import { boreOutlines, outline } from './outline';
import type { Part } from './part';
import { takenFrom, volumeMm3 } from './volume';

/** First moment of a frustum about the plane x = 0, mm⁴: π ∫ x r² dx with r going evenly from r1 to r2. */
function momentMm4(from: ContourPoint, to: ContourPoint): number {
  const [l, r1, r2] = [to.x - from.x, from.r, to.r];
  const volume = (l * (r1 * r1 + r1 * r2 + r2 * r2)) / 3;
  const beyond = (l * l * (r1 * r1 + 2 * r1 * r2 + 3 * r2 * r2)) / 12;
  return Math.PI * (from.x * volume + beyond);
}

const momentOf = (points: readonly ContourPoint[]): number => points.slice(1).reduce((s, p, i) => s + momentMm4(points[i]!, p), 0);

/**
 * Where a turned part balances, mm from its zero face. What is milled or drilled counts at the middle of where it lies: exact for a keyseat closed or open
 * at both ends, a hole, flats; of one that is open at one end it is out by a share of its round.
 *
 * @returns null for a block, and for a part without a body
 */
export function balancesAtMm(part: Part): number | null {
  const volume = part.block ? 0 : volumeMm3(part);
  if (volume <= 0) return null;
  const cuts = takenFrom(part).reduce((sum, { cut: { marks }, mm3 }) => {
    if (!marks.length) return sum;
    const ends = marks.flatMap((m) => (m.kind === 'circle' ? [m.atMm - m.radiusMm, m.atMm + m.radiusMm] : [m.fromMm, m.toMm]));
    return sum + (mm3 * (Math.min(...ends) + Math.max(...ends))) / 2;
  }, 0);
  return (momentOf(outline(part)) - boreOutlines(part).reduce((s, b) => s + momentOf(b), 0) - cuts) / volume;
}

/** How far a part is out of balance about its axis, and where it is heavy. */
export interface Unbalance {
  /** Mass times how far its middle lies off the axis, g mm. */
  readonly gMm: number;
  /** Clock angle of the heavy side, degrees. */
  readonly clockDeg: number;
}

const STILL_GMM = 1e-6;
const KG_MM_TO_G_MM = 1000;

/**
 * Unbalance of the eccentric stretches of a turned part about its own axis: each is its own mass, throw off the axis, at its clock angle (ISO 21940-2:
 * mass times eccentricity). A bore through it lies on the axis and takes no moment away. Keyseats, holes across and bores beside the axis are not in it: what is bored so runs about that bore.
 *
 * @returns null without an eccentric stretch, and where the material is not known
 */
export function unbalanceOf(part: Part): Unbalance | null {
  const density = materialOf(part.materialId)?.densityKgM3;
  const eccentrics = part.features.flatMap((f) => (f.kind === 'eccentric' ? [f] : []));
  if (!density || !eccentrics.length) return null;
  const [x, y] = eccentrics.reduce(
    ([sx, sy], f) => {
      const kg = (Math.PI / 4) * f.diameterMm ** 2 * f.lengthMm * 1e-9 * density;
      const t = (f.clockDeg * Math.PI) / 180;
      return [sx + kg * f.throwMm * Math.cos(t), sy + kg * f.throwMm * Math.sin(t)];
    },
    [0, 0] as [number, number],
  );
  const gMm = Math.hypot(x, y) * KG_MM_TO_G_MM;
  return { gMm, clockDeg: gMm < STILL_GMM ? 0 : ((Math.atan2(y, x) * 180) / Math.PI + 360) % 360 };
}
