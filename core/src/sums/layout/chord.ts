import { good } from '../../terms/outcome';
import { length } from '../fields';
import { given, result } from '../given';
import { arc, line, size } from '../marks';
import type { Sum } from '../sum';

/** The radius of an arc from its chord and height, for a broken wheel or a worn sheave. */
export const chord: Sum = {
  id: 'chord',
  title: 'Radius from chord and height',
  about: 'chord sagitta arc radius segment broken pulley',
  group: 'Setting out',
  fields: () => [length('chord', 'Chord', 60, 5000, 0.5), length('height', 'Height of the arc over it', 8, 2500, 0.01)],
  work: (v) => {
    const [c, s] = [v.number('chord'), v.number('height')];
    const radius = (c * c) / (8 * s) + s / 2;
    const from = [given('chord.chord', 'chord', c), given('chord.height', 'height', s)];
    const r = result('chord.radius', 'radius', radius, 'c²/8s + s/2', from);
    const half = s <= radius ? Math.asin(Math.min(1, c / 2 / radius)) : Math.PI - Math.asin(Math.min(1, c / 2 / radius));
    const deg = (half * 180) / Math.PI;
    return good({
      figures: [
        result('chord.diameter', 'diameter', 2 * radius, 'twice the radius', [r]),
        r,
        result('chord.angle', 'angle of the arc', 2 * half, '2 asin(c / 2 r)', [r], 'angle'),
        result('chord.arc', 'length round the arc', 2 * half * radius, 'angle x radius', [r]),
      ],
      words: [
        `A slip of 0.02 mm in the height moves the diameter by ${(2 * Math.abs((c * c) / (8 * (s + 0.02)) + (s + 0.02) / 2 - radius)).toFixed(3)} mm: take the longest chord there is.`,
      ],
      picture: [
        arc('part', radius, 90 - deg, 90 + deg, 0, s - radius),
        line('mate', [-c / 2, 0], [c / 2, 0]),
        line('centre', [0, -s * 0.3], [0, s * 1.2]),
        size('chord', [-c / 2, -s * 0.5], [c / 2, -s * 0.5]),
      ],
    });
  },
};
