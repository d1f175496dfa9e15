/**
 * How a line is drawn: the part's edges, thinner detail, what lies behind metal, centre lines, dimension lines, along a surface that is
 * treated, the sheet's own frame. */
export type LineStyle = 'edge' | 'thin' | 'hidden' | 'centre' | 'size' | 'treated' | 'frame';

/** One thing to draw, mm, x along the axis and y up. Data, not markup: each renderer knows these and nothing else. */
export type Primitive =
  | { readonly kind: 'path'; readonly points: readonly (readonly [number, number])[]; readonly closed: boolean; readonly style: LineStyle }
  /** An area cut open (hatched), seen from outside, or left as paper; it has no outline of its own. */
  | { readonly kind: 'area'; readonly points: readonly (readonly [number, number])[]; readonly fill: 'section' | 'outside' | 'paper' }
  | { readonly kind: 'circle'; readonly x: number; readonly y: number; readonly r: number; readonly style: LineStyle }
  | {
      readonly kind: 'text';
      readonly x: number;
      readonly y: number;
      readonly text: string;
      readonly anchor: 'start' | 'middle';
      readonly heightMm: number;
    };

/** A drawing: its primitives in the order in which they are painted, and the room that they take. */
export interface Scene {
  readonly title: string;
  readonly fromX: number;
  readonly toX: number;
  readonly fromY: number;
  readonly toY: number;
  readonly primitives: readonly Primitive[];
}
