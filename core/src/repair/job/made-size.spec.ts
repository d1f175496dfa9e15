import { choiceKey } from './choices';
import { madeSizeMm, originalSizeMm } from './made-size';
import { workOut } from './repair';
import { testChoice, testPlace, testReading, testSheet, testShop } from './testing';

const place = (id: string, land: 'worn' | 'unworn', componentId = 'pin') =>
  testPlace(id, { name: id, land, componentId, startMm: 0, lengthMm: 20, stationsMm: [10], clocksDeg: [0] });
const found = (landMm: number, chosen: boolean, landOf = 'pin') => {
  const sheet = testSheet({
    places: [place('body', 'worn'), place('land', 'unworn', landOf)],
    readings: [
      testReading({ placeId: 'body', stationMm: 10, valueMm: 39.7 }),
      testReading({ placeId: 'land', stationMm: 10, valueMm: landMm }),
    ],
    choices: chosen ? [testChoice(choiceKey.nominal('body'), { sizeMm: 40, name: '40 mm f7' })] : [],
  });
  const { places } = workOut(sheet, testShop);
  return { body: places.find((f) => f.place.id === 'body')!, places };
};

it('a place was made to what its unworn land still is', () => {
  const { body, places } = found(39.96, true);
  expect(madeSizeMm(body, places)).toBe(39.96);
});

it('a land of another size, or of another part, says nothing of it: then it is what somebody said it was', () => {
  for (const { body, places } of [found(30, true), found(39.96, true, 'barrel-part')]) expect(madeSizeMm(body, places)).toBe(40);
});

it('where nobody said and one reading cannot tell, nobody knows', () => {
  const { body } = found(30, false);
  expect(body.nominal.canTell).toBe(false);
  expect(originalSizeMm(body)).toBeNull();
  expect(madeSizeMm(body, [body])).toBeNull();
});
