import { hostOf } from '../host';
import type { Part } from '../part';
import { surface } from '../surface';
import { woodruffSeat, type WoodruffSeat } from './woodruff-seat';

const IN = 25.4;
const shaft: Part = {
  ...{ name: 'Axle', materialId: 'steel-c45', features: [], limits: {}, block: null, bores: [] },
  outside: [surface('s', 'cylinder', 'Seat', 100, 0.8745 * IN)],
};
const host = hostOf(shaft, 's')!;
/** No. 808 in 0.8745: 0.308 deep at the side, and by the sagitta of 0.25 in 0.8745 more from the crown. */
const CROWN = 0.8745 / 2 - Math.sqrt((0.8745 / 2) ** 2 - 0.125 ** 2);
const seat = (own: Partial<WoodruffSeat>): WoodruffSeat => ({
  ...woodruffSeat.start(host),
  ...{ id: 'k', kind: 'woodruff-seat', on: 's', name: 'Seat', atMm: 50 },
  ...{ widthMm: 0.25 * IN, cutterMm: IN, depthMm: (0.308 + CROWN) * IN },
  ...own,
});
const bookOf = (f: WoodruffSeat) => Object.fromEntries(woodruffSeat.dimensions(f, host).map((d) => [d.name, d.book]));

it('a seat that is one of the book has its limits', () => {
  const { width, depth } = bookOf(seat({}));
  expect([width!.lower / IN, width!.upper / IN]).toEqual([expect.closeTo(0.2487, 6), expect.closeTo(0.2505, 6)]);
  expect((depth!.upper - depth!.lower) / IN).toBeCloseTo(0.005, 6);
  expect(width!.source).toContain('B17.2');
});

it.each([{ depthMm: 0.38 * IN }, { widthMm: 6 }, { cutterMm: 28 }])('one that is %p has none: it is somebody’s own', (own) => {
  const { width, depth } = bookOf(seat(own));
  expect([width, depth]).toEqual([undefined, undefined]);
});
