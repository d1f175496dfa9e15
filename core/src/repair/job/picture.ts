import { isDiameter } from '../../evidence/readings';
import { boreOutlines, outline, sideMarks, type OutlinePoint, type PlacedMark } from '../../making/part';
import type { PictureFinding } from './diagnosis-finding';
import { madeSizeMm } from './made-size';
import type { PlaceFinding } from './place-finding';
import type { Repair } from './repair';

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

/** Everything that the picture and its lanes draw, on one axis in mm from the worn part's zero face. */
export interface PictureModel {
  readonly fromMm: number;
  readonly toMm: number;
  readonly largestRadiusMm: number;
  /** True for the new part, false for the worn one as measured. */
  readonly drawn: boolean;
  readonly outline: readonly OutlinePoint[];
  readonly spans: readonly PictureSpan[];
  /** Contours of the bores, from left to right. */
  readonly bores: readonly (readonly OutlinePoint[])[];
  /** What is milled, drilled and threaded. */
  readonly marks: readonly PlacedMark[];
  readonly mates: readonly PictureSpan[];
  readonly stations: readonly PictureStation[];
  readonly findings: readonly PictureFinding[];
}

const EMPTY_LENGTH_MM = 100;
const UNKNOWN_RADIUS_MM = 10;

const start = (f: PlaceFinding): number => f.component.axisOffsetMm + f.place.startMm;
const end = (f: PlaceFinding): number => start(f) + f.place.lengthMm;
const radiusOf = (f: PlaceFinding): number => (f.shape?.meanMm ?? f.chosenNominal?.sizeMm ?? 2 * UNKNOWN_RADIUS_MM) / 2;

function stationsOf(f: PlaceFinding, all: readonly PlaceFinding[]): PictureStation[] {
  const original = madeSizeMm(f, all);
  return (f.shape?.sections ?? []).map((s) => {
    const worst = f.place.side === 'outside' ? s.smallestMm : s.largestMm;
    const lost = original === null ? null : f.place.side === 'outside' ? original - worst : worst - original;
    return {
      placeId: f.place.id,
      side: f.place.side,
      stationMm: s.stationMm,
      atMm: f.component.axisOffsetMm + s.stationMm,
      meanMm: s.meanMm,
      smallestMm: s.smallestMm,
      largestMm: s.largestMm,
      wearMm: lost === null ? null : Math.max(lost, 0),
    };
  });
}

const spanOf = (f: PlaceFinding): PictureSpan => ({
  id: f.place.id,
  name: f.place.name,
  fromMm: start(f),
  toMm: end(f),
  radiusMm: radiusOf(f),
});

/** The worn part from its measured places: where several overlap the shortest is seen, gaps take their neighbour's size. */
function wornOutline(places: readonly PlaceFinding[]): OutlinePoint[] {
  const edges = [...new Set(places.flatMap((f) => [start(f), end(f)]))].sort((p, q) => p - q);
  let radius = places.length ? radiusOf(places[0]!) : UNKNOWN_RADIUS_MM;
  return edges.slice(1).flatMap((to, i) => {
    const from = edges[i]!;
    const over = places
      .filter((f) => start(f) <= from + 1e-9 && end(f) >= to - 1e-9)
      .sort((p, q) => p.place.lengthMm - q.place.lengthMm)[0];
    if (over) radius = radiusOf(over);
    return [
      { x: from, r: radius },
      { x: to, r: radius },
    ];
  });
}

/**
 * The picture of a job.
 *
 * @param which the worn part as found, or the new one once it is drawn
 */
export function pictureModel(repair: Repair, which: 'worn' | 'new'): PictureModel {
  const worn = repair.places
    .filter((f) => f.component.role === 'worn' && f.place.side === 'outside' && isDiameter(f.place.kind))
    .sort((p, q) => start(p) - start(q));
  const mates = repair.places.filter((f) => f.component.role === 'mate' && isDiameter(f.place.kind)).map(spanOf);
  const part = which === 'new' && repair.part && repair.part.part.outside.length ? repair.part : null;
  // What is cut into a drawing with problems may lie anywhere: its bare surfaces show.
  const drawn = part && (part.problems.length ? { ...part.part, features: [] } : part.part);
  const contour = drawn ? outline(drawn) : wornOutline(worn);
  const spans = part
    ? part.segments
        .filter((s) => s.segment.side === 'outside')
        .map((s) => ({
          id: s.segment.id,
          name: s.segment.name,
          fromMm: s.segment.fromMm,
          toMm: s.segment.toMm,
          radiusMm: s.segment.diameterMm / 2,
        }))
    : worn.map(spanOf);
  const xs = [...contour.map((p) => p.x), ...mates.flatMap((m) => [m.fromMm, m.toMm])];
  return {
    fromMm: xs.length ? Math.min(0, ...xs) : 0,
    toMm: xs.length ? Math.max(...xs) : EMPTY_LENGTH_MM,
    largestRadiusMm: Math.max(UNKNOWN_RADIUS_MM / 2, ...contour.map((p) => p.r), ...mates.map((m) => m.radiusMm)),
    drawn: part !== null,
    outline: contour,
    spans,
    bores: part && !part.problems.length ? boreOutlines(part.part) : [],
    marks: part && !part.problems.length ? sideMarks(part.part) : [],
    mates,
    stations: repair.places.flatMap((f) => stationsOf(f, repair.places)),
    findings: part ? [] : repair.diagnosis.found,
  };
}
