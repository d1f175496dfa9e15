import { placeSegments, type TurnedPart } from './turned-part';

/** A point of the outline: along the axis and off it, mm. */
export interface OutlinePoint {
  readonly x: number;
  readonly r: number;
}

/** The outside contour from the zero face to the far end, chamfers as lines; starts and ends on the part, not on the axis. */
export function outline(part: Pick<TurnedPart, 'segments'>): OutlinePoint[] {
  return placeSegments(part).flatMap((s) => {
    const r = s.diameterMm / 2;
    const { fromMm, toMm, chamferLeftMm: left, chamferRightMm: right } = s;
    return [
      ...(left > 0 ? [{ x: fromMm, r: r - left }] : []),
      { x: fromMm + left, r },
      { x: toMm - right, r },
      ...(right > 0 ? [{ x: toMm, r: r - right }] : []),
    ];
  });
}
