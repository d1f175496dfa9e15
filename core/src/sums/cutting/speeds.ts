import { MATERIAL_SOURCE, materialOf } from '../../book/materials';
import { good } from '../../terms/outcome';
import { cuttingForceN, EDGES, spindleSpeed } from '../../making/process';
import { choice, length, material } from '../fields';
import { fromTable, given, result } from '../given';
import { circle, cross, rectangle, size } from '../marks';
import type { Sum } from '../sum';

/** Share of turning speed by what is done. */
const WORK = {
  turning: 1,
  drilling: EDGES.drill.share,
  reaming: EDGES.reamer.share,
  parting: EDGES.plunge.share,
  threading: EDGES.thread.share,
  'form tool': EDGES.form.share,
} as const;

/** Speed and feed in a gear that the machine has, with the power it takes. */
export const speeds: Sum = {
  id: 'speeds',
  title: 'Speed and feed',
  about: 'rpm surface speed gear feed power turning drilling',
  group: 'Cutting',
  fields: (shop) => [
    material('material', 'Material', 'steel-c45'),
    choice('tool', 'Tool', [
      ['hss', 'high-speed steel'],
      ['carbide', 'carbide'],
    ]),
    choice(
      'work',
      'Work',
      Object.keys(WORK).map((k) => [k, k] as const),
      'turning',
    ),
    length('diameter', 'Diameter', 40, 2000, 0.3),
    length('feed', 'Feed a turn', 0.2, 3, 0.01),
    length('depth', 'Depth of cut', 1.5, 30, 0.01),
    choice('lathe', 'Lathe', shop.lathes.length ? shop.lathes.map((l) => [l.id, l.name] as const) : [['none', 'no lathe on record']]),
  ],
  work: (v, shop) => {
    const m = materialOf(v.choice('material'))!;
    const share = WORK[v.choice<keyof typeof WORK>('work')];
    const surface = (v.choice('tool') === 'hss' ? m.speedHss : m.speedCarbide) * share;
    const gears = shop.lathes.find((l) => l.id === v.choice('lathe'))?.gearsRpm ?? [];
    const diameter = given('speeds.diameter', 'diameter', v.number('diameter'));
    const speed = spindleSpeed(surface, diameter.value, gears);
    if (!speed.ok) return { ok: false, problems: speed.problems.map((p) => ({ ...p, path: 'lathe' })) };
    const s = speed.value;
    const start = fromTable('speeds.surface', `surface speed for ${m.name}`, surface, MATERIAL_SOURCE, 'speed');
    const ideal = result('speeds.ideal', 'rpm by the sum', s.idealRpm, '1000 V / (pi D)', [start, diameter], 'rpm');
    const gear = result('speeds.gear', 'gear', s.gearRpm, 'the next slower that the machine has', [ideal], 'rpm');
    const [f, a] = [v.number('feed'), v.number('depth')];
    const force = m.kc11 ? cuttingForceN(m.kc11, m.mc!, a, f) : null;
    const cut = force ? result('speeds.force', 'cutting force', force, 'kc1.1 x depth x feed^(1 - mc) (Kienzle)', [], 'force') : null;
    const kw = force ? (force * s.speedMMin) / 60_000 : 0;
    const r = diameter.value / 2;
    return good({
      figures: [
        gear,
        ideal,
        result('speeds.real', 'surface speed in that gear', s.speedMMin, 'pi D n / 1000', [gear, diameter], 'speed'),
        ...(cut ? [cut, result('speeds.minute', 'feed a minute', f * s.gearRpm, 'feed x rpm', [gear])] : []),
      ],
      words: [
        ...(s.gearRpm > s.idealRpm ? ['The slowest gear is still faster than the sum: a smaller cut, or another machine.'] : []),
        ...(cut ? [`It takes about ${kw.toFixed(2)} kW at the tool.`] : []),
      ],
      ...(m.caution ? { caution: m.caution } : {}),
      picture: [
        circle(r),
        ...cross(r),
        rectangle(r, -r * 0.12, r * 0.7, r * 0.24, 'tool'),
        size('diameter', [-r, -r * 1.3], [r, -r * 1.3]),
      ],
    });
  },
};
