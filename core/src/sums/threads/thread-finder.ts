import { good } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import { conversionWords, convertThread, identifyThread, pitchDiameterMm } from '../../book/threads';
import { choice, length, rowField, rowOf, whole } from '../fields';
import { fromTable, given, result } from '../given';
import { size, threadMarks } from '../marks';
import type { Sum } from '../sum';

/** Which thread is it? From the crest diameter and a length over some crests. */
export const threadFinder: Sum = {
  id: 'thread-finder',
  title: 'Which thread is it?',
  about: 'identify thread pitch gauge major tpi unknown bolt nut convert',
  group: 'Threads',
  fields: () => [
    choice('side', 'Measured', [
      ['outside', 'outside thread, over the crests'],
      ['inside', 'inside thread, between the crests'],
    ]),
    length('diameter', 'Diameter', 9.46, 500, 0.3),
    length('over', 'Length over crests', 10.58, 500, 0.1),
    whole('crests', 'Pitches in that length', 10, 1, 100),
    rowField('Thread that is taken'),
  ],
  work: (v) => {
    const pitch = result(
      'thread.pitch',
      'pitch',
      v.number('over') / v.number('crests'),
      'length over crests divided by the pitches in it',
      [given('thread.over', 'length over crests', v.number('over'))],
    );
    const answer = identifyThread(v.choice<'outside' | 'inside'>('side'), v.number('diameter'), pitch.value);
    if (!answer.ok)
      return { ok: false, problems: answer.problems.map((p) => ({ ...p, path: p.path === 'pitchMm' ? 'over' : 'diameter' })) };
    const { matches, nearest, words } = answer.value;
    const shown = matches.length ? matches.slice(0, 6) : nearest;
    const { item, chosen } = rowOf(shown, v.number('row'));
    const best = item.thread;
    const other = convertThread(best, 1)[0];
    return good({
      answer: { label: matches.length ? 'It is' : 'Nearest, but not it', text: best.name },
      figures: [
        pitch,
        result('thread.tpi', 'to the inch', MM_PER_INCH / pitch.value, '25.4 mm divided by the pitch', [pitch], 'count'),
        fromTable('thread.major', `major of ${best.name}`, best.majorMm, best.source),
        fromTable('thread.pd', `pitch diameter of ${best.name}`, pitchDiameterMm(best), best.source),
      ],
      tables: [
        {
          title: matches.length ? 'It can be' : 'Nearest, but not it',
          columns: ['Thread', 'Major', 'Pitch', 'Angle', 'Source'],
          rows: shown.map((m) => [m.thread.name, m.thread.majorMm, m.thread.pitchMm, `${m.thread.form.angleDeg}°`, m.thread.source]),
          chosen,
        },
      ],
      words: [
        ...(words === `${best.name}.` ? [] : [words]),
        ...(other ? [`In the other system: ${other.thread.name}. ${conversionWords(best, other.thread)}`] : []),
      ],
      picture: [
        ...threadMarks(best.majorMm, best.majorMm - 1.2 * best.pitchMm, best.pitchMm, 5),
        size('pitch', [best.pitchMm / 2, best.majorMm * 0.62], [best.pitchMm * 1.5, best.majorMm * 0.62]),
      ],
    });
  },
};
