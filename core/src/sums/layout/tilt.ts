import { bad, good } from '../../terms/outcome';
import { length } from '../fields';
import { given, result } from '../given';
import { line, size } from '../marks';
import type { Sum } from '../sum';

/** Which end to lift, and by how much, from two indicator readings and their span. */
export const tilt: Sum = {
  id: 'tilt',
  title: 'Tilt from two readings',
  about: 'tilt level shim tram out of square indicator span lift end head vice',
  group: 'Setting out',
  fields: () => [
    length('first', 'Reading at the first place', 0, 50, -50),
    length('second', 'Reading at the second place', 0.12, 50, -50),
    length('span', 'Between the two places', 150, 5000, 1),
    length('feet', 'Between the supports that are shimmed', 300, 5000, 1),
  ],
  work: (v) => {
    const [a, b] = [v.number('first'), v.number('second')];
    const [span, feet] = [v.number('span'), v.number('feet')];
    if (Math.abs(b - a) > span) return bad('steep', 'The readings differ by more than the span between them.', 'second');
    const from = [
      given('tilt.first', 'first reading', a),
      given('tilt.second', 'second reading', b),
      given('tilt.span', 'span', span),
      given('tilt.feet', 'between the supports', feet),
    ];
    const lift = result(
      'tilt.lift',
      `lift ${b < a ? 'at the second place' : 'at the first place'}`,
      (Math.abs(b - a) * feet) / span,
      'difference x supports / span',
      from,
    );
    const up = Math.sign(b - a) * feet * 0.06;
    return good({
      figures: [
        lift,
        result('tilt.angle', 'tilt', Math.asin(Math.abs(b - a) / span), 'asin(difference / span)', from, 'angle'),
        result('tilt.metre', 'over 300 mm', (Math.abs(b - a) * 300) / span, 'difference x 300 / span', from),
      ],
      words: [
        ...(b === a ? ['Level: nothing to lift.'] : []),
        'A larger number is the higher place, with the indicator carried by what is true. Read it again after clamping.',
      ],
      picture: [
        line('mate', [-feet / 2, -feet * 0.1], [feet / 2, -feet * 0.1]),
        line('part', [-feet / 2, -up], [feet / 2, up]),
        size('supports', [-feet / 2, -feet * 0.22], [feet / 2, -feet * 0.22]),
      ],
    });
  },
};
