import type { FeatureBase, FeatureKind, Host } from '../feature-kind';
import { root, simpson } from '../integrate';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { at, badFloor, fromOtherEnd, leaves, needsCylinder, startLength } from './on-surface';

/** A round-bottomed groove along a surface that carries oil or grease; one round the surface is a relief. */
export interface OilGroove extends FeatureBase, Clocked {
  readonly kind: 'oil-groove';
  readonly atMm: number;
  readonly lengthMm: number;
  /** Radius of its round bottom. */
  readonly radiusMm: number;
  readonly depthMm: number;
}

/** Between the round of the tool and that of the surface. */
function sectionMm2(f: OilGroove, host: Host): number {
  const R = host.radiusAt(at(host, f.atMm));
  const surface = (y: number): number => root(R * R - y * y);
  const bottom = (y: number): number => root(f.radiusMm ** 2 - y * y) - f.radiusMm + f.depthMm;
  const deep =
    host.surface.side === 'outside'
      ? (y: number): number => surface(y) - (R - bottom(y))
      : (y: number): number => R + bottom(y) - surface(y);
  const half = f.radiusMm * (1 - 1e-12);
  return simpson((y) => Math.max(deep(y), 0), -half, half, 2000);
}
const halfMm = (f: OilGroove): number => Math.sqrt(Math.max(f.radiusMm ** 2 - (f.radiusMm - f.depthMm) ** 2, 0));
const floorMm = (f: OilGroove, host: Host): number =>
  host.radiusAt(at(host, f.atMm)) + (host.surface.side === 'outside' ? -f.depthMm : f.depthMm);

export const oilGroove: FeatureKind<OilGroove> = {
  kind: 'oil-groove',
  name: 'Oil groove',
  sides: ['outside', 'inside'],
  fields: {
    atMm: { kind: 'length', label: 'Begins from the left end', from: 0, to: 3000 },
    lengthMm: { kind: 'length', label: 'Length', from: 0.5, to: 2000 },
    radiusMm: { kind: 'length', label: 'Radius of its bottom', from: 0.2, to: 20 },
    depthMm: { kind: 'length', label: 'Depth', from: 0.05, to: 20 },
    ...CLOCK_FIELDS,
  },
  asks: ['atMm', 'lengthMm', 'depthMm'],
  start: (host) => ({ atMm: startLength(host, 5, 0.1), lengthMm: startLength(host, 1000, 0.8), radiusMm: 1.5, depthMm: 1, ...CLOCK_START }),
  check: (f, host) => {
    const off = [...needsCylinder(host), ...leaves(host, f.atMm, f.atMm + f.lengthMm, 'lengthMm')];
    if (off.length) return off;
    if (f.depthMm > f.radiusMm) return [{ field: 'depthMm', message: 'It is deeper than the radius of its bottom.' }];
    return badFloor(host, floorMm(f, host), at(host, f.atMm), 'depthMm');
  },
  dimensions: (f, host) => [
    { name: 'at', what: 'position', label: 'beginning from the left end', value: f.atMm },
    { name: 'length', what: 'length', label: 'length', value: f.lengthMm },
    { name: 'radius', what: 'edge', label: 'radius of its bottom', value: f.radiusMm },
    { name: 'depth', what: 'depth', label: 'depth', value: f.depthMm },
    ...clockDimension(f, host),
  ],
  cut: (f, host) => ({
    shape: 'other',
    removedMm3: () => sectionMm2(f, host) * f.lengthMm,
    marks: [{ kind: 'box', fromMm: at(host, f.atMm), toMm: at(host, f.atMm + f.lengthMm), halfMm: halfMm(f), rounded: true }],
  }),
  raiser: () => null,
  endOn: (f, host) => {
    const R = host.radiusAt(at(host, f.atMm));
    const out = host.surface.side === 'outside' ? 1 : -1;
    const half = halfMm(f);
    const bottom = (u: number): number => R + out * (f.radiusMm - f.depthMm - root(f.radiusMm ** 2 - u * u));
    return [{ points: Array.from({ length: 21 }, (_, i) => [half * (i / 10 - 1), bottom(half * (i / 10 - 1))] as const) }];
  },
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.lengthMm),
  operations: (f, host) => [
    {
      kind: host.surface.side === 'inside' ? 'slot' : 'mill',
      words: 'Cut the oil groove',
      makes: ['at', 'length', 'radius', 'depth', ...clockMade(f)],
    },
  ],
};
