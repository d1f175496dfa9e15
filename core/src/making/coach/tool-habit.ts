import { diameterForCrossDial, type Lathe } from '../setups';

/** One cut on record: where the cross slide stood and what came out, at 20 °C. */
export interface CutRecord {
  /** Reading of the cross-slide dial, in its own unit; grows as the tool moves towards the axis. */
  readonly dial: number;
  readonly measuredMm: number;
}

/**
 * One way a tool may take less than it is asked, with how much it is believed: of what stands before the tool it is pushed away from a share
 * `spring`, which is still there at the next pass. Where the tool stands is a straight line of the dial: `left` before it when the dial was
 * zeroed, and a share `lost` of what the dial moves that never comes off; both as mean and covariance.
 */
interface Habit {
  /** Of a chip of 1 mm on the diameter. */
  readonly spring: number;
  /** How the push grows with the chip: 1 in proportion to its depth, less at a rounded nose, which pushes a thin cut off by more than its share. */
  readonly exponent: number;
  readonly left: number;
  readonly lost: number;
  /** Variance of `left`, covariance, variance of `lost`. */
  readonly cov: readonly [number, number, number];
  readonly weight: number;
}

/** What is believed of a tool after its cuts, and where the last one left it. */
export interface ToolHabit {
  readonly habits: readonly Habit[];
  readonly firstMm: number;
  readonly lastMm: number;
  readonly reads: Reads;
}

/** How well a size is known, and what the tool can still cut, mm. */
interface Reads {
  readonly uMm: number;
  readonly leastChipMm: number;
}

/** Shares of spring that are told apart. */
const SPRING = Array.from({ length: 19 }, (_, i) => i * 0.02);
/** Ways in which the push may grow with the chip, and how much each is believed before any cut. */
const PUSHES = [
  { exponent: 1, weight: 0.8 },
  { exponent: 0.75, weight: 0.12 },
  { exponent: 0.5, weight: 0.08 },
] as const;
/** How fast belief in a springy tool falls with its share, before any cut. */
const SPRING_SCALE = 0.12;
/** Before any cut: a fair screw, more likely, or a worn one. Mean and standard deviation of the share that is lost. */
const SCREWS = [
  { lost: 0, sd: 0.01, weight: 0.7 },
  { lost: 0.12, sd: 0.1, weight: 0.3 },
] as const;
/** Depth of the skim that the dial was zeroed on, mm on the diameter: nobody wrote it down. Mean and standard deviation. */
const [SKIM_MM, SKIM_SD_MM] = [0.3, 0.2] as const;
/** How well a touch-off is read, mm. */
const TOUCH_SD_MM = 0.003;

/** Setting a dial, mm on the diameter, and how much of a chip no rule tells. */
const DIAL_SD_MM = 0.004;
const CHIP_SD_SHARE = 0.005;
/** What is off by more than so many standard deviations is doubted, not believed. */
const DOUBTED = 3;

const STEPS = 3;

/** What comes off of what stands before the tool, mm on the diameter, and how that grows with it: the rest is what the push bends it away. */
function takenOf(
  standing: number,
  { spring, exponent }: Pick<Habit, 'spring' | 'exponent'>,
): { readonly mm: number; readonly slope: number } {
  const push = spring / (1 - spring);
  if (exponent === 1 || push === 0) return { mm: (1 - spring) * standing, slope: 1 - spring };
  // The left side bends upwards less and less: from the whole of it Newton's steps come down to the root, from below it after the first.
  let t = (1 - spring) * standing;
  for (let i = 0; i < STEPS; i++) {
    const over = t + push * t ** exponent - standing;
    t = Math.max(t - over / (1 + push * exponent * t ** (exponent - 1)), standing * 1e-3);
  }
  return { mm: t, slope: 1 / (1 + push * exponent * t ** (exponent - 1)) };
}

const startingHabits = (): Habit[] =>
  SPRING.flatMap((spring) =>
    PUSHES.flatMap(({ exponent, weight: pushed }) =>
      SCREWS.map(({ lost, sd, weight }) => {
        const { mm, slope } = takenOf(SKIM_MM, { spring, exponent });
        return {
          ...{ spring, exponent, lost, left: SKIM_MM - mm },
          cov: [((1 - slope) * SKIM_SD_MM) ** 2 + TOUCH_SD_MM ** 2, 0, sd ** 2] as const,
          weight: pushed * weight * Math.exp(-spring / SPRING_SCALE),
        };
      }),
    ),
  );

/** What is believed less than this changes no number. */
const FORGOTTEN = 1e-4;

function scaled(habits: readonly Habit[]): Habit[] {
  const sum = (of: readonly Habit[]): number => of.reduce((s, h) => s + h.weight, 0);
  const all = sum(habits);
  const kept = habits.filter((h) => h.weight > FORGOTTEN * all);
  const rest = sum(kept);
  return kept.map((h) => ({ ...h, weight: h.weight / rest }));
}

/** Where the tool stands at a setting of the dial, mm: mean and variance. */
function toolAt(h: Habit, firstMm: number, dialMm: number): { readonly mm: number; readonly variance: number } {
  const [a, b, c] = h.cov;
  return { mm: firstMm - h.left - (1 - h.lost) * dialMm, variance: a - 2 * b * dialMm + c * dialMm ** 2 };
}

