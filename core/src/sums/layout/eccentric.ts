import { packingMm } from '../../making/schedule';
import { bad, good } from '../../terms/outcome';
import { length } from '../fields';
import { given, result } from '../given';
import { circle, cross, size } from '../marks';
import type { Sum } from '../sum';

/** An eccentric in a four-jaw, or packed in a three-jaw. */
export const eccentric: Sum = {
  id: 'eccentric',
  title: 'Eccentric in the chuck',
  about: 'offset four-jaw indicator crank packing three-jaw throw',
  group: 'Setting out',
  fields: () => [length('offset', 'Offset', 3, 200, 0.01), length('round', 'Held diameter', 40, 500, 1)],
  work: (v) => {
    const [e, r] = [v.number('offset'), v.number('round') / 2];
    if (e >= r) return bad('offset', 'The offset must be under half the held diameter.', 'offset');
    const offset = given('eccentric.offset', 'offset', e);
    return good({
      figures: [
        result('eccentric.total', 'indicator shows, high to low', 2 * e, 'twice the offset', [offset]),
        result(
          'eccentric.packing',
          'packing under one jaw of a three-jaw',
          packingMm(e, r),
          '1.5 e - r + sqrt(r² - 0.75 e²), jaws as points',
          [offset],
        ),
        result('eccentric.throw', 'throw or lift', 2 * e, 'twice the offset', [offset]),
      ],
      words: ['Packing is a start: indicate and change it. Balance it and keep the speed down.'],
      caution: 'Off-centre work shakes: low gear first, tailstock where it can, stand out of the line of the chuck.',
      picture: [
        circle(r),
        ...cross(r),
        circle(r * 0.35, 'mate', e, 0),
        ...cross(r * 0.35, e, 0),
        size('offset', [0, -r * 1.3], [e, -r * 1.3]),
      ],
    });
  },
};
