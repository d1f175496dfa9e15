import type { Side } from './diameter-reading';

/** The size in one direction, with the standard uncertainty of that mean from the scatter alone, mm. */
export interface DirectionSize {
  readonly deg: number;
  readonly meanMm: number;
  readonly uMm: number;
}

/** An interval that holds the truth at 95 %, mm. */
export interface Interval {
  readonly lowMm: number;
  readonly highMm: number;
  /** The most probable value in it: the mean of what the readings leave open. */
  readonly middleMm: number;
}

/** What a few directions leave open of a section that may be round, oval, worn on one side, or both. */
export interface SectionEnds {
  readonly smallest: Interval;
  readonly largest: Interval;
  readonly mean: Interval;
  /** Share of belief in each kind of shape; they sum to 1. */
  readonly belief: Readonly<Record<'round' | 'oval' | 'arc' | 'both', number>>;
}

// Held once: the innermost loops ask for them many thousand times a section.
const { abs, cos, exp, log, max, sign: signOf, sin, sqrt } = Math;

/** Belief in each kind before anything is read: one-sided wear is the usual kind. */
const PRIOR = { round: 0.15, oval: 0.23, arc: 0.35, both: 0.27 } as const;
/** Arc widths that are tried, degrees; narrower than the step between directions cannot be seen and is not guessed at. */
const WIDTHS_DEG = [40, 55, 70, 90, 110, 130, 155, 180] as const;
const PHASE_STEP_DEG = 9;
const SCAN_STEP_DEG = 4;
/** Depth of wear that is thought possible, as a multiple of what the readings span, and at least this many uncertainties. */
const SPAN_TIMES = 1.2;
const LEAST_SCALE_U = 1.5;
/** Two directions at a right angle show nothing of an oval that lies between them: the same for them. */
const TWO_SPAN_TIMES = 2.5;
const TWO_LEAST_SCALE_U = 6;
const TAIL = 0.025;
/** An arc is seen when it is nearly as wide as the step between directions. */
const SEEN_SHARE = 0.85;
/** A real worn arc strays from the crescent by this share of what the readings span, from this share of its depth on. */
const STRAY_SHARE = 0.18;
const STRAY_FROM = 0.02;
const LEAST_SIDED = 1e-12;
const NEGLIGIBLE = 4e-3;
const REACH_SD = 5;
const HALVINGS = 18;

const rad = (deg: number): number => (deg * Math.PI) / 180;

/** Rise of the radius over a worn arc, 1 in its middle and 0 at its ends: a pin that lay in a hole leaves a crescent. */
function crescent(offDeg: number, widthDeg: number): number {
  const off = abs((((offDeg % 360) + 540) % 360) - 180);
  if (off >= widthDeg / 2) return 0;
  const edge = cos(rad(widthDeg / 2));
  return (cos(rad(off)) - edge) / (1 - edge);
}

const arcDiameter = (deg: number, middleDeg: number, widthDeg: number): number =>
  crescent(deg - middleDeg, widthDeg) + crescent(deg + 180 - middleDeg, widthDeg);

/** A shape up to its size and depths: columns of what its parts are worth in each measured direction, and over the half circle. */
interface Basis {
  readonly kind: keyof typeof PRIOR;
  /** Size itself, then cosine and sine of an oval, then an arc, whichever it has. */
  readonly at: readonly Float64Array[];
  readonly all: readonly Float64Array[];
  /** The arc's column, or -1 where it has none. */
  readonly arc: number;
  readonly logShare: number;
}

/** A normal for each of smallest, largest and mean. */
interface Part {
  readonly weight: number;
  readonly mean: readonly [number, number, number];
  readonly sd: readonly [number, number, number];
}

const SCAN = Array.from({ length: 180 / SCAN_STEP_DEG }, (_, i) => i * SCAN_STEP_DEG);
const phases = (step: number): number[] => Array.from({ length: 180 / step }, (_, i) => i * step);

