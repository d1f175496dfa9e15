import { depthCheck, type DepthCheck } from '../../evidence/readings';
import type { QuantityFinding } from './place-figures';
import type { PlaceRecord } from './records';

/** A depth measured directly and over the fitted ring, held against each other; null until both are in and the ring is described. */
export function depthFinding(place: PlaceRecord, values: readonly QuantityFinding[]): DepthCheck | null {
  const direct = values.find((v) => v.quantity === 'depth');
  const overRing = values.find((v) => v.quantity === 'over-ring');
  const { ringMm, grooveWidthMm, ringRestsOn, ringFace } = place.detail;
  if (!direct || !overRing || ringMm === null || grooveWidthMm === null) return null;
  return depthCheck({
    directMm: direct.mean.value,
    overRingMm: overRing.mean.value,
    ringMm,
    grooveWidthMm,
    restsOn: ringRestsOn ?? 'near',
    face: ringFace ?? 'near',
    plusMinusMm: Math.hypot(direct.plusMinusMm, overRing.plusMinusMm),
  });
}
