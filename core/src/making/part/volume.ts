import { materialOf } from '../../book/materials';
import { keeper } from '../../terms/kept';
import { blockVolumeMm3 } from './block';
import type { ContourPoint, FeatureCut } from './feature-kind';
import { kindOf } from './features';
import { hostOf } from './host';
import { frustumMm3 } from './integrate';
import { boreOutlines, outline } from './outline';
import type { Part } from './part';

/** Volume of a body of revolution by its contour, mm³. */
const revolved = (points: readonly ContourPoint[]): number =>
  points.slice(1).reduce((s, p, i) => s + frustumMm3(p.x - points[i]!.x, points[i]!.r, p.r), 0);

/** Something milled, drilled or threaded, with what it takes away, mm³. */
interface Taken {
  readonly cut: Extract<FeatureCut, { shape: 'other' }>;
  readonly mm3: number;
}
const keepTaken = keeper<Part, readonly Taken[]>();

/** What is cut otherwise than by turning; integrated once for volume, mass and balance. Where two cross, their common part counts twice. */
export const takenFrom = (part: Part): readonly Taken[] =>
  keepTaken(part, [], () =>
    part.features.flatMap((f): Taken[] => {
      const host = hostOf(part, f.on);
      const cut = host ? kindOf(f.kind).cut(f, host) : null;
      return cut?.shape === 'other' ? [{ cut, mm3: cut.removedMm3() }] : [];
    }),
  );

/**
 * Volume of the finished part, mm³: outside by its contour, less the bores, less what is cut across.
 *
 * @param part a valid part
 */
export const volumeMm3 = (part: Part): number => (part.block ? blockVolumeMm3(part.block) : turnedMm3(part));

const turnedMm3 = (part: Part): number =>
  revolved(outline(part)) - boreOutlines(part).reduce((s, b) => s + revolved(b), 0) - takenFrom(part).reduce((s, t) => s + t.mm3, 0);

/** Mass of the finished part, kg; null when the material is unknown. */
export function massKg(part: Part): number | null {
  const material = materialOf(part.materialId);
  return material ? volumeMm3(part) * 1e-9 * material.densityKgM3 : null;
}
