import { onceRound, placeAll, type Part, type PartFeature, type PlacedSurface } from '../../making/part';
import { isRelief } from '../../evidence/readings';
import { inSentence } from '../../terms/words';
import { axisStartMm, chosenSeen, drawnId, meanOf, type JobSheet, type PlaceFinding } from '../job';
import { isDrawnDepth } from './depths';
import { readGroove } from './over-grooves';

/** A feature drawn from a place, or why it is not. */
export type DrawnCut = { readonly feature: PartFeature; readonly doubt?: string } | { readonly feature: null; readonly doubt: string };

interface Spot {
  readonly f: PlaceFinding;
  readonly on: PlacedSurface;
  /** From the left end of the surface, mm. */
  readonly atMm: number;
  readonly clock: { readonly clockDeg: number; readonly timedTo: string };
  readonly base: { readonly id: string; readonly name: string; readonly on: string };
}

const missing = (f: PlaceFinding, what: string): DrawnCut => ({
  feature: null,
  doubt: `${f.place.name} is not drawn: its ${what} was not read.`,
});

/** A seat that begins or ends this near to an end of its surface is open there, mm. */
const OPEN_MM = 1;
/** What a sled-runner cutter would be, should somebody choose one, mm. */
const SLED_MM = 50;

function groove({ f, atMm, base }: Spot): DrawnCut {
  const [width, floor] = [meanOf(f, 'width'), meanOf(f, 'groove-size')];
  if (floor === null) return missing(f, 'diameter in the groove');
  if (f.groove?.asInBook) {
    const { ring } = f.groove;
    return { feature: { ...base, kind: 'ring-groove', atMm, widthMm: ring.widthMm, diameterMm: ring.grooveMm, ring: 'book' } };
  }
  if (width === null) return missing(f, 'width');
  if (isRelief(f.place.name)) return { feature: { ...base, kind: 'relief', atMm, widthMm: width, diameterMm: floor } };
  return { feature: { ...base, kind: 'ring-groove', atMm, widthMm: width, diameterMm: floor, ring: 'measured' } };
}

function keyseat({ f, on, atMm, base, clock }: Spot): DrawnCut {
  const [width, depth] = [meanOf(f, 'width'), meanOf(f, 'key-depth')];
  const seat = f.keyseat?.seat;
  if (width === null) return missing(f, 'width');
  if (depth === null && !seat) return missing(f, 'depth');
  if (seat && seat.cutterMm !== null)
    return {
      feature: {
        ...base,
        ...clock,
        ...{
          kind: 'woodruff-seat',
          atMm: atMm + f.place.lengthMm / 2,
          widthMm: seat.widthMm,
          cutterMm: seat.cutterMm,
          depthMm: seat.fromCrownMm,
        },
      },
    };
  const book = f.keyseat?.asInBook ? seat : null;
  return {
    feature: {
      ...base,
      ...clock,
      kind: 'keyseat',
      cutter: 'end-mill',
      atMm,
      lengthMm: f.place.lengthMm,
      widthMm: book?.widthMm ?? width,
      depthMm: book?.fromCrownMm ?? depth ?? seat!.fromCrownMm,
      cutterMm: SLED_MM,
      open: atMm + f.place.lengthMm >= on.lengthMm - OPEN_MM ? 'right' : atMm <= OPEN_MM ? 'left' : 'none',
    },
    ...(depth === null
      ? {
          doubt: `How deep ${inSentence(f.place.name)} is was not read: drawn as the book has it for a key ${f.keyseat!.key}. Read the old one, or the key.`,
        }
      : book
        ? {}
        : { doubt: `${f.place.name} is drawn as found: it is not a seat that the book has for this shaft.` }),
  };
}

function thread({ f, on, atMm, base }: Spot): DrawnCut {
  const named = f.thread?.answer?.matches[0]?.thread;
  if (!named) return { feature: null, doubt: `${f.place.name} is drawn without its thread: its diameter and pitch name none yet.` };
  const end = atMm + f.place.lengthMm / 2 > on.lengthMm / 2 || on.lengthMm - f.place.lengthMm < 1 ? 'right' : 'left';
  return {
    feature: {
      ...base,
      ...{ kind: 'thread', end, thread: named.name, threadClass: '', hand: 'right', starts: 1 },
      lengthMm: Math.min(f.place.lengthMm, on.lengthMm),
    },
    doubt: `${f.place.name} is drawn right-handed with one start: say otherwise where it is.`,
  };
}

