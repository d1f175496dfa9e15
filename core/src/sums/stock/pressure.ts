import { hoopAtBore, trescaInside } from '../../book/interference';
import { materialOf } from '../../book/materials';
import { bad, good } from '../../terms/outcome';
import { length, material, number } from '../fields';
import { given, result } from '../given';
import { cross, ringMarks, size } from '../marks';
import type { Sum } from '../sum';

/** What the thin-wall sum is worth here. */
function besideLame(thin: number, thick: number): string {
  const low = (100 * (thick - thin)) / thick;
  return low > WORTH_SAYING_PERCENT
    ? `The thin-wall sum is ${low.toFixed(0)} % under Lamé at the bore: the wall is thick, take Lamé's.`
    : `The thin-wall sum agrees with Lamé's to ${Math.max(low, 0.1).toFixed(1)} %: the wall is thin.`;
}
const WORTH_SAYING_PERCENT = 2;

/** Stress in a tube under pressure, thin and thick wall. */
export const pressure: Sum = {
  id: 'pressure',
  title: 'Tube under pressure',
  about: 'cylinder wall hoop stress thin thick barrel hydraulic',
  group: 'Stock and strength',
  fields: () => [
    length('bore', 'Bore', 50, 2000, 0.5),
    length('outside', 'Outside', 60, 3000, 0.6),
    number('pressure', 'Pressure', 'MPa', 20, 0.01, 1000),
    material('material', 'Material', 'steel-s355'),
  ],
  work: (v) => {
    const [d, D, p] = [v.number('bore'), v.number('outside'), v.number('pressure')];
    if (D <= d) return bad('outside', 'The outside must be larger than the bore.', 'outside');
    const m = materialOf(v.choice('material'))!;
    const ring = { boreMm: d, outsideMm: D };
    const from = [given('pressure.p', 'pressure', p, 'stress'), given('pressure.bore', 'bore', d), given('pressure.outside', 'outside', D)];
    const thick = result(
      'pressure.thick',
      'hoop stress at the bore, thick wall',
      p * hoopAtBore(ring),
      'p (D² + d²)/(D² - d²) (Lamé)',
      from,
      'stress',
    );
    const thin = result('pressure.thin', 'hoop stress, thin wall', (p * (D + d)) / 2 / (D - d), 'p x mean diameter / 2 t', from, 'stress');
    const tresca = result('pressure.tresca', 'Tresca stress at the bore', p * trescaInside(ring), '2 p D²/(D² - d²)', from, 'stress');
    const limit = m.yieldMpa ?? m.tensileMpa / 2;
    const factor = result(
      'pressure.factor',
      'factor against yield',
      limit / tresca.value,
      `${limit} MPa over Tresca stress`,
      [tresca],
      'count',
    );
    return good({
      figures: [factor, tresca, thick, thin],
      words: [
        besideLame(thin.value, thick.value),
        ...(m.yieldMpa === null ? ['No yield on record for this: half the tensile strength is taken.'] : []),
      ],
      caution:
        'A pressure vessel or a hydraulic cylinder is passed by a licensed or certified person. Proof test with oil, bled, behind a shield, never with air. Oil under pressure goes through skin.',
      picture: [...ringMarks(D, d), ...cross(D / 2), size('bore', [-d / 2, 0], [d / 2, 0])],
    });
  },
};
