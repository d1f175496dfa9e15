import { barLine, barSize, hasInner } from './bar';

it('is called by its size as people write it in either unit', () => {
  expect(barSize({ shape: 'round', diameterMm: 38.1, innerMm: null }, 'in')).toBe('1.5 round');
  expect(barSize({ shape: 'round', diameterMm: 40, innerMm: null }, 'mm')).toBe('40 round');
  expect(barSize({ shape: 'tube', diameterMm: 50, innerMm: 30.5 }, 'mm')).toBe('50 x 30.5 tube');
});

it('its line has the length behind the sizes', () => {
  expect(barLine({ shape: 'hexagon', diameterMm: 24, innerMm: null, lengthMm: 350 }, 'mm')).toBe('24 x 350 hexagon');
  expect(barLine({ shape: 'flat', diameterMm: 50.8, innerMm: 12.7, lengthMm: 609.6 }, 'in')).toBe('2 x 0.5 x 24 flat');
});

it('a tube and a flat have a second size, the others none', () => {
  expect((['round', 'tube', 'hexagon', 'square', 'flat'] as const).filter(hasInner)).toEqual(['tube', 'flat']);
});
