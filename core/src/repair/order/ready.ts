import { chancesOf } from '../../making/run-order';
import type { IsoDay } from '../../terms/calendar';
import { SAFE_SHARE } from './plan-rows';
import { shopProblem, type RunJob, type ShopOrderInputs } from './shop-order';

/** By when a job is likely done, as the order stands with it in it. */
export interface ReadyChances {
  /** Days on which it may be done, each with the share of shops like this one in which it is done by its end; the first, and then each that is likelier. */
  readonly days: readonly { readonly day: IsoDay; readonly chance: number }[];
  /** The first day that is safe to be told. */
  readonly safe: IsoDay;
  /** What it waits for of which nobody knows how long: it is counted as long as such things usually take. */
  readonly open: readonly string[];
}

/**
 * By when a job would be ready if it came into the order today, behind what stands there, with what it would take then. It makes nobody wait:
 * a rule finds its places between the others.
 *
 * @param job as it would be: in the place of the one of its id, if that is in the order
 * @param dayOf the calendar day of a moment, min
 */
export function readyIf(inputs: ShopOrderInputs, job: RunJob, dayOf: (minute: number) => IsoDay): ReadyChances {
  const others = inputs.jobs.filter((j) => j.id !== job.id);
  const shop = shopProblem({ ...inputs, jobs: [...others, { ...job, promisedOn: null }] });
  const own = shop.jobs.findIndex((j) => j.id === job.id);
  if (own < 0) return { days: [{ day: inputs.today, chance: 1 }], safe: inputs.today, open: [] };
  const { ends } = chancesOf(
    shop.problem,
    shop.order,
    shop.acts.map((a) => a.left),
  );
  const of = ends[own]!;
  const counts = new Map<IsoDay, number>();
  for (const end of of) counts.set(dayOf(end), (counts.get(dayOf(end)) ?? 0) + 1);
  let sum = 0;
  const days = [...counts].map(([day, n]) => ({ day, chance: (sum += n) / of.length }));
  return {
    days,
    safe: days.find((d) => d.chance >= SAFE_SHARE)!.day,
    open: shop.acts.filter((a) => a.job.id === job.id && a.act.open).map((a) => a.act.name),
  };
}

/** The chance that it is ready by the end of a day. */
export const readyChance = ({ days }: ReadyChances, by: IsoDay): number => days.filter((d) => d.day <= by).at(-1)?.chance ?? 0;
