import { isSlender } from './along-surface';

it('is slender from three diameters on', () => {
  expect([isSlender({ lengthMm: 75.1, diameterMm: 25 }), isSlender({ lengthMm: 74.9, diameterMm: 25 })]).toEqual([true, false]);
});
