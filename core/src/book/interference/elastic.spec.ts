import { boreClosing, boreOpening, hoopAtBore, outsideClosing, outsideOpening, trescaInside, trescaOutside } from './elastic';

const steel = { youngMpa: 210_000, poisson: 0.3 };
const thick = { boreMm: 40, outsideMm: 60 };

it('a thin ring is a hoop: stress is pressure by mean diameter over twice the wall, and it grows by that over E', () => {
  const [mean, wall] = [100, 0.2];
  const thin = { boreMm: mean - wall, outsideMm: mean + wall };
  const hoop = mean / (2 * wall);
  expect(hoopAtBore(thin) / hoop).toBeCloseTo(1, 2);
  expect((boreOpening(thin, steel) * steel.youngMpa) / hoop).toBeCloseTo(1, 2);
  expect((outsideClosing(thin, steel) * steel.youngMpa) / hoop).toBeCloseTo(1, 2);
});

it('a ring of 60 over 40 has a hoop stress of 2.6 times the pressure at its bore', () => expect(hoopAtBore(thick)).toBeCloseTo(2.6, 12));

it('what one side does to the other is mutual: pressure inside against movement outside as the other way round', () => {
  const { boreMm: i, outsideMm: o } = thick;
  expect(i * i * boreClosing(thick, steel)).toBeCloseTo(o * o * outsideOpening(thick, steel), 12);
});

it('under the same pressure in and out it is squeezed alike everywhere: each diameter shrinks by (1 - ν) p / E of itself', () => {
  const squeezed = (1 - steel.poisson) / steel.youngMpa;
  expect(boreClosing(thick, steel) - boreOpening(thick, steel)).toBeCloseTo(squeezed, 15);
  expect(outsideClosing(thick, steel) - outsideOpening(thick, steel)).toBeCloseTo(squeezed, 15);
});

it('the radial stress at the bore is the pressure: the largest shear comes of hoop and pressure', () => {
  expect(trescaInside(thick)).toBeCloseTo(hoopAtBore(thick) + 1, 12);
});

it('a shaft without a bore is under the pressure alone', () => {
  expect(trescaOutside({ boreMm: 0, outsideMm: 60 })).toBe(1);
  expect(outsideClosing({ boreMm: 0, outsideMm: 60 }, steel)).toBeCloseTo(0.7 / 210_000, 15);
});
