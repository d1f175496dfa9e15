import type { OutlinePoint } from '../../making/part';
import type { Primitive } from '../../making/scene';
import type { PictureFinding } from '../job';

/** A stretch of the picture that can be selected: a segment of the new part, or a place on the worn one. */
export interface PictureSpan {
  readonly id: string;
  readonly name: string;
  readonly fromMm: number;
  readonly toMm: number;
  readonly radiusMm: number;
}

/** Sizes of one station on the shared axis. */
export interface PictureStation {
  readonly placeId: string;
  readonly side: 'outside' | 'inside';
  readonly stationMm: number;
  readonly atMm: number;
  readonly meanMm: number;
  readonly smallestMm: number;
  readonly largestMm: number;
  /** Metal lost on the diameter against what it was, mm; null while that is not known. */
  readonly wearMm: number | null;
}

/** What a picture shows: what came in, the new part, a component that is cut, what is joined where it sits, or a block in its views. */
export type Pictured = 'found' | 'part' | 'rework' | 'joined' | 'block';

/**
 * Everything that the picture and its lanes draw, on one axis in mm from the worn part's zero face. Of a block the lines are its views in true
 * size, apart from that axis.
 */
export interface PictureModel {
  readonly shows: Pictured;
  readonly fromMm: number;
  readonly toMm: number;
  readonly largestRadiusMm: number;
  /** Empty where there is nothing to draw yet. */
  readonly lines: readonly Primitive[];
  /** Edges of the old part as found, to lie under the new one; empty where that is what is shown. */
  readonly ghost: readonly Primitive[];
  readonly spans: readonly PictureSpan[];
  /** What is cut into the outside: features of a new part, places of what came in. */
  readonly cuts: readonly PictureSpan[];
  readonly mates: readonly PictureSpan[];
  readonly stations: readonly PictureStation[];
  readonly findings: readonly PictureFinding[];
}

/** One thing as it is drawn, before its mates stand round it. */
export interface Drawing {
  readonly shows: Pictured;
  /** The outside from left to right; empty where the lines tell it. */
  readonly contour: readonly OutlinePoint[];
  readonly lines: readonly Primitive[];
  readonly spans: readonly PictureSpan[];
  readonly cuts: readonly PictureSpan[];
  /** Components that it draws itself: no mates of what is drawn. */
  readonly own: readonly string[];
}
