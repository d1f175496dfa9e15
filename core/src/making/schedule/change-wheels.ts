/** A train of change wheels from the spindle to the leadscrew: drivers and driven, two or four; any idler beside. */
export interface WheelTrain {
  readonly drivers: readonly number[];
  readonly driven: readonly number[];
  /** The pitch that it cuts, mm. */
  readonly pitchMm: number;
  /** How far it is off, as a share of the pitch: 0 where it is exact. */
  readonly error: number;
}

/** So many teeth a pair of wheels on one stud must have more than the wheel beside it, or the stud's boss touches. */
const BOSS_TEETH = 15;
/** Trains that are alike to this share are of one pitch. */
const SAME = 1e-9;

/** What goes on the quadrant: no wheel runs into the boss of the one beside it. */
const goesOn = (a: number, b: number, c: number, d: number): boolean => a + b > c + BOSS_TEETH && c + d > b + BOSS_TEETH;

/**
 * Trains for a pitch from the wheels that a shop has, the nearest first and of those alike the one with fewest wheels. A simple train turns the
 * leadscrew driver/driven times, a compound one by the product of both.
 *
 * @param pitchMm wanted, of a thread of several starts its lead
 * @param leadscrewMm pitch of the leadscrew
 * @param wheels teeth of every wheel at hand, a wheel that is there twice written twice
 * @param how many are told
 * @example changeWheels(1.5, 25.4 / 8, [20, 30, 40, 60, 127]) // 60 and 127: exact
 */
export function changeWheels(pitchMm: number, leadscrewMm: number, wheels: readonly number[], how = 3): WheelTrain[] {
  const wanted = pitchMm / leadscrewMm;
  let best: WheelTrain[] = [];
  const rank = (p: WheelTrain, q: WheelTrain): number => {
    const [x, y] = [Math.abs(p.error), Math.abs(q.error)];
    return Math.abs(x - y) > SAME ? x - y : p.drivers.length - q.drivers.length;
  };
  const offer = (ratio: number, wheelsOf: () => readonly [number[], number[]]): void => {
    const error = ratio / wanted - 1;
    const worst = best.length === how ? Math.abs(best.at(-1)!.error) + SAME : Infinity;
    if (Math.abs(error) > worst) return;
    const [drivers, driven] = wheelsOf();
    const train = { drivers, driven, pitchMm: ratio * leadscrewMm, error };
    if (best.some((t) => Math.abs(t.error - error) < SAME && rank(t, train) <= 0)) return;
    best = [...best.filter((t) => Math.abs(t.error - error) >= SAME), train].sort(rank).slice(0, how);
  };
  wheels.forEach((a, i) => {
    wheels.forEach((b, j) => {
      if (j === i) return;
      offer(a / b, () => [[a], [b]]);
      wheels.forEach((c, k) => {
        if (k === i || k === j) return;
        wheels.forEach((d, l) => {
          if (l !== i && l !== j && l !== k && goesOn(a, b, c, d))
            offer((a * c) / (b * d), () => [
              [a, c],
              [b, d],
            ]);
        });
      });
    });
  });
  return best;
}

/** `60 drives 127`, `40 drives 50, 65 on its stud drives 100`. */
export function trainWords({ drivers, driven }: Pick<WheelTrain, 'drivers' | 'driven'>): string {
  const [a, c] = drivers;
  const [b, d] = driven;
  return c === undefined ? `${a} drives ${b}, any wheel between` : `${a} drives ${b}, ${c} on the same stud drives ${d}`;
}
