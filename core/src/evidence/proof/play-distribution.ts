import { normalDraws, seededRandom } from './random';

/** What is known of the pin and its hole, at 20 °C, mm. */
export interface PlayInputs {
  readonly pinMm: number;
  readonly pinPlusMinusMm: number;
  readonly holeSmallestMm: number;
  readonly holeLargestMm: number;
  readonly holePlusMinusMm: number;
  readonly draws: number;
  readonly seed: number;
}

/** Play as a distribution: where in the hole the pin bears is taken as equally likely from the smallest to the largest size. */
export interface PlayDistribution {
  readonly draws: number;
  readonly meanMm: number;
  readonly lowMm: number;
  readonly highMm: number;
  /** Share of draws with no play at all. */
  readonly bindsShare: number;
  readonly bins: readonly { readonly fromMm: number; readonly toMm: number; readonly count: number }[];
}

const BINS = 40;
/** Draws between two reports of progress. */
const DRAWS_A_STEP = 20_000;

/**
 * Draws plays in steps, so that a worker can report and stop between them.
 *
 * @yields draws done so far
 * @returns the distribution; low and high hold 95 % of the draws
 */
export function* drawPlay(input: PlayInputs): Generator<number, PlayDistribution, void> {
  const uniform = seededRandom(input.seed);
  const normal = normalDraws(uniform);
  const plays = new Float64Array(input.draws);
  for (let i = 0; i < input.draws; i++) {
    const place = input.holeSmallestMm + uniform() * (input.holeLargestMm - input.holeSmallestMm);
    const hole = place + (normal() * input.holePlusMinusMm) / 2;
    plays[i] = hole - (input.pinMm + (normal() * input.pinPlusMinusMm) / 2);
    if ((i + 1) % DRAWS_A_STEP === 0) yield i + 1;
  }
  return summarise(plays);
}

function summarise(plays: Float64Array): PlayDistribution {
  const sorted = plays.sort();
  const n = sorted.length;
  const at = (share: number): number => sorted[Math.min(Math.floor(share * n), n - 1)]!;
  const first = sorted[0]!;
  const width = (sorted[n - 1]! - first) / BINS || 1e-6;
  const counts = new Array<number>(BINS).fill(0);
  let sum = 0;
  let binds = 0;
  for (const play of sorted) {
    sum += play;
    if (play <= 0) binds++;
    counts[Math.min(Math.floor((play - first) / width), BINS - 1)]!++;
  }
  return {
    draws: n,
    meanMm: sum / n,
    lowMm: at(0.025),
    highMm: at(0.975),
    bindsShare: binds / n,
    bins: counts.map((count, i) => ({ fromMm: first + i * width, toMm: first + (i + 1) * width, count })),
  };
}

/** All draws in one go. */
export function playDistribution(input: PlayInputs): PlayDistribution {
  const steps = drawPlay(input);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}
