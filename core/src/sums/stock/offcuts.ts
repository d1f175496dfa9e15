import { bad, good } from '../../terms/outcome';
import { formatPlace, placeWithUnit } from '../../terms/quantity';
import { length } from '../fields';
import { result } from '../given';
import { rectangle } from '../marks';
import type { Mark, Sum } from '../sum';
import { layOut } from './lay-out';

/** Pieces from the bars and offcuts at hand. */
export const offcuts: Sum = {
  id: 'offcuts',
  title: 'Bar from offcuts',
  about: 'cutting list saw bars rest waste nest',
  group: 'Stock and strength',
  fields: () => [
    { kind: 'lengths', id: 'pieces', label: 'Pieces to saw', startMm: [120, 120, 85, 60], startIn: [4.75, 4.75, 3.375, 2.375] },
    { kind: 'lengths', id: 'bars', label: 'Bars and offcuts at hand', startMm: [400, 130, 95], startIn: [16, 5.125, 3.75] },
    length('saw', 'Saw cut', 2.5, 20, 0),
  ],
  work: (v, _shop, unit) => {
    const plan = layOut(v.list('pieces'), v.list('bars'), v.number('saw'));
    if (plan.leftOver.length === v.list('pieces').length) return bad('short', 'None of the pieces comes out of these bars.', 'bars');
    const used = plan.bars.filter((b) => b.pieces.length);
    const waste = result(
      'offcuts.rest',
      'longest rest that stays',
      Math.max(0, ...plan.bars.map((b) => b.restMm)),
      'bars less pieces and saw cuts',
    );
    const lost = result(
      'offcuts.saw',
      'lost to the saw',
      used.reduce((s, b) => s + b.pieces.length * v.number('saw'), 0),
      'a cut for each piece',
    );
    const picture = plan.bars.flatMap((bar, row): Mark[] => {
      const top = -row * plan.bars[0]!.lengthMm * 0.14;
      let x = 0;
      return [
        rectangle(0, top, bar.lengthMm, plan.bars[0]!.lengthMm * 0.08, 'hidden'),
        ...bar.pieces.map((p) => {
          const mark = rectangle(x, top, p, plan.bars[0]!.lengthMm * 0.08);
          x += p + v.number('saw');
          return mark;
        }),
      ];
    });
    return good({
      figures: [waste, lost],
      tables: [
        {
          title: 'Saw',
          columns: ['From', 'Pieces', 'Rest'],
          rows: used.map((b) => [b.lengthMm, b.pieces.map((p) => formatPlace(p, unit)).join(' + '), b.restMm]),
        },
      ],
      words: plan.leftOver.length
        ? [`Not covered: ${plan.leftOver.map((p) => placeWithUnit(p, unit)).join(', ')}. Another bar is needed.`]
        : ['Shortest bar that holds a piece is used first, so long bars stay long.'],
      picture,
    });
  },
};
