import type { Part } from './part';
import type { Surface } from './surface';

/** A diameter of a drawing that may have to fit mates. */
export type Fitting = Pick<Surface, 'id' | 'diameterMm' | 'fitsPlaceIds'> & { readonly inside: boolean };

/** Everything of a part that can fit a mate: surfaces outside and in bores, the holes of a block. */
export const fittings = (part: Part): Fitting[] => [
  ...part.outside.map((s) => ({ ...s, inside: false })),
  ...part.bores.flatMap((b) => b.surfaces.map((s) => ({ ...s, inside: true }))),
  ...(part.block?.cuts ?? []).flatMap((c) => (c.kind === 'hole' ? [{ ...c, inside: true }] : [])),
];
