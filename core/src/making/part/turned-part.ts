/**
 * A turned part: segments one after another along the axis from the zero face (x = 0) to the right.
 * Lengths and diameters in mm. The first segment of a headed pin or flanged bush is its head.
 */
export interface TurnedPart {
  readonly name: string;
  readonly materialId: string;
  readonly segments: readonly Segment[];
  readonly bore: Bore | null;
  readonly crossHoles: readonly CrossHole[];
}

export interface Segment {
  readonly id: string;
  readonly kind: 'head' | 'cylinder';
  readonly name: string;
  readonly lengthMm: number;
  readonly diameterMm: number;
  /** 45° chamfer, mm along the axis, at the left and right end; 0 for none. */
  readonly chamferLeftMm: number;
  readonly chamferRightMm: number;
  /** Places of the mates that this diameter must fit, through the chosen fits; empty when the diameter is as typed. */
  readonly fitsPlaceIds: readonly string[];
}

/** A bore from the zero face; through when its depth is null. */
export interface Bore {
  readonly diameterMm: number;
  readonly depthMm: number | null;
}

export interface CrossHole {
  readonly id: string;
  readonly diameterMm: number;
  /** Centre from the zero face, mm. */
  readonly atMm: number;
  /** Direction of the hole's axis round the clock, degrees. */
  readonly clockDeg: number;
}

/** Where a segment lies along the axis. */
export interface PlacedSegment extends Segment {
  readonly fromMm: number;
  readonly toMm: number;
}

export const partLengthMm = (part: Pick<TurnedPart, 'segments'>): number => part.segments.reduce((s, q) => s + q.lengthMm, 0);

export const largestDiameterMm = (part: Pick<TurnedPart, 'segments'>): number => Math.max(0, ...part.segments.map((s) => s.diameterMm));

/** Segments with their places from the zero face. */
export function placeSegments(part: Pick<TurnedPart, 'segments'>): PlacedSegment[] {
  let at = 0;
  return part.segments.map((s) => {
    const placed = { ...s, fromMm: at, toMm: at + s.lengthMm };
    at += s.lengthMm;
    return placed;
  });
}
