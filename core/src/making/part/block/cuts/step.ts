import { faceOf } from '../box';
import type { BlockKind, CutBase } from '../block-kind';
import { milled } from '../solids';
import { badDepth, leavesFace, share } from './on-face';

/** An edge of a face, by the edges of the block that places are counted from, and those across from them. */
export const EDGES = {
  start: { words: 'left or front edge', along: 'v', far: false },
  end: { words: 'right or back edge', along: 'v', far: true },
  low: { words: 'front or lower edge', along: 'u', far: false },
  high: { words: 'back or upper edge', along: 'u', far: true },
} as const;
export type Edge = keyof typeof EDGES;
/** The edge opposite to one along an axis of the face; the same where the axis runs along it. */
export const acrossFrom = (edge: Edge, axis: 'u' | 'v'): Edge => {
  const { along, far } = EDGES[edge];
  return along === axis ? edge : (Object.keys(EDGES) as Edge[]).find((e) => EDGES[e].along === along && EDGES[e].far !== far)!;
};
export const EDGE_OPTIONS = (Object.keys(EDGES) as Edge[]).map((e) => [e, EDGES[e].words] as const);

/** A step along a whole edge of a face. */
export interface BlockStep extends CutBase {
  readonly kind: 'step';
  readonly edge: Edge;
  readonly widthMm: number;
  readonly depthMm: number;
}

export const step: BlockKind<BlockStep> = {
  kind: 'step',
  name: 'Step',
  fields: {
    edge: { kind: 'choice', label: 'Along the', options: EDGE_OPTIONS },
    widthMm: { kind: 'length', label: 'Width', from: 0.1, to: 3000 },
    depthMm: { kind: 'length', label: 'Depth', from: 0, to: 3000 },
  },
  start: (block, on) => ({ edge: 'end', widthMm: share(faceOf(block, on).uMm, 0.2), depthMm: share(faceOf(block, on).thickMm, 0.3) }),
  check: (c, block) => {
    const side = EDGES[c.edge].along === 'u' ? 'v' : 'u';
    const most = faceOf(block, c.on)[side === 'u' ? 'uMm' : 'vMm'];
    if (c.widthMm >= most - 1e-6) return [{ field: 'widthMm', message: 'It takes the whole face.' }];
    return [...leavesFace(block, c.on, side, 0, c.widthMm, 'widthMm'), ...badDepth(block, c.on, c.depthMm, 'depthMm')];
  },
  dimensions: (c) => [
    { name: 'width', what: 'length', label: 'width', value: c.widthMm },
    { name: 'depth', what: 'depth', label: 'depth', value: c.depthMm },
  ],
  across: (c, _, axis) => ({ ...c, edge: acrossFrom(c.edge, axis) }),
  solids: (c, block) => {
    const { along, far } = EDGES[c.edge];
    const { uMm, vMm } = faceOf(block, c.on);
    const [side, length] = along === 'u' ? [vMm, uMm] : [uMm, vMm];
    const [a, b] = far ? [side - c.widthMm, side] : [0, c.widthMm];
    const profile: [number, number][] = [
      [a, 0],
      [b, 0],
      [b, c.depthMm],
      [a, c.depthMm],
    ];
    return [milled(block, c.on, along, profile, c.widthMm * c.depthMm, [0, length])];
  },
  operations: () => [{ kind: 'mill', words: 'Mill the step', makes: ['width', 'depth'] }],
};
