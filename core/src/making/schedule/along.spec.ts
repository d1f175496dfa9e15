import { seededRandom } from '../../evidence/proof';
import { along } from './along';

it('by hand: 0.02 thicker at the tailstock over 200 of 300', () => {
  const { shiftMm, bellyMm } = along(25.02, 25.05, 25.04, 200, 300);
  expect(shiftMm).toBeCloseTo(0.015, 9);
  expect(bellyMm).toBeCloseTo(0.02, 9);
});

it('turned again with the tailstock where it says, both ends are alike and the belly is what it was', () => {
  const random = seededRandom(11);
  const between = (a: number, b: number): number => a + (b - a) * random();
  for (let trial = 0; trial < 200; trial++) {
    const whole = between(100, 900);
    const first = between(0.02, 0.2) * whole;
    const apart = between(0.4, 0.75) * whole;
    const offMm = between(-0.1, 0.1);
    const pushMm = between(-0.05, 0.05);
    // The tool runs straight along the bed; the axis swings about the headstock by what the tailstock is off; the work bends away most in the middle.
    const diameter = (x: number, tailstockMm: number): number =>
      20 + 2 * ((x * (offMm - tailstockMm)) / whole) + 2 * pushMm * (1 - (2 * (x - first - apart / 2)) ** 2 / apart ** 2);
    const read = (tailstockMm: number) => [0, 0.5, 1].map((s) => diameter(first + s * apart, tailstockMm)) as [number, number, number];
    const [head, middle, tail] = read(0);
    const told = along(head, middle, tail, apart, whole);
    const [again, , end] = read(told.shiftMm);
    expect(end).toBeCloseTo(again, 9);
    expect(told.bellyMm).toBeCloseTo(2 * pushMm, 9);
  }
});

it('says nothing of the middle where nobody read it', () => expect(along(20, null, 20, 100, 200)).toEqual({ shiftMm: 0, bellyMm: null }));
