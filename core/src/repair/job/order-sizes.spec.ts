import { orderSizes } from './order-sizes';

const first = (...args: Parameters<typeof orderSizes>): string | undefined => orderSizes(...args)[0]?.name;

it.each([
  // AS568-210: 0.734 in x 0.139 in.
  ['o-ring', 18.7, 3.5, 'AS568 -210'],
  ['lip-seal', 25, 40, '25 x 40 x 7'],
  // DIN 471 25 x 1.2.
  ['retaining-ring', 25, null, 'DIN 471 25'],
  ['retaining-ring', null, 52, 'DIN 472 52'],
  // ISO 1234: bolts over 14 to 20 mm take a 4 mm pin.
  ['split-pin', 16, null, 'ISO 1234, 4 mm'],
  ['bolt', 9.9, 1.5, 'M10'],
  ['bearing', 20, 47, '6204'],
] as const)('%s of %p and %p: %s', (kind, one, two, name) => expect(first(kind, one, two, 'mm')).toBe(name));

it('says nothing where nothing was measured, or no table tells', () => {
  expect(orderSizes('o-ring', null, 3, 'mm')).toEqual([]);
  expect(orderSizes('gasket', 40, 50, 'mm')).toEqual([]);
  expect(orderSizes('bolt', 10, null, 'mm')).toEqual([]);
});
