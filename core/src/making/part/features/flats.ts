import type { FeatureBase, FeatureKind, Host } from '../feature-kind';
import { root, segmentMm2 } from '../integrate';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { turnedOn } from './end-on';
import { at, fromOtherEnd, leaves, needsCylinder, startLength } from './on-surface';

/** One flat, two, a square, a hexagon: flats at equal angles, the first at the clock angle. */
export interface Flats extends FeatureBase, Clocked {
  readonly kind: 'flats';
  readonly count: number;
  readonly atMm: number;
  readonly lengthMm: number;
  /** Across two opposite flats; where their number is odd, from a flat to the round on the other side. */
  readonly acrossMm: number;
}

const radius = (host: Host): number => host.surface.leftMm / 2;
const even = (f: Flats): boolean => f.count % 2 === 0;
/** From the middle of the part to a flat. */
const fromCentreMm = (f: Flats, host: Host): number => (even(f) ? f.acrossMm / 2 : f.acrossMm - radius(host));

/** What the flats leave of the round section, mm². */
function sectionMm2(f: Flats, host: Host): number {
  const [R, d] = [radius(host), fromCentreMm(f, host)];
  const whole = Math.PI * R * R;
  // Neighbouring flats meet inside the round where their corners lie within it.
  if (f.count > 2 && d / Math.cos(Math.PI / f.count) <= R) return f.count * d * d * Math.tan(Math.PI / f.count);
  return whole - f.count * segmentMm2(R, d);
}

export const flats: FeatureKind<Flats> = {
  kind: 'flats',
  name: 'Flats',
  sides: ['outside'],
  fields: {
    count: { kind: 'count', label: 'How many', from: 1, to: 12 },
    atMm: { kind: 'length', label: 'Begin from the left end', from: 0, to: 3000 },
    lengthMm: { kind: 'length', label: 'Length', from: 0.5, to: 2000 },
    acrossMm: { kind: 'length', label: 'Across', from: 0.5, to: 500 },
    ...CLOCK_FIELDS,
  },
  asks: ['count', 'atMm', 'lengthMm', 'acrossMm'],
  start: (host) => ({
    count: 2,
    atMm: 0,
    lengthMm: startLength(host, host.surface.leftMm),
    acrossMm: Math.round(host.surface.leftMm * 0.8 * 10) / 10,
    ...CLOCK_START,
  }),
  check: (f, host) => {
    const off = [...needsCylinder(host), ...leaves(host, f.atMm, f.atMm + f.lengthMm, 'lengthMm')];
    if (off.length) return off;
    const d = fromCentreMm(f, host);
    if (d >= radius(host)) return [{ field: 'acrossMm', message: 'It cuts nothing: the round is smaller than that.' }];
    return d <= host.beyondAt(at(host, f.atMm + f.lengthMm / 2)) ? [{ field: 'acrossMm', message: 'It leaves no metal.' }] : [];
  },
  dimensions: (f, host) => [
    { name: 'at', what: 'position', label: 'beginning from the left end', value: f.atMm },
    { name: 'length', what: 'length', label: 'length', value: f.lengthMm },
    { name: 'across', what: 'across', label: 'across', value: f.acrossMm },
    ...clockDimension(f, host),
  ],
  cut: (f, host) => {
    const R = radius(host);
    const box = {
      kind: 'box',
      fromMm: at(host, f.atMm),
      toMm: at(host, f.atMm + f.lengthMm),
      halfMm: Math.min(R, Math.sqrt(Math.max(R * R - fromCentreMm(f, host) ** 2, 0))),
      rounded: false,
    } as const;
    return { shape: 'other', removedMm3: () => (Math.PI * R * R - sectionMm2(f, host)) * f.lengthMm, marks: [box] };
  },
  raiser: (f, host) => ({ atMm: at(host, f.atMm), coreMm: f.acrossMm, words: 'the step of the flats' }),
  endOn: (f, host) => {
    const d = fromCentreMm(f, host);
    // Neighbours that meet inside the round end at their corner.
    const half = Math.min(root(radius(host) ** 2 - d * d), f.count > 2 ? d * Math.tan(Math.PI / f.count) : Infinity);
    const flat = { points: [[-half, d] as const, [half, d] as const] };
    return Array.from({ length: f.count }, (_, i) => turnedOn(flat, (360 * i) / f.count));
  },
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.lengthMm),
  operations: (f) => [
    { kind: 'mill', words: f.count === 1 ? 'Mill the flat' : `Mill ${f.count} flats`, makes: ['at', 'length', 'across', ...clockMade(f)] },
  ],
};
