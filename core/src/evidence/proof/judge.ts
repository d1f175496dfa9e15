export type Verdict = 'fits' | 'close' | 'out' | 'unknown';

export interface Limits {
  readonly lowerMm: number;
  readonly upperMm: number;
}

/**
 * Measured against limits with a guard band (ISO 14253-1): `fits` only when the size is inside by more than its
 * uncertainty, `out` only when outside by more than that, `close` between. A lower limit of nought, or below, is none.
 *
 * @param plusMinusMm half width of the 95 % band of the measured size
 */
export function judge(measuredMm: number, plusMinusMm: number, limits: Limits): Verdict {
  // Nothing measures less than nothing: run-out, roughness and the like have one limit only.
  const oneSided = limits.lowerMm <= 0;
  if ((oneSided || measuredMm >= limits.lowerMm + plusMinusMm) && measuredMm <= limits.upperMm - plusMinusMm) return 'fits';
  if ((!oneSided && measuredMm < limits.lowerMm - plusMinusMm) || measuredMm > limits.upperMm + plusMinusMm) return 'out';
  return 'close';
}

/** The worse of several verdicts; unknown when there is none. */
export function worst(verdicts: readonly Verdict[]): Verdict {
  const order: readonly Verdict[] = ['out', 'unknown', 'close', 'fits'];
  return order.find((v) => verdicts.includes(v)) ?? 'unknown';
}
