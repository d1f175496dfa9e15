/** How a lathe takes less than it is asked. */
export interface LatheTemper {
  /** Of what the dial moved, what the tool does not take and never will: a worn screw; a share. */
  readonly lost: number;
  /** Of what stands before the tool, what it is pushed away from: it comes back at the next pass; a share. */
  readonly spring: number;
  /** How the push grows with the chip: 1 in proportion; less at a rounded nose, with that share at 1 mm. */
  readonly pushExponent?: number;
  /** Standard deviation of setting the dial, mm on the diameter. */
  readonly dialMm: number;
  /** Thinnest chip a side, mm: less than that is rubbed over, and something or nothing comes off. */
  readonly leastChipMm: number;
  /** Rise of the part's temperature for each mm off the diameter, K. */
  readonly warmKPerMm: number;
}

/** Work on a simulated lathe: what nobody sees. */
export interface SimulatedWork {
  readonly diameterMm: number;
  /** Diameter at which the tool stands with the dial at zero. */
  readonly zeroMm: number;
  readonly tempC: number;
}

/** Draws of a uniform and of a standard normal number. */
export interface Draws {
  readonly uniform: () => number;
  readonly normal: () => number;
}

/** What stays of the warmth until the next cut. */
const KEPT = 0.5;

/** A skim to begin with: the surface is cut, the dial is zeroed, what the tool was pushed away from still stands. */
export const skimmed = (diameterMm: number, skimMm: number, { spring }: Pick<LatheTemper, 'spring'>, shopC: number): SimulatedWork => ({
  diameterMm,
  zeroMm: diameterMm - spring * skimMm,
  tempC: shopC,
});

const HALVINGS = 40;

/** What comes off of what stands before the tool, mm on the diameter: the rest is what the push of just that chip bends it away. */
function takenMm(standing: number, { spring, pushExponent = 1 }: Pick<LatheTemper, 'spring' | 'pushExponent'>): number {
  const push = spring / (1 - spring);
  let [low, high] = [0, standing];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (middle + push * middle ** pushExponent < standing) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** One pass with the dial set to a number, in mm on the diameter from zero inwards. */
export function take(work: SimulatedWork, dialMm: number, t: LatheTemper, shopC: number, { uniform, normal }: Draws): SimulatedWork {
  const toolMm = work.zeroMm - dialMm * (1 - t.lost) + t.dialMm * normal();
  const standing = work.diameterMm - toolMm;
  const full = standing > 0 ? takenMm(standing, t) : 0;
  // Too thin a chip is rubbed: anything from nothing to the whole of it.
  const offMm = full / 2 >= t.leastChipMm ? full : full * uniform();
  return { ...work, diameterMm: work.diameterMm - offMm, tempC: shopC + KEPT * (work.tempC - shopC) + t.warmKPerMm * offMm };
}
