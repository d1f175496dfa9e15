import { good } from '../../terms/outcome';
import { leastEdgeMm, ringsFor } from '../../book/rings';
import { choice, length, rowField, rowOf } from '../fields';
import { fromTable, result } from '../given';
import { line, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** The groove of a retaining ring. */
export const ringGroove: Sum = {
  id: 'ring-groove',
  title: 'Ring groove',
  about: 'retaining ring groove circlip snap ring E-clip e clip clip DIN 471 472 6799 B18.27',
  group: 'Keys, rings, seals',
  fields: () => [
    choice('on', 'Ring', [
      ['shaft', 'on a shaft'],
      ['bore', 'in a bore'],
    ]),
    length('size', 'Shaft or bore', 25, 300, 1),
    rowField('Ring that is worked'),
  ],
  work: (v) => {
    const on = v.choice<'shaft' | 'bore'>('on');
    const rings = ringsFor(on, v.number('size'));
    if (!rings.ok) return { ok: false, problems: rings.problems.map((p) => ({ ...p, path: 'size' })) };
    const { item: r, chosen } = rowOf(rings.value, v.number('row'));
    // A retaining washer takes a range of shafts: it is this one that is drawn and grooved.
    const d = r.kind === 'ring' ? r.sizeMm : v.number('size');
    const groove = fromTable('ring.groove', 'groove diameter', r.grooveMm, r.source);
    const depth = Math.abs(d - r.grooveMm) / 2;
    const edge = leastEdgeMm(r);
    const y = d / 2;
    return good({
      figures: [
        groove,
        fromTable('ring.width', 'groove width, at least', r.widthMm, r.source),
        fromTable('ring.thick', 'ring thickness', r.thicknessMm, r.source),
        r.outsideMm === null
          ? result('ring.edge', 'metal outside the groove, at least', edge, 'three times the depth of the groove', [groove])
          : fromTable('ring.edge', 'metal outside the groove, at least', edge, `n of ${r.source}`),
      ],
      tables: [
        {
          title: 'Rings for this size',
          columns: ['Standard', 'Ring', 'Groove', 'from', 'to', 'Width'],
          rows: rings.value.map((x) => [
            `${x.standard}${x.kind === 'ring' ? '' : `, ${x.grooveMm}`}`,
            x.thicknessMm,
            x.grooveMm,
            x.grooveLimits ? x.grooveMm + x.grooveLimits.lowerMm : '–',
            x.grooveLimits ? x.grooveMm + x.grooveLimits.upperMm : '–',
            x.widthMm,
          ]),
          chosen,
        },
      ],
      words: [`${r.source}. The wall that the ring bears on must be square: a ramped wall throws the ring out.`],
      picture: [
        line(
          'part',
          [0, y],
          [edge, y],
          [edge, y + (on === 'shaft' ? -depth : depth)],
          [edge + r.widthMm, y + (on === 'shaft' ? -depth : depth)],
          [edge + r.widthMm, y],
          [edge + 6 * r.widthMm, y],
        ),
        rectangle(edge, on === 'shaft' ? y - depth : y - depth * 0.6, r.thicknessMm, depth * 1.6, 'mate'),
        line('centre', [-r.widthMm, 0], [edge + 7 * r.widthMm, 0]),
        line('part', [0, y], [0, on === 'shaft' ? 0 : y + depth * 4]),
        size('width', [edge, y + depth * 3], [edge + r.widthMm, y + depth * 3]),
      ],
    });
  },
};
