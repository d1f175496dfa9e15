import { inSentence } from '../../terms/words';
import { hostOf, kindOf, placeBore, placeOutside, type Part } from '../part';
import { toTurns, type DialTurns } from './dial';
import type { Dial } from './machine';

/** Which edge of the parting tool was touched on the zero face. */
export type TouchedEdge = 'left' | 'right';

export interface Rung {
  /** Lasts for the feature or the surface that it is of; names may repeat. */
  readonly key: string;
  readonly what: string;
  /** From the set-up's zero face to the edge on the part, mm. */
  readonly depthMm: number;
  /** Where the tool stands when its touched edge is the reference: the number on the readout, mm. */
  readonly toolMm: number;
  readonly dial: DialTurns;
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
  /** The other end is faced to the length over all: the last rung. */
  readonly toLength: boolean;
  /** Ids of the surfaces and features that are cut in this holding: only their edges stand on it. */
  readonly cuts: readonly string[];
}

type Edge = Pick<Rung, 'key' | 'what'> & { readonly x: number; readonly ownerId: string };

/** Ends of what is turned into a surface, and centres of what is drilled across it. */
function featureEdges(part: Part): Edge[] {
  return part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    if (!host) return [];
    const cut = kindOf(f.kind).cut(f, host);
    if (cut.shape === 'turned') {
      const [from, to] = [cut.contour[0]!.x, cut.contour.at(-1)!.x];
      // An edge's own end is a shoulder or a face, and stands on the ladder as that.
      if (f.kind === 'chamfer' || f.kind === 'fillet') {
        return f.end === 'left'
          ? [{ key: `${f.id}.to`, what: `${f.name}: ends`, x: to, ownerId: f.id }]
          : [{ key: `${f.id}.from`, what: `${f.name}: begins`, x: from, ownerId: f.id }];
      }
      return [
        { key: `${f.id}.from`, what: `${f.name}: left wall`, x: from, ownerId: f.id },
        { key: `${f.id}.to`, what: `${f.name}: right wall`, x: to, ownerId: f.id },
      ];
    }
    return cut.marks.flatMap((m) => {
      if (m.kind === 'circle')
        return [{ key: `${f.id}.at`, what: `${f.name} ${Number((2 * m.radiusMm).toFixed(3))} mm, centre`, x: m.atMm, ownerId: f.id }];
      return [
        { key: `${f.id}.from`, what: `${f.name}: begins`, x: m.fromMm, ownerId: f.id },
        { key: `${f.id}.to`, what: `${f.name}: ends`, x: m.toMm, ownerId: f.id },
      ];
    });
  });
}

function edges(part: Part): Edge[] {
  const placed = placeOutside(part);
  const length = placed.at(-1)?.toMm ?? 0;
  const inside = part.bores.flatMap((b) =>
    placeBore(part, b).flatMap((s) => {
      const x = b.from === 'near' ? s.toMm : s.fromMm;
      return x > 1e-9 && x < length - 1e-9 ? [{ key: `${s.id}.bottom`, what: `Bottom of ${inSentence(s.name)}`, x, ownerId: s.id }] : [];
    }),
  );
  return [
    ...featureEdges(part),
    ...placed.slice(1).map((s, i) => {
      const before = placed[i]!;
      // The shoulder comes about as the thinner of the two is turned.
      const ownerId = before.rightMm < s.leftMm ? before.id : s.id;
      return { key: `${s.id}.shoulder`, what: `Shoulder ${inSentence(before.name)} to ${inSentence(s.name)}`, x: s.fromMm, ownerId };
    }),
    ...inside,
  ];
}

/**
 * Every shoulder, chamfer edge and hole that is cut in one holding, and the part-off, as distance from one zero face, nearest first.
 *
 * A turning tool is touched with the edge that cuts, so its number is the depth. The parting tool cuts beyond the part: if
 * its left edge (chuck side) touched the face, it stands one tool width further when its right edge is on the line.
 */
export function depthLadder(part: Part, o: LadderOptions): Rung[] {
  const placed = placeOutside(part);
  const length = placed.at(-1)?.toMm ?? 0;
  const here = new Set(o.cuts);
  const rungs = edges(part)
    .filter((e) => here.has(e.ownerId))
    .map(({ key, what, x }) => ({ key, what, depthMm: o.fromFarEnd ? length - x : x }))
    .filter((r) => r.depthMm > 1e-9 && r.depthMm < length + 1e-9)
    .sort((p, q) => p.depthMm - q.depthMm)
    .map((r) => ({ ...r, toolMm: r.depthMm, dial: toTurns(r.depthMm, o.dial), note: '' }));
  if (o.toLength)
    return [...rungs, { key: 'length', what: 'Length over all', depthMm: length, toolMm: length, dial: toTurns(length, o.dial), note: '' }];
  if (!o.partOff) return rungs;
  const toolMm = o.touched === 'left' ? length + o.partingMm : length;
  const note = o.touched === 'left' ? 'left edge touched: length and the width of the tool' : 'right edge touched: the length itself';
  return [...rungs, { key: 'part-off', what: 'Part off', depthMm: length, toolMm, dial: toTurns(toolMm, o.dial), note }];
}
