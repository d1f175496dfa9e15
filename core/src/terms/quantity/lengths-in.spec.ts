import { aLength, lengthsIn } from './lengths-in';

const said = (name: string): string => `${name} is ${aLength(57.87)} long, and ${aLength(25.4)} goes on it.`;

it('tells the lengths of a sentence in the unit of whoever reads it', () => {
  expect(lengthsIn('mm', said('Body'))).toBe('Body is 57.87 mm long, and 25.40 mm goes on it.');
  expect(lengthsIn('in', said('Body'))).toBe('Body is 2.278 in long, and 1.000 in goes on it.');
});

it('leaves a name that somebody gave as it was typed', () =>
  expect(lengthsIn('in', said('Seat 20 mm'))).toBe('Seat 20 mm is 2.278 in long, and 1.000 in goes on it.'));
