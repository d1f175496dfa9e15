import { countOf } from '.';

it.each([
  [1, 'bar', undefined, '1 bar'],
  [0, 'bar', undefined, '0 bars'],
  [3, 'bar', undefined, '3 bars'],
  [2, 'inch', 'inches', '2 inches'],
  [1.5, 'turn', undefined, '1.5 turns'],
])('%d %s', (n, one, many, words) => expect(countOf(n, one, many)).toBe(words));
