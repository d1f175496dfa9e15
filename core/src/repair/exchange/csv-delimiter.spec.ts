import { delimiterOf } from './csv-delimiter';

it.each([
  ['place,station,reading', ','],
  ['place;station;reading\n1,5;2,5;3,5', ';'],
  ['place\tstation, mm\treading', '\t'],
  ['one column', ','],
  ['', ','],
  // A decimal comma in the head is outvoted, and what stands in later lines does not count.
  ['size 1,5;size 2;size 3', ';'],
  ['a;b\n,,,,,,', ';'],
])('%j is parted by %j', (csv, delimiter) => {
  expect(delimiterOf(csv)).toBe(delimiter);
});