function flats({ f, atMm, base, clock }: Spot): DrawnCut {
  const across = meanOf(f, 'across');
  if (across === null) return missing(f, 'size across');
  return {
    feature: { ...base, ...clock, kind: 'flats', count: 2, atMm, lengthMm: f.place.lengthMm, acrossMm: across },
    doubt: `${f.place.name}: drawn as two flats.`,
  };
}

function crossHole({ f, on, base, clock }: Spot, zeroMm: number): DrawnCut {
  const [hole, at] = [meanOf(f, 'hole-size'), meanOf(f, 'hole-at')];
  if (hole === null) return missing(f, 'diameter');
  // Read from the zero face of its component; where it was not, the middle of what was said at Strip.
  const middle = at === null ? axisStartMm(f) + f.place.lengthMm / 2 : f.component.axisOffsetMm + at;
  return {
    feature: {
      ...base,
      ...clock,
      ...{ kind: 'cross-hole', atMm: middle - zeroMm - on.fromMm, diameterMm: hole, reach: 'through' },
      ...{ depthMm: on.leftMm / 2, sinkMm: 0, sinkDeg: 90, thread: '' },
    },
    ...(at === null ? { doubt: `Where ${inSentence(f.place.name)} lies was not read: drawn as it was said at Strip.` } : {}),
  };
}

const DRAWN: Readonly<Partial<Record<PlaceFinding['place']['kind'], (spot: Spot, zeroMm: number) => DrawnCut>>> = {
  groove,
  keyseat,
  thread,
  flats,
  'cross-hole': crossHole,
};

/** What is not round the axis or has no place in a drawing of ours. */
const NOT_DRAWN: readonly PlaceFinding['place']['kind'][] = ['depth', 'wall'];

/** Where a place stands round the part: what is told from another one counts on from there. Told in a ring, it counts as typed. */
function clockOn(sheet: JobSheet, placeId: string, asked: readonly string[] = []): number {
  const seen = chosenSeen(sheet, placeId);
  const own = seen?.clockDeg ?? 0;
  const from = seen?.timedToPlaceId;
  return from && !asked.includes(from) ? onceRound(own + clockOn(sheet, from, [...asked, placeId])) : own;
}

/**
 * What was measured as cut into the part, feature by feature.
 *
 * @param part its surfaces, drawn
 * @param zeroMm the part's zero face on the axis of the job
 */
export function cutsOf(places: readonly PlaceFinding[], part: Part, zeroMm: number, sheet: JobSheet): DrawnCut[] {
  const rows = placeAll(part);
  const clocked = new Set(places.filter((f) => ['keyseat', 'flats', 'cross-hole'].includes(f.place.kind)).map((f) => f.place.id));
  return places.flatMap((f): DrawnCut[] => {
    if (NOT_DRAWN.includes(f.place.kind) && !isDrawnDepth(f, places))
      return [{ feature: null, doubt: `${f.place.name} (${f.place.kind}) is not drawn: take it from its reading.` }];
    const draw = DRAWN[f.place.kind];
    if (!draw) return [];
    const from = axisStartMm(f) - zeroMm;
    const middle = (from + (readGroove(f, zeroMm)?.toMm ?? from + f.place.lengthMm)) / 2;
    const on = rows.find((s) => s.side === f.place.side && s.fromMm <= middle + 1e-6 && s.toMm >= middle - 1e-6);
    if (!on) return [{ feature: null, doubt: `${f.place.name} is not drawn: nothing was read of what it is cut into.` }];
    const seen = chosenSeen(sheet, f.place.id);
    const timedTo = seen?.timedToPlaceId && clocked.has(seen.timedToPlaceId) ? drawnId(seen.timedToPlaceId) : '';
    return [
      draw(
        {
          f,
          on,
          atMm: Math.max(from - on.fromMm, 0),
          clock: { clockDeg: clockOn(sheet, f.place.id), timedTo },
          base: { id: drawnId(f.place.id) + (f.place.kind === 'thread' ? '-thread' : ''), name: f.place.name, on: on.id },
        },
        zeroMm,
      ),
    ];
  });
}
