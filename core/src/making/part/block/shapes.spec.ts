import { blockVolumeMm3, solidsOf } from '.';
import { newBlock } from './shapes';

it('a link 14 in long and 2 in wide has its holes 12 in apart, in the middle of its width', () => {
  const link = newBlock('link', 50.8, 355.6);
  const [left, right] = link.cuts as unknown as { atMm: number; upMm: number; diameterMm: number; made: string }[];
  expect(right!.atMm - left!.atMm).toBeCloseTo(304.8, 6);
  expect([left!.upMm, right!.upMm]).toEqual([25.4, 25.4]);
  expect(left!.made).toBe('bored');
  expect(blockVolumeMm3(link)).toBeCloseTo(355.6 * 50.8 * 25.4 - (2 * Math.PI * left!.diameterMm ** 2 * 25.4) / 4, 0);
});

it('a cap has half of a bore below, across its middle, and its bolts clear of it', () => {
  const cap = newBlock('cap', 60, 120);
  const [seat, a, b] = cap.cuts as unknown as { diameterMm: number; middleMm: number; atMm: number }[];
  expect(seat!.middleMm).toBe(60);
  expect(a!.atMm + a!.diameterMm / 2).toBeLessThan(60 - seat!.diameterMm / 2);
  expect(b!.atMm - b!.diameterMm / 2).toBeGreaterThan(60 + seat!.diameterMm / 2);
  expect(blockVolumeMm3({ ...cap, cuts: cap.cuts.slice(0, 1) })).toBeCloseTo(120 * 60 * 30 - (Math.PI * seat!.diameterMm ** 2 * 60) / 8, 0);
});

/** Whether two boxes round what is cut away meet. */
const meet = (p: readonly (readonly [number, number])[], q: readonly (readonly [number, number])[]): boolean =>
  p.every(([from, to], i) => from < q[i]![1] && q[i]![0] < to);

it.each(['link', 'cap', 'jaw'] as const)('in a %s no cut meets another, however long or wide it is', (shape) => {
  for (const [wide, long] of [
    [20, 20],
    [20, 200],
    [80, 40],
    [50.8, 355.6],
  ] as const) {
    const block = newBlock(shape, wide, long);
    const boxes = block.cuts.map((cut) =>
      solidsOf({ ...block, cuts: [cut] })
        .flatMap(({ solids }) => solids)
        .map((s) => {
          const { section } = s;
          const of = (i: 0 | 1): [number, number] => {
            if (section.kind === 'circle') {
              const middle = i ? section.b : section.a;
              return [middle - section.r, middle + section.r];
            }
            const all = section.points.map((p) => p[i]);
            return [Math.min(...all), Math.max(...all)];
          };
          const others = [of(0), of(1)];
          return (['x', 'y', 'z'] as const).map((axis) => (axis === s.axis ? ([s.fromMm, s.toMm] as const) : others.shift()!));
        }),
    );
    boxes.forEach((one, i) =>
      boxes
        .slice(i + 1)
        .forEach((other) => one.forEach((p) => other.forEach((q) => expect([wide, long, meet(p, q)]).toEqual([wide, long, false])))),
    );
  }
});
