import type { Bar, StockFit } from '../../making/stock';
import { addedFeature } from '../../making/drawing';
import { newPart, type Part } from '../../making/part';
import { bowsWords, unknownBarWords, willNotDo } from './chosen-bar';

const bar: Bar = {
  ...{ id: 'b', materialId: 'steel-c45', shape: 'round', diameterMm: 50.8, innerMm: null, lengthMm: 508, finish: 'black' },
  ...{ place: '', pieces: 1, priceMinor: null, version: 1 },
};
const fit: StockFit = {
  ...{ materialId: 'steel-c45', lengthMm: 254, diameterMm: 40, unknownBarId: null, thickMm: 200, cutsOff: true },
  ...{ ownSizeMm: null, toLimits: false, boreMm: null },
};

it('a bar that will do needs no words; the last of it taken, it still is the one that was chosen', () => {
  expect(willNotDo(bar, fit, 'in')).toEqual([]);
  expect(willNotDo({ ...bar, pieces: 0 }, fit, 'in')).toEqual([]);
});

it.each([
  [{ diameterMm: 38.1 }, 'mm', 'The bar that was chosen, 38.1 mm x 508 mm, is thinner than 40 mm.'],
  [{ lengthMm: 203.2 }, 'in', 'The bar that was chosen, 2 in x 8 in, is shorter than 10 in.'],
  [
    { materialId: 'brass' },
    'in',
    'The bar that was chosen, 2 in x 20 in, is Free-cutting brass (CuZn39Pb3, C38500), and the part is drawn in Medium carbon steel',
  ],
] as const)('%j will not do', (other, unit, words) => expect(willNotDo({ ...bar, ...other }, fit, unit).join()).toContain(words));

it('one of unknown metal will do where somebody chose it, and only that one', () => {
  const unknown = { ...bar, id: 'u', materialId: 'unknown' };
  expect(willNotDo(unknown, { ...fit, unknownBarId: 'u' }, 'mm')).toEqual([]);
  expect(willNotDo(unknown, fit, 'mm').join()).toContain('is material not known');
  expect(unknownBarWords('steel-c45')).toContain('it counts as Medium carbon steel');
});

it('one of another shape says that, not that its metal is wrong', () =>
  expect(willNotDo({ ...bar, shape: 'plate', diameterMm: 400, innerMm: 300 }, fit, 'mm')[0]).toContain(
    'is a plate: no blank comes out of it that is held so',
  ));

it('a hollow one says whether the part is solid, or its bore is too wide', () => {
  const tube = { ...bar, shape: 'tube', innerMm: 30 } as const;
  expect(willNotDo(tube, fit, 'mm')[0]).toContain('the part is solid at one end or all through');
  expect(willNotDo(tube, { ...fit, boreMm: 28 }, 'mm')[0]).toContain('a bore of 30 mm: too wide to be bored to 28 mm');
  expect(willNotDo(tube, { ...fit, boreMm: 34 }, 'mm')).toEqual([]);
});

describe('a bright bar that is cut on one side', () => {
  const shaft = (lengthMm: number): Part => ({ ...newPart('plain-pin', 'Shaft', 25, lengthMm), features: [] });
  const keyed = (lengthMm: number): Part => addedFeature(shaft(lengthMm), shaft(lengthMm).outside[0]!.id, 'keyseat', 'k', {})!.part;
  const drawn = { finish: 'bright', materialId: 'steel-c45' } as const;
  it('bows where it is slender; a black one, a short one and one that is only turned do not', () => {
    expect(bowsWords(keyed(400), drawn)).toContain('before the last cuts');
    expect(bowsWords(keyed(400), { ...drawn, finish: 'black' })).toBe('');
    expect(bowsWords(keyed(400), { finish: 'black', materialId: 'steel-1018-drawn' })).not.toBe('');
    expect(bowsWords(keyed(100), drawn)).toBe('');
    expect(bowsWords(shaft(400), drawn)).toBe('');
    expect(bowsWords(keyed(400), null)).toBe('');
  });
});
