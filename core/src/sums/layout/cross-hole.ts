import { good } from '../../terms/outcome';
import { plus, sumOf } from '../../terms/working';
import { choice, length } from '../fields';
import { given, result } from '../given';
import { circle, cross, line, size } from '../marks';
import type { Sum } from '../sum';

/** From the edge of a round to its centre line, for a cross hole. */
export const crossHole: Sum = {
  id: 'cross-hole',
  title: 'Centre of a round from its edge',
  about: 'cross hole edge finder paper centre line mill',
  group: 'Setting out',
  fields: () => [
    length('round', 'Round', 25, 500, 0.5),
    length('finder', 'Finder or cutter', 10, 100, 0.5),
    length('paper', 'Paper', 0.08, 1, 0),
    choice('use', 'Paper was', [
      ['between', 'between the finder and the round'],
      ['wobble', 'used up by the spindle’s wobble, or none'],
    ]),
  ],
  work: (v) => {
    const [D, f] = [v.number('round'), v.number('finder')];
    const half = result('cross.half', 'half the round', D / 2, 'D/2', [given('cross.round', 'round', D)]);
    const halfFinder = result('cross.finder', 'half the finder', f / 2, 'd/2', [given('cross.tool', 'finder', f)]);
    const paper = given('cross.paper', 'paper', v.number('paper'));
    const move = sumOf('cross.move', 'move to the centre line', [
      plus(half),
      plus(halfFinder),
      ...(v.choice('use') === 'between' ? [plus(paper)] : []),
    ]);
    const R = D / 2;
    return good({
      figures: [move, half, halfFinder],
      words: ['Take up the backlash in the direction of the move. Check from the other side: both must give the same centre.'],
      picture: [
        circle(R),
        ...cross(R),
        circle(f / 2, 'tool', -(R + f / 2), R * 0.4),
        line('hidden', [-(R + f / 2), R * 0.4], [-(R + f / 2), -R * 1.3]),
        size('move', [-(R + f / 2), -R * 1.3], [0, -R * 1.3]),
      ],
    });
  },
};
