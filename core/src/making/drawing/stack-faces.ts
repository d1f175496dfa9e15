import { splitPinShank } from '../../book/pins';
import { inSentence } from '../../terms/words';
import { hostOf, placeBore, placeOutside, ringOf, type Bore, type Part, type PartFeature, type PlacedSurface } from '../part';

/** What lies between what sits there and the wall that takes its push: a ring, a split pin; mm. */
export interface Holder {
  readonly name: string;
  readonly thicknessMm: number;
  /** How far it may be thinner, or thicker. */
  readonly lowerDev: number;
  readonly upperDev: number;
  readonly source: string;
}

/** A length of the drawing in the place of a face, and how often it counts; below nought against it. */
type Counted = readonly [key: string, times: number];

/** A wall of the part that what sits on it, or in it, is kept by. */
export interface StackFace {
  /** `<surface>.left` or `.right` of a shoulder; the feature's own of a groove or a hole. */
  readonly id: string;
  readonly name: string;
  readonly side: 'outside' | 'inside';
  /** On which side of it lies what it keeps. */
  readonly keeps: 'left' | 'right';
  /** From the zero face, mm. */
  readonly atMm: number;
  /** The lengths of the drawing that its place comes of. */
  readonly of: readonly Counted[];
  readonly feature: Extract<PartFeature, { readonly kind: 'ring-groove' | 'cross-hole' }> | null;
  /** Null of a shoulder, and of a ring or a pin that the book does not know. */
  readonly holder: Holder | null;
}

/** A surface in its place, with the lengths that its two ends come of. */
interface Placed {
  readonly s: PlacedSurface;
  readonly left: readonly Counted[];
  readonly right: readonly Counted[];
}

const lengths = (row: readonly PlacedSurface[], times: number): Counted[] => row.map((s) => [`${s.id}.length`, times]);

function ofBore(part: Part, bore: Bore): Placed[] {
  const row = placeBore(part, bore);
  const whole = lengths(placeOutside(part), 1);
  return row
    .map((s, i): Placed => {
      const mouth = lengths(row.slice(0, i), bore.from === 'near' ? 1 : -1);
      const last = bore.through && i === row.length - 1;
      const deep: readonly Counted[] = [...mouth, [`${s.id}.length`, bore.from === 'near' ? 1 : -1]];
      return bore.from === 'near'
        ? { s, left: mouth, right: last ? whole : deep }
        : { s, left: last ? [] : [...whole, ...deep], right: [...whole, ...mouth] };
    })
    .sort((p, q) => p.s.fromMm - q.s.fromMm);
}

const ofOutside = (part: Part): Placed[] =>
  placeOutside(part).map((s, i, row) => ({ s, left: lengths(row.slice(0, i), 1), right: lengths(row.slice(0, i + 1), 1) }));

/** Shoulders of a row of surfaces: ends at which its neighbour stands in the way, and the floor of a bore that is not through. */
function shoulders(row: readonly Placed[], side: 'outside' | 'inside', closed: 'left' | 'right' | null): StackFace[] {
  const stands = (own: number, other: number): boolean => (side === 'outside' ? other > own + 1e-6 : other < own - 1e-6);
  return row.flatMap(({ s, left, right }, i) => {
    const face = (end: 'left' | 'right'): StackFace[] => {
      const beside = row[end === 'left' ? i - 1 : i + 1]?.s;
      const [own, other] = end === 'left' ? [s.leftMm, beside?.rightMm] : [s.rightMm, beside?.leftMm];
      const floor = closed === end && beside === undefined;
      if (!floor && (other === undefined || !stands(own, other))) return [];
      return [
        {
          ...{ id: `${s.id}.${end}`, side, feature: null, holder: null },
          name: floor ? `floor of ${inSentence(s.name)}` : `${end} of ${inSentence(s.name)}`,
          keeps: end === 'left' ? 'right' : 'left',
          atMm: end === 'left' ? s.fromMm : s.toMm,
          of: end === 'left' ? left : right,
        },
      ];
    };
    return [...face('left'), ...face('right')];
  });
}

/** The walls of a ring's groove that its ring is pushed against, one for each side that it may keep something on. */
function ofGroove(part: Part, f: Extract<PartFeature, { kind: 'ring-groove' }>, placed: Placed): StackFace[] {
  const ring = ringOf(f, hostOf(part, f.on)!);
  const holder = ring && { name: 'ring', thicknessMm: ring.thicknessMm, lowerDev: 0, upperDev: 0, source: ring.source };
  const own = { id: f.id, name: f.name, side: placed.s.side, feature: f, holder: holder ?? null };
  const at: Counted = [`${f.id}.at`, 1];
  const leftMm = placed.s.fromMm + f.atMm;
  return [
    { ...own, keeps: 'left', atMm: leftMm + f.widthMm, of: [...placed.left, at, [`${f.id}.width`, 1]] },
    { ...own, keeps: 'right', atMm: leftMm, of: [...placed.left, at] },
  ];
}

