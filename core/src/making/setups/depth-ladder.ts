import { keeper } from '../../terms/kept';
import { inSentence } from '../../terms/words';
import { hostOf, kindOf, partLengthMm, placeBore, placeOutside, type FeatureKindId, type Part, type PlacedSurface } from '../part';
import { toTurns, type DialTurns } from './dial';
import type { Dial } from './machine';

/** Nearer than this is the same place, mm. */
const EPS = 1e-9;

/** Which edge of the parting or grooving tool was touched on the zero face: the left one is on the side of the chuck. */
export type TouchedEdge = 'left' | 'right';

export interface Rung {
  /** Lasts for the feature or the surface that it is of; names may repeat. */
  readonly key: string;
  readonly what: string;
  /** From the set-up's zero face to the edge on the part, mm. */
  readonly depthMm: number;
  /** Where the tool stands when its touched edge is the reference: the number on the readout, mm. */
  readonly toolMm: number;
  /** Null for what is measured, not dialled: the length over all, which an end is faced to. */
  readonly dial: DialTurns | null;
  readonly note: string;
}

export interface LadderOptions {
  /** The zero face is the far end (largest x) when true, the part's own zero face when false. */
  readonly fromFarEnd: boolean;
  readonly partingMm: number;
  readonly touched: TouchedEdge;
  /** Of the slide that travels along the part. */
  readonly dial: Dial;
  /** With the part-off as the last rung. */
  readonly partOff: boolean;
  /** An end is faced to the length over all before anything else: the first rung. */
  readonly toLength: boolean;
  /** Ids of the surfaces and features that are cut in this holding: only their edges stand on it. */
  readonly cuts: readonly string[];
}

/** Where metal stays beside an edge, looked at as drawn; null where no wall is cut there. */
type Metal = 'left' | 'right' | null;

interface Edge extends Pick<Rung, 'key' | 'what'> {
  readonly x: number;
  readonly ownerId: string;
  readonly metal: Metal;
  /** Of a groove or of a thinner stretch between thicker ones: how wide a tool goes in. Infinity where it is open to one side. */
  readonly roomMm: number;
  /** It lies behind something thicker, or is a groove: the tool is plunged, not fed along from the zero face. */
  readonly plunged: boolean;
  readonly ofGroove: boolean;
}

const OPEN = { metal: null, roomMm: Infinity, plunged: false, ofGroove: false } as const;

/** Features at an end of a surface: that end itself is a shoulder or a face, and stands on the ladder as that. */
const EDGE_KINDS: readonly FeatureKindId[] = ['chamfer', 'fillet', 'weld-prep'];

const keepFeatureEdges = keeper<Part, readonly Edge[]>();

/** Ends of what is turned into a surface, and centres of what is drilled across it: the same from either end. */
const featureEdges = (part: Part): readonly Edge[] => keepFeatureEdges(part, [], () => edgesOfFeatures(part));

function edgesOfFeatures(part: Part): Edge[] {
  return part.features.flatMap((f): Edge[] => {
    const host = hostOf(part, f.on);
    if (!host) return [];
    const cut = kindOf(f.kind).cut(f, host);
    if (cut.shape === 'turned') {
      const [from, to] = [cut.contour[0]!.x, cut.contour.at(-1)!.x];
      if (EDGE_KINDS.includes(f.kind) && 'end' in f)
        return f.end === 'left'
          ? [{ ...OPEN, key: `${f.id}.to`, what: `${f.name}: ends`, x: to, ownerId: f.id }]
          : [{ ...OPEN, key: `${f.id}.from`, what: `${f.name}: begins`, x: from, ownerId: f.id }];
      const walls = { ownerId: f.id, roomMm: to - from, plunged: true, ofGroove: true };
      return [
        { ...walls, key: `${f.id}.from`, what: `${f.name}: left wall`, x: from, metal: 'left' },
        { ...walls, key: `${f.id}.to`, what: `${f.name}: right wall`, x: to, metal: 'right' },
      ];
    }
    return cut.marks.flatMap((m): Edge[] => {
      if (m.kind === 'circle')
        return [
          { ...OPEN, key: `${f.id}.at`, what: `${f.name} ${Number((2 * m.radiusMm).toFixed(3))} mm, centre`, x: m.atMm, ownerId: f.id },
        ];
      return [
        { ...OPEN, key: `${f.id}.from`, what: `${f.name}: begins`, x: m.fromMm, ownerId: f.id },
        { ...OPEN, key: `${f.id}.to`, what: `${f.name}: ends`, x: m.toMm, ownerId: f.id },
      ];
    });
  });
}

/**
 * Steps between surfaces that follow one another from left to right.
 *
 * @param metalAt how far metal reaches at an end of a surface: of what is turned outside its radius, of a bore its radius turned round
 */
