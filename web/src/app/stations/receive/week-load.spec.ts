import type { PromisedJob } from '@iron-patch/contract/wire';
import { weekLoad } from './week-load';

const job = (number: number, promisedOn: string): PromisedJob => ({ id: `j${number}`, number, title: `Pin ${number}`, promisedOn });
// 2026-12-03 is a Thursday.
const jobs = [job(1, '2026-11-30'), job(2, '2026-12-06'), job(3, '2026-12-07'), job(4, '2026-11-27')];

it.each([
  ['2026-12-03', null, '2 more that week: 1 Pin 1, 2 Pin 2; 1 before it.'],
  ['2026-12-03', 'j1', '1 more that week: 2 Pin 2; 1 before it.'],
  ['2026-12-13', null, '1 more that week: 3 Pin 3; 3 before it.'],
  ['2027-01-13', null, 'Nothing else is promised that week.'],
  [null, null, null],
])('for %s, but %s: %s', (on, but, words) => expect(weekLoad(jobs, on, but)).toBe(words));

it('names three and counts the rest', () => {
  const many = Array.from({ length: 6 }, (_, i) => job(i + 1, '2026-12-03'));
  expect(weekLoad(many, '2026-12-03', null)).toContain('3 Pin 3 and 3 more.');
});
