import { isDiameter } from '../../evidence/readings';
import { liesTurned, outsideCuts, turnedContour } from '../../making/drawing';
import { isDrawn, outline, placeOutside, type OutlinePoint, type PlacedSurface } from '../../making/part';
import { bodyLines, boreLines, boundsOf, partLines, type Primitive } from '../../making/scene';
import type { PictureFinding } from './diagnosis-finding';
import { madeSizeMm } from './made-size';
import { axisStartMm } from './on-axis';
import type { PartFinding } from './part-finding';
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
  /** What is cut into the outside of the new part. */
  readonly cuts: readonly PictureSpan[];
  readonly mates: readonly PictureSpan[];
  readonly stations: readonly PictureStation[];
  readonly findings: readonly PictureFinding[];
}

const EMPTY_LENGTH_MM = 100;
const UNKNOWN_RADIUS_MM = 10;

const end = (f: PlaceFinding): number => axisStartMm(f) + f.place.lengthMm;
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

const spanOf = (f: PlaceFinding, radiusMm = radiusOf(f)): PictureSpan => ({
  id: f.place.id,
  name: f.place.name,
  fromMm: axisStartMm(f),
  toMm: end(f),
  radiusMm,
});

/**
 * A part from its measured places: where several overlap the shortest is seen, gaps take their neighbour's size.
 *
 * @param radius of a place, mm
 */
function outlineOf(places: readonly PlaceFinding[], radius: (f: PlaceFinding) => number): OutlinePoint[] {
  const edges = [...new Set(places.flatMap((f) => [axisStartMm(f), end(f)]))].sort((p, q) => p - q);
  let r = places.length ? radius(places[0]!) : UNKNOWN_RADIUS_MM;
  return edges.slice(1).flatMap((to, i) => {
    const from = edges[i]!;
    const over = places
      .filter((f) => axisStartMm(f) <= from + 1e-9 && end(f) >= to - 1e-9)
      .sort((p, q) => p.place.lengthMm - q.place.lengthMm)[0];
    if (over) r = radius(over);
    return [
      { x: from, r },
      { x: to, r },
    ];
  });
}

interface Drawing {
  readonly shows: Pictured;
  /** The outside from left to right; empty where the lines tell it. */
  readonly contour: readonly OutlinePoint[];
  readonly lines: readonly Primitive[];
  readonly spans: readonly PictureSpan[];
  readonly cuts: readonly PictureSpan[];
  /** Components that it draws itself: no mates of what is drawn. */
  readonly own: readonly string[];
}

const found = (places: readonly PlaceFinding[]): Drawing => {
  const worn = places
    .filter((f) => f.component.role === 'worn' && f.place.side === 'outside' && isDiameter(f.place.kind))
    .sort((p, q) => axisStartMm(p) - axisStartMm(q));
  const contour = outlineOf(worn, radiusOf);
  return { shows: 'found', contour, lines: contour.length ? bodyLines(contour) : [], spans: worn.map((f) => spanOf(f)), cuts: [], own: [] };
};

function newPart({ part, problems }: PartFinding): Drawing {
  if (part.block) return { shows: 'block', contour: [], lines: problems.length ? [] : partLines(part), spans: [], cuts: [], own: [] };
  const spans = placeOutside(part).map((s) => ({ id: s.id, name: s.name, fromMm: s.fromMm, toMm: s.toMm, radiusMm: s.diameterMm / 2 }));
  // What is cut into a drawing with problems may lie anywhere: its bare surfaces show.
  const contour = outline({ ...part, features: [] });
  return problems.length
    ? { shows: 'part', contour, lines: bodyLines(contour), spans, cuts: [], own: [] }
    : { shows: 'part', contour, lines: partLines(part), spans, cuts: outsideCuts(part), own: [] };
}

/** Metal round a hole whose outside nobody measured is drawn this many times as thick as the hole is wide. */
const HULL_TIMES = 1.5;

/** Components that stay as they will be: cut places at their new size, the others as found. */
function reworked(
  places: readonly PlaceFinding[],
  componentIds: readonly string[],
  { dimensions }: Pick<PartFinding, 'dimensions'>,
): Drawing {
  const newSize = (f: PlaceFinding): number | undefined => dimensions.find((d) => d.dimension.key === f.place.id)?.figure.value;
  const radius = (f: PlaceFinding): number => (newSize(f) ?? 2 * radiusOf(f)) / 2;
  const measured = places.filter((f) => componentIds.includes(f.component.id) && isDiameter(f.place.kind));
  const lines = componentIds.flatMap((id): Primitive[] => {
    const own = measured.filter((f) => f.component.id === id);
    const [outsides, insides] = [own.filter((f) => f.place.side === 'outside'), own.filter((f) => f.place.side === 'inside')];
    const hull = HULL_TIMES * Math.max(...insides.map(radius));
    const body = outsides.length
      ? bodyLines(outlineOf(outsides, radius))
      : bodyLines(
          outlineOf(insides, () => hull),
          'hidden',
        );
    return own.length ? [...body, ...insides.flatMap((f) => boreLines(outlineOf([f], radius)))] : [];
  });
  const cut = measured.filter((f) => newSize(f) !== undefined);
  return { shows: 'rework', contour: [], lines, spans: cut.map((f) => spanOf(f, radius(f))), cuts: [], own: componentIds };
}

const middle = (fromMm: number, toMm: number): number => (fromMm + toMm) / 2;

/**
 * The first measured place that a made part sits in or on, and how far it is moved along the axis to sit there: home against its head or shoulder
 * where it has one on one side, else middle on middle.
 */
