import type { EndLine } from '../feature-kind';
import { root } from '../integrate';

/** Corners of a circle that is drawn as lines. */
const CORNERS = 72;

/** Walls and floor of what is cut along the axis into a round: across from `-halfMm` to `halfMm`, its floor so far from the axis; out to the round. */
export function slotLine(roundMm: number, halfMm: number, floorMm: number): EndLine {
  const mouth = root(roundMm * roundMm - halfMm * halfMm);
  return {
    points: [
      [-halfMm, mouth],
      [-halfMm, floorMm],
      [halfMm, floorMm],
      [halfMm, mouth],
    ],
  };
}

/** A circle that does not lie round the axis, mm. */
export const circleLine = (outMm: number, radiusMm: number, acrossMm = 0): EndLine => ({
  points: Array.from({ length: CORNERS + 1 }, (_, i) => {
    const turn = (2 * Math.PI * i) / CORNERS;
    return [acrossMm + radiusMm * Math.sin(turn), outMm + radiusMm * Math.cos(turn)] as const;
  }),
});

/** The same line turned on about the axis, clockwise as seen from the right end, degrees. */
export function turnedOn({ points, hidden }: EndLine, deg: number): EndLine {
  const [sin, cos] = [Math.sin((deg * Math.PI) / 180), Math.cos((deg * Math.PI) / 180)];
  return { points: points.map(([u, v]) => [u * cos + v * sin, v * cos - u * sin] as const), ...(hidden ? { hidden } : {}) };
}
