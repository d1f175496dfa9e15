import { inSentence } from '../../../terms/words';
import type { FeatureBase, FeatureKind, Host } from '../feature-kind';

const WHICH = {
  'run-out': 'run-out',
  'face-run-out': 'run-out of its face',
  square: 'out of square',
  parallel: 'out of parallel',
  position: 'off its place',
} as const;

/**
 * How far a surface, or something cut into it, may be off another surface: what an indicator swings by at most (ISO 1101). Run-out is read while the
 * part turns about that surface; off its place is the difference of two readings, one from either side.
 */
export interface Relation extends FeatureBase {
  readonly kind: 'relation';
  readonly which: keyof typeof WHICH;
  /** Id of the feature that is meant; empty for the surface itself. */
  readonly of: string;
  /** Id of the surface that it is true to. */
  readonly to: string;
  readonly mm: number;
}

const USUAL_MM = 0.02;
const words = (host: Host, id: string): string => inSentence(host.nameOf(id) ?? 'what is gone');
const label = (f: Relation, host: Host): string => {
  const own = f.of ? `${words(host, f.of)} ` : '';
  return `${own}${WHICH[f.which]} to ${words(host, f.to)}`;
};

export const relation: FeatureKind<Relation> = {
  kind: 'relation',
  name: 'True to',
  sides: ['outside', 'inside'],
  fields: {
    which: { kind: 'choice', label: 'How', options: Object.entries(WHICH) },
    of: { kind: 'feature', label: 'Of', none: 'the surface itself' },
    to: { kind: 'surface', label: 'To' },
    mm: { kind: 'length', label: 'At most', from: 0.001, to: 5 },
  },
  asks: ['which', 'to', 'mm'],
  start: (host) => ({
    which: 'run-out',
    of: '',
    to: host.surfaces.find((s) => s.id !== host.surface.id && s.kind === 'cylinder')?.id ?? '',
    mm: USUAL_MM,
  }),
  check: (f, host) =>
    f.to === host.surface.id && f.of === '' ? [{ field: 'to', message: 'A surface is always true to itself: choose another one.' }] : [],
  dimensions: (f, host) => [{ name: 'off', what: 'relation', label: label(f, host), value: f.mm, own: { lower: 0, upper: f.mm } }],
  cut: () => ({ shape: 'other', removedMm3: () => 0, marks: [] }),
  raiser: () => null,
  mirrored: (f) => f,
  operations: (f, host) => [
    {
      kind: 'hold',
      words: `In one holding with ${words(host, f.to)}, or dialled in on it: ${label(f, host)}`,
      makes: ['off'],
    },
  ],
};
