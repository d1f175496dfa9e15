import { aLength } from '../../../terms/quantity';
import { findThread } from '../../../book/threads';
import { THROUGH_OR_DEPTH, type FeatureBase, type FeatureKind, type Host } from '../feature-kind';
import { root, simpson } from '../integrate';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { at, fromOtherEnd, leaves, middle } from './on-surface';

/** A hole across the axis: a split pin's, a grease hole, a tapped one. */
export interface CrossHole extends FeatureBase, Clocked {
  readonly kind: 'cross-hole';
  /** Centre from the left end of the surface. */
  readonly atMm: number;
  readonly diameterMm: number;
  readonly reach: 'through' | 'to depth' | 'into the bore';
  /** From the crown to the end of full diameter, where it goes to a depth. */
  readonly depthMm: number;
  /** Mouth of a countersink; the hole's own diameter or less for none. */
  readonly sinkMm: number;
  readonly sinkDeg: number;
  /** Of a tapped hole, the diameter is then what is drilled; empty for a plain one. */
  readonly thread: string;
}

const radius = (f: CrossHole, host: Host): number => host.radiusAt(at(host, f.atMm));

/** Metal in a hole of radius r that goes across from the crown: over the hole's plan, chord by chord. */
function straightMm3(f: CrossHole, host: Host): number {
  const [R, r] = [radius(f, host), f.diameterMm / 2];
  const bore = host.beyondAt(at(host, f.atMm));
  const metal = (y: number): number => {
    const top = root(R * R - y * y);
    const inner = Math.abs(y) < bore ? root(bore * bore - y * y) : 0;
    if (f.reach === 'through') return 2 * (top - inner);
    if (f.reach === 'into the bore') return top - inner;
    return Math.min(Math.max(top - (R - f.depthMm), 0), 2 * top);
  };
  return simpson(
    (t) => {
      const y = r * Math.sin(t);
      return metal(y) * 2 * r * Math.cos(t) * r * Math.cos(t);
    },
    -Math.PI / 2,
    Math.PI / 2,
    400,
  );
}

/** What a countersink takes beside the hole, ring by ring: below the crown's height its cone, above it nothing. */
function sinkMm3(f: CrossHole, host: Host): number {
  const [R, r, s] = [radius(f, host), f.diameterMm / 2, f.sinkMm / 2];
  if (s <= r) return 0;
  const slope = 1 / Math.tan((f.sinkDeg * Math.PI) / 360);
  return simpson(
    (rho) => rho * simpson((a) => Math.max(root(R * R - (rho * Math.sin(a)) ** 2) - (R - (s - rho) * slope), 0), 0, 2 * Math.PI, 120),
    r,
    s,
    120,
  );
}

