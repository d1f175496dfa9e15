import { good } from '../../terms/outcome';
import { choice, length } from '../fields';
import { given, result } from '../given';
import { circle, line, size } from '../marks';
import type { Sum } from '../sum';

/** From a touched edge or crown to a place: an edge finder or a cutter, with or without a paper between, on a flat or a round part. */
export const edgeFinding: Sum = {
  id: 'edge-finding',
  title: 'Edge and centre finding',
  about: 'edge finder wiggler centre of a shaft cutter centring over a shaft paper touch off keyseat zero pick up an edge',
  group: 'Setting out',
  fields: () => [
    choice('touched', 'What is touched', [
      ['round', 'the side of a round part: to its middle'],
      ['edge', 'a flat edge: to a line beside it'],
      ['two', 'two opposite edges: to the middle between them'],
    ]),
    length('tool', 'Finder or cutter, diameter', 5, 200, 0.1),
    length('paper', 'Paper or feeler left between', 0, 5, 0),
    length('part', 'Part: diameter where it is round', 48.26, 3000, 0.1),
    length('away', 'Line: from the edge', 20, 5000, 0),
    length('first', 'Dial or readout at the first edge', 0, 5000, -5000),
    length('second', 'Dial or readout at the second edge', 53.26, 5000, -5000),
  ],
  work: (v) => {
    const touched = v.choice<'round' | 'edge' | 'two'>('touched');
    const tool = given('edge.tool', 'finder or cutter', v.number('tool'));
    const paper = given('edge.paper', 'paper', v.number('paper'));
    const r = tool.value / 2;
    const [first, second] = [
      given('edge.first', 'at the first edge', v.number('first')),
      given('edge.second', 'at the second edge', v.number('second')),
    ];
    if (touched === 'two') {
      const across = Math.abs(second.value - first.value);
      const middle = result('edge.middle', 'middle between them', (first.value + second.value) / 2, 'half of both readings', [
        first,
        second,
      ]);
      return good({
        figures: [
          middle,
          result('edge.back', 'back from the second', across / 2, 'half of the way between both', [first, second]),
          result('edge.width', 'width of the part', across - tool.value - 2 * paper.value, 'way less the tool and both papers', [
            first,
            second,
            tool,
            paper,
          ]),
        ],
        words: [
          'The tool’s size and the paper fall out: only the width needs them. Come to both readings from the same side, or lock and reset the dial: backlash.',
        ],
        picture: [
          line('part', [first.value + r, 0], [second.value - r, 0]),
          circle(r, 'tool', first.value, 0),
          circle(r, 'tool', second.value, 0),
          size('middle', [first.value, -tool.value * 1.5], [middle.value, -tool.value * 1.5]),
        ],
      });
    }
    const part = given(
      'edge.part',
      touched === 'round' ? 'part' : 'line from the edge',
      touched === 'round' ? v.number('part') : v.number('away'),
    );
    const way = touched === 'round' ? part.value / 2 + r + paper.value : part.value + r + paper.value;
    const how = touched === 'round' ? 'half the part, half the tool, the paper' : 'line, half the tool, the paper';
    const move = result('edge.move', 'move over by', way, how, [part, tool, paper]);
    const centre = touched === 'round' ? -part.value / 2 : 0;
    return good({
      figures: [move, result('edge.reading', 'readout then shows', first.value + way, 'where it touched and the move', [first, move])],
      words: [
        touched === 'round'
          ? 'The tool must touch at the height of the part’s middle, on its widest place; raise it clear before it is moved over.'
          : 'Raise the tool clear before it is moved over.',
        'Touch with a paper that is still pulled but just held; spindle turning for a finder, standing for a cutter.',
      ],
      picture: [
        ...(touched === 'round' ? [circle(part.value / 2, 'part', 0, 0)] : [line('part', [0, -way / 2], [0, way / 2])]),
        circle(r, 'tool', centre - r - paper.value, 0),
        circle(r, 'hidden', centre + way - r - paper.value, 0),
        size('move', [centre - r - paper.value, -way * 0.7], [centre + way - r - paper.value, -way * 0.7]),
      ],
    });
  },
};
