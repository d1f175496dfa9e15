import { type Box, faceOf } from '../box';
import type { BlockKind, CutBase, Solid } from '../block-kind';
import { sunk } from '../solids';
import { badDepth, DIRECTION_OPTIONS, edgesOf, fromOppositeMm, leavesFace, middleOf, share } from './on-face';

/** A slot milled into a face: open at both ends, or between two places with the cutter's round ends. */
export interface BlockSlot extends CutBase {
  readonly kind: 'slot';
  readonly way: 'along' | 'across';
  /** Its middle line from the edge beside it. */
  readonly middleMm: number;
  readonly widthMm: number;
  readonly depthMm: number;
  readonly ends: 'open' | 'round';
  readonly fromMm: number;
  readonly toMm: number;
  readonly runs: 'clears' | 'fits';
}

type Sizes = Box;
const ARC_STEPS = 24;
const spanOf = (c: BlockSlot, block: Sizes): readonly [number, number] => {
  const { uMm, vMm } = faceOf(block, c.on);
  return c.ends === 'open' ? [0, c.way === 'along' ? uMm : vMm] : [c.fromMm, c.toMm];
};

/** Its outline on the face: a rectangle, or one with half circles at its ends. */
function outlineOf(c: BlockSlot, block: Sizes): { readonly points: readonly [number, number][]; readonly areaMm2: number } {
  const [from, to] = spanOf(c, block);
  const r = c.widthMm / 2;
  const box: [number, number][] = [
    [from, c.middleMm - r],
    [to, c.middleMm - r],
    [to, c.middleMm + r],
    [from, c.middleMm + r],
  ];
  const arc = (at: number, fromDeg: number): [number, number][] =>
    Array.from({ length: ARC_STEPS + 1 }, (_, i) => {
      const a = ((fromDeg + (180 * i) / ARC_STEPS) * Math.PI) / 180;
      return [at + r * Math.cos(a), c.middleMm + r * Math.sin(a)];
    });
  const round = c.ends === 'round';
  const points = round ? [...arc(to - r, -90), ...arc(from + r, 90)] : box;
  const areaMm2 = round ? (to - from - c.widthMm) * c.widthMm + Math.PI * r * r : (to - from) * c.widthMm;
  return { points: c.way === 'along' ? points : points.map(([a, b]) => [b, a]), areaMm2 };
}

export const slot: BlockKind<BlockSlot> = {
  kind: 'slot',
  name: 'Slot',
  fields: {
    way: { kind: 'choice', label: 'Runs', options: DIRECTION_OPTIONS },
    middleMm: { kind: 'length', label: 'Middle line from the edge beside it', from: 0, to: 3000 },
    widthMm: { kind: 'length', label: 'Width', from: 0.2, to: 1000 },
    depthMm: { kind: 'length', label: 'Depth', from: 0, to: 1000 },
    ends: {
      kind: 'choice',
      label: 'Ends',
      options: [
        ['open', 'open at both ends'],
        ['round', 'round, between two places'],
      ],
    },
    fromMm: { kind: 'length', label: 'From', from: 0, to: 3000, when: ['ends', 'round'] },
    toMm: { kind: 'length', label: 'To', from: 0, to: 3000, when: ['ends', 'round'] },
    runs: {
      kind: 'choice',
      label: 'Something in it',
      options: [
        ['clears', 'goes through free'],
        ['fits', 'fits or slides in it'],
      ],
    },
  },
  start: (block, on) => {
    const { uMm, vMm, thickMm } = faceOf(block, on);
    return {
      ...{ way: 'along', middleMm: middleOf(block, on)[1], widthMm: share(vMm, 0.2), depthMm: share(thickMm, 0.25), ends: 'open' },
      ...{ fromMm: share(uMm, 0.2), toMm: share(uMm, 0.8), runs: 'clears' },
    };
  },
  check: (c, block) => {
    const [from, to] = spanOf(c, block);
    const [length, side] = c.way === 'along' ? (['u', 'v'] as const) : (['v', 'u'] as const);
    const off = [
      ...leavesFace(block, c.on, side, c.middleMm - c.widthMm / 2, c.middleMm + c.widthMm / 2, 'middleMm'),
      ...leavesFace(block, c.on, length, from, to, 'toMm'),
      ...badDepth(block, c.on, c.depthMm, 'depthMm'),
    ];
    if (off.length) return off;
    return c.ends === 'round' && to - from < c.widthMm
      ? [{ field: 'toMm', message: 'It is shorter than the cutter is wide: drill it, or make it longer.' }]
      : [];
  },
  dimensions: (c) => {
    const [u, v] = edgesOf(c.on);
    const [end, side] = c.way === 'along' ? [u, v] : [v, u];
    return [
      { name: 'width', what: 'width', label: 'width', value: c.widthMm, ...(c.runs === 'fits' ? { seat: true as const } : {}) },
      { name: 'depth', what: 'depth', label: 'depth', value: c.depthMm },
      { name: 'middle', what: 'position', label: `middle from the ${side} edge`, value: c.middleMm },
      ...(c.ends === 'round'
        ? [
            { name: 'from', what: 'position' as const, label: `begins from the ${end} edge`, value: c.fromMm },
            { name: 'to', what: 'position' as const, label: `ends from the ${end} edge`, value: c.toMm },
          ]
        : []),
    ];
  },
  across: (c, block, axis) => {
    const opposite = (mm: number): number => fromOppositeMm(block, c.on, axis, mm);
    const sideways = (axis === 'v') === (c.way === 'along');
    if (sideways) return { ...c, middleMm: opposite(c.middleMm) };
    return c.ends === 'open' ? c : { ...c, fromMm: opposite(c.toMm), toMm: opposite(c.fromMm) };
  },
  solids: (c, block): Solid[] => {
    const { points, areaMm2 } = outlineOf(c, block);
    return [sunk(block, c.on, points, areaMm2, c.depthMm)];
  },
  operations: (c, block) => [{ kind: 'mill', words: 'Mill the slot', makes: slot.dimensions(c, block).map((d) => d.name) }],
};
