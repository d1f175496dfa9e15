import { askedSizes, sizeAmong } from './asked-size';

/** Each size with the ends of the band, by hand. */
it.each([
  ['25', [24.5, 25.5], [622.3, 647.7]],
  ['25.01', [25.005, 25.015], [635.127, 635.381]],
  ['0.7500', [0.74995, 0.75005], [19.04873, 19.05127]],
  ['25.01mm', [25.005, 25.015]],
  ['.750 in', [19.0373, 19.0627]],
])('%s', (text, ...bands) => {
  const asked = askedSizes(text);
  expect(asked).toHaveLength(bands.length);
  for (const [i, [from, to]] of (bands as [number, number][]).entries()) {
    expect(asked[i]!.fromMm).toBeCloseTo(from, 5);
    expect(asked[i]!.toMm).toBeCloseTo(to, 5);
  }
});

it('takes a fraction for inches, a sixty-fourth either way', () => {
  const [one, ...more] = askedSizes('1 3/16');
  expect(more).toEqual([]);
  expect([one!.fromMm, one!.toMm].map((mm) => mm / 25.4)).toEqual([expect.closeTo(1.171875, 6), expect.closeTo(1.203125, 6)]);
});

it.each(['', 'pin', '-4', '0', '1/0', 'nominal'])('is empty for %j', (text) => expect(askedSizes(text)).toEqual([]));

describe('a size among words', () => {
  const among = (text: string) => {
    const { sizes, rest } = sizeAmong(text.split(' '));
    return [sizes[0] && [sizes[0].fromMm, sizes[0].toMm], rest.join(' ')];
  };

  it('is the one with a unit, a point or a stroke, else the whole number before a fit, else the first', () => {
    expect(among('winch 2 25.01 bore')).toEqual([[expect.closeTo(25.005, 9), expect.closeTo(25.015, 9)], 'winch 2 bore']);
    expect(among('winch 2 25 k6 seat')).toEqual([[24.5, 25.5], 'winch 2 k6 seat']);
    expect(among('7 30 mm loader')).toEqual([[29.5, 30.5], '7 loader']);
    expect(among('25 seat 30')).toEqual([[24.5, 25.5], 'seat 30']);
  });

  it('is none where no word is one', () => {
    expect(among('k6 seat')).toEqual([undefined, '']);
    expect(sizeAmong([])).toEqual({ sizes: [], rest: [], sure: 0 });
  });
});
