import { aboutIn } from './about-in';

it('in the line’s own unit, and in the job’s beside it where that is another', () => {
  expect(aboutIn(6.3754, 'in', 'in')).toBe('0.2510');
  expect(aboutIn(6.3754, 'mm', 'in')).toBe('6.375 (0.2510 in)');
  expect(aboutIn(25.4, 'in', 'mm')).toBe('1.0000 (25.400 mm)');
});
