import { WOODRUFF, woodruffSeat } from '../../book/keys';
import { good } from '../../terms/outcome';
import { choice, length } from '../fields';
import { fromTable, given, result } from '../given';
import { circle, cross, size } from '../marks';
import type { Sum } from '../sum';

const OPTIONS = WOODRUFF.map((k) => [k.name, k.unit === 'in' ? `number ${k.name}` : `${k.name} mm, cutter ${k.cutterMm}`] as const);

/** A Woodruff seat: how deep, and where the cutter's centre stands. */
export const woodruff: Sum = {
  id: 'woodruff',
  title: 'Woodruff seat',
  about: 'half moon key cutter B17.2 DIN 6888',
  group: 'Keys, rings, seals',
  fields: () => [choice('key', 'Key', OPTIONS, '606'), length('shaft', 'Shaft', 25.4, 250, 3)],
  work: (v) => {
    const seat = woodruffSeat(v.choice('key'), v.number('shaft'));
    if (!seat.ok) return { ok: false, problems: seat.problems.map((p) => ({ ...p, path: p.path === 'name' ? 'key' : 'shaft' })) };
    const s = seat.value;
    const shaft = given('woodruff.shaft', 'shaft', v.number('shaft'));
    const r = shaft.value / 2;
    return good({
      figures: [
        result(
          'woodruff.after',
          'feed on after the flat is as wide as the cutter',
          s.afterFlatMm,
          `least depth at the side of the seat, from the smallest key, ${s.key.source}`,
          [shaft],
        ),
        result(
          'woodruff.crown',
          'depth from the crown',
          s.fromCrownMm,
          s.key.depthFrom === 'crown' ? s.key.source : 'depth at the side and the arc over the key',
          [shaft],
        ),
        result(
          'woodruff.centre',
          'cutter centre over the crown',
          s.cutterCentreOverCrownMm,
          'half the cutter less the depth from the crown',
          [],
        ),
        fromTable('woodruff.width', 'width', s.key.widthMm, s.key.source),
        result(
          'woodruff.stands',
          'smallest key stands out at its sides',
          s.standsOutMm,
          `least height of the key less the depth at the side, ${s.key.source}`,
          [],
        ),
      ],
      words: [
        ...(s.unusual ? [s.unusual] : []),
        'Run a Woodruff cutter at a third of turning speed, climb nothing, and lift it straight out.',
      ],
      picture: [
        circle(r),
        ...cross(r),
        circle(s.key.cutterMm / 2, 'tool', 0, r + s.cutterCentreOverCrownMm),
        size('from crown', [r * 1.25, r - s.fromCrownMm], [r * 1.25, r]),
      ],
    });
  },
};
