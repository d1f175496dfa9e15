import type { FeatureBase, FeatureKind } from '../feature-kind';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { circleLine } from './end-on';
import { at, fromOtherEnd, leaves, needsCylinder, startLength } from './on-surface';

/** A stretch turned about an axis beside the part's own: the throw is half of what it moves. */
export interface Eccentric extends FeatureBase, Clocked {
  readonly kind: 'eccentric';
  readonly atMm: number;
  readonly lengthMm: number;
  readonly diameterMm: number;
  readonly throwMm: number;
}

export const eccentric: FeatureKind<Eccentric> = {
  kind: 'eccentric',
  name: 'Eccentric stretch',
  sides: ['outside'],
  fields: {
    atMm: { kind: 'length', label: 'Begins from the left end', from: 0, to: 3000 },
    lengthMm: { kind: 'length', label: 'Length', from: 0.5, to: 2000 },
    diameterMm: { kind: 'length', label: 'Diameter', from: 1, to: 500 },
    throwMm: { kind: 'length', label: 'Offset of its axis', from: 0.01, to: 200 },
    ...CLOCK_FIELDS,
  },
  asks: ['atMm', 'lengthMm', 'diameterMm', 'throwMm'],
  start: (host) => ({
    atMm: 0,
    lengthMm: startLength(host, 1000, 1),
    diameterMm: Math.round(host.surface.leftMm * 0.6 * 10) / 10,
    throwMm: Math.max(Math.round(host.surface.leftMm * 0.1 * 10) / 10, 0.1),
    ...CLOCK_START,
  }),
  check: (f, host) => {
    const off = [...needsCylinder(host), ...leaves(host, f.atMm, f.atMm + f.lengthMm, 'lengthMm')];
    if (off.length) return off;
    const x = at(host, f.atMm + f.lengthMm / 2);
    if (f.diameterMm / 2 + f.throwMm > host.radiusAt(x) + 1e-6)
      return [{ field: 'throwMm', message: 'It would stand out of the surface that it is turned from.' }];
    return f.diameterMm / 2 - f.throwMm <= host.beyondAt(x)
      ? [{ field: 'diameterMm', message: 'It leaves no metal on its near side.' }]
      : [];
  },
  dimensions: (f, host) => [
    { name: 'at', what: 'position', label: 'beginning from the left end', value: f.atMm },
    { name: 'length', what: 'length', label: 'length', value: f.lengthMm },
    { name: 'diameter', what: 'outside', label: 'diameter', value: f.diameterMm, seat: true },
    { name: 'throw', what: 'position', label: 'offset of its axis', value: f.throwMm },
    ...clockDimension(f, host),
  ],
  cut: (f, host) => {
    const R = host.radiusAt(at(host, f.atMm + f.lengthMm / 2));
    return {
      shape: 'other',
      removedMm3: () => Math.PI * (R * R - (f.diameterMm / 2) ** 2) * f.lengthMm,
      marks: [
        {
          kind: 'box',
          fromMm: at(host, f.atMm),
          toMm: at(host, f.atMm + f.lengthMm),
          halfMm: f.diameterMm / 2,
          offMm: f.throwMm,
          rounded: false,
        },
      ],
    };
  },
  raiser: (f, host) => ({ atMm: at(host, f.atMm), coreMm: f.diameterMm, words: 'the step of the eccentric' }),
  endOn: (f) => [circleLine(f.throwMm, f.diameterMm / 2)],
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.lengthMm),
  operations: (f) => [
    {
      kind: 'turn',
      words: 'Turn the eccentric in the four-jaw or between offset centres',
      makes: ['at', 'length', 'diameter', 'throw', ...clockMade(f)],
    },
  ],
};
