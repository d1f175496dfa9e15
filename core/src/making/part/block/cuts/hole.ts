import { aLength } from '../../../../terms/quantity';
import { findThread, type Thread } from '../../../../book/threads';
import { flankMm, isHoleOf, minorMm, threadBook } from '../../book-thread';
import { THROUGH_OR_DEPTH } from '../../feature-kind';
import { type Box, faceOf } from '../box';
import type { BlockKind, CutBase, CutDimension, Solid } from '../block-kind';
import { drilled } from '../solids';
import { badDepth, edgesOf, fromOppositeMm, leavesFace, middleOf, share } from './on-face';

/** A hole square to a face: drilled, reamed or bored, plain or tapped, with what is sunk at its mouth. */
export interface BlockHole extends CutBase {
  readonly kind: 'hole';
  readonly atMm: number;
  readonly upMm: number;
  readonly diameterMm: number;
  readonly made: 'drilled' | 'reamed' | 'bored';
  readonly reach: 'through' | 'to depth';
  /** To the end of full diameter, where it does not go through. */
  readonly depthMm: number;
  readonly mouth: 'plain' | 'counterbore' | 'spot face' | 'countersink';
  readonly mouthMm: number;
  /** Of a counterbore or spot face; of a countersink it follows from its angle. */
  readonly mouthDepthMm: number;
  readonly mouthDeg: number;
  /** Of a tapped hole, the diameter is then what is drilled; empty for a plain one. */
  readonly thread: string;
  /** Places of shafts that it must fit; empty when the diameter is as typed. */
  readonly fitsPlaceIds: readonly string[];
}

type Sizes = Box;
const deep = (c: BlockHole, block: Sizes): number => (c.reach === 'through' ? faceOf(block, c.on).thickMm : c.depthMm);
/** How deep the mouth goes, mm. */
const mouthDeep = (c: BlockHole): number => {
  if (c.mouth === 'plain') return 0;
  return c.mouth === 'countersink' ? (c.mouthMm - c.diameterMm) / 2 / Math.tan((c.mouthDeg * Math.PI) / 360) : c.mouthDepthMm;
};
const threadOf = (c: BlockHole): Thread | undefined => (c.thread ? (findThread(c.thread) ?? undefined) : undefined);
function mouthDimensions(c: BlockHole): CutDimension[] {
  if (c.mouth === 'plain') return [];
  const over: CutDimension = { name: 'mouth', what: 'inside', label: `${c.mouth}, diameter`, value: c.mouthMm };
  return c.mouth === 'countersink'
    ? [over, { name: 'mouth-angle', what: 'angle', label: 'countersink, angle', value: c.mouthDeg }]
    : [over, { name: 'mouth-depth', what: 'depth', label: `${c.mouth}, depth`, value: c.mouthDepthMm }];
}

function mouthSolids(c: BlockHole, block: Sizes): Solid[] {
  const depth = mouthDeep(c);
  if (depth <= 0) return [];
  const [r, R] = [c.diameterMm / 2, c.mouthMm / 2];
  const body = drilled(block, c.on, [c.atMm, c.upMm], R, 0, depth);
  // Beside the hole itself: a ring, or a frustum less the hole.
  const ring = Math.PI * (R * R - r * r) * depth;
  const cone = ((Math.PI * depth) / 3) * (R * R + R * r + r * r) - Math.PI * r * r * depth;
  return [{ ...body, volumeMm3: c.mouth === 'countersink' ? cone : ring }];
}

