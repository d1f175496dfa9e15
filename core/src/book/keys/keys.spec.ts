import { B17_1_ROWS, DIN6885_ROWS, DIN6888_ROWS } from './keys.data';
import { chordHeightMm, isListedFor, keyDepthOverMm, keySeats } from './keyseat';
import { WOODRUFF, woodruffLimits, woodruffSeat } from './woodruff';
import { keySeatLimits, keyZones } from './zones';

const seats = (shaft: number) => {
  const s = keySeats(shaft);
  if (!s.ok) throw new Error(s.problems[0]!.message);
  return s.value;
};

it.each([
  [8, 2, 2, 1.2],
  [10, 3, 3, 1.8],
  [22, 6, 6, 3.5],
  [22.01, 8, 7, 4],
  [30, 8, 7, 4],
  [50, 14, 9, 5.5],
  [110, 28, 16, 10],
  [230, 50, 28, 17],
])('DIN 6885 at %d mm: key %d x %d, t1 %d from the crown', (d, b, h, t1) => {
  const din = seats(d).find((s) => s.standard === 'DIN 6885')!;
  expect(din).toMatchObject({ widthMm: b, heightMm: h, fromCrownMm: t1 });
  expect(din.overShaftMm).toBeCloseTo(d - t1, 9);
  expect(din.afterFlatMm).toBeCloseTo(t1 - chordHeightMm(d, b), 9);
});

it.each([
  // Published S (shaft side) of ASME B17.1, table 3: 1 in with 1/4 square 0.859; 1/2 in with 1/8 square 0.430; 2 in with 1/2 square 1.718.
  [1, 0.25, 0.859],
  [0.5, 0.125, 0.43],
  [2, 0.5, 1.718],
  [0.75, 0.1875, 0.644],
])('ASME B17.1 at %d in: %d square, S %d in', (d, w, s) => {
  const square = seats(d * 25.4).find((x) => x.standard === 'ASME B17.1 square')!;
  expect(square.widthMm).toBeCloseTo(w * 25.4, 9);
  expect(square.overShaftMm / 25.4).toBeCloseTo(s, 3);
  expect(square.afterFlatMm).toBeCloseTo((w * 25.4) / 2, 9);
});

it('ASME B17.1 hub side T as published: 1 in with 1/4 square 1.114, 2 in with 1/2 square 2.223 in', () => {
  for (const [d, T] of [
    [1, 1.114],
    [2, 2.223],
  ] as const)
    expect(seats(d * 25.4).find((x) => x.standard === 'ASME B17.1 square')!.overHubMm / 25.4).toBeCloseTo(T, 3);
});

it('the tables run on without a gap, and the key has room over it', () => {
  for (const rows of [DIN6885_ROWS, B17_1_ROWS]) rows.slice(1).forEach((r, i) => expect(r[0]).toBe(rows[i]![1]));
  for (const [, , , h, t1, t2] of DIN6885_ROWS) expect(t1 + t2).toBeGreaterThan(h);
  for (const [, h, , t1, t2] of DIN6888_ROWS) expect(t1 + t2 - h).toBeCloseTo(0.2, 1);
});

it.each([
  // Least depth at the side, ASME B17.2 keyseat table, inch: from the smallest key.
  ['202', 0.0728],
  ['202.5', 0.1038],
  ['302.5', 0.0882],
  ['303', 0.1202],
  ['403', 0.1045],
  ['404', 0.1355],
  ['405', 0.1825],
  ['605', 0.1513],
  ['606', 0.2143],
  ['806', 0.183],
  ['707', 0.2607],
  ['708', 0.3237],
  ['808', 0.308],
  ['1208', 0.2455],
  ['709', 0.3697],
  ['610', 0.4483],
  ['710', 0.4327],
  ['1210', 0.3545],
  ['1012', 0.4798],
])('Woodruff %s: seat %d in deep at the side, as published', (name, depth) =>
  expect(Math.abs(WOODRUFF.find((k) => k.name === name)!.depthMm / 25.4 - depth)).toBeLessThan(0.0001),
);

