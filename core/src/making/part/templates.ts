import { THREADS, type Thread } from '../../book/threads';
import { kindOf, type Chamfer, type FeatureKindId, type PartFeature } from './features';
import { isBlockShape, newBlock, type BlockShape } from './block';
import type { End } from './feature-kind';
import { hostOf } from './host';
import { type Bore, type Part } from './part';
import { surface, type Surface } from './surface';

export type PartKind =
  | 'plain-pin'
  | 'headed-pin'
  | 'stepped-pin'
  | 'shaft'
  | 'stud'
  | 'screw'
  | 'plain-bush'
  | 'flanged-bush'
  | 'threaded-bush'
  | 'sleeve'
  | 'spacer'
  | 'repair-ring'
  | 'gland'
  | BlockShape;

export const PART_KINDS: Readonly<Record<PartKind, string>> = {
  'plain-pin': 'Plain pin',
  'headed-pin': 'Headed pin',
  'stepped-pin': 'Stepped pin',
  shaft: 'Shaft',
  stud: 'Stud',
  screw: 'Hexagon screw',
  'plain-bush': 'Plain bush',
  'flanged-bush': 'Flanged bush',
  'threaded-bush': 'Threaded bush',
  sleeve: 'Sleeve',
  spacer: 'Spacer',
  'repair-ring': 'Repair ring',
  gland: 'Gland',
  block: 'Block',
  link: 'Link',
  cap: 'Bearing cap',
  jaw: 'Jaw',
};

/** A 45° chamfer at an end of a surface. */
export const edge = (on: string, end: End, lengthMm: number): Chamfer => ({
  id: `${on}-${end}`,
  kind: 'chamfer',
  on,
  name: 'Chamfer',
  end,
  lengthMm,
  angleDeg: 45,
});

/** A bore of that share of the outside, with a wall to it however small that is. */
const through = (outsideMm: number, share: number): Bore => ({
  id: 'bore',
  from: 'near',
  through: true,
  surfaces: [surface('hole', 'cylinder', 'Bore', 0, Math.min(outsideMm * share, outsideMm - 2 * WALL_MM))],
});

/** Bores as a share of the outside: of a bush, and of what is thinner. */
const BORE_SHARE = 0.75;
const THIN_SHARE = 0.85;
const WALL_MM = 1.5;
/** A hexagon is this many times as wide across its flats as its screw is thick, and stands this high. */
const HEXAGON = { across: 1.5, high: 0.65 } as const;

const LISTED = THREADS.filter((t) => t.common && !t.tapered && (t.series === 'coarse' || t.series === 'UNC'));
/** The usual coarse thread nearest to a size: metric or unified. */
const threadNear = (mm: number): Thread => LISTED.reduce((p, q) => (Math.abs(q.majorMm - mm) < Math.abs(p.majorMm - mm) ? q : p));

/** Something cut into a surface of a part as its kind begins it, with what is said besides. */
function cutInto(part: Part, on: string, kind: FeatureKindId, id: string, own: object): PartFeature {
  const begun = kindOf(kind).start(hostOf(part, on)!);
  return { ...begun, id, kind, on, name: kindOf(kind).name, ...own } as unknown as PartFeature;
}

interface Shape {
  readonly materialId?: string;
  readonly outside: readonly Surface[];
  readonly bores?: readonly Bore[];
  /** Surfaces and ends that are chamfered. */
  readonly edges: readonly (readonly [on: string, end: End])[];
  /** What is cut into it besides. */
  readonly cuts?: (part: Part) => readonly PartFeature[];
}

type Round = Exclude<PartKind, BlockShape>;

/** A stretch by its share of the length and of the body's diameter. */
const stretch = (id: string, name: string, lengthMm: number, diameterMm: number): Surface =>
  surface(id, 'cylinder', name, lengthMm, diameterMm);

const plain = (d: number, l: number): Pick<Shape, 'outside' | 'edges'> => ({
  outside: [stretch('body', 'Body', l, d)],
  edges: [
    ['body', 'left'],
    ['body', 'right'],
  ],
});

function headed(d: number, l: number): Pick<Shape, 'outside' | 'edges'> {
  const headMm = Math.min(Math.max(l * 0.07, 3), l / 2);
  return {
    outside: [surface('head', 'head', 'Head', headMm, d * 1.4), stretch('body', 'Body', l - headMm, d)],
    edges: [
      ['head', 'left'],
      ['body', 'right'],
    ],
  };
}

