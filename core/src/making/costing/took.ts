import type { Took } from './act-minutes';
import type { CostAct } from './cost-acts.data';

/** Minutes of an act of one job: as the model alone estimates it, and as it came out. Held against what was learnt already it would stop half way. */
export interface TookRow {
  readonly act: CostAct;
  readonly estimatedMin: number;
  readonly tookMin: number;
}

/** How far a shop may differ from the estimates, and one job from the next, as standard deviations of the logarithm. Estimates of the shop. */
const SHOP_SPREAD = 0.3;
const JOB_SPREAD = 0.45;

/** How an act comes out in this shop: its factor, and of how many jobs. */
export interface ActTook {
  readonly factor: number;
  readonly jobs: number;
}

/**
 * How much of the estimated minutes an act takes: the mean of the logarithms of what it took by what was estimated, drawn towards 1
 * by a normal prior; few jobs hardly move it, many decide.
 */
export function actTook(act: CostAct, rows: readonly TookRow[]): ActTook {
  const logs = rows.filter((r) => r.act === act && r.estimatedMin > 0 && r.tookMin > 0).map((r) => Math.log(r.tookMin / r.estimatedMin));
  const sum = logs.reduce((a, b) => a + b, 0);
  return { factor: Math.exp(sum / (logs.length + (JOB_SPREAD / SHOP_SPREAD) ** 2)), jobs: logs.length };
}

/** The factor of every act at hand. */
export const tookBy = (rows: readonly TookRow[]): Took => {
  const known = new Map<CostAct, number>();
  return (act) => {
    if (!known.has(act)) known.set(act, actTook(act, rows).factor);
    return known.get(act)!;
  };
};
