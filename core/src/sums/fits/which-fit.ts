import { nearestFits, nearestZones } from '../../book/fits';
import { bad, good } from '../../terms/outcome';
import { length } from '../fields';
import { fromTable } from '../given';
import { circle, cross, size } from '../marks';
import type { Sum } from '../sum';

/** The question turned round: which fit has this clearance, which zone these limits? */
export const whichFit: Sum = {
  id: 'which-fit',
  title: 'Which fit is this?',
  about: 'reverse zone limits clearance interference nearest class',
  group: 'Sizes and fits',
  fields: () => [
    length('nominal', 'Nominal size', 25, 500, 0.1),
    length('least', 'Least play (- is tight)', 0.02, 10, -10),
    length('most', 'Most play', 0.074, 10, -10),
    length('lower', 'Shaft, lower deviation', -0.041, 10, -10),
    length('upper', 'Shaft, upper deviation', -0.02, 10, -10),
  ],
  work: (v) => {
    const [nominal, least, most] = [v.number('nominal'), v.number('least'), v.number('most')];
    if (least > most) return bad('order', 'The least play cannot be over the most.', 'least');
    if (v.number('lower') > v.number('upper')) return bad('order', 'The lower deviation cannot be over the upper.', 'lower');
    const fits = nearestFits(nominal, least, most);
    const zones = nearestZones(nominal, { lowerMm: v.number('lower'), upperMm: v.number('upper') }, 'shaft');
    if (!fits.length) return bad('out-of-table', 'No fit in the book reaches that size.', 'nominal');
    const best = fits[0]!.pair;
    const r = nominal / 2;
    return good({
      answer: { label: 'Nearest fit', text: best.name },
      figures: [
        fromTable('which.least', `least play of ${best.name}`, best.leastClearanceMm, best.source),
        fromTable('which.most', `most play of ${best.name}`, best.mostClearanceMm, best.source),
      ],
      tables: [
        {
          title: 'Fits, nearest first',
          columns: ['Fit', 'Least play', 'Most play', 'Off by', 'Source'],
          rows: fits.map((f) => [f.pair.name, f.pair.leastClearanceMm, f.pair.mostClearanceMm, f.missMm, f.pair.source]),
        },
        {
          title: 'Shaft zones, nearest first',
          columns: ['Zone', 'Lower', 'Upper', 'Off by'],
          rows: zones.map((z) => [z.zone, z.limits.lowerMm, z.limits.upperMm, z.missMm]),
        },
      ],
      words: ['Off by is how far both ends lie from what was asked, added up; 0 is the very one.'],
      picture: [circle(r, 'mate'), circle(r * 0.97), ...cross(r), size('nominal', [-r, -r * 1.3], [r, -r * 1.3])],
    });
  },
};
