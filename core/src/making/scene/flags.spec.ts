import { seededRandom } from '../../evidence/proof';
import { flagRows, spread, textWidthMm, wrapped } from './flags';

const random = seededRandom(5);

it('no text runs into another, nor through another’s line', () => {
  for (let n = 0; n < 300; n++) {
    const flags = Array.from({ length: 1 + Math.floor(random() * 14) }, () => ({
      x: 150 * random(),
      text: 'x'.repeat(1 + Math.floor(30 * random())),
    }));
    const rows = flagRows(flags, 3, 1);
    const box = (i: number) => ({ from: flags[i]!.x, to: flags[i]!.x + textWidthMm(flags[i]!.text, 3), row: rows[i]! });
    flags.forEach((_, i) =>
      flags.forEach((other, j) => {
        if (i === j) return;
        const [a, b] = [box(i), box(j)];
        if (a.row === b.row) expect(a.to < b.from || b.to < a.from).toBe(true);
        // The line of the other one goes up to its own row.
        if (b.row >= a.row) expect(other.x > a.to || other.x < a.from || other.x === a.from).toBe(true);
      }),
    );
  }
});

it('places keep their distance and their order, move no more than they must, and stay where they are free', () => {
  expect(spread([0, 20, 40], 10)).toEqual([0, 20, 40]);
  expect(spread([10, 12], 10)).toEqual([6, 16]);
  for (let n = 0; n < 200; n++) {
    const at = Array.from({ length: 8 }, () => 60 * random()).sort((p, q) => p - q);
    const moved = spread(at, 7);
    moved.slice(1).forEach((x, i) => expect(x - moved[i]!).toBeGreaterThan(7 - 1e-9));
    const off = (xs: readonly number[]): number => xs.reduce((s, x, i) => s + (x - at[i]!) ** 2, 0);
    // Any small shift of one that keeps the distances is no nearer.
    for (let k = 0; k < 8; k++)
      for (const d of [0.01, -0.01]) {
        const other = moved.map((x, i) => (i === k ? x + d : x));
        if (other.slice(1).every((x, i) => x - other[i]! >= 7 - 1e-9)) expect(off(other)).toBeGreaterThanOrEqual(off(moved) - 1e-9);
      }
  }
});

it('breaks lines between words', () => {
  expect(wrapped('one two three', 7)).toEqual(['one two', 'three']);
  expect(wrapped('width 3.9 to 4.1, deep', 12)).toEqual(['width', '3.9 to 4.1,', 'deep']);
  expect(wrapped('immeasurable', 4)).toEqual(['immeasurable']);
});
