import { materialOf } from '../../book/materials';
import { good } from '../../terms/outcome';
import { sizeAt20 } from '../../evidence/readings';
import { length, material, number } from '../fields';
import { given, result } from '../given';
import { rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** What a warm or cold part measures at 20 °C. */
export const temperature: Sum = {
  id: 'temperature',
  title: 'Warm part',
  about: 'temperature correction expansion hot cold 20 °C growth',
  group: 'Sizes and fits',
  fields: () => [
    length('read', 'Read', 50, 5000),
    material('material', 'Part', 'steel-c45'),
    number('part', 'Part at', '°C', 50, -50, 400),
    number('tool', 'Instrument at', '°C', 20, -20, 60),
  ],
  work: (v) => {
    const m = materialOf(v.choice('material'))!;
    const read = given('temperature.read', 'read', v.number('read'));
    const t = { partC: v.number('part'), instrumentC: v.number('tool'), partAlphaPerK: m.alphaPerK };
    const at20 = result(
      'temperature.at20',
      'size at 20 °C',
      sizeAt20(read.value, t),
      `part grows ${(m.alphaPerK * 1e6).toFixed(1)} µm a metre a degree, instrument 11.5`,
      [
        read,
        given('temperature.part', 'part', t.partC, 'temperature'),
        given('temperature.tool', 'instrument', t.instrumentC, 'temperature'),
      ],
    );
    const big = result('temperature.big', 'reads too big by', read.value - at20.value, 'read less size at 20 °C', [read, at20]);
    const w = read.value;
    return good({
      figures: [at20, big],
      words:
        Math.abs(t.partC - t.instrumentC) > 10
          ? ['Let it cool before the last thousandth: the correction is only as good as the thermometer.']
          : [],
      picture: [
        rectangle(0, -w / 8, w, w / 4, 'hidden'),
        rectangle(0, -w / 9, w * 0.96, w / 4.5),
        size('at 20 °C', [0, -w / 5], [w * 0.96, -w / 5]),
      ],
    });
  },
};
