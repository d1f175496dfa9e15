import { namesNow } from './names-now';

it('calls fields by today’s names however deep, and leaves every text alone', () => {
  const before = {
    list: [{ id: 'a', matesFeatureId: null, name: 'featureId' }],
    choices: [{ value: { segments: [{ fitsFeatureIds: ['a'] }], timedToFeatureId: 'a' } }],
    readings: [{ featureId: 'a', text: '"featureId": 3' }],
  };
  expect(namesNow(before)).toEqual({
    list: [{ id: 'a', matesPlaceId: null, name: 'featureId' }],
    choices: [{ value: { segments: [{ fitsPlaceIds: ['a'] }], timedToPlaceId: 'a' } }],
    readings: [{ placeId: 'a', text: '"featureId": 3' }],
  });
});

it('leaves what is called so already, and what is no object', () => {
  for (const value of [null, 3, 'features', [1, [2]], { places: [] }, { features: [{ kind: 'chamfer' }] }])
    expect(namesNow(value)).toEqual(value);
});
