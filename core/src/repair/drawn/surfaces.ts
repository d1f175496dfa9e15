import { isDiameter } from '../../evidence/readings';
import { surface, unreadId, type Bore, type Surface } from '../../making/part';
import type { LengthUnit } from '../../terms/quantity';
import type { BoreFinding, FitFinding, PlaceFinding, SeatFinding } from '../job';
import { axisStartMm, drawnId, meanOf, originalSizeMm } from '../job';
import { depthMarks } from './depths';
import { endToEnd, type ReadStretch, type Stretch } from './stretches';

/** Diameters at the ends of a measured taper, by the line through its stations, mm. */
function taperEnds(f: PlaceFinding): readonly [number, number] | null {
  const sections = f.shape?.sections ?? [];
  const slope = f.shape?.profile?.taperPerMm;
  if (slope === undefined || sections.length < 2) return null;
  const middle = sections.reduce((s, q) => s + q.stationMm, 0) / sections.length;
  const mean = sections.reduce((s, q) => s + q.meanMm, 0) / sections.length;
  const at = (x: number): number => mean + slope * (x - middle);
  return [at(f.place.startMm), at(f.place.startMm + f.place.lengthMm)];
}

/** The size that a place of a new part gets where no fit says another, mm: what it was, else as found; null where nothing was read. */
export function newSizeMm(f: PlaceFinding): number | null {
  if (f.place.kind === 'thread') return f.thread?.answer?.matches[0]?.thread.majorMm ?? meanOf(f, 'major');
  return originalSizeMm(f) ?? f.shape?.meanMm ?? null;
}

/** A place that was read as a stretch of the part, `zeroMm` its zero face and `sizeMm` the size it gets; null where it is no diameter, or nothing was read. */
export function readStretch(f: PlaceFinding, zeroMm: number, sizeMm = newSizeMm): ReadStretch | null {
  if (!isDiameter(f.place.kind) && !(f.place.kind === 'thread' && f.place.side === 'outside')) return null;
  const ends = f.place.kind === 'taper' ? taperEnds(f) : null;
  const plain = sizeMm(f);
  if (plain === null || f.place.lengthMm <= 0) return null;
  const fromMm = axisStartMm(f) - zeroMm;
  const [leftMm, rightMm] = ends ?? [plain, plain];
  return {
    placeId: f.place.id,
    piece: f.component.id,
    land: f.place.land === 'unworn',
    name: f.place.name,
    fromMm,
    toMm: fromMm + f.place.lengthMm,
    leftMm,
    rightMm,
  };
}

/** Mates that a place has to fit: holes that stay for an outside, shafts that stay for a bore. */
const matesOf = (placeId: string | null, places: readonly PlaceFinding[], mates: readonly string[]): string[] => {
  const own = places.find((f) => f.place.id === placeId);
  return own
    ? mates.filter((id) => own.place.matesPlaceId === id || places.some((f) => f.place.id === id && f.place.matesPlaceId === placeId))
    : [];
};

/** What a drawing from the evidence is made out of. */
export interface Evidence {
  readonly places: readonly PlaceFinding[];
  readonly fits: readonly FitFinding[];
  readonly bores: readonly BoreFinding[];
  /** Seats of bearings that are not here to be measured. */
  readonly seats: readonly SeatFinding[];
}

/** A surface from a stretch; `times` tells two of one place apart. */
function surfaceOf(s: Stretch, mates: readonly string[], times: number): Surface {
  const id = s.placeId === null ? unreadId(s.fromMm) : drawnId(s.placeId) + (times ? `-${times + 1}` : '');
  const plain = surface(id, 'cylinder', s.name, s.toMm - s.fromMm, s.leftMm);
  const tapered = Math.abs(s.leftMm - s.rightMm) > 1e-9;
  return { ...plain, fitsPlaceIds: mates, ...(tapered ? { kind: 'taper', farDiameterMm: s.rightMm } : {}) };
}

const surfacesOf = (stretches: readonly Stretch[], places: readonly PlaceFinding[], mates: readonly string[]): Surface[] =>
  stretches.map((s, i) => {
    const times = s.placeId === null ? 0 : stretches.slice(0, i).filter((o) => o.placeId === s.placeId).length;
    return surfaceOf(s, times ? [] : matesOf(s.placeId, places, mates), times);
  });

/** The outside from left to right. */
export const outsideOf = (stretches: readonly Stretch[], { places, fits }: Evidence): Surface[] =>
  surfacesOf(
    stretches,
    places,
    fits.map((f) => f.hole.place.id),
  );

/** A bore that ends this near to an end of the part is open there, mm. */
const OPEN_MM = 1;

/** The bore of a part with what the readings did not tell; no bore where none was read. */
export interface DrawnBores {
  readonly bores: readonly Bore[];
  readonly doubts: readonly string[];
}

/**
 * The bore from what was read inside: through where that reaches both ends, else from the end that it is nearer to.
 *
 * @param read places inside, from the zero face
 * @param shouldersMm shoulders that were read, mm from the zero face
 * @param lengthMm of the part
 */
export function boresOf(
  read: readonly ReadStretch[],
  shouldersMm: readonly number[],
  lengthMm: number,
  { places, bores }: Evidence,
  unit: LengthUnit,
): DrawnBores {
  if (!read.length) return { bores: [], doubts: [] };
  const [left, right] = [Math.min(...read.map((s) => s.fromMm)), lengthMm - Math.max(...read.map((s) => s.toMm))];
  const through = left <= OPEN_MM && right <= OPEN_MM;
  const from = through || left <= right ? 'near' : 'far';
  // From its own mouth inwards, whichever end that is.
  const inwards =
    from === 'near'
      ? read
      : read.map((s) => ({ ...s, fromMm: lengthMm - s.toMm, toMm: lengthMm - s.fromMm, leftMm: s.rightMm, rightMm: s.leftMm }));
  const marks = (from === 'near' ? shouldersMm : shouldersMm.map((m) => lengthMm - m)).filter((m) => m < lengthMm - OPEN_MM);
  // Its floor is as deep as was read, also where no diameter was read down there.
  const deep = through ? lengthMm : Math.max(...inwards.map((s) => s.toMm), ...marks);
  const { stretches, doubts } = endToEnd(
    inwards,
    marks.filter((m) => m > 0 && m < deep),
    deep,
    unit,
  );
  const rows = surfacesOf(
    stretches,
    places,
    bores.map((b) => b.shaft.place.id),
  );
  const surfaces = rows.map((s, i) => (through && i === rows.length - 1 ? { ...s, lengthMm: 0 } : s));
  return {
    bores: [{ id: 'bore', from, through, surfaces }],
    doubts: from === 'near' ? doubts : doubts.map((d) => `${d} Counted from the far end.`),
  };
}

/**
 * The bores of a component as they were found, worn as they are.
 *
 * @param zeroMm its left end on the axis of the job
 * @param lengthMm from there to its right end
 */
export function boresAsRead(
  own: readonly PlaceFinding[],
  zeroMm: number,
  lengthMm: number,
  evidence: Evidence,
  unit: LengthUnit,
): readonly Bore[] {
  const inside = own.filter((f) => f.place.side === 'inside');
  const read = inside.flatMap((f) => readStretch(f, zeroMm, ({ shape }) => shape?.meanMm ?? null) ?? []);
  return boresOf(read, depthMarks(own, zeroMm), lengthMm, evidence, unit).bores;
}
