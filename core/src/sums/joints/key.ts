import { chordHeightMm, isListedFor, keySeats, keyZones } from '../../book/keys';
import { good } from '../../terms/outcome';
import { length, rowField, rowOf } from '../fields';
import { fromTable, given, result } from '../given';
import { circle, cross, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** Key and keyseat for a shaft, set either way. */
export const key: Sum = {
  id: 'key',
  title: 'Key and keyseat',
  about: 'keyway keyseat DIN 6885 B17.1 depth over shaft width P9 N9 JS9 spline feather',
  group: 'Keys, rings, seals',
  fields: () => [
    length('shaft', 'Shaft', 25, 250, 3),
    length('width', 'Key width, 0 for the listed one', 0, 60, 0),
    rowField('Key that is worked'),
  ],
  work: (v, _shop, unit) => {
    const width = v.number('width');
    const seats = keySeats(v.number('shaft'), width === 0 ? null : width);
    if (!seats.ok) return { ok: false, problems: seats.problems.map((p) => ({ ...p, path: p.path === 'widthMm' ? 'width' : 'shaft' })) };
    // The reader's own standard stands first.
    const own = (k: (typeof seats.value)[number]): number => Number(k.standard.startsWith('DIN') === (unit === 'mm'));
    const rows = [...seats.value].sort((a, b) => own(b) - own(a));
    const { item: s, chosen } = rowOf(rows, v.number('row'));
    const shaft = given('key.shaft', 'shaft', v.number('shaft'));
    const d = shaft.value;
    const wide = fromTable('key.width', 'width of the key', s.widthMm, s.source);
    const crown =
      s.standard === 'DIN 6885'
        ? fromTable('key.crown', 'depth from the crown', s.fromCrownMm, s.source)
        : result('key.crown', 'depth from the crown', s.fromCrownMm, 'half the height of the key and the arc over it', [shaft, wide]);
    const zones = keyZones(s);
    return good({
      answer: { label: isListedFor(s, d) ? 'Key' : 'Key, not the one listed for this shaft', text: s.standard },
      figures: [
        result('key.after', 'feed on after the flat is as wide as the cutter', s.afterFlatMm, 'depth at the side of the seat', [crown]),
        crown,
        result('key.over', 'over the shaft to the floor of the seat', s.overShaftMm, 'shaft less depth from the crown', [shaft, crown]),
        fromTable('key.hub', 'hub: bore to the roof of the seat', s.overHubMm, `${s.source}, hub side`),
        wide,
        fromTable('key.height', 'height of the key', s.heightMm, s.source),
        result('key.chord', 'height of the arc over the key', chordHeightMm(d, s.widthMm), '(D - sqrt(D² - W²))/2', [shaft, wide]),
      ],
      tables: [
        {
          title: width === 0 ? 'Keys for this shaft' : 'Keys of this width',
          columns: ['Standard', 'Width', 'Height', 'From crown', 'After flat', 'Over shaft', 'Over hub'],
          rows: rows.map((k) => [k.standard, k.widthMm, k.heightMm, k.fromCrownMm, k.afterFlatMm, k.overShaftMm, k.overHubMm]),
          chosen,
        },
        ...(zones.length
          ? [
              {
                title: 'Width of the seat',
                columns: ['Where', 'Zone', 'From', 'To', 'For'],
                rows: zones.map((z) => [z.where, z.zone, s.widthMm + z.lowerMm, s.widthMm + z.upperMm, z.words]),
              },
            ]
          : []),
      ],
      words: [
        `${s.source}. End-milled seats want the cutter a little under size and two cuts.`,
        ...(isListedFor(s, d) ? [] : ['Another width than the book lists for this shaft: kept as it was found, or say why it is changed.']),
      ],
      picture: [
        circle(d / 2),
        ...cross(d / 2),
        rectangle(-s.widthMm / 2, d / 2 - s.fromCrownMm, s.widthMm, s.heightMm, 'mate'),
        size('over shaft', [d * 0.62, -d / 2], [d * 0.62, d / 2 - s.fromCrownMm]),
      ],
    });
  },
};
