import { parseNumberList } from './parse-number-list';

it.each([
  ['5, 20, 35', [5, 20, 35]],
  ['5,20,35', [5, 20, 35]],
  ['5 20 35', [5, 20, 35]],
  ['4,5; 20', [4.5, 20]],
  ['0.5; 1.5;', [0.5, 1.5]],
  ['1/2, 1 3/16', [0.5, 1.1875]],
  ['1 3/16 2', [1.1875, 2]],
  [' 7 ', [7]],
])('%s', (text, numbers) => expect(parseNumberList(text)).toEqual({ ok: true, value: numbers }));

it.each([
  ['', 'empty'],
  [' ; ', 'empty'],
  ['5, x, 7', 'not-a-number'],
  ['-5', 'not-a-number'],
])('"%s" is refused', (text, code) => {
  expect(parseNumberList(text)).toMatchObject({ ok: false, problems: [{ code }] });
});
