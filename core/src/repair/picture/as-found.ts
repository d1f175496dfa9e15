import { UNKNOWN_MATERIAL } from '../../book/materials';
import { isDiameter } from '../../evidence/readings';
import { surface, validatePart, type OutlinePoint, type Part } from '../../making/part';
import { partLines, type Primitive } from '../../making/scene';
import type { JobSheet, PlaceFinding, Repair } from '../job';
import { cutsOf } from '../drawn/cuts';
import { groovesByDepth } from '../drawn/depths';
import { onlyWhatGoes } from '../drawn/from-evidence';
import { boresAsRead } from '../drawn/surfaces';
import { along } from './along';
import type { Drawing, PictureSpan } from './model';
import { componentLines, endMm, outlineOf, radiusOf, spanOf } from './outline-of';

/** What came in as found, and its bare surfaces as they lie under a new drawing. */
export interface FoundDrawing {
  readonly drawing: Drawing;
  readonly bare: readonly Primitive[];
}

/** What is turned, or threaded on the outside. */
const isRound = ({ place }: PlaceFinding): boolean => isDiameter(place.kind) || (place.kind === 'thread' && place.side === 'outside');
const CUT_KINDS: readonly PlaceFinding['place']['kind'][] = ['groove', 'keyseat', 'flats', 'cross-hole'];

/** Surfaces of an outline, end to end. */
const surfacesOf = (contour: readonly OutlinePoint[]) =>
  contour.flatMap((p, i) => {
    const next = contour[i + 1];
    return i % 2 === 0 && next ? [surface(`found-${i}`, 'cylinder', 'Found', next.x - p.x, 2 * p.r)] : [];
  });

/** A component as a part with what was read as cut into it, and where it begins on the job's axis; null where its readings make none. */
function asPart(
  contour: readonly OutlinePoint[],
  own: readonly PlaceFinding[],
  repair: Repair,
  sheet: JobSheet,
): { readonly part: Part; readonly atMm: number } | null {
  const atMm = contour[0]?.x ?? 0;
  const plain: Part = {
    ...{ name: '', materialId: UNKNOWN_MATERIAL, features: [], limits: {}, block: null },
    outside: surfacesOf(contour),
    bores: boresAsRead(own, atMm, (contour.at(-1)?.x ?? 0) - atMm, repair, sheet.job.unit),
  };
  const checked = validatePart(plain);
  // What it is made of shows in no picture.
  const wrong = !checked.ok && checked.problems.some((p) => p.path !== 'materialId');
  if (!contour.length || wrong) return null;
  const cuts = cutsOf(own, plain, atMm, sheet).flatMap((c) => (c.feature ? [c.feature] : []));
  return { part: onlyWhatGoes({ ...plain, features: cuts }).part, atMm };
}

/** Radius of an outline, which is a row of stretches, at a place on the job's axis, mm; 0 beside it. */
const radiusAt = (contour: readonly OutlinePoint[], x: number): number =>
  Math.max(0, ...contour.filter((p, i) => i % 2 === 0 && p.x <= x && (contour[i + 1]?.x ?? p.x) >= x).map((p) => p.r));

/** What is cut into the outside, as it can be touched. */
const cutSpans = (own: readonly PlaceFinding[], contour: readonly OutlinePoint[]): PictureSpan[] =>
  own
    .filter(({ place }) => CUT_KINDS.includes(place.kind) && place.side === 'outside')
    .map((f) => spanOf(f, radiusAt(contour, (spanOf(f).fromMm + endMm(f)) / 2)));

/**
 * The worn components as their readings have them: surfaces at the size that was found, bores, and what is cut into them.
 *
 * @param only of these components; of all where it is left out
 */
export function asFoundDrawing(repair: Repair, sheet: JobSheet, only?: readonly string[]): FoundDrawing {
  const worn = groovesByDepth(repair.places.filter((f) => f.component.role === 'worn' && (!only || only.includes(f.component.id))));
  const outsides = worn.filter((f) => f.place.side === 'outside' && isRound(f)).sort((p, q) => spanOf(p).fromMm - spanOf(q).fromMm);
  const components = [...new Set(worn.map((f) => f.component.id))].map((id) => {
    const own = worn.filter((f) => f.component.id === id);
    const outside = outsides.filter((f) => f.component.id === id);
    const inside = own.filter((f) => f.place.side === 'inside' && isDiameter(f.place.kind));
    const contour = outlineOf(outside, radiusOf);
    const bare = componentLines(outside, inside, radiusOf);
    const made = asPart(contour, own, repair, sheet);
    const lines = made ? partLines(made.part).map((l) => along(l, made.atMm)) : bare;
    // The picture has its own centre line.
    return { lines: lines.filter((l) => l.kind !== 'path' || l.style !== 'centre'), bare, cuts: cutSpans(own, contour) };
  });
  return {
    drawing: {
      shows: 'found',
      contour: outlineOf(outsides, radiusOf),
      lines: components.flatMap((c) => c.lines),
      spans: outsides.map((f) => spanOf(f)),
      cuts: components.flatMap((c) => c.cuts),
      own: [],
    },
    bare: components.flatMap((c) => c.bare),
  };
}
