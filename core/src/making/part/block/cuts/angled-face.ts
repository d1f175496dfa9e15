import { faceOf } from '../box';
import type { BlockKind, CutBase } from '../block-kind';
import { milled } from '../solids';
import { acrossFrom, EDGE_OPTIONS, EDGES, type Edge } from './step';
import { badDepth, share } from './on-face';

/** A face milled off at an angle along a whole edge: a bevel, a wedge. */
export interface AngledFace extends CutBase {
  readonly kind: 'angled-face';
  readonly edge: Edge;
  readonly widthMm: number;
  /** Between the face it is cut into and the new one. */
  readonly angleDeg: number;
}

/** How deep it is at the edge, mm. */
const deep = (c: Pick<AngledFace, 'widthMm' | 'angleDeg'>): number => c.widthMm * Math.tan((c.angleDeg * Math.PI) / 180);

export const angledFace: BlockKind<AngledFace> = {
  kind: 'angled-face',
  name: 'Angled face',
  fields: {
    edge: { kind: 'choice', label: 'Along the', options: EDGE_OPTIONS },
    widthMm: { kind: 'length', label: 'Width on the face', from: 0.1, to: 3000 },
    angleDeg: { kind: 'angle', label: 'Angle to the face', from: 0.5, to: 89 },
  },
  start: (block, on) => ({ edge: 'end', widthMm: share(faceOf(block, on).thickMm, 0.1), angleDeg: 45 }),
  check: (c, block) => {
    const { uMm, vMm } = faceOf(block, c.on);
    if (c.widthMm > (EDGES[c.edge].along === 'u' ? vMm : uMm) + 1e-6) return [{ field: 'widthMm', message: 'It is wider than the face.' }];
    return badDepth(block, c.on, deep(c), 'angleDeg');
  },
  dimensions: (c) => [
    { name: 'width', what: 'length', label: 'width on the face', value: c.widthMm },
    { name: 'angle', what: 'angle', label: 'angle to the face', value: c.angleDeg },
  ],
  across: (c, _, axis) => ({ ...c, edge: acrossFrom(c.edge, axis) }),
  solids: (c, block) => {
    const { along, far } = EDGES[c.edge];
    const { uMm, vMm } = faceOf(block, c.on);
    const [side, length] = along === 'u' ? [vMm, uMm] : [uMm, vMm];
    const [edge, in_] = far ? [side, side - c.widthMm] : [0, c.widthMm];
    const profile: [number, number][] = [
      [in_, 0],
      [edge, 0],
      [edge, deep(c)],
    ];
    return [milled(block, c.on, along, profile, (c.widthMm * deep(c)) / 2, [0, length])];
  },
  operations: (c) => [
    { kind: 'mill', words: `Mill the angled face, ${c.angleDeg}°: work or head set over, angle checked`, makes: ['width', 'angle'] },
  ],
};
