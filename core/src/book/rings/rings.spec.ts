import { leastEdgeMm, RINGS, ringsFor } from './rings';

const first = (on: 'shaft' | 'bore', size: number) => {
  const r = ringsFor(on, size);
  if (!r.ok) throw new Error(r.problems[0]!.message);
  return r.value[0]!;
};

it.each([
  ['shaft', 10, 1, 9.6, 1.1],
  ['shaft', 18, 1.2, 17, 1.3],
  ['shaft', 25, 1.2, 23.9, 1.3],
  ['shaft', 40, 1.75, 37.5, 1.85],
  ['shaft', 100, 3, 96.5, 3.15],
  ['bore', 22, 1, 23, 1.1],
  ['bore', 47, 1.75, 49.5, 1.85],
  ['bore', 80, 2.5, 83.5, 2.65],
  ['shaft', 150, 4, 145, 4.15],
  ['shaft', 200, 4, 195, 4.15],
  ['bore', 110, 4, 114, 4.15],
  ['bore', 150, 4, 155, 4.15],
  ['bore', 200, 4, 205, 4.15],
] as const)('%s %d: ring %d thick, groove %d by %d', (on, size, thick, groove, width) =>
  expect(first(on, size)).toMatchObject({ thicknessMm: thick, grooveMm: groove, widthMm: width }),
);

it('knows the groove tolerance of DIN 471: 23.9 h12 is 0 to -0.21', () => {
  expect(first('shaft', 25).grooveLimits).toEqual({ lowerMm: -0.21, upperMm: 0 });
  expect(first('bore', 47).grooveLimits).toEqual({ lowerMm: 0, upperMm: 0.25 });
});

it('keeps inch series exact and tells them from metric', () => {
  expect(first('shaft', 25.4)).toMatchObject({ standard: 'ASME B18.27', grooveMm: expect.closeTo(0.94 * 25.4, 9) });
  expect(first('bore', 19.05)).toMatchObject({ grooveMm: expect.closeTo(0.796 * 25.4, 9) });
});

it('offers a retaining washer beside a ring', () => {
  const r = ringsFor('shaft', 12);
  expect(r.ok && r.value.map((x) => [x.standard, x.grooveMm])).toEqual([
    ['DIN 471', 11.5],
    ['DIN 6799', 8],
    ['DIN 6799', 9],
    ['DIN 6799', 10],
  ]);
});

it('has every groove wider than its ring, and on the right side of the size', () => {
  for (const r of RINGS) {
    expect(r.widthMm).toBeGreaterThan(r.thicknessMm);
    expect(Math.sign(r.grooveMm - r.sizeMm)).toBe(r.on === 'shaft' ? -1 : 1);
  }
});

it.each([
  [10, 2],
  [12, 2.5],
  [15, 3],
  [19, 3.5],
  [24, 4],
])('a retaining washer in a groove of %d wants %d mm outside it (DIN 6799, n)', (groove, n) =>
  expect(leastEdgeMm(RINGS.find((r) => r.kind === 'retaining washer' && r.grooveMm === groove)!)).toBe(n),
);

it('wants three groove depths of metal outside the groove', () => expect(leastEdgeMm(first('shaft', 40))).toBeCloseTo(3.75, 9));

it('names the nearest when there is none', () => {
  expect(ringsFor('bore', 27)).toMatchObject({ problems: [{ code: 'no-ring', message: expect.stringMatching(/26 mm|28 mm/) }] });
  expect(ringsFor('shaft', 0)).toMatchObject({ problems: [{ path: 'sizeMm' }] });
});

it('over 100 mm the groove is h13 or H13: 145 is 0 to -0.63, 114 is 0 to +0.54', () => {
  expect(first('shaft', 150).grooveLimits).toEqual({ lowerMm: -0.63, upperMm: 0 });
  expect(first('bore', 110).grooveLimits).toEqual({ lowerMm: 0, upperMm: 0.54 });
});

it('inch grooves in bores to 6 in: 4 in has 4.240, 6 in 6.270', () => {
  for (const [bore, groove] of [
    [2.5, 2.648],
    [3, 3.182],
    [4, 4.24],
    [5, 5.26],
    [6, 6.27],
  ] as const)
    expect(first('bore', bore * 25.4).grooveMm / 25.4).toBeCloseTo(groove, 9);
});

it('in every series a larger size never has a shallower groove by more than a step of its table, nor a thinner ring', () => {
  const series = new Map<string, (typeof RINGS)[number][]>();
  for (const r of RINGS) if (r.kind === 'ring') series.set(`${r.standard} ${r.on}`, [...(series.get(`${r.standard} ${r.on}`) ?? []), r]);
  expect(series.size).toBe(4);
  for (const rows of series.values())
    rows.slice(1).forEach((r, i) => {
      const before = rows[i]!;
      expect(r.sizeMm).toBeGreaterThan(before.sizeMm);
      expect(r.thicknessMm).toBeGreaterThanOrEqual(before.thicknessMm);
      expect(r.widthMm).toBeGreaterThanOrEqual(before.widthMm);
      const depth = (x: typeof r): number => Math.abs(x.grooveMm - x.sizeMm);
      expect(depth(r)).toBeGreaterThan(0.8 * depth(before));
      // A groove's depth is between 1 and 4 in 100 of the size, both sides together 2 to 9.
      expect(depth(r) / r.sizeMm).toBeGreaterThan(0.02);
      expect(depth(r) / r.sizeMm).toBeLessThan(0.09);
    });
});
