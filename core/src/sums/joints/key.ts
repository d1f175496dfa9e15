import { chordHeightMm, keySeats } from '../../keys';
import { good } from '../../outcome';
import { length } from '../fields';
import { given, result } from '../given';
import { circle, cross, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** Key and keyseat for a shaft, set either way. */
export const key: Sum = {
  id: 'key',
  title: 'Key and keyseat',
  about: 'keyway keyseat DIN 6885 B17.1 depth over shaft',
  group: 'Keys, rings, seals',
  fields: () => [length('shaft', 'Shaft', 25, 250, 3)],
  work: (v) => {
    const seats = keySeats(v.number('shaft'));
    if (!seats.ok) return { ok: false, problems: seats.problems.map((p) => ({ ...p, path: 'shaft' })) };
    const s = seats.value[0]!;
    const shaft = given('key.shaft', 'shaft', v.number('shaft'));
    const d = shaft.value;
    return good({
      figures: [
        result('key.after', 'feed on after the flat is as wide as the cutter', s.afterFlatMm, 'depth at the side of the seat', [shaft]),
        given('key.crown', 'depth from the crown', s.fromCrownMm),
        result('key.over', 'over the shaft to the floor of the seat', s.overShaftMm, 'shaft less depth from the crown', [shaft]),
        given('key.hub', 'hub: bore to the roof of the seat', s.overHubMm),
        result('key.chord', 'height of the arc over the key', chordHeightMm(d, s.widthMm), '(D - sqrt(D² - W²))/2', [shaft]),
      ],
      tables: [
        {
          title: 'Keys for this shaft',
          columns: ['Standard', 'Width', 'Height', 'From crown', 'After flat', 'Over shaft', 'Over hub'],
          rows: seats.value.map((k) => [k.standard, k.widthMm, k.heightMm, k.fromCrownMm, k.afterFlatMm, k.overShaftMm, k.overHubMm]),
        },
      ],
      words: [
        `The first row is worked above: ${s.standard}, ${s.source}. End-milled seats want the cutter a little under size and two cuts.`,
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