export const crossHole: FeatureKind<CrossHole> = {
  kind: 'cross-hole',
  name: 'Cross hole',
  sides: ['outside'],
  fields: {
    atMm: { kind: 'length', label: 'Centre from the left end', from: 0, to: 3000 },
    diameterMm: { kind: 'length', label: 'Diameter', from: 0.2, to: 250 },
    reach: {
      kind: 'choice',
      label: 'Goes',
      options: [...THROUGH_OR_DEPTH, ['into the bore', 'into the bore']],
    },
    depthMm: { kind: 'length', label: 'Depth from the crown', from: 0, to: 500, when: ['reach', 'to depth'] },
    sinkMm: { kind: 'length', label: 'Countersink, mouth (0 for none)', from: 0, to: 250 },
    sinkDeg: { kind: 'angle', label: 'Countersink, angle', from: 30, to: 150 },
    thread: { kind: 'text', label: 'Tapped, empty for plain', most: 40, optional: true },
    ...CLOCK_FIELDS,
  },
  asks: ['atMm', 'diameterMm'],
  start: (host) => ({
    atMm: Math.round((middle(host) - host.surface.fromMm) * 10) / 10,
    diameterMm: Math.max(Math.round(host.surface.leftMm * 0.15 * 10) / 10, 1),
    reach: 'through',
    depthMm: 0,
    sinkMm: 0,
    sinkDeg: 90,
    thread: '',
    ...CLOCK_START,
  }),
  check: (f, host) => {
    const wide = Math.max(f.diameterMm, f.sinkMm) / 2;
    const off = leaves(host, f.atMm - wide, f.atMm + wide, 'atMm');
    if (off.length) return off;
    const R = radius(f, host);
    if (f.diameterMm > R)
      return [
        {
          field: 'diameterMm',
          message: `A ${aLength(f.diameterMm)} hole takes more than half of the ${aLength(2 * R)} section.`,
        },
      ];
    if (f.sinkMm / 2 >= R) return [{ field: 'sinkMm', message: 'The countersink is as wide as the part.' }];
    const bore = host.beyondAt(at(host, f.atMm));
    if (f.reach === 'into the bore' && bore <= 0) return [{ field: 'reach', message: 'There is no bore below it.' }];
    if (f.reach === 'to depth' && !(f.depthMm > 0)) return [{ field: 'depthMm', message: 'Say how deep, from the crown.' }];
    // Where it is as deep as this its edge comes out, in the bore or on the other side.
    const most = bore > 0 ? R - bore : R + root(R * R - (f.diameterMm / 2) ** 2);
    if (f.reach === 'to depth' && f.depthMm >= most)
      return [{ field: 'depthMm', message: bore > 0 ? 'It comes out in the bore.' : 'It comes out on the other side: say through.' }];
    if (f.thread && !findThread(f.thread)) return [{ field: 'thread', message: 'Say which thread: M6, 1/4-20.' }];
    return [];
  },
  dimensions: (f, host) => {
    const t = f.thread ? findThread(f.thread) : undefined;
    return [
      { name: 'at', what: 'position', label: 'centre from the left end', value: f.atMm },
      { name: 'diameter', what: 'inside', label: t ? `hole to tap ${t.name}` : 'diameter', value: f.diameterMm },
      ...(f.reach === 'to depth' ? [{ name: 'depth', what: 'depth' as const, label: 'depth from the crown', value: f.depthMm }] : []),
      ...(f.sinkMm > f.diameterMm ? [{ name: 'sink', what: 'inside' as const, label: 'mouth of the countersink', value: f.sinkMm }] : []),
      ...clockDimension(f, host),
    ];
  },
  cut: (f, host) => ({
    shape: 'other',
    removedMm3: () => straightMm3(f, host) + sinkMm3(f, host),
    marks: [{ kind: 'circle', atMm: at(host, f.atMm), radiusMm: f.diameterMm / 2 }],
  }),
  raiser: (f, host) => ({ atMm: at(host, f.atMm), coreMm: 2 * radius(f, host) - f.diameterMm, words: 'a cross hole' }),
  endOn: (f, host) => {
    const [R, half] = [radius(f, host), f.diameterMm / 2];
    const top = root(R * R - half * half);
    const bore = host.beyondAt(at(host, f.atMm));
    const floor = { through: -top, 'to depth': R - f.depthMm, 'into the bore': root(bore * bore - half * half) }[f.reach];
    const walls = [-half, half].map((u) => ({ points: [[u, top] as const, [u, floor] as const], hidden: true as const }));
    return f.reach === 'to depth' ? [...walls, { points: [[-half, floor] as const, [half, floor] as const], hidden: true }] : walls;
  },
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, 0),
  operations: (f) => [
    {
      kind: 'drill',
      words: f.thread ? `Drill and tap ${f.thread}` : 'Drill the cross hole',
      makes: ['at', 'diameter', ...(f.reach === 'to depth' ? ['depth'] : []), ...clockMade(f)],
    },
    ...(f.sinkMm > f.diameterMm ? [{ kind: 'sink' as const, words: `Countersink ${f.sinkDeg}°`, makes: ['sink'] }] : []),
  ],
};
