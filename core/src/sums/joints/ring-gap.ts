import { bad, good } from '../../outcome';
import { choice, length } from '../fields';
import { fromTable, given, result } from '../given';
import { arc, circle, size } from '../marks';
import type { Sum } from '../sum';

/** Least gap by bore, as usual practice for cast iron rings; the maker's own figure goes first. */
const LEAST = {
  water: { words: 'water-cooled engine', share: 0.003 },
  air: { words: 'air-cooled engine', share: 0.004 },
  compressor: { words: 'compressor', share: 0.002 },
} as const;
const SOURCE = 'usual practice: 0.002 to 0.004 of the bore; the maker’s own figure goes first';

/** End gap of a piston ring: what it needs, and what it becomes in a worn bore. */
export const ringGap: Sum = {
  id: 'ring-gap',
  title: 'Piston ring gap',
  about: 'piston ring end gap bore wear file engine compressor',
  group: 'Keys, rings, seals',
  fields: () => [
    length('bore', 'Gap measured in a bore of', 80, 1000, 10),
    length('gap', 'Gap measured there', 0.3, 50, 0),
    length('worst', 'Bore at its widest', 80.15, 1000, 10),
    length('least', 'Bore at its narrowest', 80, 1000, 10),
    choice(
      'use',
      'In',
      (Object.keys(LEAST) as (keyof typeof LEAST)[]).map((k) => [k, LEAST[k].words] as const),
    ),
  ],
  work: (v) => {
    const [B, g, wide, narrow] = [v.number('bore'), v.number('gap'), v.number('worst'), v.number('least')];
    if (wide < narrow) return bad('wide', 'The widest bore must not be smaller than the narrowest.', 'worst');
    const share = fromTable('gap.share', 'least gap, of the bore', LEAST[v.choice<keyof typeof LEAST>('use')].share, SOURCE, 'ratio');
    const from = [given('gap.gap', 'gap measured', g), given('gap.bore', 'bore there', B)];
    const how = 'gap measured + pi x what the bore is larger or smaller';
    const atNarrow = result('gap.narrow', 'gap at the narrowest', g + Math.PI * (narrow - B), how, from);
    const atWide = result('gap.wide', 'gap at the widest', g + Math.PI * (wide - B), how, from);
    const needs = result('gap.least', 'least gap wanted', narrow * share.value, 'bore x share', [
      share,
      given('gap.small', 'narrowest', narrow),
    ]);
    const short = needs.value - atNarrow.value;
    return good({
      figures: [
        ...(short > 0 ? [result('gap.file', 'to file off', short, 'wanted less what there is', [needs, atNarrow])] : []),
        atNarrow,
        atWide,
        needs,
      ],
      words: [
        short > 0 ? 'Too tight: file the gap.' : 'The gap is wide enough.',
        'A gap that closes when hot breaks the ring and scores the bore: measure it where the bore is narrowest, square, pushed down by a piston.',
      ],
      picture: [circle(B / 2, 'mate'), arc('part', B * 0.47, -255, 75), size('bore', [-B / 2, -B * 0.62], [B / 2, -B * 0.62])],
    });
  },
};
