import { boreBeforePressing, coldAlphaPerK, HEAT_LIMIT_C, press, shrinkWays, type Heated, type PressFit } from '../../book/interference';
import { materialOf } from '../../book/materials';
import { good } from '../../terms/outcome';
import { choice, length, material, number } from '../fields';
import { given, result } from '../given';
import { circle, cross, ringMarks, size } from '../marks';
import type { Sum, SumResult } from '../sum';
import type { SumValues } from '../values';

const VERDICT = {
  holds: 'holds, elastic',
  warn: 'past first yield: usual for a bronze bush, not for a shaft that must come out again',
  refuse: 'would crack: take less interference',
} as const;

function fitOf(v: SumValues): PressFit {
  return {
    diameterMm: v.number('diameter'),
    hubOutsideMm: v.number('hub'),
    shaftBoreMm: v.number('bore'),
    lengthMm: v.number('length'),
    interferenceMm: v.number('interference'),
    rzHubMm: v.number('rz') / 1000,
    rzShaftMm: v.number('rz') / 1000,
    hub: materialOf(v.choice('hubMaterial'))!,
    shaft: materialOf(v.choice('shaftMaterial'))!,
    friction: v.number('friction'),
  };
}

function heatTable(v: SumValues, fit: PressFit): NonNullable<SumResult['tables']> {
  const ways = shrinkWays({
    diameterMm: fit.diameterMm,
    interferenceMm: fit.interferenceMm,
    enteringMm: v.number('entering'),
    hubAlphaPerK: materialOf(v.choice('hubMaterial'))!.alphaPerK,
    heated: v.choice<Heated>('heated'),
    shaftAlphaColdPerK: coldAlphaPerK(materialOf(v.choice('shaftMaterial'))!),
    roomC: v.number('room'),
  });
  if (!ways.ok) return [];
  const rows = ways.value.map((w) => [
    w.bath ? `${w.way}, ${w.bath}` : w.way,
    w.way === 'cool the shaft' ? '–' : `${w.hubC.toFixed(0)} °C`,
    w.possible ? 'yes' : 'no',
    w.words,
  ]);
  return [{ title: 'Without force', columns: ['Way', 'Hub at', 'Enough', 'Because'], rows }];
}

/** Push force, stresses, and heat or cold, of a press or shrink fit. */
export const pressForce: Sum = {
  id: 'press',
  title: 'Push force and heat',
  about: 'press shrink interference Lamé heat dry ice nitrogen bush closes in',
  group: 'Sizes and fits',
  fields: () => [
    length('diameter', 'Fit diameter', 32, 500, 1),
    length('interference', 'Interference', 0.05, 2, 0.0001),
    length('hub', 'Hub outside', 60, 2000, 1),
    length('bore', 'Bore of bush (0 = solid)', 25, 500, 0),
    length('length', 'Length in contact', 30, 1000, 0.5),
    material('hubMaterial', 'Hub', 'steel-c45'),
    material('shaftMaterial', 'Shaft or bush', 'bronze-tin'),
    number('rz', 'Roughness Rz, each', 'µm', 4, 0, 100),
    number('friction', 'Friction', '', 0.12, 0.02, 0.6),
    length('entering', 'Entering play for shrinking', 0.03, 1, 0),
    choice(
      'heated',
      'What is heated',
      Object.keys(HEAT_LIMIT_C).map((k) => [k, k] as const),
      'cast iron or soft steel',
    ),
    number('room', 'Room', '°C', 20, -20, 45),
  ],
  work: (v) => {
    const fit = fitOf(v);
    const got = press(fit);
    if (!got.ok) {
      const field: Record<string, string> = { interferenceMm: 'interference', hubOutsideMm: 'hub', shaftBoreMm: 'bore' };
      return { ok: false, problems: got.problems.map((p) => ({ ...p, path: field[p.path] ?? p.path })) };
    }
    const r = got.value;
    const taken = given('press.interference', 'interference', fit.interferenceMm);
    const effective = result('press.effective', 'interference that grips', r.effectiveMm, 'less 0.8 of both roughnesses (DIN 7190)', [
      taken,
    ]);
    const pressure = result('press.pressure', 'pressure in the joint', r.pressureMpa, 'Lamé, thick-walled rings', [effective], 'stress');
    const force = result('press.force', 'push force, greatest', r.pushForceN, 'friction x pressure x contact area', [pressure], 'force');
    const torque = result('press.torque', 'torque that it carries', r.torqueNm, 'push force x half the diameter', [force], 'torque');
    const closes = result('press.closes', 'bore closes in by', r.boreClosesMm, '2 p di d²/(E (d² - di²))', [pressure]);
    const before = fit.shaftBoreMm > 0 ? boreBeforePressing(fit, fit.shaftBoreMm) : null;
    return good({
      figures: [
        force,
        pressure,
        torque,
        effective,
        ...(fit.shaftBoreMm > 0 ? [closes] : []),
        ...(before?.ok
          ? [result('press.before', 'bore it to, before pressing', before.value, 'size wanted and what it closes by', [closes])]
          : []),
      ],
      tables: [
        {
          title: 'Strength',
          columns: ['Part', 'Stress', 'Limit', 'So'],
          rows: r.stresses.map((s) => [
            s.part === 'hub' ? 'hub' : 'shaft or bush',
            `${s.stressMpa.toFixed(0)} MPa`,
            `${s.limitMpa.toFixed(0)} MPa`,
            VERDICT[s.verdict],
          ]),
        },
        ...heatTable(v, fit),
      ],
      caution:
        'Press behind a shield: parts under load shatter. Heat burns and makes oil fume; never above the tempering temperature, never a flame on a bearing, no sealed hollow parts. Dry ice and nitrogen want ventilation and gloves.',
      picture: [
        ...ringMarks(fit.hubOutsideMm, fit.diameterMm, 'mate'),
        ...(fit.shaftBoreMm > 0 ? [circle(fit.shaftBoreMm / 2)] : []),
        circle(fit.diameterMm / 2),
        ...cross(fit.hubOutsideMm / 2),
        size('fit', [-fit.diameterMm / 2, 0], [fit.diameterMm / 2, 0]),
      ],
    });
  },
};
