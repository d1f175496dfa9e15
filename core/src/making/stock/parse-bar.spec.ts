import * as fc from 'fast-check';
import { BAR_SHAPES, barLine, hasInner, parseBar, type TypedBar } from './index';
import { MATERIALS } from '../../book/materials';

const bar = (text: string, unit: 'mm' | 'in' = 'mm'): Partial<TypedBar> | string => {
  const parsed = parseBar(text, unit);
  return parsed.ok ? parsed.value : parsed.problems[0]!.code;
};

it('reads a tag as it is written', () => {
  expect(bar('1 1/2 x 14 C45 black, bin 3', 'in')).toEqual({
    shape: 'round',
    materialId: 'steel-c45',
    diameterMm: 38.1,
    innerMm: null,
    finish: 'black',
    lengthMm: expect.closeTo(355.6, 9),
    pieces: 1,
    place: 'bin 3',
    priceMinor: null,
  });
});

it.each([
  [
    '25 mm x 3 m 304 ground, rack A2, 4 off',
    { diameterMm: 25, lengthMm: 3000, materialId: 'stainless-304', finish: 'ground', pieces: 4, place: 'rack A2' },
  ],
  ['tube 50 x 30 x 400 CuSn12', { shape: 'tube', diameterMm: 50, innerMm: 30, lengthMm: 400, materialId: 'bronze-tin' }],
  ['50 x 10 x 1200 flat S235JR black', { shape: 'flat', diameterMm: 50, innerMm: 10, lengthMm: 1200, materialId: 'steel-mild' }],
  ['19 x 900 hex 303', { shape: 'hexagon', diameterMm: 19, materialId: 'stainless-303' }],
  ['38,1 x 350 1045, bin 3', { diameterMm: 38.1, lengthMm: 350, materialId: 'steel-c45', place: 'bin 3' }],
  ['20 x 1000 unknown @ 12.50', { materialId: 'unknown', priceMinor: 1250 }],
  ['20 x 1000', { materialId: 'unknown', finish: 'not-said', pieces: 1 }],
  ['20 x 1000 steel', { materialId: 'unknown' }],
  ['Ø30×500 leaded bronze, shelf', { diameterMm: 30, lengthMm: 500, materialId: 'bronze-leaded', place: 'shelf' }],
  ['1 7/8 x 11 leaded bronze', { diameterMm: 47.625, lengthMm: expect.closeTo(279.4, 6), materialId: 'bronze-leaded' }],
  ['tube 127 x 20 wall x 900 S355', { shape: 'tube', diameterMm: 127, innerMm: 87, lengthMm: 900, materialId: 'steel-s355' }],
  ['127 x 20 bore x 900 tube', { shape: 'tube', diameterMm: 127, innerMm: 20, lengthMm: 900 }],
  ['tube 5 x 1/2 wall x 36', { diameterMm: expect.closeTo(127, 6), innerMm: expect.closeTo(101.6, 6), lengthMm: expect.closeTo(914.4, 6) }],
  ['tube 2 x 1-1/4 x 12 S355J2', { diameterMm: expect.closeTo(50.8, 6), innerMm: 31.75, lengthMm: expect.closeTo(304.8, 6) }],
  ['3/4 x 900 mm C45', { diameterMm: 19.05, lengthMm: 900 }],
  ['3/4" x 6 ft 4140', { diameterMm: 19.05, lengthMm: expect.closeTo(1828.8, 6) }],
  ['40 x 200 CuSn12 @ 31,5, drawer, left', { materialId: 'bronze-tin', priceMinor: 3150, place: 'drawer, left' }],
])('%s', (text, what) => expect(bar(text)).toMatchObject(what));

it.each([
  ['', 'no-sizes'],
  ['C45 black', 'no-sizes'],
  ['20 C45', 'no-sizes'],
  ['20 x 1000 unobtanium', 'no-such-material'],
  ['20 x 1000 aluminium', 'which-material'],
  ['50 x 30 x 400', 'which-shape'],
  ['tube 127 x 20 x 900 S355', 'which-inner'],
  ['tube 50 x 25 wall x 400', 'wall-too-thick'],
  ['flat 60 x 8 wall x 500', 'inner-of-what'],
  ['tube 50 x 30 x 400 bore', 'inner-of-what'],
  ['50 x 400 wall C45', 'inner-of-what'],
  ['tube 50 x 400', 'too-few-sizes'],
  ['tube 30 x 50 x 400', 'inner-too-large'],
  ['hex 30 x 50 x 400', 'too-many-sizes'],
  ['0 x 400', 'zero'],
])('asks about %s: %s', (text, code) => expect(bar(text)).toBe(code));

it('reads back what it writes, in either unit', () => {
  const size = fc.integer({ min: 40, max: 4000 }).map((n) => n / 8);
  const any = fc.record({
    shape: fc.constantFrom(...BAR_SHAPES),
    material: fc.constantFrom(...MATERIALS),
    size,
    inner: fc.double({ min: 0.2, max: 0.9, noNaN: true }),
    length: size,
    unit: fc.constantFrom('mm' as const, 'in' as const),
  });
  fc.assert(
    fc.property(any, ({ shape, material, size: diameterMm, inner, length, unit }) => {
      const innerMm = hasInner(shape) ? diameterMm * inner : null;
      const line = barLine({ shape, diameterMm, innerMm, lengthMm: length }, unit);
      const read = parseBar(`${line} ${material.id}`, unit);
      return (
        read.ok &&
        read.value.shape === shape &&
        read.value.materialId === material.id &&
        Math.abs(read.value.diameterMm - diameterMm) < 0.01 &&
        Math.abs(read.value.lengthMm - length) < 0.2
      );
    }),
  );
});

it('never throws, and never takes a bar of no size', () => {
  fc.assert(
    fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[0-9 ./x,a-zC@]{0,30}$/)), (text) => {
      const parsed = parseBar(text, 'mm');
      return !parsed.ok || (parsed.value.diameterMm > 0 && parsed.value.lengthMm > 0);
    }),
  );
});

it.each([
  ['1.750 x 36 chromed', 'steel-chrome-rod'],
  ['45 x 900 chrome C45', 'steel-c45'],
  ['45 x 900 chromed unknown', 'unknown'],
  ['45 x 900 black', 'unknown'],
])('a chromed bar of which nothing else is said is a piston rod’s: %s', (text, materialId) => {
  expect(parseBar(text, 'mm')).toMatchObject({ ok: true, value: { materialId } });
});

it.each([
  ['7/16 x 12 1018 bright', 'steel-1018-drawn'],
  ['7/16 x 12 1018 black', 'steel-mild'],
  ['7/16 x 12 1018', 'steel-mild'],
  ['7/16 x 12 1045 bright', 'steel-c45'],
])('of two steels with one mark a bright bar is the drawn one: %s', (text, materialId) => {
  expect(parseBar(text, 'in')).toMatchObject({ ok: true, value: { materialId } });
});
