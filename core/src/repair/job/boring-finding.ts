import { boringOf, boringWays, wayOf, type BoringChoice, type BoringWork } from '../../making/holdings';
import { isDiameter } from '../../evidence/readings';
import { isDiameterOfSurface } from '../../making/part';
import type { Lathe } from '../../making/setups';
import { millOf } from './bored-on';
import type { PlanChoice } from './choices';
import type { JobItem } from './items';
import type { PartFinding } from './part-finding';
import type { PlaceFinding } from './place-finding';
import type { JobSheet, Shop } from './records';

/** How what is bored is held: every way, and the one that it is. */
export interface BoringFinding {
  readonly ways: readonly BoringChoice[];
  /** As somebody chose, which stands and says why where it will not do; else the best; null where none will do. */
  readonly chosen: BoringChoice | null;
}

/** The bores that a rework trues in one component; null where it trues none. */
function ofRework(
  { dimensions }: PartFinding,
  { componentIds }: Pick<JobItem, 'componentIds'>,
  places: readonly PlaceFinding[],
): BoringWork | null {
  const bored = dimensions.filter((d) => d.dimension.what === 'inside' && isDiameterOfSurface(d.dimension));
  if (!bored.length) return null;
  const least = Math.min(...bored.map((d) => d.figure.value));
  const takes = bored.flatMap((d) => {
    const shape = places.find((f) => f.place.id === d.dimension.ownerId)?.shape;
    return shape ? [d.figure.value - shape.smallestMm] : [];
  });
  const round = outsideOf(componentIds, places).flatMap((f) => f.shape?.largestMm ?? []);
  return {
    roundMm: round.length ? Math.max(...round) : null,
    ...{ diameterMm: least, lengthMm: Math.max(...bored.map((d) => d.dimension.surface.lengthMm)), holes: bored.length, through: null },
    ...{ takesMm: takes.length ? Math.max(...takes) : null, hasHole: true, swingsMm: null },
  };
}

/** Outside diameters of some components, as read. */
export const outsideOf = (componentIds: readonly string[], places: readonly PlaceFinding[]): PlaceFinding[] =>
  places.filter((f) => componentIds.includes(f.component.id) && f.place.side === 'outside' && isDiameter(f.place.kind));

/** How the bores of a rework, or those of a block, are held; null where nothing is bored in a housing. */
export function boringFinding(
  item: Pick<JobItem, 'kind' | 'componentIds'>,
  part: PartFinding | null,
  places: readonly PlaceFinding[],
  chosen: Pick<PlanChoice, 'boring'> | null,
  lathe: Lathe | null,
  { job: { unit } }: JobSheet,
  shop: Shop,
): BoringFinding | null {
  const block = part?.part.block;
  const work = block ? boringOf(block) : part && item.kind === 'rework' ? ofRework(part, item, places) : null;
  if (!work) return null;
  const ways = boringWays(work, { lathe, mill: millOf(shop)?.mill ?? null }, unit);
  return { ways, chosen: wayOf(ways, chosen?.boring) };
}
