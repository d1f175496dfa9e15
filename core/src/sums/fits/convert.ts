import { good } from '../../terms/outcome';
import { formatLength, MM_PER_INCH, toInchFraction } from '../../terms/quantity';
import { length } from '../fields';
import { given, result } from '../given';
import { rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** One size in every way that people write it. */
export const convert: Sum = {
  id: 'convert',
  title: 'Convert a size',
  about: 'inch metric mm fraction thou decimal',
  group: 'Sizes and fits',
  fields: () => [length('size', 'Size', 19.05, 20_000)],
  work: (v) => {
    const mm = v.number('size');
    const size_ = given('convert.size', 'size', mm);
    const rows = [64, 32, 16].map((d) => {
      const { text, remainderMm } = toInchFraction(mm, d);
      return [`nearest 1/${d}`, `${text} in`, remainderMm] as const;
    });
    return good({
      figures: [size_, result('convert.thou', 'in thou', mm / (MM_PER_INCH / 1000), 'inch is exactly 25.4 mm', [size_], 'count')],
      tables: [{ title: 'As a fraction', columns: ['Step', 'Fraction', 'Size is over it by'], rows }],
      words: [`${formatLength(mm, 'mm', 4)} mm is ${formatLength(mm, 'in', 5)} in.`],
      picture: [rectangle(0, -mm / 8, mm, mm / 4), size('size', [0, -mm / 5], [mm, -mm / 5])],
    });
  },
};
