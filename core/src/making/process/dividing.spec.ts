import { cranksFor, crankWords, divideWords, USUAL_CIRCLES } from './dividing';

// As the tables of plain indexing have them for 40 to 1.
it.each([
  [2, '20 turns'],
  [6, '6 turns and 10 holes of 15'],
  [7, '5 turns and 15 holes of 21'],
  [9, '4 turns and 8 holes of 18'],
  [11, '3 turns and 21 holes of 33'],
  [13, '3 turns and 3 holes of 39'],
  [28, '1 turn and 9 holes of 21'],
  [40, '1 turn'],
  [64, '10 holes of 16'],
  [100, '6 holes of 15'],
] as const)('%d divisions: %s', (divisions, words) => expect(crankWords(cranksFor(360 / divisions)[0]!)).toBe(words));

it('comes out for just those numbers for which a circle holds whole holes, and the crank brought round all of them closes', () => {
  for (let n = 2; n <= 400; n++) {
    const comesOut = USUAL_CIRCLES.some((c) => (40 * c) % n === 0);
    const [best] = cranksFor(360 / n);
    expect([n, best!.offDeg === 0]).toEqual([n, comesOut]);
    const inTurns = best!.turns + (best!.circle ? best!.holes / best!.circle : 0);
    // Turn upon turn: 40 of the crank are once round the work, and what was told as off is what is over.
    expect(n * inTurns - 40).toBeCloseTo((n * best!.offDeg * 40) / 360, 6);
    expect(Math.abs(best!.offDeg)).toBeLessThanOrEqual(360 / 40 / 49 / 2 + 1e-9);
  }
});

it('takes the circles and the worm that a shop has', () => {
  expect(crankWords(cranksFor(360 / 51, [51])[0]!)).toBe('40 holes of 51');
  expect(crankWords(cranksFor(60, [24], 4)[0]!)).toBe('16 holes of 24');
  // A little less than a turn is the turn.
  expect(cranksFor(8.999, [15])[0]).toMatchObject({ turns: 1, holes: 0, circle: null, offDeg: expect.closeTo(0.001, 9) });
});

it('says where no usual plate has the number', () => {
  expect(divideWords(6)).toBe('On a dividing head of 40 to 1: 6 turns and 10 holes of 15 each time.');
  expect(divideWords(127)).toContain('divides by 127');
});
