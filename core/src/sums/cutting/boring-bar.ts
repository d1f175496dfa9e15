import { materialOf } from '../../book/materials';
import { barBendMm, cuttingForceN, PUSH_SHARE, SHANKS, type Shank } from '../../making/process';
import { bad, good } from '../../terms/outcome';
import { choice, length, material } from '../fields';
import { given, result } from '../given';
import { line, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** How far a boring bar gives way before the cut. */
export const boringBar: Sum = {
  id: 'boring-bar',
  title: 'Boring bar',
  about: 'boring bar deflection bends gives way chatter overhang ratio spring pass shank',
  group: 'Cutting',
  fields: () => [
    material('material', 'Bored in', 'steel-c45'),
    choice(
      'shank',
      'Bar of',
      (Object.keys(SHANKS) as Shank[]).map((s) => [s, SHANKS[s].words] as const),
    ),
    length('bar', 'Bar, thick', 16, 200, 1),
    length('out', 'Stands out', 60, 2000, 1),
    length('depth', 'Depth of cut', 0.15, 10, 0.005),
    length('feed', 'Feed a turn', 0.13, 3, 0.005),
  ],
  work: (v) => {
    const m = materialOf(v.choice('material'))!;
    if (!m.kc11 || m.mc === null) return bad('force', `The book has no cutting force for ${m.name}.`, 'material');
    const shank = v.choice<Shank>('shank');
    const [bar, out] = [given('bar.thick', 'bar', v.number('bar')), given('bar.out', 'stands out', v.number('out'))];
    const push = result(
      'bar.push',
      'push of the cut',
      PUSH_SHARE * cuttingForceN(m.kc11, m.mc, v.number('depth'), v.number('feed')),
      `${PUSH_SHARE} of kc1.1 x depth x feed^(1 - mc) (Kienzle)`,
      [],
      'force',
    );
    const bend = result('bar.bend', 'the bar gives way by', barBendMm(push.value, shank, bar.value, out.value), 'F L³ / 3EI', [
      push,
      bar,
      out,
    ]);
    const { words, ratio } = SHANKS[shank];
    const times = out.value / bar.value;
    return good({
      figures: [result('bar.on-diameter', 'the bore comes out smaller by', 2 * bend.value, 'twice that', [bend]), bend, push],
      words: [
        `It stands out ${times.toFixed(1)} times its thickness; a bar of ${words} goes quietly to about ${ratio}.`,
        ...(times > ratio ? ['It chatters there: a thicker bar, one of carbide, a slower turn.'] : []),
        'What it gives way by comes back in a spring pass; equal cuts give way alike.',
      ],
      picture: [
        rectangle(-out.value * 0.2, -bar.value / 2, out.value * 1.2, bar.value, 'tool'),
        line('part', [0, -bar.value], [0, bar.value]),
        size('stands out', [0, -bar.value * 0.9], [out.value, -bar.value * 0.9]),
      ],
    });
  },
};