/** Every shape that the directions could tell, as columns: made once for a set of directions. */
function basesFor(degs: readonly number[]): Basis[] {
  const stepDeg = 180 / degs.length;
  interface Column {
    readonly at: Float64Array;
    readonly all: Float64Array;
  }
  const column = (f: (deg: number) => number): Column => ({ at: Float64Array.from(degs, f), all: Float64Array.from(SCAN, f) });
  const size = column(() => 1);
  const oval = [column((d) => cos(2 * rad(d))), column((d) => sin(2 * rad(d)))];
  // In terms of diameters an arc and the one opposite look alike.
  const arcs = WIDTHS_DEG.filter((w) => w >= SEEN_SHARE * stepDeg).flatMap((w) =>
    phases(PHASE_STEP_DEG).map((p) => column((d) => arcDiameter(d, p, w))),
  );
  const member = (kind: Basis['kind'], columns: readonly Column[], arc: number, of: number): Basis => ({
    kind,
    at: columns.map((c) => c.at),
    all: columns.map((c) => c.all),
    arc,
    logShare: log(PRIOR[kind] / of),
  });
  return [
    member('round', [size], -1, 1),
    member('oval', [size, ...oval], -1, 1),
    ...arcs.map((a) => member('arc', [size, a], 1, arcs.length)),
    ...arcs.map((a) => member('both', [size, ...oval, a], 3, arcs.length)),
  ];
}

const kept = new Map<string, Basis[]>();
const MOST_KEPT = 12;
function keptBases(degs: readonly number[]): Basis[] {
  const key = degs.join(' ');
  const there = kept.get(key);
  if (there) return there;
  if (kept.size >= MOST_KEPT) kept.clear();
  const fresh = basesFor(degs);
  kept.set(key, fresh);
  return fresh;
}

/** Standard normal distribution function (Abramowitz and Stegun 7.1.26, absolute error below 1.5e-7). */
function phi(z: number): number {
  const x = abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const erf = 1 - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * exp(-x * x);
  return 0.5 * (1 + signOf(z) * erf);
}

/** What the weighing of one section shares. */
interface Weighing {
  readonly y: readonly number[];
  readonly variance: readonly number[];
  /** Depth that is thought possible, and how far a real worn arc strays from the crescent, mm. */
  readonly scaleMm: number;
  readonly strayMm: number;
  readonly sign: 1 | -1;
}

/** Inverse of a small symmetric positive matrix by Gauss and Jordan, in place; returns the logarithm of its determinant. */
function invertInPlace(m: Float64Array, n: number): number {
  let logDet = 0;
  for (let k = 0; k < n; k++) {
    const pivot = m[k * n + k]!;
    logDet += log(pivot);
    m[k * n + k] = 1;
    for (let j = 0; j < n; j++) m[k * n + j]! /= pivot;
    for (let i = 0; i < n; i++) {
      if (i === k) continue;
      const factor = m[i * n + k]!;
      m[i * n + k] = 0;
      for (let j = 0; j < n; j++) m[i * n + j]! -= factor * m[k * n + j]!;
    }
  }
  return logDet;
}

/** One shape weighed against the readings: size and depths are normal, so is the evidence, in closed form. */
function weigh(b: Basis, { y, variance, scaleMm, strayMm, sign }: Weighing): { readonly log: number; readonly part: Part } {
  const n = b.at.length;
  const normal = new Float64Array(n * n);
  const right = new Float64Array(n);
  const prior = 1 / (scaleMm * scaleMm);
  for (let k = 1; k < n; k++) normal[k * n + k] = prior;
  let [squares, logW] = [0, 0];
  for (let i = 0; i < y.length; i++) {
    // Where it is worn it strays from the believed profile; where it never wore it is as good as the reading.
    const stray = b.arc >= 0 && b.at[b.arc]![i]! > STRAY_FROM ? strayMm : 0;
    const w = 1 / (variance[i]! + stray * stray);
    const v = y[i]!;
    for (let p = 0; p < n; p++) {
      const x = w * b.at[p]![i]!;
      right[p]! += x * v;
      for (let q = 0; q < n; q++) normal[p * n + q]! += x * b.at[q]![i]!;
    }
    squares += w * v * v;
    logW += log(w);
  }
  const logDet = invertInPlace(normal, n);
  const c = new Float64Array(n);
  for (let p = 0; p < n; p++) for (let q = 0; q < n; q++) c[p]! += normal[p * n + q]! * right[q]!;
  let misfit = squares;
  for (let p = 0; p < n; p++) misfit -= c[p]! * right[p]!;
  const sided = b.arc < 0 ? 0 : log(max(2 * phi((sign * c[b.arc]!) / sqrt(normal[b.arc * n + b.arc]!)), LEAST_SIDED));
  const evidence = b.logShare + 0.5 * (logW - misfit - logDet + (n - 1) * log(prior)) + sided;

  let [low, high, lowAt, highAt] = [Infinity, -Infinity, 0, 0];
  const sums = new Float64Array(n);
  for (let i = 0; i < SCAN.length; i++) {
    let value = 0;
    for (let p = 0; p < n; p++) {
      const x = b.all[p]![i]!;
      value += c[p]! * x;
      sums[p]! += x / SCAN.length;
    }
    if (value < low) [low, lowAt] = [value, i];
    if (value > high) [high, highAt] = [value, i];
  }
  const sdOf = (x: (p: number) => number, stray: number): number => {
    let own = stray * stray;
    for (let p = 0; p < n; p++) for (let q = 0; q < n; q++) own += x(p) * normal[p * n + q]! * x(q);
    return sqrt(max(own, 1e-18));
  };
  const strayAt = (i: number): number => (b.arc >= 0 && b.all[b.arc]![i]! > STRAY_FROM ? strayMm : 0);
  let mean = 0;
  for (let p = 0; p < n; p++) mean += c[p]! * sums[p]!;
  return {
    log: evidence,
    part: {
      weight: 0,
      mean: [low, high, mean],
      sd: [
        sdOf((p) => b.all[p]![lowAt]!, strayAt(lowAt)),
        sdOf((p) => b.all[p]![highAt]!, strayAt(highAt)),
        sdOf((p) => sums[p]!, b.arc < 0 ? 0 : sums[b.arc]! * strayMm),
      ],
    },
  };
}

