import { countIn, countOf } from './count-of';

it.each([
  [1, ['bar'], '1 bar'],
  [0, ['bar'], '0 bars'],
  [3, ['bar'], '3 bars'],
  [2, ['inch', 'inches'], '2 inches'],
  [1.5, ['turn'], '1.5 turns'],
] as const)('%d %j', (n, [one, ...others], words) => expect(countOf(n, one, ...others)).toBe(words));

// Forms as grammars of these languages print them.
it.each([
  ['pl', 1, '1 pręt'],
  ['pl', 3, '3 pręty'],
  ['pl', 5, '5 prętów'],
  ['pl', 12, '12 prętów'],
  ['pl', 22, '22 pręty'],
  ['pl', 1.5, '1.5 pręta'],
])('in %s, %d', (language, n, words) => expect(countIn(language)(n, 'pręt', 'pręty', 'prętów', 'pręta')).toBe(words));

it.each([
  [0, '0 barre'],
  [1, '1 barre'],
  [2, '2 barres'],
])('in French, where nought is singular, %d', (n, words) => expect(countIn('fr')(n, 'barre', 'de barres', 'barres')).toBe(words));
