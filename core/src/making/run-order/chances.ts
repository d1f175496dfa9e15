import { normalDraws, seededRandom } from '../../evidence/proof';
import { deviationOf3, meanOf3, TOGETHER, type ThreePoint } from '../costing';
import type { Order, OrderProblem } from './problem';
import { Clock, laidOut } from './timed';

/** How a shop's orders come out when minutes are not as they were estimated. */
export interface Chances {
  /** When each job is done, min, of every play, the soonest first; empty for a job without acts. */
  readonly ends: readonly Float64Array[];
}

const PLAYS = 400;

/**
 * Plays an order many times with minutes drawn from their spans, as lognormal by their first two moments; acts of one job err together as
 * far as the estimates have it. Whoever stands first stays first: nobody puts the order right on the way, so that it is on the safe side.
 *
 * @param spans minutes of hands of each act, as they are estimated
 */
export function chancesOf(problem: OrderProblem, order: Order, spans: readonly ThreePoint[], plays = PLAYS, seed = 1): Chances {
  const { acts, jobs } = problem;
  const draw = normalDraws(seededRandom(seed));
  const laid = laidOut(problem);
  const clock = new Clock(laid, new Float64Array(acts.length));
  const shape = spans.map((span) => {
    const mean = meanOf3(span);
    const s2 = mean > 0 ? Math.log(1 + (deviationOf3(span) / mean) ** 2) : 0;
    return { s: Math.sqrt(s2), half: s2 / 2 };
  });
  const ends = jobs.map((_, j) => new Float64Array(acts.some((a) => a.job === j) ? plays : 0));
  for (let k = 0; k < plays; k++) {
    const ofJob = jobs.map(() => draw());
    for (let i = 0; i < acts.length; i++) {
      const z = Math.sqrt(TOGETHER) * ofJob[acts[i]!.job]! + Math.sqrt(1 - TOGETHER) * draw();
      clock.hands[i] = laid.hands[i]! * Math.exp(shape[i]!.s * z - shape[i]!.half);
    }
    clock.play(order);
    ends.forEach((of, j) => {
      if (of.length) of[k] = clock.jobEnd[j]!;
    });
  }
  for (const of of ends) of.sort();
  return { ends };
}

/** The share of plays in which a job is done by a moment; 1 for a job without acts. */
export function chanceBy({ ends }: Chances, job: number, due: number): number {
  const of = ends[job]!;
  return of.length ? of.filter((end) => end <= due).length / of.length : 1;
}

/** The moment by which a job is done in that share of plays; null for a job without acts. */
export function endIn({ ends }: Chances, job: number, share: number): number | null {
  const of = ends[job]!;
  return of.length ? of[Math.min(of.length - 1, Math.ceil(share * of.length) - 1)]! : null;
}
