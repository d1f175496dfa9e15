/** From and to, mm; null where the standard sets no limit on that side. */
export interface Band {
  readonly lowerMm: number | null;
  readonly upperMm: number | null;
}

/** Limits of one class of a thread. */
export interface ThreadLimits {
  readonly side: 'outside' | 'inside';
  readonly threadClass: string;
  readonly major: Band;
  readonly pitchDiameter: Band;
  readonly minor: Band;
  readonly source: string;
}
