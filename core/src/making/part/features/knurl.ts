import type { FeatureBase, FeatureKind } from '../feature-kind';
import { at, fromOtherEnd, leaves, startLength } from './on-surface';

/** A knurl rolled into a surface: metal is moved, not taken; the crests stand out over the blank (DIN 82). */
export interface Knurl extends FeatureBase {
  readonly kind: 'knurl';
  readonly pattern: 'straight' | 'diagonal' | 'diamond';
  readonly atMm: number;
  readonly lengthMm: number;
  readonly pitchMm: number;
}

/** DIN 82: a straight knurl (RAA) of 90° raises the blank by half its pitch on the diameter, a crossed one by two thirds. */
const RAISES = { straight: 0.5, diagonal: 0.5, diamond: 0.67 } as const;

/** Diameter over the crests, mm. */
const overCrestsMm = (f: Pick<Knurl, 'pattern' | 'pitchMm'>, blankMm: number): number => blankMm + RAISES[f.pattern] * f.pitchMm;

export const knurl: FeatureKind<Knurl> = {
  kind: 'knurl',
  name: 'Knurl',
  sides: ['outside'],
  fields: {
    pattern: {
      kind: 'choice',
      label: 'Pattern',
      options: [
        ['straight', 'straight'],
        ['diagonal', 'diagonal'],
        ['diamond', 'diamond'],
      ],
    },
    atMm: { kind: 'length', label: 'Begins from the left end', from: 0, to: 3000 },
    lengthMm: { kind: 'length', label: 'Length', from: 0.5, to: 500 },
    pitchMm: { kind: 'length', label: 'Pitch', from: 0.3, to: 3 },
  },
  asks: ['atMm', 'lengthMm', 'pitchMm'],
  start: (host) => ({ pattern: 'diamond', atMm: 0, lengthMm: startLength(host, 20, 1), pitchMm: host.surface.leftMm < 20 ? 0.8 : 1 }),
  check: (f, host) => {
    const off = leaves(host, f.atMm, f.atMm + f.lengthMm, 'lengthMm');
    if (off.length) return off;
    return f.pitchMm * 8 > host.surface.leftMm ? [{ field: 'pitchMm', message: 'It is too coarse for that diameter.' }] : [];
  },
  dimensions: (f, host) => [
    { name: 'at', what: 'position', label: 'beginning from the left end', value: f.atMm },
    { name: 'length', what: 'length', label: 'length', value: f.lengthMm },
    { name: 'pitch', what: 'pitch', label: 'pitch', value: f.pitchMm, book: { lower: f.pitchMm, upper: f.pitchMm, source: 'DIN 82' } },
    { name: 'crests', what: 'outside', label: 'diameter over the crests', value: overCrestsMm(f, host.surface.leftMm) },
  ],
  cut: (f, host) => ({
    shape: 'other',
    removedMm3: () => 0,
    marks: [{ kind: 'texture', fromMm: at(host, f.atMm), toMm: at(host, f.atMm + f.lengthMm) }],
  }),
  raiser: () => null,
  mirrored: (f, lengthMm) => fromOtherEnd(f, lengthMm, f.lengthMm),
  operations: (f) => [{ kind: 'knurl', words: `Roll the ${f.pattern} knurl`, makes: ['at', 'length', 'pitch', 'crests'] }],
};
