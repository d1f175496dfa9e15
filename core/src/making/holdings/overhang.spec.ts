import { supportFor } from './overhang';

it.each([
  [90, 30, 'none'],
  [91, 30, 'tailstock'],
  [300, 30, 'tailstock'],
  [301, 30, 'steady'],
] as const)('%d mm of a round of %d: %s', (overhang, diameter, support) => expect(supportFor(overhang, diameter)).toBe(support));
