/** A depth to a groove measured twice: directly to its outer wall, and over the ring fitted in it. */
export interface DepthCheckInput {
  /** From the zero face to the groove's wall nearest to it, mm. */
  readonly directMm: number;
  /** From the zero face to the face of the ring that was read, mm. */
  readonly overRingMm: number;
  readonly ringMm: number;
  readonly grooveWidthMm: number;
  /** The wall that the ring lies against: the one nearest to the zero face, or the far one. */
  readonly restsOn: 'near' | 'far';
  /** The ring's face that was read. */
  readonly face: 'near' | 'far';
  /** Half width of the 95 % band of the difference of both readings, mm. */
  readonly plusMinusMm: number;
}

export interface DepthCheck {
  /** Depth of the near wall by way of the ring, mm. */
  readonly byRingMm: number;
  readonly differenceMm: number;
  /** The ring's room in its groove, and the uncertainty: more than this cannot be. */
  readonly allowedMm: number;
  readonly agree: boolean;
}

/** Depth of the groove's wall nearest to the zero face by way of the ring, which lies against the wall that is told, mm. */
export const nearWallByRing = (i: Pick<DepthCheckInput, 'overRingMm' | 'ringMm' | 'grooveWidthMm' | 'restsOn' | 'face'>): number =>
  i.overRingMm - (i.face === 'far' ? i.ringMm : 0) - (i.restsOn === 'far' ? Math.max(i.grooveWidthMm - i.ringMm, 0) : 0);

/**
 * Holds a depth over the fitted ring against the direct one. The ring may stand anywhere in its groove, so that the two may differ
 * by the groove's width less the ring's thickness, and by what the instruments leave open, and by no more.
 */
export function depthCheck(i: DepthCheckInput): DepthCheck {
  const room = Math.max(i.grooveWidthMm - i.ringMm, 0);
  const byRingMm = nearWallByRing(i);
  const differenceMm = byRingMm - i.directMm;
  const allowedMm = room + i.plusMinusMm;
  return { byRingMm, differenceMm, allowedMm, agree: Math.abs(differenceMm) <= allowedMm };
}
