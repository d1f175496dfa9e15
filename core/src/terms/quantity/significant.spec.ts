import { significant } from './significant';

it.each([
  [137.8, 2, '140'],
  [1.5, 3, '1.50'],
  [0.000123456, 3, '0.000123'],
  [12345, 3, '12300'],
  [-4.049, 2, '-4.0'],
  [0, 3, '0.00'],
])('%d to %d digits is %s', (value, digits, text) => expect(significant(value, digits)).toBe(text));
