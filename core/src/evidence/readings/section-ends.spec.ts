import { seededRandom, normalDraws } from '../proof';
import { sectionEnds } from './section-ends';

const rad = (deg: number): number => (deg * Math.PI) / 180;
const u = 0.002;
/** Diameters of an oval as two-point readings show it. */
const oval = (meanMm: number, ovalMm: number, alongDeg: number, clocks: readonly number[], draw: () => number) =>
  clocks.map((deg) => ({ deg, meanMm: meanMm + (ovalMm / 2) * Math.cos(2 * rad(deg - alongDeg)) + u * draw(), uMm: u }));

it('the ends of ovals lie in their intervals about as often as these say', () => {
  const random = seededRandom(5);
  const draw = normalDraws(random);
  let [small, large] = [0, 0];
  const times = 120;
  for (let n = 0; n < times; n++) {
    const [mean, out] = [40, 0.02 + 0.15 * random()];
    const ends = sectionEnds('inside', oval(mean, out, 180 * random(), [0, 45, 90, 135], draw));
    if (ends.smallest.lowMm <= mean - out / 2 && mean - out / 2 <= ends.smallest.highMm) small++;
    if (ends.largest.lowMm <= mean + out / 2 && mean + out / 2 <= ends.largest.highMm) large++;
  }
  expect(small / times).toBeGreaterThan(0.9);
  expect(large / times).toBeGreaterThan(0.9);
});

it('two directions leave more open than four, and what is most probable lies in what is open', () => {
  const still = (): number => 0;
  const four = sectionEnds('outside', oval(40, 0.1, 0, [0, 45, 90, 135], still));
  const two = sectionEnds('outside', oval(40, 0.1, 0, [0, 90], still));
  for (const end of ['smallest', 'largest', 'mean'] as const) {
    const width = (e: typeof four): number => e[end].highMm - e[end].lowMm;
    expect(width(two)).toBeGreaterThanOrEqual(width(four) - 1e-9);
    for (const e of [four, two]) {
      expect(e[end].middleMm).toBeGreaterThanOrEqual(e[end].lowMm);
      expect(e[end].middleMm).toBeLessThanOrEqual(e[end].highMm);
    }
  }
});

it('beliefs sum to one, and an oval that is read as one is believed to be one', () => {
  const { belief } = sectionEnds(
    'outside',
    oval(40, 0.2, 30, [0, 30, 60, 90, 120, 150], () => 0),
  );
  expect(Object.values(belief).reduce((s, b) => s + b, 0)).toBeCloseTo(1, 9);
  expect(belief.round).toBeLessThan(0.01);
  expect(belief.oval + belief.both).toBeGreaterThan(belief.arc);
});
