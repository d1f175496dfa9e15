import type { CutFinding } from './cut-finding';
import type { PlanFinding } from './plan-finding';

/**
 * Diameters in the order in which they are cut: holding by holding as planned, in each as its acts follow one another. As they are drawn where nothing
 * is planned, and what no holding cuts last.
 */
export function inCutOrder(cuts: readonly CutFinding[], plan: Pick<PlanFinding, 'setUps'> | null): CutFinding[] {
  if (!plan) return [...cuts];
  const order = plan.setUps.flatMap(({ setUp }) => setUp.cuts);
  const placeOf = ({ segment: { segment } }: CutFinding): number => {
    const at = order.indexOf(segment.id);
    return at < 0 ? order.length : at;
  };
  return [...cuts].sort((p, q) => placeOf(p) - placeOf(q));
}
