import type { FeatureBase, FeatureKind } from '../feature-kind';

/** The finest Ra that each usually gives, µm (ASME B46.1, roughness by production method, average application). */
const HOW = {
  turned: { words: 'turned', leastUm: 0.4 },
  ground: { words: 'ground', leastUm: 0.1 },
  honed: { words: 'honed', leastUm: 0.1 },
  polished: { words: 'polished', leastUm: 0.1 },
} as const;

/** How smooth a surface has to be, and by what it becomes so. */
export interface SurfaceFinish extends FeatureBase {
  readonly kind: 'surface-finish';
  readonly raUm: number;
  readonly how: keyof typeof HOW;
}

const USUAL_UM = 1.6;

export const surfaceFinish: FeatureKind<SurfaceFinish> = {
  kind: 'surface-finish',
  name: 'Surface',
  sides: ['outside', 'inside'],
  fields: {
    raUm: { kind: 'number', label: 'Roughness Ra at most', unit: 'µm', from: 0.025, to: 50 },
    how: {
      kind: 'choice',
      label: 'By',
      options: (Object.keys(HOW) as (keyof typeof HOW)[]).map((k) => [k, HOW[k].words] as const),
    },
  },
  asks: ['raUm'],
  start: () => ({ raUm: USUAL_UM, how: 'turned' }),
  check: (f) =>
    f.raUm < HOW[f.how].leastUm
      ? [{ field: 'how', message: `Ra ${f.raUm} µm is finer than ${HOW[f.how].words} gives: ${HOW[f.how].leastUm} µm at best.` }]
      : [],
  dimensions: (f) => [
    { name: 'roughness', what: 'roughness', label: `Ra, ${HOW[f.how].words}`, value: f.raUm, unit: 'µm', own: { lower: 0, upper: f.raUm } },
  ],
  cut: () => ({ shape: 'other', removedMm3: () => 0, marks: [] }),
  raiser: () => null,
  mirrored: (f) => f,
  operations: (f, host) => [
    {
      kind: f.how === 'turned' ? (host.surface.side === 'inside' ? 'bore' : 'turn') : 'polish',
      words: `Finish to Ra ${f.raUm} µm, ${HOW[f.how].words}`,
      makes: ['roughness'],
    },
  ],
};
