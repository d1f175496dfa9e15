/** A bar with what is sawn from it. */
export interface SawnBar {
  readonly lengthMm: number;
  readonly pieces: number[];
  restMm: number;
}

/** A plan for the saw. */
export interface SawPlan {
  readonly bars: readonly SawnBar[];
  readonly leftOver: readonly number[];
}

/** Below this a rest is nothing. */
const DUST_MM = 1e-9;

/**
 * Longest piece first, each from the bar where the least is left: best fit decreasing. A piece that is just the bar needs no cut.
 */
export function layOut(piecesMm: readonly number[], barsMm: readonly number[], sawMm: number): SawPlan {
  const bars = [...barsMm].sort((a, b) => b - a).map((lengthMm): SawnBar => ({ lengthMm, pieces: [], restMm: lengthMm }));
  const leftOver: number[] = [];
  for (const piece of [...piecesMm].sort((a, b) => b - a)) {
    const room = bars.filter((b) => b.restMm >= piece - DUST_MM).sort((a, b) => a.restMm - b.restMm)[0];
    if (!room) leftOver.push(piece);
    else {
      room.pieces.push(piece);
      room.restMm = Math.max(0, room.restMm - piece - sawMm);
    }
  }
  return { bars, leftOver };
}
