import { MATERIAL_SOURCE, materialOf } from '../../book/materials';
import { bad, good } from '../../terms/outcome';
import { EDGES, idealRpm } from '../../making/process';
import { choice, length, material, number, whole } from '../fields';
import { fromTable, given, result } from '../given';
import { circle, cross, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** Speed and table feed of a milling cutter, with what a narrow cut takes off the chip. */
export const milling: Sum = {
  id: 'milling',
  title: 'Milling speed and feed',
  about: 'mill end mill face mill rpm feed per tooth table feed chip thinning',
  group: 'Cutting',
  fields: () => [
    material('material', 'Material', 'steel-c45'),
    choice('tool', 'Cutter', [
      ['hss', 'high-speed steel'],
      ['carbide', 'carbide'],
    ]),
    length('diameter', 'Cutter diameter', 12, 500, 0.5),
    whole('teeth', 'Teeth', 4, 1, 40),
    length('chip', 'Chip a tooth', 0.05, 2, 0.002),
    length('wide', 'Width of cut', 12, 500, 0.01),
    number('most', 'Fastest the spindle runs', 'rpm', 2000, 10, 60_000),
  ],
  work: (v) => {
    const m = materialOf(v.choice('material'))!;
    const [D, wide, most] = [v.number('diameter'), v.number('wide'), v.number('most')];
    if (wide > D + 1e-9) return bad('wide', 'The cut cannot be wider than the cutter.', 'wide');
    const surface = (v.choice('tool') === 'hss' ? m.speedHss : m.speedCarbide) * EDGES['end-mill'].share;
    const from = [
      fromTable('mill.surface', `surface speed for ${m.name}`, surface, MATERIAL_SOURCE, 'speed'),
      given('mill.d', 'cutter', D),
    ];
    const ideal = result('mill.ideal', 'rpm by the sum', idealRpm(surface, D), '1000 V / (pi D)', from, 'rpm');
    const rpm = result('mill.rpm', 'rpm', Math.min(ideal.value, most), 'the sum, or the fastest there is', [ideal], 'rpm');
    // Narrower than half the cutter, a tooth leaves before its chip is as thick as its feed.
    const share = wide / D;
    const thin = share < 0.5 ? 2 * Math.sqrt(share * (1 - share)) : 1;
    const tooth = result(
      'mill.tooth',
      'feed a tooth',
      v.number('chip') / thin,
      'chip over 2 sqrt(a (1 - a)), a = width / cutter, under half',
      [given('mill.chip', 'chip', v.number('chip')), given('mill.wide', 'width of cut', wide)],
    );
    const table = result('mill.table', 'table feed a minute', rpm.value * v.number('teeth') * tooth.value, 'rpm x teeth x feed a tooth', [
      rpm,
      tooth,
    ]);
    const r = D / 2;
    return good({
      figures: [rpm, table, tooth, ideal],
      words: [
        'Feed against the cutter’s turn on a machine with backlash: with it, the cutter pulls the table in.',
        ...(thin < 1 ? ['The cut is narrow: the feed is raised so that the chip is as thick as asked, else the tooth rubs.'] : []),
      ],
      caution: m.caution ?? 'Guard on, chips away with a brush when it stands, work clamped against the pull of the cutter.',
      picture: [
        circle(r, 'tool'),
        ...cross(r),
        rectangle(-2 * r, r - wide, 4 * r, wide, 'part'),
        size('width', [1.6 * r, r - wide], [1.6 * r, r]),
      ],
    });
  },
};
