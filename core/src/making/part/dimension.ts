import type { BookLimits, DimensionWhat } from './feature-kind';
import type { PlacedSurface } from './surface';

/** One number of the part that is released, made and proved. */
export interface Dimension {
  /** Lasts: the surface's id for its diameter, else `<id of surface or feature>.<name>`. */
  readonly key: string;
  readonly ownerId: string;
  readonly name: string;
  readonly what: DimensionWhat;
  /** `diameter of body`, `ring groove, width`. */
  readonly label: string;
  /** mm, or what `unit` says. */
  readonly value: number;
  /** Empty for a length; else `°`, `µm`, `HRC`. */
  readonly unit: string;
  readonly book: BookLimits | null;
  /** Limits that the drawing itself asks for. */
  readonly own: { readonly lower: number; readonly upper: number } | null;
  /** Something sits or runs there: the general tolerance will not do. */
  readonly seat: boolean;
  /** It is gone once the part is finished: what its surface is before a treatment. */
  readonly before?: true;
  /** The surface it lies on. */
  readonly surface: PlacedSurface;
}