/** Both tails of a mixture of normals, by halving. */
function intervalOf(parts: readonly Part[], which: 0 | 1 | 2): Interval {
  const below = (x: number): number => {
    let sum = 0;
    for (const p of parts) sum += p.weight * phi((x - p.mean[which]) / p.sd[which]);
    return sum;
  };
  const least = Math.min(...parts.map((p) => p.mean[which] - REACH_SD * p.sd[which]));
  const most = max(...parts.map((p) => p.mean[which] + REACH_SD * p.sd[which]));
  const quantile = (share: number): number => {
    let [low, high] = [least, most];
    for (let i = 0; i < HALVINGS; i++) {
      const mid = (low + high) / 2;
      if (below(mid) < share) low = mid;
      else high = mid;
    }
    return (low + high) / 2;
  };
  return { lowMm: quantile(TAIL), highMm: quantile(1 - TAIL), middleMm: parts.reduce((s, p) => s + p.weight * p.mean[which], 0) };
}

/**
 * What the directions of one section leave open of its smallest, its largest and its mean: a mixture over round, oval, worn on one side
 * (a crescent of 40 to 180°), and both, each weighed by how well it explains the readings. Where four directions cannot tell an oval
 * from an arc, the interval holds what either would make of it; with more directions the data decide. Arcs narrower than the step
 * between two directions are not guessed at.
 *
 * @param side a hole wears larger, a shaft smaller
 * @param directions at least two, each once
 */
export function sectionEnds(side: Side, directions: readonly DirectionSize[]): SectionEnds {
  const base = directions[0]!.meanMm;
  const y = directions.map((d) => d.meanMm - base);
  const spanMm = max(...y) - Math.min(...y);
  const uMm = max(...directions.map((d) => d.uMm));
  const two = directions.length === 2;
  const weighing: Weighing = {
    y,
    variance: directions.map((d) => d.uMm * d.uMm),
    scaleMm: two ? max(TWO_SPAN_TIMES * spanMm, TWO_LEAST_SCALE_U * uMm) : max(SPAN_TIMES * spanMm, LEAST_SCALE_U * uMm),
    strayMm: STRAY_SHARE * spanMm,
    sign: side === 'inside' ? 1 : -1,
  };
  const bases = keptBases(directions.map((d) => d.deg));
  const weighed = bases.map((b) => weigh(b, weighing));
  const top = weighed.reduce((m, w) => max(m, w.log), -Infinity);
  const belief = { round: 0, oval: 0, arc: 0, both: 0 };
  let total = 0;
  const parts: Part[] = [];
  weighed.forEach((w, i) => {
    const weight = exp(w.log - top);
    total += weight;
    belief[bases[i]!.kind] += weight;
    if (weight > NEGLIGIBLE) parts.push({ ...w.part, weight });
  });
  for (const kind of Object.keys(belief) as (keyof typeof belief)[]) belief[kind] /= total;
  const kept = parts.reduce((s, p) => s + p.weight, 0);
  const even = parts.map((p) => ({ ...p, weight: p.weight / kept }));
  const shifted = (i: Interval): Interval => ({ lowMm: i.lowMm + base, highMm: i.highMm + base, middleMm: i.middleMm + base });
  return {
    smallest: shifted(intervalOf(even, 0)),
    largest: shifted(intervalOf(even, 1)),
    mean: shifted(intervalOf(even, 2)),
    belief,
  };
}
