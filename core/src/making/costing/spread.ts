/** A span of what something may take: one in ten is under `low`, one in two under `likely`, one in ten over `high`. */
export interface ThreePoint {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** Swanson's rule: weights of the tenth, fiftieth and ninetieth hundredth that keep mean and variance of skewed spans. */
const WEIGHTS = [0.3, 0.4, 0.3] as const;
/** Ninetieth hundredth of the normal distribution. */
const Z90 = 1.2815515655446004;
/** How much the acts of one job err together: the same hand, the same rust, the same optimist. An estimate of the shop. */
export const TOGETHER = 0.3;

/** Mean of a span, in its unit. */
export const meanOf3 = ({ low, likely, high }: ThreePoint): number => WEIGHTS[0] * low + WEIGHTS[1] * likely + WEIGHTS[2] * high;

/** Standard deviation of a span, in its unit. */
export function deviationOf3(span: ThreePoint): number {
  const mean = meanOf3(span);
  const { low, likely, high } = span;
  return Math.sqrt(WEIGHTS[0] * (low - mean) ** 2 + WEIGHTS[1] * (likely - mean) ** 2 + WEIGHTS[2] * (high - mean) ** 2);
}

/** A span times a factor. */
export const scaled = ({ low, likely, high }: ThreePoint, by: number): ThreePoint => ({
  low: low * by,
  likely: likely * by,
  high: high * by,
});

/** A sum of spans: its mean, and the span around it. */
export interface Together extends ThreePoint {
  readonly mean: number;
}

/**
 * What spans come to together: means add, variances add with what they err together, and the sum is taken as lognormal by its
 * first two moments (Fenton and Wilkinson).
 *
 * @param spans none of them below 0, in one unit; nothing comes to 0
 */
export function together(spans: readonly ThreePoint[]): Together {
  const mean = spans.reduce((sum, s) => sum + meanOf3(s), 0);
  const each = spans.map(deviationOf3);
  const sum = each.reduce((a, b) => a + b, 0);
  const squares = each.reduce((a, b) => a + b * b, 0);
  const variance = (1 - TOGETHER) * squares + TOGETHER * sum * sum;
  if (mean <= 0) return { mean: 0, low: 0, likely: 0, high: 0 };
  const s = Math.sqrt(Math.log(1 + variance / mean ** 2));
  const likely = mean / Math.exp((s * s) / 2);
  return { mean, likely, low: likely * Math.exp(-Z90 * s), high: likely * Math.exp(Z90 * s) };
}
