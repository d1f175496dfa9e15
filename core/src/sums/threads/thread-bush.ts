import { good } from '../../terms/outcome';
import { formatWithUnit } from '../../terms/quantity';
import { minorMm, outerThreads, threadBush, wireInsert } from '../../book/threads';
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
    length('boss', 'Boss diameter, or twice the way to the edge', 30, 1000, 2),
    length('hole', 'Old hole cleans up at; 0 as it is drilled', 0, 1000, 0),
  ],
  work: (v, _shop, unit) => {
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
    const hole = v.number('hole');
    const proposed = outerThreads(inner, hole, v.number('boss'));
    const short = hole > minorMm(outer);
    return good({
      figures: [wall, fromTable('bush.least', 'least wall: the inner pitch', bush.value.leastWallMm, inner.source), boss],
      tables: [
        ...(proposed.length
          ? [
              {
                title: 'Outside threads that clean up and leave the wall',
                columns: ['Thread', 'Minor', 'Wall of the bush', 'Left in the boss'],
                rows: proposed.map((o) => [o.thread.name, minorMm(o.thread), o.wallMm, o.bossWallMm]),
              },
            ]
          : []),
        ...(insert.ok
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
          : []),
      ],
      words: [
        ...(short
          ? [
              `${outer.name} does not clean the old hole up: its own hole, ${formatWithUnit(minorMm(outer), unit)}, is smaller than ${formatWithUnit(hole, unit)}.`,
            ]
          : []),
        ...(proposed.length ? [] : ['No thread in common use fits between that hole and the edge of the boss.']),
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