function seatOf(
  { part, segments }: PartFinding,
  places: readonly PlaceFinding[],
): { readonly componentId: string; readonly byMm: number } | null {
  for (const { segment } of segments) {
    const seat = places.find((f) => segment.fitsPlaceIds.includes(f.place.id));
    if (!seat) continue;
    const row = placeOutside(part);
    const at = row.findIndex((s) => s.id === segment.id);
    const thicker = (s: PlacedSurface | undefined): boolean => s !== undefined && Math.max(s.leftMm, s.rightMm) > segment.diameterMm;
    const [head, foot] = at < 0 ? [false, false] : [thicker(row[at - 1]), thicker(row[at + 1])];
    const byMm =
      head === foot
        ? middle(axisStartMm(seat), end(seat)) - middle(segment.fromMm, segment.toMm)
        : head
          ? axisStartMm(seat) - segment.fromMm
          : end(seat) - segment.toMm;
    return { componentId: seat.component.id, byMm };
  }
  return null;
}

const along = (l: Primitive, byMm: number): Primitive => {
  if (l.kind === 'path' || l.kind === 'area') return { ...l, points: l.points.map(([x, y]) => [x + byMm, y] as const) };
  return { ...l, x: l.x + byMm };
};

/** Components with the parts that go into them or onto them, each where it sits: the wide ones under the narrow. Null where nothing of it is drawn. */
function joined({ items, places, at }: Repair): Drawing | null {
  const parts = items.filter((i) => at!.item.after.includes(i.item.id) && i.part && !i.part.problems.length);
  const cut = parts.filter((i) => i.item.kind === 'rework');
  const made = parts.flatMap(({ item, part }) => {
    if (item.kind !== 'make' || !isDrawn(part!.part) || part!.part.block) return [];
    const drawing = newPart(part!);
    const seat = seatOf(part!, places);
    const byMm = seat?.byMm ?? 0;
    const spans = drawing.spans.map((s) => ({ ...s, id: `${item.id}.${s.id}`, fromMm: s.fromMm + byMm, toMm: s.toMm + byMm }));
    const radiusMm = Math.max(...spans.map((s) => s.radiusMm));
    return [{ in: seat?.componentId ?? [], lines: drawing.lines.map((l) => along(l, byMm)), spans, radiusMm }];
  });
  if (!made.length) return null;
  const ids = [...new Set([...at!.item.componentIds, ...cut.flatMap((i) => i.item.componentIds), ...made.flatMap((m) => m.in)])];
  // What a new part takes the place of is not there any more.
  const replaced = new Set(parts.filter((i) => i.item.kind === 'make').flatMap((i) => i.item.componentIds));
  const base = reworked(
    places,
    ids.filter((id) => !replaced.has(id)),
    { dimensions: cut.flatMap((i) => i.part!.dimensions) },
  );
  const inward = [...made].sort((p, q) => q.radiusMm - p.radiusMm);
  return {
    shows: 'joined',
    contour: [],
    lines: [...base.lines, ...inward.flatMap((m) => m.lines)],
    spans: inward.flatMap((m) => m.spans),
    cuts: [],
    own: ids,
  };
}

function drawingOf(repair: Repair, which: 'worn' | 'new', old: Drawing): Drawing {
  const { places, part, at } = repair;
  if (which === 'new' && at?.item.kind === 'join') return joined(repair) ?? old;
  if (which === 'new' && part && isDrawn(part.part)) return newPart(part);
  if (which === 'new' && part && at?.item.kind === 'rework') return reworked(places, at.item.componentIds, part);
  return old;
}

/** Edges of the old part dashed, end for end where the new one is its other hand. */
function ghostOf(old: Drawing, now: Drawing): Primitive[] {
  const turned = liesTurned(old.contour, now.contour);
  const lines = turned ? bodyLines(turnedContour(old.contour)) : old.lines;
  return lines.flatMap((l) => (l.kind === 'path' ? [{ ...l, style: 'hidden' as const }] : []));
}

/**
 * The picture of a job.
 *
 * @param which what came in as found, or what the item in hand makes of it once that is drawn
 */
export function pictureModel(repair: Repair, which: 'worn' | 'new'): PictureModel {
  const asFound = found(repair.places);
  const drawing = drawingOf(repair, which, asFound);
  const mates = repair.places
    .filter((f) => f.component.role === 'mate' && isDiameter(f.place.kind) && !drawing.own.includes(f.component.id))
    .map((f) => spanOf(f));
  const old = asFound.lines;
  const drawn = drawing.shows === 'block' ? old : drawing.lines;
  const { fromX, toX, toY } = boundsOf(drawn.filter((l) => l.kind === 'area'));
  const xs = [...(drawn.length ? [fromX, toX] : []), ...mates.flatMap((m) => [m.fromMm, m.toMm])];
  const { contour: _contour, own: _own, ...shown } = drawing;
  return {
    ...shown,
    ghost: drawing.shows === 'part' ? ghostOf(asFound, drawing) : [],
    fromMm: xs.length ? Math.min(0, ...xs) : 0,
    toMm: xs.length ? Math.max(...xs) : EMPTY_LENGTH_MM,
    largestRadiusMm: Math.max(UNKNOWN_RADIUS_MM / 2, toY, ...mates.map((m) => m.radiusMm)),
    mates,
    stations: repair.places.flatMap((f) => stationsOf(f, repair.places)),
    findings: drawing.shows === 'found' ? repair.diagnosis.found : [],
  };
}
