import { type Box, faceOf } from '../box';
import type { BlockKind, CutBase } from '../block-kind';
import { milled } from '../solids';
import { DIRECTION_OPTIONS, edgesOf, fromOppositeMm, LEAST_FLOOR_MM, leavesFace, middleOf, share } from './on-face';

/** A half-round seat over the whole of a face: what a cap or a clamp has of the bore that it shares with its other half. */
export interface HalfRound extends CutBase {
  readonly kind: 'half-round';
  readonly way: 'along' | 'across';
  readonly middleMm: number;
  readonly diameterMm: number;
  /** Of the circle's centre below the face; below nought where it lies above it. */
  readonly centreMm: number;
}

type Sizes = Box;
const ARC_STEPS = 48;

/** Half of the opening at the face, mm: less than the radius where the centre lies above the face. */
function halfOpen(c: HalfRound): number {
  const r = c.diameterMm / 2;
  return c.centreMm >= 0 ? r : Math.sqrt(Math.max(r * r - c.centreMm * c.centreMm, 0));
}

/** Section that it takes, mm²: the circle's part below the face, and straight walls up to it where the centre lies below. */
function areaMm2(c: HalfRound): number {
  const r = c.diameterMm / 2;
  if (c.centreMm >= 0) return (Math.PI * r * r) / 2 + c.diameterMm * c.centreMm;
  const half = Math.acos(Math.min(-c.centreMm / r, 1));
  return r * r * (half - Math.sin(half) * Math.cos(half));
}

function profileOf(c: HalfRound): [number, number][] {
  const r = c.diameterMm / 2;
  const open = halfOpen(c);
  const from = Math.atan2(Math.max(-c.centreMm, 0), open);
  const arc = Array.from({ length: ARC_STEPS + 1 }, (_, i): [number, number] => {
    const a = from + ((Math.PI - 2 * from) * i) / ARC_STEPS;
    return [c.middleMm + r * Math.cos(a), c.centreMm + r * Math.sin(a)];
  });
  return [[c.middleMm + open, 0], ...arc, [c.middleMm - open, 0]];
}

const along = (c: HalfRound, block: Sizes): number => faceOf(block, c.on)[c.way === 'along' ? 'uMm' : 'vMm'];

export const halfRound: BlockKind<HalfRound> = {
  kind: 'half-round',
  name: 'Half-round seat',
  fields: {
    way: { kind: 'choice', label: 'Runs', options: DIRECTION_OPTIONS },
    middleMm: { kind: 'length', label: 'Middle line from the edge beside it', from: 0, to: 3000 },
    diameterMm: { kind: 'length', label: 'Diameter', from: 0.5, to: 500 },
    centreMm: { kind: 'length', label: 'Centre below the face', from: -250, to: 500 },
  },
  start: (block, on) => ({
    ...{ way: 'across', middleMm: middleOf(block, on)[0], centreMm: 0 },
    diameterMm: share(Math.min(faceOf(block, on).uMm, faceOf(block, on).thickMm), 0.5),
  }),
  check: (c, block) => {
    const { thickMm } = faceOf(block, c.on);
    const r = c.diameterMm / 2;
    if (c.centreMm <= -r) return [{ field: 'centreMm', message: 'It cuts nothing: the centre is a radius or more above the face.' }];
    if (thickMm - c.centreMm - r < LEAST_FLOOR_MM) return [{ field: 'diameterMm', message: 'It leaves no metal under it.' }];
    return leavesFace(block, c.on, c.way === 'along' ? 'v' : 'u', c.middleMm - halfOpen(c), c.middleMm + halfOpen(c), 'middleMm');
  },
  dimensions: (c) => {
    const [u, v] = edgesOf(c.on);
    return [
      { name: 'diameter', what: 'width', label: 'diameter', value: c.diameterMm, seat: true },
      { name: 'middle', what: 'position', label: `middle from the ${c.way === 'along' ? v : u} edge`, value: c.middleMm },
      { name: 'bottom', what: 'depth', label: 'depth to its bottom', value: c.centreMm + c.diameterMm / 2 },
    ];
  },
  across: (c, block, axis) =>
    (axis === 'v') === (c.way === 'along') ? { ...c, middleMm: fromOppositeMm(block, c.on, axis, c.middleMm) } : c,
  solids: (c, block) => [milled(block, c.on, c.way === 'along' ? 'u' : 'v', profileOf(c), areaMm2(c), [0, along(c, block)])],
  operations: () => [
    {
      kind: 'bore',
      words: 'Bore the half-round seat clamped to its other half, or to a packing block',
      makes: ['diameter', 'middle', 'bottom'],
    },
  ],
};
