import type { End, FeatureBase, FeatureKind } from '../feature-kind';
import { END_OPTIONS, badFloor, endAt, inward, leaves, lengthOf, otherEnd, radiusAtEnd, startLength } from './on-surface';

/** A cone at an end of a surface: the angle is to the axis, so 45 is the usual edge and 15 to 20 leads a seal or a seat in. */
export interface Chamfer extends FeatureBase {
  readonly kind: 'chamfer';
  readonly end: End;
  readonly lengthMm: number;
  readonly angleDeg: number;
}

const riseMm = (f: Pick<Chamfer, 'lengthMm' | 'angleDeg'>): number => f.lengthMm * Math.tan((f.angleDeg * Math.PI) / 180);

export const chamfer: FeatureKind<Chamfer> = {
  kind: 'chamfer',
  name: 'Chamfer',
  sides: ['outside', 'inside'],
  fields: {
    end: { kind: 'choice', label: 'At', options: END_OPTIONS },
    lengthMm: { kind: 'length', label: 'Along the axis', from: 0.01, to: 250 },
    angleDeg: { kind: 'angle', label: 'Angle to the axis', from: 5, to: 85 },
  },
  asks: ['end', 'lengthMm'],
  start: (host) => ({ end: 'right', lengthMm: startLength(host, 1, 0.2), angleDeg: 45 }),
  check: (f, host) => {
    const rim = radiusAtEnd(host, f.end);
    const edge = host.surface.side === 'outside' ? rim - riseMm(f) : rim + riseMm(f);
    if (f.lengthMm > lengthOf(host)) return leaves(host, 0, f.lengthMm, 'lengthMm');
    if (host.surface.side === 'outside' && edge <= 0) return [{ field: 'lengthMm', message: 'It would cut past the centre line.' }];
    return badFloor(host, edge, endAt(host, f.end), 'lengthMm');
  },
  dimensions: (f) => [
    { name: 'length', what: 'edge', label: 'along the axis', value: f.lengthMm },
    { name: 'angle', what: 'angle', label: 'to the axis', value: f.angleDeg },
  ],
  cut: (f, host) => {
    const [x, dir] = [endAt(host, f.end), inward(f.end)];
    const sign = host.surface.side === 'outside' ? -1 : 1;
    const points = [
      { x, r: radiusAtEnd(host, f.end) + sign * riseMm(f) },
      { x: x + dir * f.lengthMm, r: host.radiusAt(x + dir * f.lengthMm) },
    ];
    return { shape: 'turned', contour: dir === 1 ? points : points.reverse() };
  },
  raiser: () => null,
  mirrored: otherEnd,
  operations: (f, host) => [
    {
      kind: host.surface.side === 'outside' ? 'turn' : 'bore',
      words: `Chamfer ${f.angleDeg}° at the ${f.end} end`,
      makes: ['length', 'angle'],
    },
  ],
};