function steps(
  placed: readonly PlacedSurface[],
  fromFarEnd: boolean,
  metalAt: (mm: number) => number,
  words: (before: PlacedSurface, s: PlacedSurface) => Pick<Edge, 'key' | 'what'>,
): Edge[] {
  return placed.slice(1).map((s, i): Edge => {
    const before = placed[i]!;
    const [reach, reaches] = [metalAt(before.rightMm), metalAt(s.leftMm)];
    // Two of one diameter meet in no step: where the one ends is told all the same.
    if (Math.abs(reach - reaches) < EPS) return { ...OPEN, ...words(before, s), x: s.fromMm, ownerId: s.id };
    const left = reach > reaches;
    // It comes about as that one of the two is cut from which more comes off.
    const cut = left ? s : before;
    const at = placed.indexOf(cut);
    const nearer = fromFarEnd ? placed.slice(at + 1) : placed.slice(0, at);
    const own = Math.max(metalAt(cut.leftMm), metalAt(cut.rightMm));
    const behind = nearer.some((p) => Math.max(metalAt(p.leftMm), metalAt(p.rightMm)) > own + EPS);
    return {
      ...words(before, s),
      x: s.fromMm,
      ownerId: cut.id,
      metal: left ? 'left' : 'right',
      roomMm: behind ? cut.lengthMm : Infinity,
      plunged: behind,
      ofGroove: false,
    };
  });
}

function edges(part: Part, fromFarEnd: boolean): Edge[] {
  const placed = placeOutside(part);
  const length = placed.at(-1)?.toMm ?? 0;
  const inside = part.bores.flatMap((b): Edge[] => {
    const along = [...placeBore(part, b)].sort((p, q) => p.fromMm - q.fromMm);
    const near = b.from === 'near';
    const deepest = near ? along.at(-1) : along[0];
    const bottom = near ? (deepest?.toMm ?? 0) : (deepest?.fromMm ?? 0);
    const wordsOf = (s: PlacedSurface): Pick<Edge, 'key' | 'what'> => ({ key: `${s.id}.bottom`, what: `Bottom of ${inSentence(s.name)}` });
    return [
      // Of two the one nearer the mouth ends there.
      ...steps(
        along,
        fromFarEnd,
        (mm) => -mm,
        (before, s) => wordsOf(near ? before : s),
      ),
      ...(deepest && bottom > EPS && bottom < length - EPS ? [{ ...OPEN, ...wordsOf(deepest), x: bottom, ownerId: deepest.id }] : []),
    ];
  });
  return [
    ...featureEdges(part),
    ...steps(
      placed,
      fromFarEnd,
      (mm) => mm,
      (before, s) => ({ key: `${s.id}.shoulder`, what: `Shoulder ${inSentence(before.name)} to ${inSentence(s.name)}` }),
    ),
    ...inside,
  ];
}

/** Where the plunged tool stands for a wall, counted by the edge of it that touched the zero face; and which edge cuts. */
function toolFor(e: Edge, depthMm: number, o: Pick<LadderOptions, 'fromFarEnd' | 'partingMm' | 'touched'>): Pick<Rung, 'toolMm' | 'note'> {
  const towardsZero = e.metal === null || (e.metal === 'left') === o.fromFarEnd;
  if (towardsZero && !e.plunged) return { toolMm: depthMm, note: '' };
  const width = Math.min(o.partingMm, e.roomMm);
  const cuts: TouchedEdge = towardsZero ? 'left' : 'right';
  const ground = o.partingMm > e.roomMm + EPS ? ', with a tool ground to its width' : '';
  const side = `wall ${towardsZero ? 'far from' : 'nearest'} zero${ground}`;
  const other = e.ofGroove
    ? ''
    : `; a ${cuts === 'right' ? 'left' : 'right'}-hand tool, touched with its own edge, goes to the depth itself`;
  if (cuts === o.touched) return { toolMm: depthMm, note: `${side}: the ${cuts} edge cuts, which touched` };
  const sign = cuts === 'right' ? 1 : -1;
  const how = cuts === 'right' ? 'and' : 'less';
  return { toolMm: depthMm + sign * width, note: `${side}: ${o.touched} edge touched, depth ${how} the width of the tool${other}` };
}

/**
 * Every shoulder, chamfer edge and hole that is cut in one holding, and the part-off, as distance from one zero face, nearest first.
 *
 * A turning tool is touched with the edge that cuts, so its number is the depth. Walls of a groove, of a stretch behind something thicker, and
 * the part-off are cut with a tool that has two edges: where the other one touched the face it stands its width further, or less far.
 */
export function depthLadder(part: Part, o: LadderOptions): Rung[] {
  const length = partLengthMm(part);
  const here = new Set(o.cuts);
  const rungs = edges(part, o.fromFarEnd)
    .filter((e) => here.has(e.ownerId))
    .map((e) => ({ e, depthMm: o.fromFarEnd ? length - e.x : e.x }))
    .filter((r) => r.depthMm > EPS && r.depthMm < length + EPS)
    .sort((p, q) => p.depthMm - q.depthMm)
    .map(({ e, depthMm }): Rung => {
      const tool = toolFor(e, depthMm, o);
      return { key: e.key, what: e.what, depthMm, ...tool, dial: toTurns(tool.toolMm, o.dial) };
    });
  const faced = 'measure it; touch the end, go in by what it is too long, and zero there';
  if (o.toLength) return [{ key: 'length', what: 'Length over all', depthMm: length, toolMm: length, dial: null, note: faced }, ...rungs];
  if (!o.partOff) return rungs;
  const toolMm = o.touched === 'left' ? length + o.partingMm : length;
  const note = o.touched === 'left' ? 'left edge touched: length and the width of the tool' : 'right edge touched: the length itself';
  return [...rungs, { key: 'part-off', what: 'Part off', depthMm: length, toolMm, dial: toTurns(toolMm, o.dial), note }];
}
