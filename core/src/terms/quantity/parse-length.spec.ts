import fc from 'fast-check';
import { formatLength } from './format-length';
import { parseLength, type ParseLengthOptions } from './parse-length';

const inMm = { unit: 'mm' } as const;
const inInch = { unit: 'in' } as const;
const mmOf = (text: string, o: ParseLengthOptions): number => {
  const parsed = parseLength(text, o);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.problems[0]!.message}`);
  return parsed.value.valueMm;
};
const codeOf = (text: string, o: ParseLengthOptions = inMm): string => {
  const parsed = parseLength(text, o);
  return parsed.ok ? `taken as ${parsed.value.valueMm}` : parsed.problems[0]!.code;
};

describe('parseLength takes what people type', () => {
  it.each([
    ['0.7491', inInch, 19.02714],
    ['.7491', inInch, 19.02714],
    ['19.027mm', inInch, 19.027],
    ['19.027 mm', inInch, 19.027],
    ['3/4', inMm, 19.05],
    ['1 3/16', inMm, 30.1625],
    ['6-13/32', inInch, 162.71875],
    ['1 - 1/2 in', inMm, 38.1],
    ['2"', inMm, 50.8],
    ['15 thou', inMm, 0.381],
    ['2 tenths', inMm, 0.00508],
    ['12 µm', inInch, 0.012],
    ['40,25', inMm, 40.25],
    ['0,749', inInch, 19.0246],
    ['1,234.5', inMm, 1234.5],
    ['1.234,5', inMm, 1234.5],
    ['40', inMm, 40],
    ['  40.1  ', inMm, 40.1],
    ['+3 thou over 40mm', inInch, 40.0762],
    ['-0.02 over 40', inMm, 39.98],
    ['+2 thou under 1 in', inMm, 25.3492],
  ] as const)('%s in %j is %d mm', (text, options, expected) => {
    expect(mmOf(text, options)).toBeCloseTo(expected, 9);
  });

  it('measures an offset from the nominal of the spot', () => {
    expect(mmOf('+3 thou over nominal', { unit: 'mm', nominalMm: 40 })).toBeCloseTo(40.0762, 9);
    expect(codeOf('+3 thou over nominal')).toBe('no-nominal');
  });

  it.each([
    // As people write them.
    ['1½', inMm, 38.1],
    ['1 1/2 + 2 thou', inMm, 38.1508],
    ['1½" + 2 thou', inMm, 38.1508],
    ['40 - 0.02', inMm, 39.98],
    ['40 - 20 micron', inMm, 39.98],
    ['12 micron', inInch, 0.012],
    ['3/4”', inMm, 19.05],
    ['687.8', inMm, 687.8],
    ['1 - 1/2 in', inMm, 38.1],
  ] as const)('%s in %j is %d mm', (text, options, expected) => expect(mmOf(text, options)).toBeCloseTo(expected, 9));

  it.each([
    // Counted from what is expected, and said so.
    ['-3 thou', 19.05, 18.9738],
    ['3 thou under', 19.05, 18.9738],
    ['3 thou over', 19.05, 19.1262],
    ['+2 tenths', 19.05, 19.05508],
    ['−0.02', 40, 39.98],
    ['12 micron under', 40, 39.988],
  ] as const)('%s where %d is expected is %d', (text, expectedMm, mm) => {
    const parsed = parseLength(text, { unit: 'mm', expectedMm });
    expect(parsed).toMatchObject({ ok: true, value: { countedFromMm: expectedMm, valueMm: expect.closeTo(mm, 9), text } });
  });

  it('takes a signed number as the reading itself at an indicator', () => {
    const at = { unit: 'in', allowNegative: true, expectedMm: 19 } as const;
    expect(mmOf('-3 thou', at)).toBeCloseTo(-0.0762, 9);
    expect(mmOf('3 thou under', at)).toBeCloseTo(-0.0762, 9);
    expect(codeOf('3 thou under', inMm)).toBe('no-expected');
    expect(codeOf('-3 thou', inMm)).toBe('negative');
  });

  it('reads a comma with three digits where what is expected leaves one meaning', () => {
    expect(mmOf('37,960', { unit: 'mm', expectedMm: 38 })).toBeCloseTo(37.96, 9);
    expect(mmOf('19,027mm', { unit: 'in', expectedMm: 19.05 })).toBeCloseTo(19.027, 9);
    expect(mmOf('1,250', { unit: 'mm', expectedMm: 1240 })).toBeCloseTo(1250, 9);
    expect(codeOf('37,960', { unit: 'mm', expectedMm: 0.5 })).toBe('ambiguous-comma');
    expect(codeOf('37,960', inMm)).toBe('ambiguous-comma');
  });

  it('keeps the text, the unit as written and the decimals the instrument showed', () => {
    expect(parseLength(' 19.027mm ', inInch)).toEqual({ ok: true, value: { text: '19.027mm', valueMm: 19.027, unit: 'mm', decimals: 3 } });
    expect(parseLength('15 thou', inMm)).toMatchObject({ value: { unit: 'in', decimals: 3 } });
  });
});

describe('parseLength refuses nonsense with a reason and a place', () => {
  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['abc', 'not-a-number'],
    ['12 cubits', 'unknown-unit'],
    ['12 kg', 'unknown-unit'],
    ['-3', 'negative'],
    ['0', 'zero'],
    ['1e9', 'unknown-unit'],
    ['99999999', 'too-big'],
    ['19,027', 'ambiguous-comma'],
    ['3/0', 'zero-denominator'],
    ['1 5/4', 'improper-fraction'],
    ['1.2.3', 'not-a-number'],
    ['4'.repeat(400), 'too-long'],
    ['<script>alert(1)</script>', 'not-a-number'],
    ['NaN', 'not-a-number'],
    ['Infinity', 'not-a-number'],
  ])('%s: %s', (text, code) => expect(codeOf(text)).toBe(code));

  it('says where it goes wrong', () => {
    expect(parseLength('12 cubits', inMm)).toMatchObject({ problems: [{ at: 3 }] });
    expect(parseLength('19,027', inMm)).toMatchObject({ problems: [{ at: 2, message: expect.stringContaining('19.027 or 19027') }] });
  });
});

describe('parse and print', () => {
  it('reads back what it prints, in either unit', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 19_000_000 }), fc.constantFrom<'mm' | 'in'>('mm', 'in'), (micrometres, unit) => {
        const mm = micrometres / 1000;
        const back = mmOf(formatLength(mm, unit, 6), { unit });
        expect(Math.abs(back - mm)).toBeLessThan(unit === 'in' ? 1.3e-5 : 1e-6);
      }),
      { seed: 7 },
    );
  });

  it('never throws and never gives a number that is not finite', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (text) => {
        const parsed = parseLength(text, inMm);
        expect(parsed.ok ? Number.isFinite(parsed.value.valueMm) : parsed.problems.length > 0).toBe(true);
      }),
      { seed: 11, numRuns: 500 },
    );
  });
});

it.each([
  ['22 tpi', 25.4 / 22],
  ['11.5tpi', 25.4 / 11.5],
  ['8 threads per inch', 3.175],
] as const)('threads to the inch are a pitch: %s', (text, mm) => {
  expect(parseLength(text, { unit: 'mm' })).toMatchObject({ ok: true, value: { valueMm: expect.closeTo(mm, 9), unit: 'in', text } });
});

it('no threads to the inch are no pitch', () => {
  expect(parseLength('0 tpi', { unit: 'in' })).toMatchObject({ ok: false, problems: [{ code: 'zero' }] });
  expect(parseLength('tpi', { unit: 'in' }).ok).toBe(false);
});
