import {
  BEARINGS,
  bearingOf,
  housingSeat,
  shaftSeat,
  type BearingClass,
  type BearingLoad,
  type BearingSeat,
  type TurningRing,
} from '../../book/bearings';
import { bad, good } from '../../terms/outcome';
import { choice } from '../fields';
import { fromTable, result } from '../given';
import { cross, ringMarks, size } from '../marks';
import type { Sum, SumTable } from '../sum';

const BALLS = BEARINGS.filter((b) => b.kind === 'ball').map((b) => [b.code, b.code] as const);

const seatTable = (title: string, nominalMm: number, s: BearingSeat): SumTable => ({
  title: `${title}: ${s.zone}`,
  columns: ['Least', 'Most', 'Play, least', 'Play, most', 'Why'],
  rows: [[nominalMm + s.seat.lowerMm, nominalMm + s.seat.upperMm, s.leastClearanceMm, s.mostClearanceMm, s.words]],
});

/** Seats for a ball bearing by load and by which ring turns. */
export const bearingSeat: Sum = {
  id: 'bearing-seat',
  title: 'Bearing seats',
  about: 'ball bearing shaft housing zone k5 H7 load ring turns C3',
  group: 'Sizes and fits',
  fields: () => [
    choice('bearing', 'Bearing', BALLS, '6204'),
    choice('turns', 'Which ring turns against the load', [
      ['inner', 'inner ring (usual shaft)'],
      ['outer', 'outer ring (idler, wheel hub)'],
    ]),
    choice(
      'load',
      'Load',
      [
        ['light', 'light, to 6 % of its rating'],
        ['normal', 'normal, to 12 %'],
        ['heavy', 'heavy or shocks'],
      ],
      'normal',
    ),
    choice('class', 'Class of the bearing', [
      ['normal', 'Normal'],
      ['6', '6'],
    ]),
  ],
  work: (v) => {
    const bearing = bearingOf(v.choice('bearing'));
    if (!bearing) return bad('bearing', 'Choose a bearing of the list.', 'bearing');
    const [load, turns, cls] = [v.choice<BearingLoad>('load'), v.choice<TurningRing>('turns'), v.choice<BearingClass>('class')];
    const shaft = shaftSeat(bearing.boreMm, load, turns, cls);
    const housing = housingSeat(bearing.outsideMm, load, turns, cls);
    if (!shaft.ok) return shaft;
    if (!housing.ok) return housing;
    const bore = fromTable('seat.bore', 'bore', bearing.boreMm, bearing.source);
    const outside = fromTable('seat.outside', 'outside', bearing.outsideMm, bearing.source);
    const [D, d] = [bearing.outsideMm, bearing.boreMm];
    return good({
      figures: [
        result(
          'seat.shaft',
          `shaft, most (${shaft.value.zone})`,
          d + shaft.value.seat.upperMm,
          `bore and the upper deviation of ${shaft.value.zone}`,
          [bore],
        ),
        result(
          'seat.shaft-least',
          `shaft, least (${shaft.value.zone})`,
          d + shaft.value.seat.lowerMm,
          `bore and the lower deviation of ${shaft.value.zone}`,
          [bore],
        ),
        result(
          'seat.housing',
          `housing, least (${housing.value.zone})`,
          D + housing.value.seat.lowerMm,
          `outside and the lower deviation of ${housing.value.zone}`,
          [outside],
        ),
        result(
          'seat.housing-most',
          `housing, most (${housing.value.zone})`,
          D + housing.value.seat.upperMm,
          `outside and the upper deviation of ${housing.value.zone}`,
          [outside],
        ),
      ],
      tables: [seatTable('Shaft', d, shaft.value), seatTable('Housing', D, housing.value)],
      words: [
        load === 'heavy' ? 'A seat this tight eats the bearing’s own play: take C3.' : 'The bearing’s usual play is enough for this seat.',
        `${bearing.source}. Push on the ring that is tight, never through the balls; heat an open bearing to 120 °C at most, a sealed one to 80.`,
      ],
      caution: 'Never a flame on a bearing. Hot bearings burn: gloves, and wipe the oil off first.',
      picture: [
        ...ringMarks(D, D * 0.86),
        ...ringMarks(d + (D - d) * 0.28, d, 'mate'),
        ...cross(D / 2),
        size('bore', [-d / 2, 0], [d / 2, 0]),
      ],
    });
  },
};
