import { chanceBy, chancesOf, endIn, timed, type Chances, type Order, type Timed } from '../../making/run-order';
import { isoOf, minuteOf, type PlacedAct, type RunJob, type RunOrder, type ShopAct, type ShopProblem } from './shop-order';

/** An act as it is laid out: where, by whom, from when to when; min since 1970. */
export interface PlanRow extends ShopAct {
  /** Its place in the problem's acts. */
  readonly index: number;
  readonly machineId: string;
  readonly personId: string | null;
  readonly begin: number;
  readonly handsEnd: number;
  readonly end: number;
  /** The act that it waits for last; null where it waits for none. */
  readonly behind: number | null;
  /** How much later it begins than when the order was stored, min; null where it was not in it. */
  readonly movedMin: number | null;
}

/** How a promise stands. */
export interface PromiseRow {
  readonly job: RunJob;
  readonly end: number;
  /** Infinity where nothing was promised. */
  readonly due: number;
  /** Share of shops like this one that keep it. */
  readonly chance: number;
  /** By when it is done in eight of ten; null where it has nothing left to do. */
  readonly safeEnd: number | null;
}

/** How likely a promise has to be for nobody to have to look at it, and a day to be told to a customer. */
export const SAFE_SHARE = 0.8;

/** An order laid out by the clock. */
export interface LaidPlan {
  readonly rows: readonly PlanRow[];
  readonly promises: readonly PromiseRow[];
  readonly at: Timed;
}

/** Jobs by how they stand: the likeliest to be late first, then as they are promised. */
function promisesOf({ problem, jobs }: ShopProblem, at: Timed, chances: Chances): PromiseRow[] {
  return jobs
    .map((job, j) => {
      const { due } = problem.jobs[j]!;
      return { job, due, end: at.jobEnd[j]!, chance: chanceBy(chances, j, due), safeEnd: endIn(chances, j, SAFE_SHARE) };
    })
    .sort((a, b) => Math.round(10 * a.chance) - Math.round(10 * b.chance) || a.due - b.due || a.end - b.end);
}

/**
 * An order by the clock, with the chance of each promise.
 *
 * @param plays how often it is played for the chances; with none, every chance is 1 and no end is safe
 */
export function laidPlan(shop: ShopProblem, order: Order, stored: RunOrder | null, plays?: number): LaidPlan {
  const { problem, acts, machines, people } = shop;
  const { at } = timed(problem, order);
  const told = new Map((stored?.placed ?? []).map((p) => [`${p.jobId}/${p.key}`, minuteOf(p.beginsAt)]));
  const rows = order.sequence.map((i): PlanRow => {
    const a = acts[i]!;
    const before = told.get(`${a.job.id}/${a.act.key}`);
    const begin = a.started && a.act.said?.startedAt ? minuteOf(a.act.said.startedAt) : at.begin[i]!;
    return {
      ...a,
      index: i,
      machineId: machines[order.machine[i]!]?.id ?? '',
      personId: people[order.person[i]!]?.id ?? null,
      begin,
      handsEnd: at.handsEnd[i]!,
      end: at.end[i]!,
      behind: at.waitedFor[i]! >= 0 ? at.waitedFor[i]! : null,
      movedMin: before === undefined ? null : begin - before,
    };
  });
  const spans = acts.map((a) => a.left);
  return { rows, promises: promisesOf(shop, at, chancesOf(problem, order, spans, plays)), at };
}

/** An order as it is stored. */
export const placedOf = ({ rows }: Pick<LaidPlan, 'rows'>): PlacedAct[] =>
  rows.map(({ job, act, machineId, personId, begin }) => ({
    jobId: job.id,
    key: act.key,
    machineId,
    personId,
    beginsAt: isoOf(begin),
  }));

/** What somebody is to do next, the first first: what they are at, then what is theirs. */
export const nextOf = ({ rows }: Pick<LaidPlan, 'rows'>, personId: string, count: number): PlanRow[] =>
  rows
    .filter((r) => r.personId === personId && r.act.act !== null)
    .sort((a, b) => Number(b.started) - Number(a.started) || a.begin - b.begin)
    .slice(0, count);
