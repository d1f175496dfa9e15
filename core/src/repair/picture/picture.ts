import { isDiameter } from '../../evidence/readings';
import { liesTurned, turnedContour } from '../../making/drawing';
import { isDrawn } from '../../making/part';
import { bodyLines, boundsOf, type Primitive } from '../../making/scene';
import { madeSizeMm, type JobSheet, type PlaceFinding, type Repair } from '../job';
import { asFoundDrawing, foundSurfaces, type FoundSurfaces } from './as-found';
import { joined } from './joined';
import type { Drawing, PictureModel, PictureStation } from './model';
import { newPart } from './new-part';
import { spanOf, UNKNOWN_RADIUS_MM } from './outline-of';
import { reworked } from './reworked';
import { areMates } from '../job/pair';

const EMPTY_LENGTH_MM = 100;

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

/** What the item in hand makes; null where it makes nothing that is drawn yet. */
function madeOf(repair: Repair): Drawing | null {
  const { places, part, at } = repair;
  if (at?.item.kind === 'join') return joined(repair);
  if (part && isDrawn(part.part)) return newPart(part);
  return part && at?.item.kind === 'rework' ? reworked(places, at.item.componentIds, part) : null;
}

/** Edges of the old part dashed, end for end where the new one is its other hand. */
function ghostOf(old: FoundSurfaces, now: Drawing): Primitive[] {
  const turned = liesTurned(old.contour, now.contour);
  const lines = turned ? bodyLines(turnedContour(old.contour)) : old.lines;
  return lines.flatMap((l) => (l.kind === 'path' ? [{ ...l, style: 'hidden' as const }] : []));
}

/** Whether the new part in hand fits a place, or takes the place of something that runs with it. */
function meets({ part, places, at }: Repair, mate: PlaceFinding): boolean {
  const own = places.filter((f) => at?.item.componentIds.includes(f.component.id));
  return (
    (part?.segments.some((s) => s.segment.fitsPlaceIds.includes(mate.place.id)) ?? false) || own.some((f) => areMates(f.place, mate.place))
  );
}

/**
 * The picture of a job.
 *
 * @param which what came in as found, or what the item in hand makes of it once that is drawn
 * @param sheet of the job, for what was seen of it
 */
export function pictureModel(repair: Repair, which: 'worn' | 'new', sheet: JobSheet): PictureModel {
  const drawing = (which === 'new' ? madeOf(repair) : null) ?? asFoundDrawing(repair, sheet);
  const mates = repair.places
    .filter((f) => f.component.role === 'mate' && isDiameter(f.place.kind) && !drawing.own.includes(f.component.id))
    .filter((f) => drawing.shows !== 'part' || meets(repair, f))
    .map((f) => spanOf(f));
  // A block's views lie apart from the axis of what came in.
  const drawn = drawing.shows === 'block' ? asFoundDrawing(repair, sheet).lines : drawing.lines;
  const { fromX, toX, toY } = boundsOf(drawn.filter((l) => l.kind === 'area'));
  const xs = [...(drawn.length ? [fromX, toX] : []), ...mates.flatMap((m) => [m.fromMm, m.toMm])];
  const { contour: _contour, own: _own, ...shown } = drawing;
  return {
    ...shown,
    // Under a new part lies what it takes the place of, nothing else.
    ghost: drawing.shows === 'part' ? ghostOf(foundSurfaces(repair, repair.at?.item.componentIds ?? []), drawing) : [],
    fromMm: xs.length ? Math.min(0, ...xs) : 0,
    toMm: xs.length ? Math.max(...xs) : EMPTY_LENGTH_MM,
    largestRadiusMm: Math.max(UNKNOWN_RADIUS_MM / 2, toY, ...mates.map((m) => m.radiusMm)),
    mates,
    stations: repair.places.flatMap((f) => stationsOf(f, repair.places)),
    findings: drawing.shows === 'found' ? repair.diagnosis.found : [],
  };
}