/** Size after a pass that begins at `fromMm`, and its standard deviation, mm. A chip too thin to be cut is rubbed: anything from nothing to all of it. */
function after(
  h: Habit,
  firstMm: number,
  fromMm: number,
  dialMm: number,
  { uMm, leastChipMm }: Reads,
): { readonly mm: number; readonly sd: number; readonly slope: number } {
  const tool = toolAt(h, firstMm, dialMm);
  const standing = fromMm - tool.mm;
  if (standing <= 0) return { mm: fromMm, sd: uMm, slope: 0 };
  const { mm: full, slope } = takenOf(standing, h);
  const rubbed = full / 2 < leastChipMm;
  const taken = rubbed ? full / 2 : full;
  return {
    slope,
    mm: fromMm - taken,
    // What was read before, where the tool stands, the dial itself, the chip.
    sd: Math.hypot(
      (1 - slope) * uMm,
      slope * Math.sqrt(tool.variance + DIAL_SD_MM ** 2),
      rubbed ? full / Math.sqrt(12) : CHIP_SD_SHARE * taken,
    ),
  };
}

/** The habit after one more cut: where the tool stands and how worn the screw is follow from it by least squares. */
function learned(h: Habit, firstMm: number, beforeMm: number, c: { readonly dialMm: number; readonly mm: number }, reads: Reads): Habit {
  const { mm, sd, slope } = after(h, firstMm, beforeMm, c.dialMm, reads);
  const spread = Math.hypot(sd, reads.uMm);
  const off = c.mm - mm;
  const z = Math.abs(off) / spread;
  // Far off is doubted: it moves the belief no more than what is just believable does.
  const noise = Math.max(1, z / DOUBTED) ** 2;
  const weight = (h.weight * Math.exp(-(Math.min(z, DOUBTED) ** 2) / 2)) / (spread * Math.max(1, (z / DOUBTED) ** 2));
  const g = slope;
  const [a, b, d] = h.cov;
  // The size falls by g for each mm of `left`, and rises by g times the dial for each unit of `lost`.
  const [ha, hb] = [-g, g * c.dialMm];
  const [pa, pb] = [a * ha + b * hb, b * ha + d * hb];
  const total = spread ** 2 * noise;
  const [ka, kb] = [pa / total, pb / total];
  return {
    ...h,
    left: h.left + ka * off,
    lost: h.lost + kb * off,
    cov: [a - ka * pa, b - ka * pb, d - kb * pb],
    weight,
  };
}

/**
 * What the cuts so far tell of the tool. Nothing is learned of a size that was taken twice at one setting, nor of one that went the wrong way.
 *
 * @param cuts oldest first; the first is the touch-off: dial and size before any cut. At least one
 * @param uMm standard uncertainty of a measured size
 * @param leastChipMm thinnest chip a side that the tool cuts
 */
export function learnHabit(cuts: readonly CutRecord[], lathe: Pick<Lathe, 'cross'>, uMm: number, leastChipMm: number): ToolHabit {
  const [first] = cuts;
  const firstMm = first!.measuredMm;
  const reads = { uMm, leastChipMm };
  let habits = scaled(startingHabits());
  cuts.slice(1).forEach((c, i) => {
    const before = cuts[i]!;
    const grewMm = c.measuredMm - before.measuredMm;
    if (c.dial === before.dial || grewMm > DOUBTED * Math.SQRT2 * uMm) return;
    const dialMm = diameterForCrossDial(c.dial - first!.dial, lathe);
    habits = scaled(habits.map((h) => learned(h, firstMm, before.measuredMm, { dialMm, mm: c.measuredMm }, reads)));
  });
  return { habits, firstMm, lastMm: cuts.at(-1)!.measuredMm, reads };
}

/** Standard normal distribution function, to 2e-7 (Abramowitz and Stegun 7.1.26). */
function normalBelow(z: number): number {
  const t = 1 / (1 + 0.3275911 * (Math.abs(z) / Math.SQRT2));
  const erf = 1 - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * Math.exp(-(z ** 2) / 2);
  return z < 0 ? (1 - erf) / 2 : (1 + erf) / 2;
}

/** What the next pass will leave, mm on the diameter: mean and standard deviation, and how likely it goes under a size, 0 to 1. */
export interface Foretold {
  readonly mm: number;
  readonly sdMm: number;
  readonly under: number;
}

/** The next pass with the dial so far in from where it was zeroed, mm on the diameter; `limitMm` is the size that it must not go under. */
export function foretell(t: ToolHabit, dialMm: number, limitMm: number): Foretold {
  let [mm, squares, under] = [0, 0, 0];
  for (const h of t.habits) {
    const one = after(h, t.firstMm, t.lastMm, dialMm, t.reads);
    mm += h.weight * one.mm;
    // About the last size, so that no small difference of large squares is taken.
    squares += h.weight * (one.sd ** 2 + (one.mm - t.lastMm) ** 2);
    under += h.weight * normalBelow((limitMm - one.mm) / Math.max(one.sd, 1e-6));
  }
  return { mm, sdMm: Math.sqrt(Math.max(0, squares - (mm - t.lastMm) ** 2)), under };
}

/** What still stands before the tool at a setting of the dial, mm on the diameter: it comes off at the next pass. */
export const standingAt = (t: ToolHabit, dialMm: number): number =>
  t.habits.reduce((s, h) => s + h.weight * Math.max(0, t.lastMm - toolAt(h, t.firstMm, dialMm).mm), 0);

const HALVINGS = 24;

/** The deepest setting of the dial, mm, between two, for which something that grows with it is still true; the shallower where it never is. */
export function deepest(fromMm: number, toMm: number, holds: (dialMm: number) => boolean): number {
  let [good, bad] = [fromMm, toMm];
  if (holds(bad)) return bad;
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (good + bad) / 2;
    if (holds(middle)) good = middle;
    else bad = middle;
  }
  return good;
}
