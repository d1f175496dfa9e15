import { good } from '../../terms/outcome';
import { MM_PER_INCH } from '../../terms/quantity';
import { halfNutWords, singlePoint } from '../../book/threads';
import { choice, length, number, thread, whole } from '../fields';
import { given, result } from '../given';
import { line, size, threadMarks } from '../marks';
import type { Sum } from '../sum';

export const singlePointSum: Sum = {
  id: 'single-point',
  title: 'Single-point a thread',
  about: 'threading depth compound infeed passes thread dial half-nuts',
  group: 'Threads',
  fields: () => [
    thread('thread', 'Thread', '3/8-16 UNC'),
    choice('tip', 'Tool tip', [
      ['round', 'round'],
      ['flat', 'flat'],
    ]),
    length('tipSize', 'Radius or flat', 0.2, 5, 0),
    length('blank', 'Blank turned to', 9.49, 500, 0.5),
    whole('passes', 'Passes', 9, 1, 60),
    number('leadscrew', 'Leadscrew', 'per inch', 8, 1, 40),
    whole('teeth', 'Dial wheel teeth', 32, 8, 120),
    whole('marks', 'Dial marks', 8, 1, 32),
  ],
  work: (v) => {
    const t = v.thread('thread');
    const cut = singlePoint(
      t,
      { tip: v.choice<'round' | 'flat'>('tip'), sizeMm: v.number('tipSize') },
      v.number('blank'),
      v.number('passes'),
    );
    if (!cut.ok) {
      const field: Record<string, string> = { tip: 'tipSize', blankMm: 'blank' };
      return { ok: false, problems: cut.problems.map((p) => ({ ...p, path: field[p.path] ?? p.path })) };
    }
    const c = cut.value;
    const blank = given('single.blank', 'blank', v.number('blank'));
    const depth = result(
      'single.depth',
      'depth on the cross slide, per side',
      c.depthMm,
      'from the basic major for this tip, less half of what the blank is under it',
      [blank],
    );
    const along = result('single.along', `along the compound at ${c.compoundDeg}°`, c.alongCompoundMm, 'depth divided by its cosine', [
      depth,
    ]);
    const m = t.majorMm;
    return good({
      figures: [
        along,
        depth,
        result('single.groove', 'stop groove, diameter', c.grooveMm, 'blank less twice the depth, and a little', [depth]),
      ],
      tables: [
        {
          title: 'Dial the compound to',
          columns: ['Pass', 'Compound', 'Cut'],
          rows: c.passesMm.map((d, i) => [String(i + 1), d, d - (c.passesMm[i - 1] ?? 0)]),
        },
      ],
      words: [
        halfNutWords(t.pitchMm, MM_PER_INCH / v.number('leadscrew'), { teeth: v.number('teeth'), marks: v.number('marks') }),
        'Scratch pass first and check the pitch. Then a spring pass or two, and try the real nut.',
      ],
      caution: 'Low gear, chuck key out, no sleeves or gloves; know where the half-nuts or the brake are before the first pass.',
      picture: [
        ...threadMarks(m, m - 2 * c.depthMm, t.pitchMm, 5),
        line('tool', [t.pitchMm * 2.6, m * 0.75], [t.pitchMm * 3, m / 2 - c.depthMm], [t.pitchMm * 3.4, m * 0.75]),
        size('depth', [t.pitchMm * 5.6, m / 2 - c.depthMm], [t.pitchMm * 5.6, m / 2]),
      ],
    });
  },
};
