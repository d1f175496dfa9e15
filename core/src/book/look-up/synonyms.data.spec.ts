import { inBookWords } from './synonyms.data';

it.each([
  ['circlip 25', 'ring 25'],
  ['snap ring 25', 'ring 25'],
  ['cotter pin for 12', 'split 12'],
  ['half moon 5 x 6.5', 'woodruff 5 x 6.5'],
  ['nut and bolt m10', 'thread and m10'],
  ['no. 10 screw', '10'],
  ['whatever 3', 'whatever 3'],
  ['', ''],
])('“%s” is “%s” in the book', (typed, words) => expect(inBookWords(typed.split(' ').filter(Boolean)).join(' ')).toBe(words));