it.each([
  ['404', 0.124, 0.1255],
  ['606', 0.1863, 0.188],
  ['808', 0.2487, 0.2505],
  ['1210', 0.3735, 0.3755],
] as const)('Woodruff %s: seat %d to %d in wide, and up to 0.005 in deeper, as published', (name, least, most) => {
  const key = WOODRUFF.find((k) => k.name === name)!;
  const { width, depth } = woodruffLimits(key, 8);
  expect([width!.lower / 25.4, width!.upper / 25.4]).toEqual([expect.closeTo(least, 9), expect.closeTo(most, 9)]);
  expect([depth!.lower, (depth!.upper - 8) / 25.4]).toEqual([8, expect.closeTo(0.005, 9)]);
});

it('a Woodruff key sits tight in its seat, and is driven in without shaving it; a width that the book leaves out has no limits', () => {
  for (const key of WOODRUFF.filter((k) => k.unit === 'in')) {
    const { width } = woodruffLimits(key, 8);
    if (!width) continue;
    // The key is its nominal width to 0.001 over.
    expect((key.widthMm - width.lower) / 25.4).toBeLessThan(0.0016);
    expect(width.upper).toBeGreaterThan(key.widthMm);
    expect((width.upper - key.widthMm) / 25.4).toBeLessThan(0.001);
  }
  expect(
    woodruffLimits(
      WOODRUFF.find((k) => k.name === '707')!,
      8,
    ).width,
  ).toBeUndefined();
  expect(
    woodruffLimits(
      WOODRUFF.find((k) => k.name === '5 x 6.5')!,
      4.5,
    ),
  ).toEqual({
    width: { lower: expect.closeTo(4.97, 9), upper: 5, source: expect.stringContaining('N9') },
  });
});

it('gives a Woodruff seat all its settings', () => {
  const s = woodruffSeat('606', 25.4);
  if (!s.ok) throw new Error('no seat');
  expect(s.value.key.cutterMm).toBeCloseTo(19.05, 9);
  expect(s.value.fromCrownMm - s.value.afterFlatMm).toBeCloseTo(chordHeightMm(25.4, 4.7625), 9);
  // Half the width stands out at the sides, whichever key.
  expect(s.value.standsOutMm / 25.4).toBeCloseTo(0.1875 / 2, 6);
  const din = woodruffSeat('5 x 6.5', 20);
  expect(din).toMatchObject({ value: { fromCrownMm: 4.5, cutterCentreOverCrownMm: 3.5 } });
});

it('takes 808 on 0.8745 in, warns of the unusual, refuses what leaves no shaft or no key', () => {
  expect(woodruffSeat('808', 0.8745 * 25.4)).toMatchObject({ value: { unusual: null } });
  expect(woodruffSeat('808', 0.7 * 25.4)).toMatchObject({ value: { unusual: expect.stringContaining('wide') } });
  expect(woodruffSeat('204', 25.4)).toMatchObject({ value: { unusual: expect.stringContaining('narrow') } });
  expect(woodruffSeat('808', 0.6 * 25.4)).toMatchObject({ problems: [{ message: expect.stringContaining('middle') }] });
  expect(woodruffSeat('1212', 7)).toMatchObject({ problems: [{ path: 'shaftMm' }] });
});

it('DIN 6888 keeps its ranges of shafts', () => {
  expect(woodruffSeat('10 x 16', 25)).toMatchObject({ problems: [{ message: expect.stringContaining('over 30 mm') }] });
  expect(woodruffSeat('5 x 6.5', 60)).toMatchObject({ problems: [{ message: expect.stringContaining('12 to 30') }] });
  expect(woodruffSeat('10 x 16', 60).ok).toBe(true);
});

it('mixes: an inch key in a metric shaft, a narrower one than listed', () => {
  const mixed = keySeats(25, 0.25 * 25.4);
  expect(mixed.ok && mixed.value.map((k) => k.standard)).toEqual(['ASME B17.1 square', 'ASME B17.1 flat']);
  expect(mixed.ok && mixed.value[0]!.afterFlatMm).toBeCloseTo(0.125 * 25.4, 9);
  // 3/16 in 0.9845 in, where the book lists 1/4.
  const kept = keySeats(0.9845 * 25.4, 0.1875 * 25.4);
  if (!kept.ok) throw new Error('none');
  expect(kept.value[0]!.widthMm).toBeCloseTo(4.7625, 9);
  expect(isListedFor(kept.value[0]!, 0.9845 * 25.4)).toBe(false);
  expect(keySeats(25, 7.4)).toMatchObject({ problems: [{ path: 'widthMm' }] });
  expect(keySeats(10, 8)).toMatchObject({ problems: [{ code: 'too-wide' }] });
});

