import { inSentence } from '../../terms/words';
import { placeSegments, type TurnedPart } from '../part';
import { toTurns, type DialTurns } from './dial';
import type { Lathe } from './machine';

/** Which edge of the parting tool was touched on the zero face. */
export type TouchedEdge = 'left' | 'right';

export interface Rung {
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
  readonly lathe: Pick<Lathe, 'carriage'>;
  /** With the part-off as the last rung. */
  readonly partOff: boolean;
}

function edges(part: TurnedPart): { what: string; x: number }[] {
  const placed = placeSegments(part);
  return [
    ...placed.flatMap((s) => [
      ...(s.chamferLeftMm > 0 ? [{ what: `${s.name}: chamfer ends`, x: s.fromMm + s.chamferLeftMm }] : []),
      ...(s.chamferRightMm > 0 ? [{ what: `${s.name}: chamfer starts`, x: s.toMm - s.chamferRightMm }] : []),
    ]),
    ...placed.slice(1).map((s, i) => ({ what: `Shoulder ${inSentence(placed[i]!.name)} to ${inSentence(s.name)}`, x: s.fromMm })),
    ...part.crossHoles.map((h) => ({ what: `Cross hole ${h.diameterMm} mm, centre`, x: h.atMm })),
    ...(part.bore?.depthMm ? [{ what: 'Bottom of bore', x: part.bore.depthMm }] : []),
  ];
}

/**
 * Every shoulder, chamfer edge, hole and the part-off as distance from one zero face, nearest first.
 *
 * A turning tool is touched with the edge that cuts, so its number is the depth. The parting tool cuts beyond the part: if
 * its left edge (chuck side) touched the face, it stands one tool width further when its right edge is on the line.
 */
export function depthLadder(part: TurnedPart, o: LadderOptions): Rung[] {
  const placed = placeSegments(part);
  const length = placed.at(-1)?.toMm ?? 0;
  const rungs = edges(part)
    .map(({ what, x }) => ({ what, depthMm: o.fromFarEnd ? length - x : x }))
    .filter((r) => r.depthMm > 1e-9)
    .sort((p, q) => p.depthMm - q.depthMm)
    .map((r) => ({ ...r, toolMm: r.depthMm, dial: toTurns(r.depthMm, o.lathe.carriage), note: '' }));
  if (!o.partOff) return rungs;
  const toolMm = o.touched === 'left' ? length + o.partingMm : length;
  const note = o.touched === 'left' ? `left edge touched: length + ${o.partingMm} mm tool width` : 'right edge touched: the length itself';
  return [...rungs, { what: 'Part off', depthMm: length, toolMm, dial: toTurns(toolMm, o.lathe.carriage), note }];
}
