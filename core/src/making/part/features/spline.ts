import type { FeatureBase, FeatureKind, Host } from '../feature-kind';
import { root, simpson } from '../integrate';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { at, fromOtherEnd, leaves, needsCylinder, startLength } from './on-surface';

/** A straight-sided spline as it was measured. */
export interface Spline extends FeatureBase, Clocked {
  readonly kind: 'spline';
  readonly atMm: number;
  readonly lengthMm: number;
  readonly teeth: number;
  readonly toothMm: number;
  /** Diameter between the teeth. */
  readonly rootMm: number;
}

const radius = (host: Host): number => host.surface.leftMm / 2;

function toothMm2(f: Spline, host: Host): number {
  const [R, r, half] = [radius(host), f.rootMm / 2, f.toothMm / 2];
  return simpson((y) => root(R * R - y * y) - root(r * r - y * y), -half, half);
}

export const spline: FeatureKind<Spline> = {
  kind: 'spline',
  name: 'Spline as measured',
  sides: ['outside'],
  fields: {
    atMm: { kind: 'length', label: 'Begins from the left end', from: 0, to: 3000 },
    lengthMm: { kind: 'length', label: 'Length', from: 0.5, to: 2000 },
    teeth: { kind: 'count', label: 'Teeth', from: 2, to: 60 },
    toothMm: { kind: 'length', label: 'Width of a tooth', from: 0.5, to: 100 },
    rootMm: { kind: 'length', label: 'Diameter between the teeth', from: 1, to: 500 },
    ...CLOCK_FIELDS,
  },
  asks: ['atMm', 'lengthMm', 'teeth', 'toothMm', 'rootMm'],
  start: (host) => ({
    atMm: 0,
    lengthMm: startLength(host, 40),
    teeth: 6,
    toothMm: Math.round(host.surface.leftMm * 0.22 * 10) / 10,
    rootMm: Math.round(host.surface.leftMm * 0.82 * 10) / 10,
    ...CLOCK_START,
  }),
  check: (f, host) => {
    const off = [...needsCylinder(host), ...leaves(host, f.atMm, f.atMm + f.lengthMm, 'lengthMm')];
    if (off.length) return off;
    if (f.rootMm >= host.surface.leftMm) return [{ field: 'rootMm', message: 'It cuts nothing: the surface is smaller than that.' }];
    if (f.rootMm <= 2 * host.beyondAt(at(host, f.atMm))) return [{ field: 'rootMm', message: 'It leaves no metal.' }];
    // The teeth stand side by side on the root circle.
    return f.toothMm / 2 >= (f.rootMm / 2) * Math.sin(Math.PI / f.teeth)
      ? [{ field: 'toothMm', message: 'So many teeth of that width do not stand side by side.' }]
      : [];
  },
  dimensions: (f, host) => [
    { name: 'at', what: 'position', label: 'beginning from the left end', value: f.atMm },
    { name: 'length', what: 'length', label: 'length', value: f.lengthMm },
    { name: 'tooth', what: 'across', label: 'width of a tooth', value: f.toothMm, seat: true },
    { name: 'root', what: 'outside', label: 'diameter between the teeth', value: f.rootMm },
    ...clockDimension(f, host),
  ],
  cut: (f, host) => {
    const [R, r] = [radius(host), f.rootMm / 2];
    const box = {
      kind: 'box',
      fromMm: at(host, f.atMm),
      toMm: at(host, f.atMm + f.lengthMm),
      halfMm: f.toothMm / 2,
      rounded: false,
    } as const;
    return { shape: 'other', removedMm3: () => (Math.PI * (R * R - r * r) - f.teeth * toothMm2(f, host)) * f.lengthMm, marks: [box] };
  },
  raiser: (f, host) => ({ atMm: at(host, f.atMm), coreMm: f.rootMm, words: 'a spline' }),
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.lengthMm),
  operations: (f) => [
    { kind: 'mill', words: `Index and mill ${f.teeth} teeth`, makes: ['at', 'length', 'tooth', 'root', ...clockMade(f)] },
  ],
};
