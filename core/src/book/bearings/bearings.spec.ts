import { BEARINGS, bearingOf, nearestBearings } from './sizes';
import { boreTolerance, housingSeat, outsideTolerance, shaftSeat } from './seats';

it.each([
  ['608', 8, 22, 7],
  ['6204', 20, 47, 14],
  ['6000', 10, 26, 8],
  ['6020', 100, 150, 24],
  ['6305', 25, 62, 17],
  ['6320', 100, 215, 47],
  ['61805', 25, 37, 7],
  ['61904', 20, 37, 9],
  ['4907', 35, 55, 20],
])('%s is %d x %d x %d mm', (code, d, D, B) => expect(bearingOf(code)).toMatchObject({ boreMm: d, outsideMm: D, widthMm: B }));

it('keeps inch series exact', () => {
  expect(bearingOf('R8')).toMatchObject({ boreMm: 12.7, outsideMm: 28.575, widthMm: 6.35, unit: 'in' });
  expect(bearingOf('RLS8')!.outsideMm).toBeCloseTo(2.25 * 25.4, 9);
  expect(bearingOf('RMS10')!.widthMm).toBeCloseTo(0.875 * 25.4, 9);
});

it('reads a code with what stands behind it, and knows none that is not in the book', () => {
  for (const text of ['6204-2RS', '6204 C3', ' 6204zz', '6204/p6']) expect(bearingOf(text)?.code).toBe('6204');
  expect(bearingOf('R4A')?.outsideMm).toBeCloseTo(19.05, 9);
  expect(bearingOf('r4-zz')?.outsideMm).toBeCloseTo(15.875, 9);
  for (const text of ['', '6204444', '9999', 'R', '62']) expect(bearingOf(text)).toBeUndefined();
});

it('follows the rule of the bore code: from 04 on the bore is five times it, and series grow in D', () => {
  for (const b of BEARINGS.filter((x) => x.kind === 'ball' && x.unit === 'mm')) {
    const code = b.code.slice(b.series.length);
    if (code.length === 2 && Number(code) >= 4) expect(b.boreMm).toBe(5 * Number(code));
    expect(b.outsideMm).toBeGreaterThan(b.boreMm);
  }
  const D = (code: string): number => bearingOf(code)!.outsideMm;
  for (const code of ['00', '05', '10', '15', '20'])
    expect([D(`618${code}`), D(`619${code}`), D(`60${code}`), D(`62${code}`), D(`63${code}`)]).toEqual(
      [D(`618${code}`), D(`619${code}`), D(`60${code}`), D(`62${code}`), D(`63${code}`)].sort((a, b) => a - b),
    );
  expect(new Set(BEARINGS.map((b) => b.code)).size).toBe(BEARINGS.length);
});

it('names the bearing nearest to what was measured', () => {
  expect(nearestBearings({ boreMm: 19.98, outsideMm: 46.97, widthMm: 13.9 }, 1)[0]!.code).toBe('6204');
  expect(nearestBearings({ outsideMm: 28.57, boreMm: 12.69 }, 1)[0]!.code).toBe('R8');
});

it('has the tolerances of ISO 492', () => {
  expect(boreTolerance(25, 'normal')).toMatchObject({ value: { lowerMm: -0.01, upperMm: 0 } });
  expect(boreTolerance(30, 'normal')).toMatchObject({ value: { lowerMm: -0.01 } });
  expect(boreTolerance(30.01, '6')).toMatchObject({ value: { lowerMm: -0.01 } });
  expect(outsideTolerance(52, 'normal')).toMatchObject({ value: { lowerMm: -0.013 } });
  expect(outsideTolerance(150, '6')).toMatchObject({ value: { lowerMm: -0.015 } });
  for (const size of [0, -5, NaN, 900]) expect(boreTolerance(size, 'normal')).toMatchObject({ ok: false });
});

it('makes the seats that bearing practice prints', () => {
  expect(shaftSeat(25, 'normal', 'inner')).toMatchObject({
    value: { zone: 'k5', leastClearanceMm: expect.closeTo(-0.021, 9), mostClearanceMm: expect.closeTo(-0.002, 9) },
  });
  expect(housingSeat(52, 'normal', 'inner')).toMatchObject({
    value: { zone: 'H7', leastClearanceMm: 0, mostClearanceMm: expect.closeTo(0.043, 9) },
  });
  expect(shaftSeat(40, 'normal', 'outer')).toMatchObject({ value: { zone: 'g6' } });
  expect(housingSeat(80, 'normal', 'outer')).toMatchObject({ value: { zone: 'N7', mostClearanceMm: expect.closeTo(0.004, 9) } });
  expect(shaftSeat(60, 'heavy', 'inner')).toMatchObject({ value: { zone: 'm6' } });
});

it.each([
  ['6204-2RS', '6204'],
  ['6205ZZ', '6205'],
  ['6204 C3', '6204'],
  ['NA4905', '4905'],
  ['HK1612', 'cup 16 x 22 x 12'],
  ['R8-2RS', 'R8'],
  ['NU205', 'NU205'],
  ['30206', '30206'],
  ['32008X', '32008X'],
  ['7206B', '7206'],
])('%s is found as %s', (typed, code) => expect(bearingOf(typed)?.code).toBe(code));

it('sealed inch bearings are wider: R8 1/4 open, 5/16 sealed; R12 7/16; R16 1/2 in', () => {
  for (const [code, open, sealed] of [
    ['R8', 0.25, 0.3125],
    ['R12', 0.3125, 0.4375],
    ['R16', 0.375, 0.5],
  ] as const) {
    const b = bearingOf(code)!;
    expect([b.widthMm / 25.4, b.sealedWidthMm! / 25.4]).toEqual([expect.closeTo(open, 6), expect.closeTo(sealed, 6)]);
  }
});

it('rollers, taper and angular ones have their principal sizes', () => {
  const sizes = (code: string) => {
    const { boreMm, outsideMm, widthMm } = bearingOf(code)!;
    return [boreMm, outsideMm, widthMm];
  };
  expect(sizes('NU206')).toEqual([30, 62, 16]);
  expect(sizes('7305')).toEqual([25, 62, 17]);
  expect(sizes('30205')).toEqual([25, 52, 16.25]);
  expect(sizes('30308')).toEqual([40, 90, 25.25]);
  expect(sizes('32007X')).toEqual([35, 62, 18]);
});
