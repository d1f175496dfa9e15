import { bad, good } from '../../terms/outcome';
import { length } from '../fields';
import { given, result } from '../given';
import { circle, cross } from '../marks';
import type { Sum } from '../sum';

const MOST_MM = 2000;
const at = (id: string, label: string, startMm: number) => length(id, label, startMm, MOST_MM, -MOST_MM);
/** Points this near a straight line, as a share of their spread, have no circle worth a number. */
const FLAT = 1e-5;

/** Centre and radius of the circle through three points touched on it. */
export const threePoints: Sum = {
  id: 'three-points',
  title: 'Circle through three points',
  about: 'centre radius coordinates readout touch bore pocket broken flange',
  group: 'Setting out',
  fields: () => [
    at('x1', 'First point, x', 40),
    at('y1', 'First point, y', 0),
    at('x2', 'Second point, x', 0),
    at('y2', 'Second point, y', 40),
    at('x3', 'Third point, x', -38),
    at('y3', 'Third point, y', -10),
  ],
  work: (v) => {
    const [x1, y1] = [v.number('x1'), v.number('y1')];
    // From the first point, so that far coordinates lose nothing.
    const [bx, by, cx, cy] = [v.number('x2') - x1, v.number('y2') - y1, v.number('x3') - x1, v.number('y3') - y1];
    const doubled = 2 * (bx * cy - by * cx);
    const spread = Math.max(bx * bx + by * by, cx * cx + cy * cy, (bx - cx) ** 2 + (by - cy) ** 2);
    if (Math.abs(doubled) <= FLAT * spread) return bad('line', 'The three points lie on one line, or two are the same.', 'x3');
    const [b2, c2] = [bx * bx + by * by, cx * cx + cy * cy];
    const [ux, uy] = [(cy * b2 - by * c2) / doubled, (bx * c2 - cx * b2) / doubled];
    const r = Math.hypot(ux, uy);
    const from = ['1', '2', '3'].flatMap((n) => [
      given(`points.x${n}`, `x of point ${n}`, v.number(`x${n}`)),
      given(`points.y${n}`, `y of point ${n}`, v.number(`y${n}`)),
    ]);
    const how = 'where the lines square to the chords, through their middles, meet';
    const radius = result('points.radius', 'radius', r, 'from the centre to a point', from);
    // A slip of one point moves the radius most where the points lie close together.
    const narrow = spread < (1.5 * r) ** 2;
    return good({
      figures: [
        result('points.diameter', 'diameter', 2 * r, 'twice the radius', [radius]),
        result('points.x', 'centre, x', x1 + ux, how, from),
        result('points.y', 'centre, y', y1 + uy, how, from),
        radius,
      ],
      words: [
        narrow
          ? 'The points lie on a short arc: a small slip of one moves the centre far. Touch points wider apart if there is metal.'
          : 'Touch a fourth point and see that it lies on the circle. A round tool’s own radius comes off first.',
      ],
      picture: [
        circle(r, 'hidden', ux, uy),
        ...cross(r, ux, uy),
        ...[[0, 0] as const, [bx, by] as const, [cx, cy] as const].map(([x, y]) => circle(r * 0.05, 'part', x, y)),
      ],
    });
  },
};