/** The walls of a split pin's hole: the pin is pushed against the far one. */
function ofHole(f: Extract<PartFeature, { kind: 'cross-hole' }>, placed: Placed): StackFace[] {
  const pin = splitPinShank(f.diameterMm);
  const holder = pin && {
    ...{ name: 'split pin', thicknessMm: pin.largestMm, lowerDev: pin.smallestMm - pin.largestMm, upperDev: 0, source: pin.source },
  };
  const own = { id: f.id, name: f.name, side: placed.s.side, feature: f, holder: holder ?? null };
  const middleMm = placed.s.fromMm + f.atMm;
  const of = (times: number): readonly Counted[] => [...placed.left, [`${f.id}.at`, 1], [`${f.id}.diameter`, times]];
  return [
    { ...own, keeps: 'left', atMm: middleMm + f.diameterMm / 2, of: of(0.5) },
    { ...own, keeps: 'right', atMm: middleMm - f.diameterMm / 2, of: of(-0.5) },
  ];
}

/** Every wall of a turned part that may keep something along the axis: shoulders, floors of bores, grooves of rings, holes through it for a split pin. */
export function stackFaces(part: Part): StackFace[] {
  const outside = ofOutside(part);
  const bores = part.bores.map((b) => ({ bore: b, row: ofBore(part, b) }));
  const all = [...outside, ...bores.flatMap((b) => b.row)];
  const cut = part.features.flatMap((f): StackFace[] => {
    const placed = all.find((p) => p.s.id === f.on);
    if (!placed) return [];
    if (f.kind === 'ring-groove') return ofGroove(part, f, placed);
    return f.kind === 'cross-hole' && f.reach === 'through' && f.thread === '' && placed.s.side === 'outside' ? ofHole(f, placed) : [];
  });
  return [
    ...shoulders(outside, 'outside', null),
    ...bores.flatMap(({ bore, row }) => shoulders(row, 'inside', bore.through ? null : bore.from === 'near' ? 'right' : 'left')),
    ...cut,
  ];
}

/** Whether a shoulder stands in the way between two walls: one that stops what leans on the other side of it, or a collar between two rings. */
function isBlocked(left: StackFace, right: StackFace, all: readonly StackFace[]): boolean {
  const between = all.filter((f) => !f.feature && f.side === left.side && f.atMm > left.atMm && f.atMm < right.atMm);
  const [stopsRight, stopsLeft] = [between.filter((f) => f.keeps === 'left'), between.filter((f) => f.keeps === 'right')];
  return (
    (!left.feature && stopsRight.length > 0) ||
    (!right.feature && stopsLeft.length > 0) ||
    stopsRight.some((a) => stopsLeft.some((b) => a.atMm < b.atMm))
  );
}

/**
 * Whether something can sit between two walls, the first to its left.
 *
 * @param all walls of the part
 */
export const faceEachOther = (left: StackFace, right: StackFace, all: readonly StackFace[]): boolean =>
  left.keeps === 'right' &&
  right.keeps === 'left' &&
  left.side === right.side &&
  left.id !== right.id &&
  left.atMm <= right.atMm &&
  !isBlocked(left, right, all);

/**
 * Where something most likely sits along a part: between what may keep it and the nearest wall that faces it, a shoulder before another ring.
 *
 * @returns ids of what it leans on and of what keeps it; null where nothing keeps anything
 */
export function likelyWalls(part: Part): { readonly shoulder: string; readonly grooveId: string } | null {
  const faces = stackFaces(part);
  const pairs = faces
    .filter((keeper) => keeper.feature)
    .flatMap((keeper) =>
      faces
        .filter((f) => (f.atMm <= keeper.atMm ? faceEachOther(f, keeper, faces) : faceEachOther(keeper, f, faces)))
        .map((f) => ({ f, keeper, far: Math.abs(f.atMm - keeper.atMm) + (f.feature ? 1e6 : 0) })),
    )
    .sort((p, q) => p.far - q.far);
  const best = pairs[0];
  return best ? { shoulder: best.f.id, grooveId: best.keeper.id } : null;
}
