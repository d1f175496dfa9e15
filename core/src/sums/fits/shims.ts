import { bad, good } from '../../terms/outcome';
import { length } from '../fields';
import { given, result } from '../given';
import { rectangle, size } from '../marks';
import type { Sum } from '../sum';
import { packsFor, packWords } from './pack';

/** A shim pack from the shims at hand. */
export const shims: Sum = {
  id: 'shims',
  title: 'Shim pack to a target',
  about: 'shim pack thickness backlash preload end play',
  group: 'Sizes and fits',
  fields: () => [
    length('target', 'Pack to make', 0.85, 50, 0.01),
    length('tolerance', 'May be off by', 0.02, 5, 0),
    {
      kind: 'lengths',
      id: 'at-hand',
      label: 'Shims at hand, each as often as wanted',
      startMm: [0.05, 0.1, 0.2, 0.3, 0.5],
      startIn: [0.002, 0.003, 0.005, 0.01, 0.015, 0.02, 0.025, 0.031],
    },
  ],
  work: (v, _shop, unit) => {
    const target = given('shims.target', 'pack to make', v.number('target'));
    const packs = packsFor(v.list('at-hand'), target.value);
    const [best] = packs;
    if (!best) return bad('none', 'No pack of up to 8 of these shims comes near. Add thicker ones.', 'at-hand');
    const made = result('shims.made', 'best pack', best.totalMm, 'sum of its shims', [target]);
    const off = result('shims.off', 'off the target by', best.totalMm - target.value, 'pack less target', [made, target]);
    let y = 0;
    const picture = best.shimsMm.map((t) => {
      const mark = rectangle(0, y, target.value * 4, t);
      y += t;
      return mark;
    });
    return good({
      figures: [made, off],
      tables: [
        {
          title: 'Packs, nearest first',
          columns: ['Shims', 'Makes', 'Off by'],
          rows: packs.map((p) => [packWords(p, unit), p.totalMm, p.totalMm - target.value]),
        },
      ],
      words:
        Math.abs(off.value) > v.number('tolerance') + 1e-9
          ? ['None of them is near enough: a shim must be ground or another thickness found.']
          : ['Fewest shims that are near enough stand first: every joint in a pack can spring.'],
      picture: [...picture, size('pack', [-target.value / 2, 0], [-target.value / 2, y])],
    });
  },
};
