import { havingWords } from './having-words';

it.each([
  ['25 outside', 'Outside mic 25 to 50', true],
  ['  MIC  ', 'Outside mic 25 to 50', true],
  ['', 'Outside mic', true],
  ['outside bore', 'Outside mic 25 to 50', false],
])('“%s” in “%s”: %s', (typed, text, found) => {
  expect(havingWords(typed)(text)).toBe(found);
});
