/** A straight line through sizes along the axis. */
export interface Taper {
  /** Change of diameter per mm of length. */
  readonly perMm: number;
  /** Size of the line at the zero face, mm. */
  readonly atZeroMm: number;
}

/**
 * Least-squares line of size over station.
 *
 * @param points at least two different stations, else null: one station tells nothing of a taper
 */
export function fitTaper(points: readonly { readonly stationMm: number; readonly sizeMm: number }[]): Taper | null {
  const n = points.length;
  if (n < 2) return null;
  const meanX = points.reduce((s, p) => s + p.stationMm, 0) / n;
  const meanY = points.reduce((s, p) => s + p.sizeMm, 0) / n;
  const xx = points.reduce((s, p) => s + (p.stationMm - meanX) ** 2, 0);
  if (xx < 1e-12) return null;
  const perMm = points.reduce((s, p) => s + (p.stationMm - meanX) * (p.sizeMm - meanY), 0) / xx;
  return { perMm, atZeroMm: meanY - perMm * meanX };
}
