import { bad, good } from '../../terms/outcome';
import { halfAngleRad, perScaleMm, setOverMm } from '../../making/schedule';
import { length } from '../fields';
import { given, result } from '../given';
import { line, outline, size } from '../marks';
import type { Sum } from '../sum';

/** A taper told every way: angle, per foot, 1 to n, compound, tailstock. */
export const taper: Sum = {
  id: 'taper',
  title: 'Taper',
  about: 'cone compound angle attachment tailstock set-over per foot 1:n',
  group: 'Setting out',
  fields: () => [
    length('big', 'Big end', 25, 1000, 0.1),
    length('small', 'Small end', 20, 1000, 0),
    length('length', 'Length of taper', 60, 3000, 0.5),
    length('overall', 'Length between centres', 200, 5000, 1),
  ],
  work: (v) => {
    const [D, d, L] = [v.number('big'), v.number('small'), v.number('length')];
    if (d >= D) return bad('small', 'The small end must be smaller than the big end.', 'small');
    const change = result('taper.change', 'change of diameter', D - d, 'big end less small end', [
      given('taper.big', 'big end', D),
      given('taper.small', 'small end', d),
    ]);
    const along = given('taper.length', 'length of taper', L);
    const half = halfAngleRad(D, d, L);
    return good({
      figures: [
        result('taper.compound', 'compound angle, from the axis', half, 'atan((D - d) / 2 L)', [change, along], 'angle'),
        result(
          'taper.setover',
          'tailstock set-over',
          setOverMm(D, d, L, v.number('overall')),
          'length between centres x change / twice the length of taper',
          [change, along],
        ),
        result('taper.one', 'taper 1 to', L / (D - d), 'length / change of diameter', [change, along], 'count'),
        result('taper.foot', 'change a foot, as a taper attachment has it', perScaleMm(D, d, L, 'in'), 'change / length x 12 in', [
          change,
          along,
        ]),
        result('taper.hundred', 'change in 100 mm', perScaleMm(D, d, L, 'mm'), 'change / length x 100 mm', [change, along]),
        result('taper.included', 'included angle', 2 * half, 'twice the compound angle', [], 'angle'),
      ],
      words: ['Tool dead on centre, or the taper comes out hollow. Blue it against the mate.'],
      picture: [
        outline('part', [0, D / 2], [L, d / 2], [L, -d / 2], [0, -D / 2]),
        line('centre', [-L * 0.1, 0], [L * 1.1, 0]),
        size('length', [0, -D * 0.7], [L, -D * 0.7]),
      ],
    });
  },
};
