import type { Part, Surface } from '../part';

const alone = (s: Surface): Surface => ({ ...s, fitsPlaceIds: [] });

/**
 * A drawing to begin another job with: all of it, but for what it fits, since the mates stayed with their own job. Diameters that followed a fit keep the
 * size that was drawn.
 */
export const forAnotherJob = (part: Part): Part => ({
  ...part,
  outside: part.outside.map(alone),
  bores: part.bores.map((b) => ({ ...b, surfaces: b.surfaces.map(alone) })),
  block: part.block && { ...part.block, cuts: part.block.cuts.map((c) => ('fitsPlaceIds' in c ? { ...c, fitsPlaceIds: [] } : c)) },
});
