import type { End, FeatureBase, FeatureKind } from '../feature-kind';
import { root, simpson } from '../integrate';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { END_OPTIONS, endAt, fromEnd, isPartEnd, lengthOf, otherEnd, radiusAtEnd } from './on-surface';

/** A slot across an end face: a screw's. */
export interface Slot extends FeatureBase, Clocked {
  readonly kind: 'slot';
  readonly end: End;
  readonly widthMm: number;
  readonly depthMm: number;
}

export const slot: FeatureKind<Slot> = {
  kind: 'slot',
  name: 'Slot across the end',
  sides: ['outside'],
  fields: {
    end: { kind: 'choice', label: 'In', options: END_OPTIONS },
    widthMm: { kind: 'length', label: 'Width', from: 0.2, to: 100 },
    depthMm: { kind: 'length', label: 'Depth', from: 0.2, to: 100 },
    ...CLOCK_FIELDS,
  },
  // A slotted head: slot half as deep as the head is high, about a tenth of its width wide.
  asks: ['end', 'widthMm', 'depthMm'],
  start: (host) => ({
    end: 'left',
    widthMm: Math.max(Math.round(host.surface.leftMm) / 10, 0.5),
    depthMm: Math.max(Math.round(lengthOf(host) * 5) / 10, 0.2),
    ...CLOCK_START,
  }),
  check: (f, host) => {
    if (!isPartEnd(host, f.end)) return [{ field: 'end', message: 'That end is no end of the part.' }];
    if (f.widthMm / 2 >= radiusAtEnd(host, f.end)) return [{ field: 'widthMm', message: 'It is wider than the part.' }];
    if (host.surface.kind === 'taper') return [{ field: 'on', message: 'A slot is cut across a cylinder here.' }];
    return f.depthMm > lengthOf(host) ? [{ field: 'depthMm', message: `It is deeper than ${host.surface.name} is long.` }] : [];
  },
  dimensions: (f, host) => [
    { name: 'width', what: 'width', label: 'width', value: f.widthMm },
    { name: 'depth', what: 'depth', label: 'depth', value: f.depthMm },
    ...clockDimension(f, host),
  ],
  cut: (f, host) => {
    const [R, half, x] = [radiusAtEnd(host, f.end), f.widthMm / 2, endAt(host, f.end)];
    const bore = host.beyondAt(x);
    const across = (y: number): number => 2 * (root(R * R - y * y) - (Math.abs(y) < bore ? root(bore * bore - y * y) : 0));
    const area =
      bore > 0 && bore < half
        ? simpson(across, -half, -bore) + simpson(across, -bore, bore, 2000) + simpson(across, bore, half)
        : simpson(across, -half, half);
    return {
      shape: 'other',
      removedMm3: () => area * f.depthMm,
      marks: [{ kind: 'box', ...fromEnd(host, f.end, f.depthMm), halfMm: half, rounded: false }],
    };
  },
  raiser: () => null,
  endOn: (f, host) => {
    const half = f.widthMm / 2;
    const reach = root(radiusAtEnd(host, f.end) ** 2 - half * half);
    return [-half, half].map((u) => ({ points: [[u, -reach] as const, [u, reach] as const] }));
  },
  mirrored: otherEnd,
  operations: (f) => [{ kind: 'mill', words: `Slot the ${f.end} end`, makes: ['width', 'depth', ...clockMade(f)] }],
};
