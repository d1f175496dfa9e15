import type { DimensionDraft, FeatureProblem, FieldsOf, OperationDraft } from '../feature-kind';
import type { Box, BlockAxis, Face } from './box';

/** What every cut into a block has. Places on its face count from the left (or front) and from the front (or lower) edge. */
export interface CutBase {
  readonly id: string;
  readonly kind: string;
  readonly name: string;
  readonly on: Face;
}

/**
 * A body that is cut away: a section drawn along one axis. The section lies in the two other axes, in the order x, y, z.
 * Lengths in mm; of a body that is no prism (a countersink) the section is its largest.
 */
export interface Solid {
  readonly axis: BlockAxis;
  readonly fromMm: number;
  readonly toMm: number;
  readonly section:
    | { readonly kind: 'circle'; readonly a: number; readonly b: number; readonly r: number }
    | { readonly kind: 'outline'; readonly points: readonly (readonly [a: number, b: number])[] };
  readonly volumeMm3: number;
}

type Own<C> = Omit<C, keyof CutBase | 'fitsPlaceIds'>;

/** A dimension of a cut; `round` is the diameter of a hole, which is cut, read and proved as a bore's is. */
export type CutDimension = DimensionDraft & { readonly round?: true };

/**
 * One kind of cut into a block: all that is asked of it, in one file. The registry demands the whole of it for every kind.
 *
 * @typeParam C the stored shape; its `kind` is a literal
 */
export interface BlockKind<C extends CutBase> {
  readonly kind: C['kind'];
  readonly name: string;
  readonly fields: Omit<FieldsOf<C>, 'on' | 'fitsPlaceIds'>;
  /** What it starts as on a face of a block, mm and degrees. */
  start(block: Box, on: Face): Own<C>;
  /** What will not do, beside fields out of their range. */
  check(c: C, block: Box): FeatureProblem[];
  dimensions(c: C, block: Box): CutDimension[];
  /** The same as far from the opposite edge, along one of its face's axes; what lies in the middle, or goes all along, stays as it is. */
  across(c: C, block: Box, axis: 'u' | 'v'): C;
  /** What it takes away; bodies of one cut do not cross. */
  solids(c: C, block: Box): Solid[];
  /** Acts that make it, in order: together they make each dimension once. */
  operations(c: C, block: Box): OperationDraft[];
}
