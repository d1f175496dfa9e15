import { materialOf } from '../../book/materials';
import { bad, good } from '../../terms/outcome';
import { choice, length, material, number, whole } from '../fields';
import { given, result } from '../given';
import { circle, outline, rectangle, ringMarks, size } from '../marks';
import type { Mark, Sum } from '../sum';

const SHAPES = [
  ['round', 'round'],
  ['hexagon', 'hexagon, across flats'],
  ['square', 'square'],
  ['flat', 'flat'],
  ['tube', 'tube'],
] as const;

/** Section area, mm²; null for a tube without a wall. */
function areaMm2(shape: string, a: number, b: number): number | null {
  switch (shape) {
    case 'round':
      return (Math.PI / 4) * a * a;
    case 'hexagon':
      return (Math.sqrt(3) / 2) * a * a;
    case 'square':
      return a * a;
    case 'flat':
      return a * b;
    default:
      return b < a ? (Math.PI / 4) * (a * a - b * b) : null;
  }
}

function picture(shape: string, a: number, b: number): Mark[] {
  if (shape === 'round') return [circle(a / 2)];
  if (shape === 'tube') return ringMarks(a, b);
  if (shape === 'hexagon')
    return [
      outline(
        'part',
        ...Array.from({ length: 6 }, (_, i): readonly [number, number] => [
          (a / Math.sqrt(3)) * Math.cos((i * Math.PI) / 3),
          (a / Math.sqrt(3)) * Math.sin((i * Math.PI) / 3),
        ]),
      ),
    ];
  const h = shape === 'flat' ? b : a;
  return [rectangle(-a / 2, -h / 2, a, h)];
}

/** Mass and price of a piece of stock. */
export const mass: Sum = {
  id: 'mass',
  title: 'Mass and price of stock',
  about: 'weight kg bar price cost material',
  group: 'Stock and strength',
  fields: () => [
    choice('shape', 'Shape', SHAPES),
    length('a', 'Diameter, across flats or width', 50, 1000, 0.5),
    length('b', 'Thickness of a flat, or bore of a tube', 20, 1000, 0.1),
    length('length', 'Length', 200, 12_000, 1),
    whole('pieces', 'Pieces', 1, 1, 1000),
    material('material', 'Material', 'steel-c45'),
    number('price', 'Price a kilogram', '', 3.2, 0, 10_000),
  ],
  work: (v) => {
    const [shape, a, b] = [v.choice('shape'), v.number('a'), v.number('b')];
    const area = areaMm2(shape, a, b);
    if (area === null) return bad('bore', 'The bore of a tube must be smaller than its outside.', 'b');
    const m = materialOf(v.choice('material'))!;
    const length_ = given('mass.length', 'length', v.number('length'));
    const one = result(
      'mass.one',
      'one piece',
      (area * length_.value * m.densityKgM3) / 1e9,
      `section ${area.toFixed(1)} mm² x length x ${m.densityKgM3} kg/m³`,
      [length_],
      'mass',
    );
    const all = result('mass.all', 'all pieces', one.value * v.number('pieces'), 'pieces x one', [one], 'mass');
    return good({
      figures: [
        all,
        one,
        result('mass.price', 'price of the material', all.value * v.number('price'), 'mass x price a kilogram', [all], 'price'),
      ],
      ...(all.value > 25 ? { caution: 'Over 25 kg: a second person or the hoist.' } : {}),
      picture: [...picture(shape, a, b), size('a', [-a / 2, -a * 0.7], [a / 2, -a * 0.7])],
    });
  },
};
