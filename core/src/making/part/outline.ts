import { keeper } from '../../terms/kept';
import type { ContourPoint } from './feature-kind';
import { kindOf } from './features';
import { hostOf, placed } from './host';
import type { Part } from './part';
import type { PlacedSurface } from './surface';

/** A point of the outline: along the axis and off it, mm. */
export type OutlinePoint = ContourPoint;

const SAME_MM = 1e-9;

/** Contours of what is turned into a surface, from left to right. */
function cutsOf(part: Part, surfaceId: string): (readonly ContourPoint[])[] {
  const host = hostOf(part, surfaceId);
  if (!host) return [];
  return part.features
    .filter((f) => f.on === surfaceId)
    .flatMap((f) => {
      const cut = kindOf(f.kind).cut(f, host);
      return cut.shape === 'turned' ? [cut.contour] : [];
    })
    .sort((p, q) => p[0]!.x - q[0]!.x);
}

function contourOf(part: Part, row: readonly PlacedSurface[]): OutlinePoint[] {
  return [...row]
    .sort((p, q) => p.fromMm - q.fromMm)
    .flatMap((s) => {
      const cuts = cutsOf(part, s.id);
      const first = cuts[0]?.[0];
      const last = cuts.at(-1)?.at(-1);
      return [
        ...(first && Math.abs(first.x - s.fromMm) < SAME_MM ? [] : [{ x: s.fromMm, r: s.leftMm / 2 }]),
        ...cuts.flat(),
        ...(last && Math.abs(last.x - s.toMm) < SAME_MM ? [] : [{ x: s.toMm, r: s.rightMm / 2 }]),
      ];
    });
}

const keepOutline = keeper<Part, readonly OutlinePoint[]>();

/** The outside contour from the zero face to the far end with all that is turned into it; starts and ends on the part, not on the axis. */
export const outline = (part: Part): readonly OutlinePoint[] => keepOutline(part, [], () => contourOf(part, placed(part).outside));

/** The contour of each bore from left to right. */
export const boreOutlines = (part: Part): OutlinePoint[][] => placed(part).bores.map((row) => contourOf(part, row));
