import type { CutFinding } from './cut-finding';
import type { PlanFinding } from './plan-finding';

/**
 * Diameters in the order in which they are cut: holding by holding as planned, in each what is inside first, then the outside from the free end
 * inwards as the tool comes to it. As they are drawn where nothing is planned, and what no holding cuts last.
 */
export function inCutOrder(cuts: readonly CutFinding[], plan: Pick<PlanFinding, 'setUps'> | null): CutFinding[] {
  if (!plan) return [...cuts];
  const placeOf = ({ segment: { segment } }: CutFinding): readonly number[] => {
    const at = plan.setUps.findIndex(({ setUp }) => setUp.cuts.includes(segment.id));
    const setUp = plan.setUps[at]?.setUp;
    if (!setUp) return [plan.setUps.length, 0, 0];
    if (segment.side === 'inside') return [at, 0, 0];
    return [at, 1, setUp.free === 'near' ? segment.fromMm : -segment.fromMm];
  };
  const places = new Map(cuts.map((c) => [c, placeOf(c)]));
  return [...cuts].sort((p, q) => {
    const [a, b] = [places.get(p)!, places.get(q)!];
    return a[0]! - b[0]! || a[1]! - b[1]! || a[2]! - b[2]!;
  });
}
