import { leastSquares, residualSd } from './least-squares';
import type { Side } from './diameter-reading';
import { K95 } from './harmonics';

/** How the mean size goes along the axis. */
export type ProfileKind = 'straight' | 'taper' | 'step' | 'barrel' | 'hourglass' | 'bell-mouth' | 'not known';

export interface Profile {
  readonly kind: ProfileKind;
  /** Change of diameter per mm of length, and half width of its 95 % band. */
  readonly taperPerMm: number;
  readonly taperPlusMinus: number;
  /** Middle less the line through the ends, on the diameter, mm: above 0 the middle is larger; null with fewer than three stations. */
  readonly bellyMm: number | null;
  readonly bellyPlusMinusMm: number | null;
  /** Where the size changes at once, as at the edge of a land; then taper and belly are of no use. */
  readonly step: Step | null;
}

/** A change of size between two neighbouring stations. */
export interface Step {
  readonly fromMm: number;
  readonly toMm: number;
  /** Size after less size before, and half width of its 95 % band, mm. */
  readonly riseMm: number;
  readonly plusMinusMm: number;
}

export interface ProfilePoint {
  readonly stationMm: number;
  readonly sizeMm: number;
  /** Standard uncertainty of this mean from the scatter alone, mm. */
  readonly uMm: number;
}

const words = (side: Side, belly: number): ProfileKind => (belly > 0 ? 'barrel' : side === 'inside' ? 'bell-mouth' : 'hourglass');

/** A step needs two stations more than it has sizes. */
const STEP_STATIONS = 4;
/** A step is believed where it leaves this share at most of the squares that line and curve leave. */
const STEP_SHARE = 0.25;

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
const squaresOf = (residuals: readonly number[]): number => residuals.reduce((a, r) => a + r * r, 0);

/**
 * The step that explains the stations best: two sizes, one on each side.
 *
 * @param knownMm scatter of one station's mean that the instrument explains
 * @param leftMm2 squares that the best curve leaves
 * @returns null where a curve does as well, or the change is within its own band
 */
function stepIn(points: readonly ProfilePoint[], knownMm: number, leftMm2: number): Step | null {
  // What the instrument's scatter explains needs no step.
  if (points.length < STEP_STATIONS || leftMm2 <= K95 * K95 * knownMm * knownMm) return null;
  const sorted = [...points].sort((p, q) => p.stationMm - q.stationMm);
  const at = sorted.slice(1).map((_, i) => {
    const [before, after] = [sorted.slice(0, i + 1), sorted.slice(i + 1)].map((part) => part.map((p) => p.sizeMm)) as [number[], number[]];
    const [low, high] = [mean(before), mean(after)];
    const squares = squaresOf([...before.map((v) => v - low), ...after.map((v) => v - high)]);
    return { i, squares, rise: high - low, each: 1 / before.length + 1 / after.length };
  });
  const best = at.reduce((p, q) => (q.squares < p.squares ? q : p));
  const noise = Math.max(knownMm, Math.sqrt(best.squares / (points.length - 2)));
  const plusMinusMm = K95 * noise * Math.sqrt(best.each);
  if (best.squares > STEP_SHARE * leftMm2 || Math.abs(best.rise) <= plusMinusMm) return null;
  return { fromMm: sorted[best.i]!.stationMm, toMm: sorted[best.i + 1]!.stationMm, riseMm: best.rise, plusMinusMm };
}

/**
 * Straight line and second order of size along the axis. A quantity below its own 95 % band is called straight: it cannot be told
 * from none; one size on each side of a place is a step. A hole that is wider at its ends is bell-mouthed, a shaft that is thinner in the middle an hourglass.
 *
 * @param points one a station, at least two stations, else null
 */
export function fitProfile(side: Side, points: readonly ProfilePoint[]): Profile | null {
  const xs = points.map((p) => p.stationMm);
  const from = Math.min(...xs);
  const half = (Math.max(...xs) - from) / 2;
  if (points.length < 2 || half < 1e-6) return null;
  const sizes = points.map((p) => p.sizeMm);
  const known = Math.sqrt(points.reduce((s, p) => s + p.uMm ** 2, 0) / points.length);
  // On -1 to 1 along the axis, so that the terms are of one size.
  const z = xs.map((x) => (x - from) / half - 1);
  const bent =
    points.length >= 3
      ? leastSquares(
          z.map((u) => [1, u, u * u]),
          sizes,
        )
      : null;
  const straight = leastSquares(
    z.map((u) => [1, u]),
    sizes,
  );
  if (straight === null) return null;
  const fit = bent ?? straight;
  const noise = Math.max(known, (fit.spare >= 2 ? residualSd(fit) : null) ?? 0);
  // The slope of the quadratic is the same as the line's where the stations are even; elsewhere it is the truer one.
  const taperPerMm = fit.coefficients[1]! / half;
  const taperPlusMinus = (K95 * noise * Math.sqrt(fit.unit[1]![1]!)) / half;
  const bellyMm = bent === null ? null : -bent.coefficients[2]!;
  const bellyPlusMinusMm = bent === null ? null : K95 * noise * Math.sqrt(bent.unit[2]![2]!);
  const hasBelly = bellyMm !== null && Math.abs(bellyMm) > bellyPlusMinusMm!;
  const hasTaper = Math.abs(taperPerMm) > taperPlusMinus;
  const rise = Math.abs(taperPerMm) * half;
  const step = stepIn(points, known, Math.min(...[bent, straight].flatMap((f) => (f ? [squaresOf(f.residuals)] : []))));
  const kind = step
    ? 'step'
    : hasBelly && Math.abs(bellyMm) > rise / 2
      ? words(side, bellyMm)
      : hasTaper
        ? 'taper'
        : bent === null
          ? 'not known'
          : 'straight';
  return { kind, taperPerMm, taperPlusMinus, bellyMm, bellyPlusMinusMm, step };
}
