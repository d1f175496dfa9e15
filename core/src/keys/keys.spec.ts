import { B17_1_ROWS, DIN6885_ROWS, DIN6888_ROWS } from './keys.data';
import { chordHeightMm, keySeats } from './keyseat';
import { WOODRUFF, woodruffSeat } from './woodruff';

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
  ['404', 0.1405],
  ['405', 0.1875],
  ['606', 0.2193],
  ['808', 0.313],
  ['1210', 0.3595],
])('Woodruff %s: seat %d in deep at the side, as published', (name, depth) =>
  expect(Math.abs(WOODRUFF.find((k) => k.name === name)!.depthMm / 25.4 - depth)).toBeLessThan(0.0001),
);

it('gives a Woodruff seat all its settings', () => {
  const s = woodruffSeat('606', 25.4);
  if (!s.ok) throw new Error('no seat');
  expect(s.value.key.cutterMm).toBeCloseTo(19.05, 9);
  expect(s.value.fromCrownMm - s.value.afterFlatMm).toBeCloseTo(chordHeightMm(25.4, 4.7625), 9);
  expect(s.value.standsOutMm / 25.4).toBeCloseTo(0.3125 / 2 - 0.0625, 2);
  const din = woodruffSeat('5 x 6.5', 20);
  expect(din).toMatchObject({ value: { fromCrownMm: 4.5, cutterCentreOverCrownMm: 3.5 } });
});

it('says what is not in the book', () => {
  expect(keySeats(5)).toMatchObject({ problems: [{ code: 'out-of-table' }] });
  expect(keySeats(NaN)).toMatchObject({ problems: [{ path: 'shaftMm' }] });
  expect(woodruffSeat('999', 25)).toMatchObject({ problems: [{ path: 'name' }] });
  expect(woodruffSeat('1212', 20)).toMatchObject({ problems: [{ path: 'shaftMm' }] });
});
