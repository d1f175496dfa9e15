import { materialOf } from '../../book/materials';
import { blockVolumeMm3 } from './block';
import type { ContourPoint } from './feature-kind';
import { kindOf } from './features';
import { hostOf } from './host';
import { frustumMm3 } from './integrate';
import { boreOutlines, outline } from './outline';
import type { Part } from './part';

/** Volume of a body of revolution by its contour, mm³. */
const revolved = (points: readonly ContourPoint[]): number =>
  points.slice(1).reduce((s, p, i) => s + frustumMm3(p.x - points[i]!.x, points[i]!.r, p.r), 0);

/** What milling, drilling and threading take away, mm³. Where two of them cross, their common part counts twice. */
const removedMm3 = (part: Part): number =>
  part.features.reduce((sum, f) => {
    const host = hostOf(part, f.on);
    const cut = host ? kindOf(f.kind).cut(f, host) : null;
    return sum + (cut?.shape === 'other' ? cut.removedMm3() : 0);
  }, 0);

/**
 * Volume of the finished part, mm³: outside by its contour, less the bores, less what is cut across.
 *
 * @param part a valid part
 */
export const volumeMm3 = (part: Part): number => (part.block ? blockVolumeMm3(part.block) : turnedMm3(part));

const turnedMm3 = (part: Part): number =>
  revolved(outline(part)) - boreOutlines(part).reduce((s, b) => s + revolved(b), 0) - removedMm3(part);

/** Mass of the finished part, kg; null when the material is unknown. */
export function massKg(part: Part): number | null {
  const material = materialOf(part.materialId);
  return material ? volumeMm3(part) * 1e-9 * material.densityKgM3 : null;
}