export const hole: BlockKind<BlockHole> = {
  kind: 'hole',
  name: 'Hole',
  fields: {
    atMm: { kind: 'length', label: 'Centre from the left or front edge', from: 0, to: 3000 },
    upMm: { kind: 'length', label: 'Centre from the front or lower edge', from: 0, to: 3000 },
    diameterMm: { kind: 'length', label: 'Diameter', from: 0.2, to: 500 },
    made: {
      kind: 'choice',
      label: 'Made by',
      options: [
        ['drilled', 'drilling'],
        ['reamed', 'reaming'],
        ['bored', 'boring'],
      ],
    },
    reach: {
      kind: 'choice',
      label: 'Goes',
      options: THROUGH_OR_DEPTH,
    },
    depthMm: { kind: 'length', label: 'Depth of full diameter', from: 0, to: 3000, when: ['reach', 'to depth'] },
    mouth: {
      kind: 'choice',
      label: 'Mouth',
      options: [
        ['plain', 'plain'],
        ['counterbore', 'counterbored'],
        ['spot face', 'spot faced'],
        ['countersink', 'countersunk'],
      ],
    },
    mouthMm: { kind: 'length', label: 'Mouth, diameter', from: 0, to: 500, when: ['mouth', 'counterbore', 'spot face', 'countersink'] },
    mouthDepthMm: { kind: 'length', label: 'Mouth, depth', from: 0, to: 500, when: ['mouth', 'counterbore', 'spot face'] },
    mouthDeg: { kind: 'angle', label: 'Countersink, angle', from: 30, to: 150, when: ['mouth', 'countersink'] },
    thread: { kind: 'text', label: 'Tapped, empty for plain', most: 40, optional: true },
  },
  start: (block, on) => {
    const [atMm, upMm] = middleOf(block, on);
    return {
      ...{ atMm, upMm, diameterMm: share(Math.min(faceOf(block, on).uMm, faceOf(block, on).vMm), 0.3), made: 'drilled', reach: 'through' },
      ...{ depthMm: 0, mouth: 'plain', mouthMm: 0, mouthDepthMm: 0, mouthDeg: 90, thread: '' },
    };
  },
  check: (c, block) => {
    const r = Math.max(c.diameterMm, c.mouth === 'plain' ? 0 : c.mouthMm) / 2;
    const off = [
      ...leavesFace(block, c.on, 'u', c.atMm - r, c.atMm + r, 'atMm'),
      ...leavesFace(block, c.on, 'v', c.upMm - r, c.upMm + r, 'upMm'),
    ];
    if (off.length) return off;
    if (c.reach === 'to depth') {
      const bad = badDepth(block, c.on, c.depthMm, 'depthMm');
      if (bad.length) return bad;
    }
    if (c.mouth !== 'plain') {
      if (c.mouthMm <= c.diameterMm) return [{ field: 'mouthMm', message: 'The mouth is no wider than the hole.' }];
      if (c.mouth !== 'countersink' && !(c.mouthDepthMm > 0)) return [{ field: 'mouthDepthMm', message: 'Say how deep the mouth is.' }];
      if (mouthDeep(c) >= deep(c, block)) return [{ field: 'mouthMm', message: 'The mouth is as deep as the hole.' }];
    }
    if (!c.thread) return [];
    const t = threadOf(c);
    if (!t) return [{ field: 'thread', message: 'Say which thread: M6, 1/4-20.' }];
    return isHoleOf(t, c.diameterMm)
      ? []
      : [{ field: 'thread', message: `The hole is ${aLength(c.diameterMm)} and ${t.name} wants about ${aLength(minorMm(t))}.` }];
  },
  dimensions: (c) => {
    const t = threadOf(c);
    const [u, v] = edgesOf(c.on);
    const book = t ? threadBook(t, 'inside', '') : null;
    return [
      {
        ...{ name: 'diameter', what: 'inside', label: t ? `hole to tap ${t.name}` : 'diameter', value: c.diameterMm, round: true },
        ...(c.made !== 'drilled' && !t ? { seat: true as const } : {}),
        ...book?.crest,
      },
      { name: 'at', what: 'position', label: `centre from the ${u} edge`, value: c.atMm },
      { name: 'up', what: 'position', label: `centre from the ${v} edge`, value: c.upMm },
      ...(c.reach === 'to depth' ? [{ name: 'depth', what: 'depth' as const, label: 'depth', value: c.depthMm }] : []),
      ...mouthDimensions(c),
      ...(t
        ? [
            {
              ...{ name: 'pitch-diameter', what: 'pitch-diameter' as const, label: 'pitch diameter', seat: true as const },
              value: flankMm(t),
              ...book?.flank,
            },
          ]
        : []),
    ];
  },
  across: (c, block, axis) =>
    axis === 'u' ? { ...c, atMm: fromOppositeMm(block, c.on, axis, c.atMm) } : { ...c, upMm: fromOppositeMm(block, c.on, axis, c.upMm) },
  solids: (c, block) => [drilled(block, c.on, [c.atMm, c.upMm], c.diameterMm / 2, 0, deep(c, block)), ...mouthSolids(c, block)],
  operations: (c, block) => {
    const by = { drilled: 'Drill', reamed: 'Drill under size and ream', bored: 'Drill and bore' }[c.made];
    const mouth = mouthDimensions(c).map((d) => d.name);
    return [
      {
        kind: c.made === 'bored' ? 'bore' : 'drill',
        words: `${by} ${c.reach === 'through' ? 'through' : 'to depth'}`,
        makes: ['diameter', 'at', 'up', ...(c.reach === 'to depth' ? ['depth'] : [])],
      },
      ...(mouth.length ? [{ kind: 'sink' as const, words: `Then the ${c.mouth}, in the same setting`, makes: mouth }] : []),
      ...(hole.dimensions(c, block).some((d) => d.name === 'pitch-diameter')
        ? [{ kind: 'thread' as const, words: `Tap ${c.thread}, started in the same setting`, makes: ['pitch-diameter'] }]
        : []),
    ];
  },
};
