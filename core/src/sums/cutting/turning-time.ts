import { good } from '../../terms/outcome';
import { length, number, whole } from '../fields';
import { given, result } from '../given';
import { line, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** How long a turned length takes. */
export const turningTime: Sum = {
  id: 'turning-time',
  title: 'Turning time',
  about: 'minutes feed passes length cutting time',
  group: 'Cutting',
  fields: () => [
    length('length', 'Length', 120, 5000, 0.5),
    length('run', 'Run-in and run-out', 4, 100, 0),
    length('feed', 'Feed a turn', 0.2, 3, 0.01),
    number('rpm', 'Speed', 'rpm', 300, 1, 6000),
    whole('passes', 'Passes', 4, 1, 200),
    number('back', 'Back and set, each pass', 'min', 0.5, 0, 30),
  ],
  work: (v) => {
    const [L, run, f, n, passes] = [v.number('length'), v.number('run'), v.number('feed'), v.number('rpm'), v.number('passes')];
    const one = result(
      'time.one',
      'one pass',
      (L + run) / (f * n),
      '(length + run) / (feed x rpm)',
      [given('time.length', 'length', L), given('time.feed', 'feed a turn', f), given('time.rpm', 'speed', n, 'rpm')],
      'time',
    );
    const all = result('time.all', 'all passes', passes * (one.value + v.number('back')), 'passes x (cut + back and set)', [one], 'time');
    return good({
      figures: [all, one],
      picture: [
        rectangle(0, -L / 10, L, L / 5),
        line('centre', [-L * 0.05, 0], [L * 1.05, 0]),
        line('tool', [L * 1.06, L * 0.22], [L * 1.02, L / 10], [L * 1.12, L * 0.14]),
        size('length', [0, -L / 5], [L, -L / 5]),
      ],
    });
  },
};
