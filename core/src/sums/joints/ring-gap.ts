import { bad, good } from '../../terms/outcome';
import { choice, length } from '../fields';
import { fromTable, given, result } from '../given';
import { arc, circle, size } from '../marks';
import type { Sum } from '../sum';

/** Least and most gap by bore, as usual practice for cast iron rings; the maker's own figure goes first. */
const USUAL = {
  water: { words: 'water-cooled engine', least: 0.003, most: 0.004 },
  air: { words: 'air-cooled engine', least: 0.004, most: 0.005 },
  compressor: { words: 'compressor', least: 0.002, most: 0.003 },
} as const;
const SOURCE = 'usual practice: 0.002 to 0.005 of the bore; the maker’s own figure goes first';

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
      (Object.keys(USUAL) as (keyof typeof USUAL)[]).map((k) => [k, USUAL[k].words] as const),
    ),
  ],
  work: (v) => {
    const [B, g, wide, narrow] = [v.number('bore'), v.number('gap'), v.number('worst'), v.number('least')];
    if (wide < narrow) return bad('wide', 'The widest bore must not be smaller than the narrowest.', 'worst');
    const usual = USUAL[v.choice<keyof typeof USUAL>('use')];
    const share = fromTable('gap.share', 'least gap, of the bore', usual.least, SOURCE, 'ratio');
    const mostShare = fromTable('gap.most-share', 'most gap, of the bore', usual.most, SOURCE, 'ratio');
    const from = [given('gap.gap', 'gap measured', g), given('gap.bore', 'bore there', B)];
    const how = 'gap measured + pi x what the bore is larger or smaller';
    const atNarrow = result('gap.narrow', 'gap at the narrowest', g + Math.PI * (narrow - B), how, from);
    const atWide = result('gap.wide', 'gap at the widest', g + Math.PI * (wide - B), how, from);
    const needs = result('gap.least', 'least gap wanted', narrow * share.value, 'bore x share', [
      share,
      given('gap.small', 'narrowest', narrow),
    ]);
    const most = result('gap.most', 'most gap as new', wide * mostShare.value, 'bore x share', [
      mostShare,
      given('gap.large', 'widest', wide),
    ]);
    const short = needs.value - atNarrow.value;
    return good({
      figures: [
        ...(short > 0 ? [result('gap.file', 'to file off', short, 'wanted less what there is', [needs, atNarrow])] : []),
        atNarrow,
        atWide,
        needs,
        most,
      ],
      words: [
        short > 0
          ? 'Too tight: file the gap.'
          : atWide.value > most.value
            ? 'Wide: the ring or the bore is worn, or it is a ring for a larger bore. It leaks and smokes; no harm to the bore.'
            : 'The gap is wide enough, and not too wide.',
        'A gap that closes when hot breaks the ring and scores the bore: measure it where the bore is narrowest, square, pushed down by a piston.',
      ],
      picture: [circle(B / 2, 'mate'), arc('part', B * 0.47, -255, 75), size('bore', [-B / 2, -B * 0.62], [B / 2, -B * 0.62])],
    });
  },
};
