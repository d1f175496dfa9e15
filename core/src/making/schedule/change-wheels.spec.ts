import { seededRandom } from '../../evidence/proof';
import { changeWheels, trainWords } from './change-wheels';

const SET = [20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75, 80, 127];
const TPI8 = 25.4 / 8;

it('metric on an inch screw is exact by way of 127', () => {
  const [best] = changeWheels(1.5, TPI8, SET);
  expect(best!.error).toBeCloseTo(0, 12);
  expect(best!.driven).toContain(127);
  expect(best!.pitchMm).toBeCloseTo(1.5, 12);
});

it('without it the nearest is a compound of what is there, and says how far off', () => {
  // The well-known stand-in: 63 for 127, off by 1 in 126 of half of it.
  const [best] = changeWheels(1.5, TPI8, [...SET.filter((t) => t !== 127), 63]);
  expect(Math.abs(best!.error)).toBeLessThan(0.0002);
  expect(best!.pitchMm).toBeCloseTo(1.5 * (1 + best!.error), 12);
});

it('an inch thread on an inch screw takes a simple train', () => {
  const [best] = changeWheels(25.4 / 16, TPI8, SET);
  expect(best).toMatchObject({ error: expect.closeTo(0, 12), drivers: [expect.any(Number)] });
  expect(best!.driven[0]! / best!.drivers[0]!).toBeCloseTo(2, 12);
});

it('no train from the same wheels is nearer: told by multiplying out every choice of wheels', () => {
  const random = seededRandom(4);
  for (let n = 0; n < 12; n++) {
    const wheels = Array.from({ length: 6 }, () => 20 + Math.floor(random() * 80));
    const pitch = 0.5 + 3 * random();
    let least = Infinity;
    // Every ordered choice of two or four different wheels, counted as digits to the base of their number.
    for (let code = 0; code < wheels.length ** 4; code++) {
      const digits = [0, 1, 2, 3].map((p) => Math.floor(code / wheels.length ** p) % wheels.length);
      const [a, b, c, d] = digits.map((i) => wheels[i]!) as [number, number, number, number];
      const miss = (ratio: number): number => Math.abs((ratio * TPI8) / pitch - 1);
      if (digits[0] !== digits[1]) least = Math.min(least, miss(a / b));
      if (new Set(digits).size === 4 && a + b - c > 15 && c + d - b > 15) least = Math.min(least, miss((a * c) / (b * d)));
    }
    expect(Math.abs(changeWheels(pitch, TPI8, wheels)[0]!.error)).toBeCloseTo(least, 12);
  }
});

it('a wheel is used as often as it is there', () => {
  for (const t of changeWheels(2, TPI8, [40, 60], 9)) expect([...t.drivers, ...t.driven].sort()).toEqual([40, 60]);
  expect(changeWheels(2, TPI8, [])).toEqual([]);
  expect(changeWheels(2, TPI8, [40])).toEqual([]);
});

it('is told as it goes on the quadrant', () => {
  expect(trainWords({ drivers: [60], driven: [127] })).toBe('60 drives 127, any wheel between');
  expect(trainWords({ drivers: [40, 65], driven: [50, 100] })).toBe('40 drives 50, 65 on the same stud drives 100');
});
