import { bad, good } from '../../terms/outcome';
import { formatPlace, placeWithUnit } from '../../terms/quantity';
import { length } from '../fields';
import { result } from '../given';
import { rectangle } from '../marks';
import type { Mark, Sum } from '../sum';
import { cutStockNow } from '../../making/stock';

/** So many ways are looked at while somebody types: a list that long comes out as good as it gets, not always proven. */
const MOST_WAYS = 20_000;

/** Bars in the order in which they lie there, the longest first, with what is sawn from each, and what comes out of none; mm. */
function sawn(piecesMm: readonly number[], barsMm: readonly number[], sawMm: number) {
  const bars = [...barsMm].sort((a, b) => b - a);
  const stock = bars.map((lengthMm, i) => ({ id: `${i}`, lengthMm, pieces: 1, sectionMm2: 1 }));
  const barIds = stock.map((b) => b.id);
  const needs = [...new Set(piecesMm)].map((mm) => ({
    ...{ id: `${mm}`, lengthMm: mm + sawMm, barIds },
    count: piecesMm.filter((p) => p === mm).length,
  }));
  const plan = cutStockNow(needs, stock, { sawMm, keepMm: 0 }, MOST_WAYS);
  return {
    bars: bars.map((lengthMm, i) => {
      const from = plan.bars.find((b) => b.barId === `${i}`);
      return { lengthMm, pieces: from?.blanks.map(Number) ?? [], restMm: from?.restMm ?? lengthMm };
    }),
    leftOver: plan.short.map(Number),
    proven: plan.proven,
  };
}

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
    const plan = sawn(v.list('pieces'), v.list('bars'), v.number('saw'));
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
        : [
            plan.proven
              ? 'Offcuts go first, so that what is left is as long as can be.'
              : 'So many pieces that not every way was tried: it is the best that was found.',
          ],
      picture,
    });
  },
};
