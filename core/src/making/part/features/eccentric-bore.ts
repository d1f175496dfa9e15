import { THROUGH_OR_DEPTH, type End, type FeatureBase, type FeatureKind, type FeatureProblem, type Host } from '../feature-kind';
import { CLOCK_FIELDS, CLOCK_START, clockDimension, clockMade, type Clocked } from './clock';
import { circleLine } from './end-on';
import { END_OPTIONS, fromEnd, isPartEnd, otherEnd } from './on-surface';

/** A bore about an axis beside the part's own: an eccentric on its shaft, a bush that shifts what runs in it. */
export interface EccentricBore extends FeatureBase, Clocked {
  readonly kind: 'eccentric-bore';
  readonly end: End;
  readonly diameterMm: number;
  readonly reach: 'through' | 'to depth';
  /** From that end; of one right through it says nothing. */
  readonly depthMm: number;
  readonly throwMm: number;
}

/** How far it goes in, mm. */
const deepMm = (f: EccentricBore, { partLengthMm }: Host): number => (f.reach === 'through' ? partLengthMm : f.depthMm);

/** Surfaces that it passes, outside it or on the axis. */
function passed(f: EccentricBore, host: Host, side: 'outside' | 'inside'): Host['surfaces'] {
  const { fromMm, toMm } = fromEnd(host, f.end, deepMm(f, host));
  return host.surfaces.filter((s) => s.side === side && s.toMm > fromMm + 1e-6 && s.fromMm < toMm - 1e-6);
}

function collides(f: EccentricBore, host: Host): FeatureProblem[] {
  const r = f.diameterMm / 2;
  const out = passed(f, host, 'outside').find((s) => f.throwMm + r >= Math.min(s.leftMm, s.rightMm) / 2 - 1e-6);
  if (out) return [{ field: 'throwMm', message: `It comes out at the side of ${out.name}.` }];
  // Two that run into one another are no bore any more.
  return passed(f, host, 'inside').some((s) => f.throwMm - r <= Math.max(s.leftMm, s.rightMm) / 2 + 1e-6)
    ? [{ field: 'throwMm', message: 'It runs into the bore on the axis.' }]
    : [];
}

export const eccentricBore: FeatureKind<EccentricBore> = {
  kind: 'eccentric-bore',
  name: 'Eccentric bore',
  sides: ['outside'],
  fields: {
    end: { kind: 'choice', label: 'From', options: END_OPTIONS },
    diameterMm: { kind: 'length', label: 'Diameter', from: 0.5, to: 500 },
    reach: {
      kind: 'choice',
      label: 'Goes',
      options: THROUGH_OR_DEPTH,
    },
    depthMm: { kind: 'length', label: 'Depth', from: 0, to: 3000, when: ['reach', 'to depth'] },
    throwMm: { kind: 'length', label: 'Offset of its axis', from: 0.01, to: 200 },
    ...CLOCK_FIELDS,
  },
  asks: ['diameterMm', 'throwMm'],
  start: (host) => {
    const d = Math.min(host.surface.leftMm, host.surface.rightMm);
    return {
      end: host.leftMm === null ? 'left' : 'right',
      diameterMm: Math.max(Math.round(d * 0.4 * 10) / 10, 0.5),
      reach: 'through',
      depthMm: 0,
      throwMm: Math.max(Math.round(d * 0.1 * 10) / 10, 0.1),
      ...CLOCK_START,
    };
  },
  check: (f, host) => {
    if (!isPartEnd(host, f.end)) return [{ field: 'end', message: 'Nothing begins there: it is bored from an end of the part.' }];
    if (f.reach === 'to depth' && !(f.depthMm > 0)) return [{ field: 'depthMm', message: 'Say how deep.' }];
    if (f.reach === 'to depth' && f.depthMm > host.partLengthMm + 1e-6)
      return [{ field: 'depthMm', message: 'It is deeper than the part is long.' }];
    return collides(f, host);
  },
  dimensions: (f, host) => [
    { name: 'diameter', what: 'inside', label: 'diameter', value: f.diameterMm, seat: true },
    ...(f.reach === 'through' ? [] : [{ name: 'depth', what: 'depth' as const, label: 'depth', value: f.depthMm }]),
    { name: 'throw', what: 'position', label: 'offset of its axis', value: f.throwMm },
    ...clockDimension(f, host),
  ],
  cut: (f, host) => ({
    shape: 'other',
    removedMm3: () => (Math.PI / 4) * f.diameterMm ** 2 * deepMm(f, host),
    marks: [{ kind: 'box', ...fromEnd(host, f.end, deepMm(f, host)), halfMm: f.diameterMm / 2, offMm: f.throwMm, rounded: false }],
  }),
  raiser: () => null,
  endOn: (f) => [circleLine(f.throwMm, f.diameterMm / 2)],
  mirrored: otherEnd,
  operations: (f) => [
    {
      kind: 'bore',
      words: 'Bore it about its own axis, the work set over',
      makes: ['diameter', ...(f.reach === 'through' ? [] : ['depth']), 'throw', ...clockMade(f)],
    },
  ],
};