it('says what is not in the book', () => {
  expect(keySeats(5)).toMatchObject({ problems: [{ code: 'out-of-table' }] });
  expect(keySeats(NaN)).toMatchObject({ problems: [{ path: 'shaftMm' }] });
  expect(woodruffSeat('999', 25)).toMatchObject({ problems: [{ path: 'name' }] });
});

it('has the zones of a key’s width as published for 8 mm (DIN 6885-1)', () => {
  const [din] = seats(25);
  const found = keyZones(din!).map((z) => [z.where, z.zone, Math.round(z.lowerMm * 1000), Math.round(z.upperMm * 1000)]);
  expect(found).toEqual([
    ['shaft', 'P9', -51, -15],
    ['shaft', 'N9', -36, 0],
    ['shaft', 'H9', 0, 36],
    ['hub', 'P9', -51, -15],
    ['hub', 'JS9', -18, 18],
    ['hub', 'D10', 40, 98],
  ]);
  expect(keyZones(seats(25).find((k) => k.standard.startsWith('ASME'))!)).toEqual([]);
});

it('a seat may be deeper by 0.1 to a key 6 x 6, 0.2 to 32 x 18, 0.3 from 36 x 20 (DIN 6885-1)', () => {
  const over = DIN6885_ROWS.map(([, , b, h]) => [b, h, keyDepthOverMm(h)]);
  const last = (by: number) => over.filter((row) => row[2] === by).at(-1);
  expect([last(0.1), last(0.2)]).toEqual([
    [6, 6, 0.1],
    [32, 18, 0.2],
  ]);
  expect(over.find(([b]) => b === 8)).toEqual([8, 7, 0.2]);
  expect(over.find(([b]) => b === 36)).toEqual([36, 20, 0.3]);
});

// Handbook tables of ASME B17.1: shaft, key; width of the seat; floor to the opposite side of the shaft; bore to roof, in.
it.each([
  [1, 0.25, [0.25, 0.252], [0.844, 0.859], [1.114, 1.124]],
  [1.5, 0.375, [0.375, 0.377], [1.274, 1.289], [1.669, 1.679]],
  [2.5, 0.625, [0.625, 0.628], [2.133, 2.148], [2.778, 2.788]],
])('an inch seat in a shaft of %f in for a key of %f has the limits of class 1', (shaftIn, keyIn, width, opposite, over) => {
  const shaftMm = shaftIn * 25.4;
  const square = seats(shaftMm).find((k) => k.standard === 'ASME B17.1 square')!;
  expect(square.widthMm / 25.4).toBeCloseTo(keyIn, 9);
  const { shaft, hub } = keySeatLimits(square);
  const inches = ({ lower, upper }: { lower: number; upper: number }) => [lower / 25.4, upper / 25.4];
  const near = (p: readonly number[], q: readonly number[]) => p.forEach((x, i) => expect(Math.abs(x - q[i]!)).toBeLessThan(0.0006));
  near(inches(shaft.width), width);
  near(inches(hub.width), width);
  near(
    inches(shaft.depth)
      .map((d) => shaftIn - d)
      .reverse(),
    opposite,
  );
  near(inches(hub.over), over);
});

it('a metric seat is N9 in the shaft and JS9 in the hub, its depth as DIN 6885 has it', () => {
  const { shaft, hub } = keySeatLimits(seats(25).find((k) => k.standard === 'DIN 6885')!);
  const um = (x: number): number => Math.round(x * 1000);
  expect([shaft.width, hub.width].map((w) => [um(w.lower), um(w.upper), w.source.slice(-3)])).toEqual([
    [7964, 8000, ' N9'],
    [7982, 8018, 'JS9'],
  ]);
  expect([um(shaft.depth.lower), um(shaft.depth.upper), um(hub.over.lower), um(hub.over.upper)]).toEqual([4000, 4200, 28_300, 28_500]);
});
