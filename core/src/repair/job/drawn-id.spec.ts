import { drawnId, isDrawnFrom, placeOf } from './drawn-id';

it('says of which place something was drawn, and of nothing else', () => {
  expect(placeOf(drawnId('seat'))).toBe('seat');
  expect(placeOf('body')).toBeNull();
});

it('a place that comes twice along the part has two surfaces of it; one whose id only begins alike has none', () => {
  expect(isDrawnFrom(drawnId('seat'), 'seat')).toBe(true);
  expect(isDrawnFrom(`${drawnId('seat')}-2`, 'seat')).toBe(true);
  expect(isDrawnFrom(drawnId('seats'), 'seat')).toBe(false);
  expect(isDrawnFrom('seat', 'seat')).toBe(false);
});
