/** What a stretch of revolution is: its size is a diameter; of a taper the one at its left end. */
export type SurfaceKind = 'cylinder' | 'taper' | 'head';
export const SURFACE_KINDS: Readonly<Record<SurfaceKind, string>> = { cylinder: 'Cylinder', taper: 'Taper', head: 'Head' };

/** The largest that the shop turns and the longest that it holds, mm. */
export const MOST_DIAMETER_MM = 500;
export const MOST_PART_LENGTH_MM = 3000;

/** A stretch of revolution along the axis, outside or in a bore on the same terms. Lengths and diameters in mm. */
export interface Surface {
  readonly id: string;
  readonly kind: SurfaceKind;
  readonly name: string;
  readonly lengthMm: number;
  readonly diameterMm: number;
  /** Diameter at the far end of a taper, mm; null for anything else. */
  readonly farDiameterMm: number | null;
  /** Places of mates that this diameter must fit, through the chosen fits; empty when the diameter is as typed. */
  readonly fitsPlaceIds: readonly string[];
}

/** Where a surface lies, mm from the zero face; `fromMm` is always its left end. */
export interface PlacedSurface extends Surface {
  readonly side: 'outside' | 'inside';
  readonly fromMm: number;
  readonly toMm: number;
  /** Diameters at the left and at the right end. */
  readonly leftMm: number;
  readonly rightMm: number;
}

/** A plain surface to start from. */
export const surface = (id: string, kind: SurfaceKind, name: string, lengthMm: number, diameterMm: number): Surface => ({
  id,
  kind,
  name,
  lengthMm,
  diameterMm,
  farDiameterMm: null,
  fitsPlaceIds: [],
});

const UNREAD = 'unread-';
/** Id of a stretch that is drawn though nobody read it, by where it begins, mm. */
export const unreadId = (fromMm: number): string => `${UNREAD}${fromMm.toFixed(1)}`;
/** A stretch that was drawn though nobody read it: its size is a neighbour's until somebody gives it limits of its own. */
export const isUnread = ({ id }: Pick<Surface, 'id'>): boolean => id.startsWith(UNREAD);
