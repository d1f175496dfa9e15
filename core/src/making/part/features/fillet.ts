import type { ContourPoint, End, FeatureBase, FeatureKind, Host } from '../feature-kind';
import { END_OPTIONS, endAt, inward, lengthOf, neighbour, otherEnd, radiusAtEnd } from './on-surface';

/** A radius left in the corner where a surface meets a shoulder: metal that stays. */
export interface Fillet extends FeatureBase {
  readonly kind: 'fillet';
  readonly end: End;
  readonly radiusMm: number;
}

const STEPS = 48;

/** How high the shoulder stands over this surface, mm; 0 or less where there is none. */
function shoulderMm(f: Pick<Fillet, 'end'>, host: Host): number {
  const beside = neighbour(host, f.end);
  if (beside === null) return 0;
  const own = radiusAtEnd(host, f.end);
  return host.surface.side === 'outside' ? beside - own : own - beside;
}

function arc(f: Fillet, host: Host): ContourPoint[] {
  const [x, dir, own] = [endAt(host, f.end), inward(f.end), radiusAtEnd(host, f.end)];
  const up = host.surface.side === 'outside' ? 1 : -1;
  const points = Array.from({ length: STEPS + 1 }, (_, i) => {
    const a = (Math.PI / 2) * (i / STEPS);
    return { x: x + dir * f.radiusMm * (1 - Math.cos(a)), r: own + up * f.radiusMm * (1 - Math.sin(a)) };
  });
  return dir === 1 ? points : points.reverse();
}

export const fillet: FeatureKind<Fillet> = {
  kind: 'fillet',
  name: 'Fillet',
  sides: ['outside', 'inside'],
  fields: {
    end: { kind: 'choice', label: 'In the corner at', options: END_OPTIONS },
    radiusMm: { kind: 'length', label: 'Radius', from: 0.05, to: 100 },
  },
  asks: ['end', 'radiusMm'],
  start: (host) => ({
    end: shoulderMm({ end: 'right' }, host) > 0 ? 'right' : 'left',
    radiusMm: Math.max(Math.min(1, ...[shoulderMm({ end: 'left' }, host), shoulderMm({ end: 'right' }, host)].filter((h) => h > 0)), 0.2),
  }),
  check: (f, host) => {
    if (host.surface.kind === 'taper') return [{ field: 'on', message: 'A fillet lies beside a cylinder here.' }];
    const high = shoulderMm(f, host);
    if (high <= 0) return [{ field: 'end', message: 'There is no shoulder at that end: a fillet lies in a corner.' }];
    if (f.radiusMm > high + 1e-9) return [{ field: 'radiusMm', message: 'It is larger than the shoulder is high.' }];
    return f.radiusMm > lengthOf(host) ? [{ field: 'radiusMm', message: 'It is larger than the surface is long.' }] : [];
  },
  dimensions: (f) => [{ name: 'radius', what: 'edge', label: 'radius', value: f.radiusMm }],
  cut: (f, host) => ({ shape: 'turned', contour: arc(f, host) }),
  raiser: (f, host) => ({
    atMm: endAt(host, f.end),
    coreMm: 2 * radiusAtEnd(host, f.end),
    words: 'a shoulder with a fillet',
  }),
  mirrored: otherEnd,
  operations: (f, host) => [
    {
      kind: host.surface.side === 'outside' ? 'turn' : 'bore',
      words: `Leave the radius in the corner at the ${f.end} end`,
      makes: ['radius'],
    },
  ],
};