const threadCut = (part: Part, on: string, id: string, thread: Thread, end: End, lengthMm: number): PartFeature =>
  cutInto(part, on, 'thread', id, { thread: thread.name, end, lengthMm: Math.floor(lengthMm * 10) / 10 });

function stud(d: number, l: number): Shape {
  const t = threadNear(d);
  return {
    outside: [stretch('body', 'Stud', l, t.majorMm)],
    edges: [
      ['body', 'left'],
      ['body', 'right'],
    ],
    cuts: (p) => [threadCut(p, 'body', 'metal', t, 'left', l * 0.35), threadCut(p, 'body', 'nut', t, 'right', l * 0.4)],
  };
}

function screw(d: number, l: number): Shape {
  const t = threadNear(d);
  const high = Math.min(t.majorMm * HEXAGON.high, l / 2);
  const across = t.majorMm * HEXAGON.across;
  return {
    // Round over its corners, as the bar is.
    outside: [surface('head', 'head', 'Head', high, across / Math.cos(Math.PI / 6)), stretch('shank', 'Shank', l - high, t.majorMm)],
    edges: [['shank', 'right']],
    cuts: (p) => [
      cutInto(p, 'head', 'flats', 'hexagon', { name: 'Hexagon', count: 6, atMm: 0, lengthMm: high, acrossMm: across }),
      threadCut(p, 'shank', 'screwed', t, 'right', (l - high) * 0.7),
    ],
  };
}

/** The shapes that are turned, for a body of `d` and a length of `l`, mm. */
const SHAPES: Readonly<Record<Round, (d: number, l: number) => Shape>> = {
  'plain-pin': plain,
  'headed-pin': headed,
  'stepped-pin': (d, l) => ({
    outside: [stretch('body', 'Body', l * 0.7, d), stretch('step', 'Step', l * 0.3, d * 0.75)],
    edges: [
      ['body', 'left'],
      ['step', 'right'],
    ],
  }),
  shaft: (d, l) => ({
    outside: [
      stretch('seatA', 'Bearing seat, left', l * 0.2, d * 0.8),
      stretch('body', 'Body', l * 0.45, d),
      stretch('seatB', 'Bearing seat, right', l * 0.2, d * 0.8),
      stretch('nose', 'Nose', l * 0.15, d * 0.6),
    ],
    edges: [
      ['seatA', 'left'],
      ['nose', 'right'],
    ],
  }),
  stud,
  screw,
  'plain-bush': (d, l) => ({ ...plain(d, l), materialId: 'bronze-tin', bores: [through(d, BORE_SHARE)] }),
  'flanged-bush': (d, l) => ({ ...headed(d, l), materialId: 'bronze-tin', bores: [through(d, BORE_SHARE)] }),
  'threaded-bush': (d, l) => {
    const t = threadNear(d);
    return {
      ...plain(t.majorMm, l),
      bores: [through(t.majorMm, 0.5)],
      cuts: (p) => [threadCut(p, 'body', 'outer', t, 'right', l)],
    };
  },
  sleeve: (d, l) => ({ ...plain(d, l), bores: [through(d, THIN_SHARE)] }),
  spacer: (d, l) => ({ ...plain(d, l), bores: [through(d, 0.6)] }),
  'repair-ring': (d, l) => ({ ...plain(d, l), bores: [through(d, THIN_SHARE)] }),
  gland: (d, l) => ({
    outside: [surface('head', 'head', 'Flange', l * 0.3, d * 1.4), stretch('body', 'Spigot', l * 0.7, d)],
    edges: [['body', 'right']],
    bores: [through(d, 0.5)],
  }),
};

/**
 * A first drawing of that kind around a body, to be edited: heads are 1.4 times the body, bush walls an eighth of it, threads the usual coarse one
 * nearest to the body's size; blocks have the cuts that their kind is known by.
 *
 * @param bodyMm diameter of the fitting body, or width of a block, mm
 * @param lengthMm overall length, mm
 */
export function newPart(kind: PartKind, name: string, bodyMm: number, lengthMm: number): Part {
  const base = { name, materialId: 'steel-c45', bores: [], limits: {}, outside: [], features: [] };
  if (isBlockShape(kind)) return { ...base, block: newBlock(kind, bodyMm, lengthMm) };
  const { materialId = base.materialId, outside, bores = [], edges, cuts = () => [] } = SHAPES[kind](bodyMm, lengthMm);
  const bare: Part = { ...base, materialId, outside, bores, block: null };
  const c = Math.min(1, bodyMm / 10);
  return { ...bare, features: [...edges.map(([on, end]) => edge(on, end, c)), ...cuts(bare)] };
}
