import { hoopAtBore, pressLayers, type Layer } from '../../book/interference';
import { materialOf } from '../../book/materials';
import { bad, good } from '../../terms/outcome';
import { length, material } from '../fields';
import { given, result } from '../given';
import { circle, cross, size } from '../marks';
import type { Sum } from '../sum';

/** Bush in sleeve in housing: each joint feels the other. */
export const layers: Sum = {
  id: 'layers',
  title: 'Bush in sleeve in housing',
  about: 'press compound rings sleeve liner interference closes in',
  group: 'Sizes and fits',
  fields: () => [
    length('bore', 'Bore of the bush', 25, 500, 0.5),
    length('first', 'Bush in sleeve, diameter', 32, 600, 1),
    length('second', 'Sleeve in housing, diameter', 40, 800, 1.5),
    length('outside', 'Housing, outside', 80, 3000, 2),
    length('tight1', 'Interference, bush in sleeve', 0.03, 2, 0.0001),
    length('tight2', 'Interference, sleeve in housing', 0.04, 2, 0.0001),
    material('bush', 'Bush', 'bronze-tin'),
    material('sleeve', 'Sleeve', 'steel-c45'),
    material('housing', 'Housing', 'iron-sg-400'),
  ],
  work: (v) => {
    const sizes = (['bore', 'first', 'second', 'outside'] as const).map((id) => v.number(id));
    const wrong = (['first', 'second', 'outside'] as const).find((_, i) => sizes[i + 1]! <= sizes[i]!);
    if (wrong) return bad('wall', 'Each ring must be larger outside than inside.', wrong);
    const rings = (['bush', 'sleeve', 'housing'] as const).map((id, i): Layer => {
      const { youngMpa, poisson } = materialOf(v.choice(id))!;
      return { name: id, boreMm: sizes[i]!, outsideMm: sizes[i + 1]!, youngMpa, poisson };
    });
    const pressed = pressLayers(rings, [v.number('tight1'), v.number('tight2')]);
    if (!pressed.ok) return pressed;
    const { pressuresMpa, boreClosesMm, outsideGrowsMm } = pressed.value;
    const how = 'Lamé, every ring feeling both its joints';
    const inner = result(
      'layers.inner',
      'pressure, bush in sleeve',
      pressuresMpa[0]!,
      how,
      [given('layers.tight1', 'interference', v.number('tight1'))],
      'stress',
    );
    const outer = result(
      'layers.outer',
      'pressure, sleeve in housing',
      pressuresMpa[1]!,
      how,
      [given('layers.tight2', 'interference', v.number('tight2'))],
      'stress',
    );
    const housing = rings[2]!;
    return good({
      figures: [
        result('layers.closes', 'bore of the bush closes in by', boreClosesMm, 'from both joints', [inner, outer]),
        inner,
        outer,
        result(
          'layers.hoop',
          'tension round the housing’s bore',
          pressuresMpa[1]! * hoopAtBore(housing),
          'p (D² + d²)/(D² - d²)',
          [outer],
          'stress',
        ),
        result('layers.grows', 'housing grows outside by', outsideGrowsMm, 'from the outer joint', [outer]),
      ],
      words: ['Interference is what grips: take 0.8 of both roughnesses off what was measured. Bore the bush after all is pressed.'],
      caution: 'Press behind a shield: parts under load shatter.',
      picture: [
        circle(sizes[3]! / 2, 'mate'),
        circle(sizes[2]! / 2),
        circle(sizes[1]! / 2, 'mate'),
        circle(sizes[0]! / 2),
        ...cross(sizes[3]! / 2),
        size('bore', [-sizes[0]! / 2, 0], [sizes[0]! / 2, 0]),
      ],
    });
  },
};
