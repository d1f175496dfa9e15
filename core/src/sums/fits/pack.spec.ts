import { packsFor, packWords } from './pack';

it('0.55 of shims of 0.5, 0.2, 0.1 and 0.05 is 0.5 and 0.05', () => {
  const [best] = packsFor([0.05, 0.1, 0.2, 0.5], 0.55);
  expect([...best!.shimsMm].sort()).toEqual([0.05, 0.5]);
  expect(packWords(best!, 'mm')).toBe('1 x 0.5 + 1 x 0.05');
});

it('finds as near as any pack of up to eight does', () => {
  const atHand = [0.13, 0.31, 0.47, 1.1];
  // Every pack there is, by counts.
  const totals: number[] = [];
  for (let a = 0; a <= 8; a++)
    for (let b = 0; a + b <= 8; b++)
      for (let c = 0; a + b + c <= 8; c++) for (let d = 0; a + b + c + d <= 8; d++) totals.push(a * 0.13 + b * 0.31 + c * 0.47 + d * 1.1);
  for (const target of [0.2, 0.75, 1.234, 2.22, 3.3]) {
    const off = Math.abs(packsFor(atHand, target)[0]!.totalMm - target);
    const least = Math.min(...totals.map((t) => Math.abs(t - target)));
    expect([target, off <= least + 0.002 + 1e-9]).toEqual([target, true]);
  }
});

it('of two that are as near the one of fewer shims comes first; inch shims are told in inch', () => {
  expect(packsFor([0.1, 0.2], 0.4)[0]!.shimsMm).toEqual([0.2, 0.2]);
  expect(packWords({ shimsMm: [0.0254, 0.0254, 0.127] }, 'in')).toBe('2 x 0.001 + 1 x 0.005');
  expect(packsFor([], 0.4)).toEqual([]);
});
