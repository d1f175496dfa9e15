import { heldPlan, type AskedRunOut, type HeldPlan } from './held-plan';
import type { PredictedRunOut } from './run-out';
import { WAY_IDS, type WayId } from './ways';
import type { Work } from './work';

/** A way that this part cannot be held, and why. */
export interface NoWay {
  readonly way: WayId;
  readonly why: string;
}

const BAD: Readonly<Record<AskedRunOut['state'], number>> = { fits: 0, close: 1, unknown: 2, out: 3 };

/** How far what it gives is from what is asked: 0 where all is well. */
export const shortfall = (p: HeldPlan): number => Math.max(0, ...p.asked.map((a) => BAD[a.state]));

/** The worst of the run-outs that are asked; null where none is, or of one nothing is known. */
export const worstAsked = ({ asked }: Pick<HeldPlan, 'asked'>): PredictedRunOut | null =>
  asked.some((a) => !a.predicted) ? null : (asked.map((a) => a.predicted!).sort((p, q) => q.mostMm - p.mostMm)[0] ?? null);

const worstMm = (p: HeldPlan): number => worstAsked(p)?.mostMm ?? Infinity;

/** Every way to hold a part, the best first: what this lathe can, then what runs true enough, then what is set up sooner. */
export function rankedWays(work: Work): { readonly plans: HeldPlan[]; readonly no: NoWay[] } {
  const all = WAY_IDS.map((way) => ({ way, plan: heldPlan(way, work) }));
  const plans = all.flatMap(({ plan }) => (plan.ok ? [plan.value] : []));
  const no = all.flatMap(({ way, plan }) => (plan.ok ? [] : [{ way, why: plan.problems[0]!.message }]));
  const isOut = (p: HeldPlan): number => (shortfall(p) === BAD.out ? worstMm(p) : 0);
  return {
    plans: plans.sort(
      (p, q) =>
        Number(p.cannot.length > 0) - Number(q.cannot.length > 0) ||
        shortfall(p) - shortfall(q) ||
        isOut(p) - isOut(q) ||
        p.settingMin - q.settingMin ||
        p.setUps.length - q.setUps.length,
    ),
    no,
  };
}
