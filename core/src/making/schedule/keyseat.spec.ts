import { hostOf, kindOf, surface, type Part } from '../part';
import { keyseatSchedule, woodruffSchedule } from './keyseat';
import type { Bench } from './schedule';

const shaft = (d: number): Part => ({
  ...{ name: 'Shaft', materialId: 'steel-c45', features: [], limits: {}, block: null, bores: [] },
  outside: [surface('s', 'cylinder', 'Seat', 100, d)],
});
const host = (d: number) => hostOf(shaft(d), 's')!;
const seat = (d: number, own: object) =>
  ({ ...kindOf('keyseat').start(host(d)), id: 'k', kind: 'keyseat', on: 's', name: 'Seat', ...own }) as Parameters<
    typeof keyseatSchedule
  >[0];
const value = (s: ReturnType<typeof keyseatSchedule>, name: string): number =>
  s!.settings.find((x) => x.figure.key.endsWith(`.${name}`))!.figure.value;
const BENCH = {} as Bench;

// B17.1 and shop tables: 1/4 in key in 1 in: arc over the width 0.0159, floor to the opposite side 0.859.
it('1/4 in key in 1 in: 0.859 over the other side, and from the flat 0.0159 less than from the crown', () => {
  const inch = 25.4;
  const s = keyseatSchedule(
    seat(inch, { widthMm: 0.25 * inch, depthMm: 0.141 * inch, lengthMm: inch, cutter: 'end-mill' }),
    host(inch),
    BENCH,
  );
  expect(value(s, 'over') / inch).toBeCloseTo(0.859, 3);
  expect((value(s, 'crown') - value(s, 'after-flat')) / inch).toBeCloseTo(0.0159, 4);
  expect(value(s, 'travel') / inch).toBeCloseTo(0.75, 9);
});

it('an end mill travels its own width less than the seat is long, and stands still in a seat as long as wide; a sled-runner cutter all of it', () => {
  expect(value(keyseatSchedule(seat(25, { widthMm: 8, lengthMm: 8, cutter: 'end-mill' }), host(25), BENCH), 'travel')).toBe(0);
  const sled = keyseatSchedule(seat(25, { widthMm: 8, lengthMm: 40, cutter: 'sled-runner' }), host(25), BENCH);
  expect(value(sled, 'travel')).toBe(40);
  expect(sled!.tools).toEqual([{ kind: 'cutter', sizeMm: 8 }]);
});

it('a Woodruff cutter’s centre stands as far over the crown as its radius is more than the depth', () => {
  const f = { ...kindOf('woodruff-seat').start(host(20)), id: 'w', kind: 'woodruff-seat', on: 's', name: 'Seat', cutterMm: 19, depthMm: 6 };
  const s = woodruffSchedule(f as unknown as Parameters<typeof woodruffSchedule>[0], host(20), BENCH);
  const centre = value(s, 'centre');
  // Its lowest point then lies 6 under the crown.
  expect(centre - 19 / 2).toBe(-6);
});
