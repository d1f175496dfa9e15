import { good } from '../../outcome';
import { minorMm, threadBush, wireInsert } from '../../threads';
import { length, thread } from '../fields';
import { fromTable, result } from '../given';
import { ringMarks, size, cross } from '../marks';
import type { Sum } from '../sum';

/** A stripped hole saved: solid threaded bush or wire insert. */
export const threadBushSum: Sum = {
  id: 'thread-bush',
  title: 'Threaded bush or insert',
  about: 'stripped thread repair bush wire insert wall helical',
  group: 'Threads',
  fields: () => [
    thread('inner', 'Thread to restore', 'M10'),
    thread('outer', 'Outside thread of the bush', 'M16 x 1.5'),
    length('boss', 'Boss diameter', 30, 1000, 2),
  ],
  work: (v) => {
    const [inner, outer] = [v.thread('inner'), v.thread('outer')];
    const bush = threadBush(inner, outer);
    if (!bush.ok) return bush;
    const insert = wireInsert(inner, v.number('boss'));
    const wall = result(
      'bush.wall',
      'wall of the bush',
      bush.value.wallMm,
      '(minor of the outside thread - major of the inside thread)/2',
      [
        fromTable('bush.outer', `minor of ${outer.name}`, minorMm(outer), outer.source),
        fromTable('bush.inner', `major of ${inner.name}`, inner.majorMm, inner.source),
      ],
    );
    const boss = result(
      'bush.boss',
      'metal left in the boss',
      (v.number('boss') - outer.majorMm) / 2,
      '(boss - major of the outside thread)/2',
      [],
    );
    return good({
      figures: [wall, fromTable('bush.least', 'least wall: the inner pitch', bush.value.leastWallMm, inner.source), boss],
      tables: insert.ok
        ? [
            {
              title: 'A wire insert instead',
              columns: ['Drill', 'Its tap, major', 'Boss wall', 'So'],
              rows: [
                [
                  insert.value.drillMm,
                  insert.value.tapMajorMm,
                  insert.value.wallMm,
                  insert.value.strongEnough ? 'wall enough' : 'wall thin: under half the thread',
                ],
              ],
            },
          ]
        : [],
      words: [
        bush.value.words,
        ...(boss.value <= 0 ? ['The boss is too small for that bush.'] : []),
        ...(insert.ok ? [] : insert.problems.map((p) => p.message)),
      ],
      picture: [
        ...ringMarks(v.number('boss'), outer.majorMm, 'mate'),
        ...ringMarks(outer.majorMm, inner.majorMm),
        ...cross(v.number('boss') / 2),
        size('wall', [inner.majorMm / 2, 0], [outer.majorMm / 2, 0]),
      ],
    });
  },
};
