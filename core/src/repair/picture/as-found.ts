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

/** The bare surfaces of what came in, as they lie under a new drawing. */
export interface FoundSurfaces {
  /** The outside from left to right. */
  readonly contour: readonly OutlinePoint[];
  readonly lines: readonly Primitive[];
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

/** One worn component: its places, what is round outside, and the holes in it. */
interface Worn {
  readonly own: readonly PlaceFinding[];
  readonly outside: readonly PlaceFinding[];
  readonly inside: readonly PlaceFinding[];
}

function wornOf({ places }: Repair, only?: readonly string[]): Worn[] {
  const worn = groovesByDepth(places.filter((f) => f.component.role === 'worn' && (!only || only.includes(f.component.id))));
  return [...new Set(worn.map((f) => f.component.id))].map((id) => {
    const own = worn.filter((f) => f.component.id === id);
    return {
      own,
      outside: own.filter((f) => f.place.side === 'outside' && isRound(f)),
      inside: own.filter((f) => f.place.side === 'inside' && isDiameter(f.place.kind)),
    };
  });
}

/** Everything round outside, along the axis. */
const alongAxis = (worn: readonly Worn[]): PlaceFinding[] =>
  worn.flatMap((w) => w.outside).sort((p, q) => spanOf(p).fromMm - spanOf(q).fromMm);

/** The surfaces that were found of some components, with nothing cut into them. */
export function foundSurfaces(repair: Repair, componentIds: readonly string[]): FoundSurfaces {
  const worn = wornOf(repair, componentIds);
  return {
    contour: outlineOf(alongAxis(worn), radiusOf),
    lines: worn.flatMap(({ outside, inside }) => componentLines(outside, inside, radiusOf)),
  };
}

/** The worn components as their readings have them: surfaces at the size that was found, bores, and what is cut into them. */
export function asFoundDrawing(repair: Repair, sheet: JobSheet): Drawing {
  const worn = wornOf(repair);
  const components = worn.map(({ own, outside, inside }) => {
    const contour = outlineOf(outside, radiusOf);
    const made = asPart(contour, own, repair, sheet);
    const lines = made ? partLines(made.part).map((l) => along(l, made.atMm)) : componentLines(outside, inside, radiusOf);
    // The picture has its own centre line.
    return { lines: lines.filter((l) => l.kind !== 'path' || l.style !== 'centre'), cuts: cutSpans(own, contour) };
  });
  const round = alongAxis(worn);
  return {
    shows: 'found',
    contour: outlineOf(round, radiusOf),
    lines: components.flatMap((c) => c.lines),
    spans: round.map((f) => spanOf(f)),
    cuts: components.flatMap((c) => c.cuts),
    own: [],
  };
}
