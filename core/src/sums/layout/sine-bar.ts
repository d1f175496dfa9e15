import { bad, good } from '../../terms/outcome';
import { choice, length, number } from '../fields';
import { given, result } from '../given';
import { circle, line, size } from '../marks';
import type { Sum } from '../sum';

/** Above this the stack says little of the angle: the bar is set from its complement. */
const STEEP_DEG = 60;

/** A stack under a sine bar from an angle, and back. */
export const sineBar: Sum = {
  id: 'sine-bar',
  title: 'Sine bar',
  about: 'sine bar gauge block stack angle set over tilt',
  group: 'Setting out',
  fields: () => [
    choice('know', 'Known is', [
      ['angle', 'the angle'],
      ['stack', 'the stack'],
    ]),
    length('bar', 'Between the rolls', 100, 1000, 10),
    number('angle', 'Angle', '°', 15, 0, 89),
    length('stack', 'Stack', 25.882, 1000, 0.001),
  ],
  work: (v) => {
    const L = v.number('bar');
    const bar = given('sine.bar', 'between the rolls', L);
    const byAngle = v.choice('know') === 'angle';
    if (!byAngle && v.number('stack') >= L) return bad('stack', 'The stack must be shorter than the bar.', 'stack');
    const rad = byAngle ? (v.number('angle') * Math.PI) / 180 : Math.asin(v.number('stack') / L);
    const deg = (rad * 180) / Math.PI;
    const high = L * Math.sin(rad);
    const main = byAngle
      ? result('sine.stack', 'stack', high, 'bar x sin angle', [bar, given('sine.angle', 'angle', rad, 'angle')])
      : result('sine.angle', 'angle', rad, 'asin(stack / bar)', [bar, given('sine.stack', 'stack', high)], 'angle');
    const slip = result(
      'sine.slip',
      'stack for a hundredth of a degree',
      L * Math.cos(rad) * (Math.PI / 18_000),
      'bar x cos angle x 0.01°',
      [main],
    );
    const x = L * Math.cos(rad);
    return good({
      figures: [main, slip],
      words: [
        deg > STEEP_DEG
          ? `Above ${STEEP_DEG}° a small slip of the stack is a large one of the angle: set the complement from the other face.`
          : 'Wring the stack, wipe table and rolls, and check the set angle with an indicator along the work.',
      ],
      picture: [
        line('part', [0, 0], [x, high]),
        circle(L * 0.05, 'tool', 0, -L * 0.05),
        circle(L * 0.05, 'tool', x, high - L * 0.05),
        line('centre', [0, -L * 0.1], [x + L * 0.25, -L * 0.1]),
        size('stack', [x * 1.06, -L * 0.1], [x * 1.06, high - L * 0.1]),
      ],
    });
  },
};
