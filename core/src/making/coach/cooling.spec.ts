import { coolingMin, STILL_AIR } from './cooling';

it('the published balls: steel of 12 mm from 1150 to 400 K in air of 325 K with h 20 takes 1122 s', () => {
  expect(60 * coolingMin(7800 * 600, 2, 825, 75, 20)).toBeCloseTo(1122, 0);
});

it('is what comes of losing heat second by second: a round of 40 mm, 20 K warm, in still air', () => {
  const [rhoC, d] = [7850 * 434, 0.04];
  let [above, s] = [20, 0];
  // A metre of it, its ends left out.
  const [heat, area] = [rhoC * Math.PI * (d / 2) ** 2, Math.PI * d];
  while (above > 4) {
    above -= (STILL_AIR * area * above) / heat;
    s += 1;
  }
  expect(coolingMin(rhoC, 10, 20, 4)).toBeCloseTo(s / 60, 1);
});

it('what is no warmer than that is cool', () => {
  expect(coolingMin(3.4e6, 10, 3, 4)).toBe(0);
});
