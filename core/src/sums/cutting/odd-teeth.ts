import { good } from '../../terms/outcome';
import { choice, length } from '../fields';
import { given, result } from '../given';
import { circle, cross, line, size } from '../marks';
import type { Sum } from '../sum';

const rad = (deg: number): number => (deg * Math.PI) / 180;

/** Share of the diameter that is measured, by how a cutter with an odd number of teeth is held. Exact for equal spacing. */
const SHARES = {
  flat: {
    words: 'one tooth over two on a flat anvil',
    share: (n: number) => (1 + Math.cos(Math.PI / n)) / 2,
    how: '2 H / (1 + cos(180° / teeth))',
  },
  across: {
    words: 'over the points of the two teeth farthest apart',
    share: (n: number) => Math.cos(Math.PI / 2 / n),
    how: 'chord / cos(90° / teeth)',
  },
  vee: {
    words: 'from the bottom of a matched V to the tooth on top',
    share: (n: number) => (1 + 1 / Math.sin(rad(90 - 180 / n))) / 2,
    how: '2 H / (1 + 1 / sin(half the V))',
  },
} as const;

/** Diameter of an end mill, drill or reamer whose teeth do not stand opposite each other. */
export const oddTeeth: Sum = {
  id: 'odd-teeth',
  title: 'Cutter with an odd number of teeth',
  about: 'three flute five flute end mill reamer tap diameter v anvil chord',
  group: 'Cutting',
  fields: () => [
    choice(
      'teeth',
      'Teeth',
      ['3', '5', '7', '9'].map((n) => [n, n] as const),
    ),
    choice(
      'over',
      'Measured',
      (Object.keys(SHARES) as (keyof typeof SHARES)[]).map((k) => [k, SHARES[k].words] as const),
    ),
    length('read', 'Reading', 15, 1000, 0.5),
  ],
  work: (v) => {
    const n = Number(v.choice('teeth'));
    const { share, how, words } = SHARES[v.choice<keyof typeof SHARES>('over')];
    const D = v.number('read') / share(n);
    const reading = given('teeth.read', words, v.number('read'));
    const vee = rad(180 - 360 / n);
    const point = (i: number): [number, number] => [(D / 2) * Math.sin((2 * Math.PI * i) / n), (D / 2) * Math.cos((2 * Math.PI * i) / n)];
    return good({
      figures: [
        result('teeth.diameter', 'diameter', D, how, [reading]),
        result('teeth.vee', 'V that matches', vee, '180° - 360° / teeth', [], 'angle'),
      ],
      words: ['It holds for teeth at equal angles only: a cutter with unequal spacing is measured in a ring or by a trial cut.'],
      picture: [
        circle(D / 2, 'hidden'),
        ...cross(D / 2),
        ...Array.from({ length: n }, (_, i) => line('tool', [0, 0], point(i))),
        size('diameter', [-D / 2, -D * 0.62], [D / 2, -D * 0.62]),
      ],
    });
  },
};
