import type { FeatureBase, FeatureKind } from '../feature-kind';
import { at, fromOtherEnd, leaves, startLength } from './on-surface';

/** Where a lip seal runs: plunge ground or polished without lead, of a roughness from and to (DIN 3760: Ra 0.2 to 0.8 µm). */
export interface SealLand extends FeatureBase {
  readonly kind: 'seal-land';
  readonly atMm: number;
  readonly lengthMm: number;
  readonly raUm: number;
}

/** DIN 3760: Ra of a seal's track, µm. */
const RA_UM = { from: 0.2, to: 0.8 } as const;

export const sealLand: FeatureKind<SealLand> = {
  kind: 'seal-land',
  name: 'Seal land',
  sides: ['outside'],
  fields: {
    atMm: { kind: 'length', label: 'Begins from the left end', from: 0, to: 3000 },
    lengthMm: { kind: 'length', label: 'Length', from: 0.5, to: 500 },
    raUm: { kind: 'number', label: 'Roughness Ra', unit: 'µm', from: 0.05, to: 6.3 },
  },
  asks: ['atMm', 'lengthMm'],
  start: (host) => ({ atMm: 0, lengthMm: startLength(host, 15, 1), raUm: 0.4 }),
  check: (f, host) => {
    const off = leaves(host, f.atMm, f.atMm + f.lengthMm, 'lengthMm');
    if (off.length) return off;
    return f.raUm < RA_UM.from || f.raUm > RA_UM.to
      ? [{ field: 'raUm', message: `A lip seal wants Ra ${RA_UM.from} to ${RA_UM.to} µm: smoother runs dry, rougher wears the lip.` }]
      : [];
  },
  dimensions: (f) => [
    { name: 'at', what: 'position', label: 'beginning from the left end', value: f.atMm },
    { name: 'length', what: 'length', label: 'length', value: f.lengthMm },
    {
      name: 'roughness',
      what: 'roughness',
      label: 'Ra without lead',
      value: f.raUm,
      book: { lower: RA_UM.from, upper: RA_UM.to, source: 'DIN 3760' },
    },
  ],
  cut: (f, host) => ({
    shape: 'other',
    removedMm3: () => 0,
    marks: [{ kind: 'texture', fromMm: at(host, f.atMm), toMm: at(host, f.atMm + f.lengthMm) }],
  }),
  raiser: () => null,
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.lengthMm),
  operations: () => [
    { kind: 'polish', words: 'Plunge grind or polish the seal land square to the axis, no lead', makes: ['at', 'length', 'roughness'] },
  ],
};
