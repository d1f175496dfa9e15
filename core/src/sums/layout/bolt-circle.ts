import { good } from '../../terms/outcome';
import { length, number, whole } from '../fields';
import { given, result } from '../given';
import { circle, cross, size } from '../marks';
import type { Sum } from '../sum';

/** Holes on a circle as coordinates from its centre. */
export const boltCircle: Sum = {
  id: 'bolt-circle',
  title: 'Bolt circle',
  about: 'holes pitch circle coordinates PCD flange',
  group: 'Setting out',
  fields: () => [
    length('circle', 'Pitch circle', 80, 2000, 1),
    whole('holes', 'Holes', 6, 2, 60),
    number('start', 'First hole at', '°', 0, -360, 360),
    length('hole', 'Hole', 9, 200, 0.3),
  ],
  work: (v) => {
    const [D, n] = [v.number('circle'), v.number('holes')];
    const at = Array.from({ length: n }, (_, i) => {
      const deg = v.number('start') + (360 * i) / n;
      const a = (deg * Math.PI) / 180;
      return { deg, x: (D / 2) * Math.cos(a), y: (D / 2) * Math.sin(a) };
    });
    const chord = result('circle.chord', 'between neighbouring holes', D * Math.sin(Math.PI / n), 'D sin(180° / holes)', [
      given('circle.d', 'pitch circle', D),
    ]);
    const wall = chord.value - v.number('hole');
    return good({
      figures: [chord, result('circle.wall', 'metal between holes', wall, 'chord less the hole', [chord])],
      tables: [
        {
          title: 'From the centre',
          columns: ['Hole', 'Angle', 'x', 'y'],
          rows: at.map((p, i) => [String(i + 1), `${p.deg.toFixed(3)}°`, p.x, p.y]),
        },
      ],
      words:
        wall <= 0
          ? ['The holes run into each other.']
          : ['0° lies on x to the right, angles counted against the clock. Check one chord with a caliper before drilling the rest.'],
      picture: [
        circle(D / 2, 'centre'),
        ...cross(D / 2),
        ...at.map((p) => circle(v.number('hole') / 2, 'part', p.x, p.y)),
        size('pitch circle', [-D / 2, -D * 0.66], [D / 2, -D * 0.66]),
      ],
    });
  },
};
