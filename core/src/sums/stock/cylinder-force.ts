import { bad, good } from '../../terms/outcome';
import { significant } from '../../terms/quantity';
import { length, number } from '../fields';
import { given, result } from '../given';
import { line, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** Litres a minute through mm² is this over the area, mm/min. */
const MM3_PER_LITRE = 1e6;

/** What a hydraulic cylinder pushes and pulls, and how fast. */
export const cylinderForce: Sum = {
  id: 'cylinder-force',
  title: 'Hydraulic cylinder',
  about: 'cylinder force push pull bore rod pressure flow speed oil',
  group: 'Stock and strength',
  fields: () => [
    length('bore', 'Bore', 50, 2000, 1),
    length('rod', 'Rod', 25, 2000, 1),
    number('pressure', 'Pressure', 'MPa', 16, 0.01, 100),
    number('flow', 'Oil', 'l/min', 20, 0.01, 10_000),
    length('stroke', 'Stroke', 300, 20_000, 1),
  ],
  work: (v) => {
    const [D, d, p] = [v.number('bore'), v.number('rod'), v.number('pressure')];
    if (d >= D) return bad('rod', 'The rod must be thinner than the bore.', 'rod');
    const [full, ring] = [(Math.PI * D * D) / 4, (Math.PI * (D * D - d * d)) / 4];
    const from = [given('cylinder.pressure', 'pressure', p, 'stress'), given('cylinder.bore', 'bore', D)];
    const withRod = [...from, given('cylinder.rod', 'rod', d)];
    const out = (v.number('stroke') * full * 60) / (v.number('flow') * MM3_PER_LITRE);
    const back = (v.number('stroke') * ring * 60) / (v.number('flow') * MM3_PER_LITRE);
    return good({
      figures: [
        result('cylinder.push', 'push', p * full, 'pressure x pi D²/4', from, 'force'),
        result('cylinder.pull', 'pull', p * ring, 'pressure x pi (D² - d²)/4', withRod, 'force'),
        result('cylinder.shut', 'pressure on a rod side that is shut', (p * full) / ring, 'pressure x D² / (D² - d²)', withRod, 'stress'),
      ],
      words: [
        `A full stroke takes ${significant(out, 3)} s out and ${significant(back, 3)} s back.`,
        'Shut on the rod side, a push raises more there than the pump gives: what is named above.',
        'Seals and the oil’s way back take some of it.',
      ],
      caution: 'Oil under pressure goes through skin, and a load held by oil comes down. Block the load, let the pressure off, then open.',
      picture: [
        rectangle(-D, -D / 2, 2 * D, D, 'mate'),
        rectangle(-D * 0.2, -D / 2, D * 0.35, D),
        rectangle(D * 0.15, -d / 2, 1.4 * D, d),
        line('centre', [-D * 1.1, 0], [D * 1.7, 0]),
        size('bore', [-D * 1.5, -D / 2], [-D * 1.5, D / 2]),
      ],
    });
  },
};
