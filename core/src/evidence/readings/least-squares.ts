/** A linear least-squares solution y = X c. */
export interface LeastSquares {
  readonly coefficients: readonly number[];
  /** (XᵀX)⁻¹: times the variance of one reading it is the covariance of the coefficients. */
  readonly unit: readonly (readonly number[])[];
  readonly residuals: readonly number[];
  /** Readings beyond the number of coefficients. */
  readonly spare: number;
}

/** A pivot below this share of the largest diagonal means that the readings do not span the model. */
const SINGULAR = 1e-9;

/** Inverse of a small symmetric matrix by Gauss and Jordan with row pivoting; null when it is singular. */
function inverse(m: readonly (readonly number[])[]): number[][] | null {
  const n = m.length;
  const largest = Math.max(...m.map((row, i) => Math.abs(row[i]!)));
  const work = m.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))]);
  for (let k = 0; k < n; k++) {
    let best = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(work[i]![k]!) > Math.abs(work[best]![k]!)) best = i;
    if (Math.abs(work[best]![k]!) <= SINGULAR * largest) return null;
    [work[k], work[best]] = [work[best]!, work[k]!];
    const pivot = work[k]![k]!;
    work[k] = work[k]!.map((x) => x / pivot);
    for (let i = 0; i < n; i++) {
      const factor = work[i]![k]!;
      if (i !== k && factor !== 0) work[i] = work[i]!.map((x, j) => x - factor * work[k]![j]!);
    }
  }
  return work.map((row) => row.slice(n));
}

/**
 * Ordinary least squares through the normal equations: enough for the few, well scaled terms of a section or an axis.
 *
 * @param rows one row of model terms a reading
 * @returns null when there are too few readings or they do not span the model
 */
export function leastSquares(rows: readonly (readonly number[])[], y: readonly number[]): LeastSquares | null {
  const terms = rows[0]?.length ?? 0;
  if (terms === 0 || rows.length < terms) return null;
  const normal = Array.from({ length: terms }, (_, i) =>
    Array.from({ length: terms }, (_unused, j) => rows.reduce((s, r) => s + r[i]! * r[j]!, 0)),
  );
  const unit = inverse(normal);
  if (unit === null) return null;
  const right = Array.from({ length: terms }, (_, i) => rows.reduce((s, r, k) => s + r[i]! * y[k]!, 0));
  const coefficients = unit.map((row) => row.reduce((s, u, j) => s + u * right[j]!, 0));
  const residuals = rows.map((r, k) => y[k]! - r.reduce((s, x, j) => s + x * coefficients[j]!, 0));
  return { coefficients, unit, residuals, spare: rows.length - terms };
}

/** Standard deviation of one reading as the residuals show it, in their unit; null without spare readings. */
export const residualSd = ({ residuals, spare }: LeastSquares): number | null =>
  spare > 0 ? Math.sqrt(residuals.reduce((s, r) => s + r * r, 0) / spare) : null;
