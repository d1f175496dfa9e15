import { barBendMm, barGoesInto, SHANKS, soldBarMm } from './boring-bar';

/** A bar in slices: the slope and the way of each from the moment at it, added up from the holder to the tip. */
function inSlices(pushN: number, youngMpa: number, barMm: number, outMm: number): number {
  const n = 4000;
  const dx = outMm / n;
  let [slope, way] = [0, 0];
  for (let i = 0; i < n; i++) {
    slope += ((pushN * (outMm - (i + 0.5) * dx)) / (youngMpa * ((Math.PI * barMm ** 4) / 64))) * dx;
    way += slope * dx;
  }
  return way;
}

it('bends as a bar does whose slices are added up', () => {
  for (const [push, bar, out] of [
    [30, 10, 40],
    [60, 16, 80],
    [25, 8, 60],
  ] as const)
    for (const shank of ['steel', 'carbide'] as const)
      expect(barBendMm(push, shank, bar, out) / inSlices(push, SHANKS[shank].youngMpa, bar, out)).toBeCloseTo(1, 2);
});

it('a bar of 16 goes into 20 and not into 19; of no listed thickness it leaves the chips as much room', () => {
  expect([barGoesInto(16, 20), barGoesInto(16, 19)]).toEqual([true, false]);
  expect([barGoesInto(14, 20), barGoesInto(14, 19)]).toEqual([true, false]);
});

it('the thickest that is sold goes in, and the next one does not', () => {
  expect([20, 25, 31.9, 32, 100].map(soldBarMm)).toEqual([16, 20, 20, 25, 40]);
  for (let hole = 6; hole < 60; hole += 0.5) expect(barGoesInto(soldBarMm(hole), hole)).toBe(true);
});
