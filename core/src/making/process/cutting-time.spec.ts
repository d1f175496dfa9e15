import { passesMin } from './cutting-time';

it('a roughing pass of 97 mm at 400 rpm and 0.25 mm a turn is a minute at the tool, and half of one to measure', () => {
  expect(passesMin('rough', 1, 97, 400)).toBeCloseTo(1.5, 9);
  expect(passesMin('rough', 4, 97, 400)).toBeCloseTo(6, 9);
});

it('a finishing pass goes slower and is measured longer; no pass takes no time', () => {
  expect(passesMin('finish', 1, 97, 400)).toBeGreaterThan(passesMin('rough', 1, 97, 400));
  expect(passesMin('rough', 0, 97, 400)).toBe(0);
});
