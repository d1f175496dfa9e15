import { bad, good } from '../../terms/outcome';
import type { LengthUnit } from '../../terms/quantity';
import { crossDialFor, dialDecimals, turnsOf, turnsWords, type Dial } from '../../making/setups';
import { choice, length, number } from '../fields';
import { given, result } from '../given';
import { line, size } from '../marks';
import type { Sum } from '../sum';

/** A groove or a shoulder plunged by the cross-slide dial, which counts radius or diameter. */
export const plunge: Sum = {
  id: 'plunge',
  title: 'Plunge by the dial',
  about: 'groove plunge cross slide dial radius diameter turns part off depth infeed',
  group: 'Cutting',
  fields: () => [
    length('from', 'Diameter where the tool touches', 22.2, 3000, 0.1),
    length('to', 'Diameter to reach', 20.6, 3000, 0.01),
    choice('reads', 'The dial counts', [
      ['radius', 'radius: what the tool moves'],
      ['diameter', 'diameter: what comes off'],
    ]),
    choice('unit', 'Dial in', [
      ['mm', 'mm'],
      ['in', 'inch'],
    ]),
    number('turn', 'One turn, as the dial counts', '', 4, 0.01, 50),
    number('line', 'One line', '', 0.02, 0.00005, 1),
    number('at', 'Dial shows when it touches', '', 0, 0, 50),
  ],
  work: (v) => {
    const [from, to] = [given('plunge.from', 'touches at', v.number('from')), given('plunge.to', 'to reach', v.number('to'))];
    const unit = v.choice<LengthUnit>('unit');
    const dial: Dial & { readonly reads: 'radius' | 'diameter' } = {
      unit,
      perTurn: v.number('turn'),
      perLine: v.number('line'),
      reads: v.choice<'radius' | 'diameter'>('reads'),
    };
    if (dial.perLine > dial.perTurn) return bad('dial', 'One line is less than a turn.', 'line');
    if (v.number('at') >= dial.perTurn) return bad('dial', `The dial shows less than a turn, ${dial.perTurn}.`, 'at');
    if (to.value > from.value)
      return bad('way', 'Outside, a plunge makes it smaller. In a bore type the larger diameter first, and turn the other way.', 'to');
    const counts = crossDialFor(from.value - to.value, { cross: dial });
    const turns = turnsOf(counts, dial);
    const shows = turnsOf(v.number('at') + counts, dial);
    const travel = result('plunge.travel', 'the tool goes in', (from.value - to.value) / 2, 'half the difference of the diameters', [
      from,
      to,
    ]);
    const decimals = dialDecimals(dial);
    return good({
      answer: { label: 'Turn in', text: turnsWords(turns, dial) },
      figures: [
        travel,
        result(
          'plunge.count',
          `the dial counts, ${unit}`,
          counts,
          dial.reads === 'radius' ? 'what the tool moves' : 'what comes off the diameter',
          [travel],
          'count',
        ),
      ],
      words: [
        `From ${v.number('at').toFixed(decimals)} the dial ends at ${shows.remainder.toFixed(decimals)}${shows.turns ? `, having passed its zero ${shows.turns === 1 ? 'once' : `${shows.turns} times`}` : ''}.`,
        'Take up the backlash inward before it touches. Stop short, measure the groove, and go the rest: a blade springs back.',
      ],
      picture: [
        line(
          'part',
          [0, from.value / 2],
          [10, from.value / 2],
          [10, to.value / 2],
          [14, to.value / 2],
          [14, from.value / 2],
          [24, from.value / 2],
        ),
        line('centre', [0, 0], [24, 0]),
        size('plunge', [12, to.value / 2], [12, from.value / 2]),
      ],
    });
  },
};
