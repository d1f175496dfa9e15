import { choiceKey } from './choices';
import { originalSizeMm } from './made-size';
import { pictureModel } from './picture';
import { workOut } from './repair';
import { drawnPin, testChoice, testSheet, testShop } from './testing';

const places = testSheet().places.map((f) =>
  f.id === 'body' ? { ...f, startMm: 8, lengthMm: 112 } : f.id === 'land' ? { ...f, startMm: 10, lengthMm: 12 } : f,
);

it('shows the worn part from its measured places, the land inside the body', () => {
  const model = pictureModel(workOut(testSheet({ places: places }), testShop), 'worn');
  expect(model.drawn).toBe(false);
  expect(model.outline.map((p) => [p.x, Number((2 * p.r).toFixed(3))])).toEqual([
    [8, 39.68],
    [10, 39.68],
    [10, 39.975],
    [22, 39.975],
    [22, 39.68],
    [120, 39.68],
  ]);
  expect(model.mates).toMatchObject([{ name: 'Barrel bore', fromMm: 36, toMm: 76 }]);
});

it('puts readings on one axis and tells the wear against the unworn land', () => {
  const repair = workOut(testSheet({ places: places }), testShop);
  expect(originalSizeMm(repair.places[0]!)).toBe(40);
  const { stations } = pictureModel(repair, 'worn');
  expect(stations.find((s) => s.placeId === 'body')).toMatchObject({ atMm: 60, wearMm: expect.closeTo(39.975 - 39.67, 6) });
  expect(stations.filter((s) => s.placeId === 'barrel').map((s) => s.atMm)).toEqual([41, 56, 71]);
});

it('counts wear from what it was, by name, when there is no land', () => {
  const bare = testSheet({
    places: places.filter((f) => f.id !== 'land'),
    choices: [testChoice(choiceKey.nominal('body'), { sizeMm: 40, name: '40 mm f7' })],
  });
  const { stations } = pictureModel(workOut(bare, testShop), 'worn');
  expect(stations.find((s) => s.placeId === 'body')!.wearMm).toBeCloseTo(0.33, 6);
});

it('shows the new part once it is drawn, and something when nothing is known', () => {
  const sheet = testSheet({ choices: [testChoice(choiceKey.part, drawnPin())] });
  const drawn = pictureModel(workOut(sheet, testShop), 'new');
  expect(pictureModel(workOut(sheet, testShop), 'worn').drawn).toBe(false);
  expect(drawn).toMatchObject({ drawn: true, toMm: 120, largestRadiusMm: 28 });
  expect(drawn.spans.map((s) => s.id)).toEqual(['head', 'body']);
  const empty = pictureModel(workOut(testSheet({ components: [], places: [], readings: [] }), testShop), 'new');
  expect(empty).toMatchObject({ outline: [], fromMm: 0, toMm: 100 });
});
