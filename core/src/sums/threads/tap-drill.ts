import { DRILL_KINDS, drillWords, type DrillKind } from '../../drills';
import { bad, good } from '../../outcome';
import { minorMm, neededEngagement, tapDrills } from '../../threads';
import { choice, number, thread } from '../fields';
import { given, result } from '../given';
import { circle, cross, size } from '../marks';
import type { Sum } from '../sum';

const SETS = [
  ['all', 'all drills'],
  ['inch', 'inch: fraction, number, letter'],
  ['metric', 'metric'],
  ['fraction', 'fractions only'],
] as const;

const kindsOf = (set: string): readonly DrillKind[] =>
  set === 'all' ? DRILL_KINDS : set === 'inch' ? ['fraction', 'number', 'letter'] : [set as DrillKind];

/** Drills at hand for a tapped hole, and how deep a screw must go. */
export const tapDrill: Sum = {
  id: 'tap-drill',
  title: 'Tap drill',
  about: 'tapping hole drill percent thread engagement strip',
  group: 'Threads',
  fields: () => [
    thread('thread', 'Thread', 'M10'),
    number('percent', 'Full thread', '%', 75, 40, 100),
    choice('set', 'Drills at hand', SETS),
    number('screw', 'Screw, tensile strength', 'MPa', 800, 50, 2000),
    number('nut', 'Tapped part, tensile strength', 'MPa', 400, 20, 2000),
  ],
  work: (v) => {
    const t = v.thread('thread');
    if (t.tapered) return bad('tapered', 'A tapered pipe thread wants its own reamer or drill: see the pipe table.', 'thread');
    const drills = tapDrills(t, v.number('percent'), kindsOf(v.choice('set')));
    if (!drills.ok) return drills;
    const best = drills.value[0]!;
    const hole = given('tap.drill', `drill ${drillWords(best.drill)}`, best.drill.diameterMm);
    const share = result(
      'tap.percent',
      'full thread that it leaves',
      best.percent / 100,
      `(major - drill) / twice the thread height, ${t.source}`,
      [hole],
      'probability',
    );
    const deep = neededEngagement(t, v.number('screw'), v.number('nut'));
    const r = t.majorMm / 2;
    return good({
      answer: { label: `Drill for ${t.name}`, text: drillWords(best.drill) },
      figures: [
        hole,
        share,
        given('tap.minor', `basic minor of ${t.name}`, minorMm(t)),
        ...(deep.ok
          ? [
              result(
                'tap.engagement',
                'engagement so that the screw breaks first',
                deep.value.neededMm,
                `stress area over shear area at the worst limits; ${deep.value.strips} would strip`,
              ),
            ]
          : []),
      ],
      tables: [
        {
          title: 'Drills, nearest first',
          columns: ['Drill', 'Size', 'Full thread'],
          rows: drills.value.map((d) => [drillWords(d.drill), d.drill.diameterMm, `${d.percent.toFixed(0)} %`]),
        },
      ],
      words: deep.ok ? [] : deep.problems.map((p) => p.message),
      picture: [
        circle(r, 'hidden'),
        circle(best.drill.diameterMm / 2),
        ...cross(r),
        size('drill', [-best.drill.diameterMm / 2, -r * 1.3], [best.drill.diameterMm / 2, -r * 1.3]),
      ],
    });
  },
};
