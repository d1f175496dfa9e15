import { typed } from '../../terms/working';
import { choiceKey } from './choices';
import { allInAll, dayWithoutIt } from './standing-still';
import { testChoice, testSheet } from './testing';

const way = (price: number | null) => ({
  route: { id: 'w' } as never,
  price: price === null ? null : typed('price', 'price', price, 'test', '', 'price'),
});

it('a repair for 180 in two days is less than a part for 90 in ten, where a day costs 25', () => {
  expect(allInAll(way(180), 2, 2500)!.value).toBe(230);
  expect(allInAll(way(90), 10, 2500)!.value).toBe(340);
});

it('a day that costs nothing leaves the price, and so does a way that is ready now', () => {
  expect(allInAll(way(180), 2, 0)!.value).toBe(180);
  expect(allInAll(way(180), 0, 2500)!.value).toBe(180);
});

it('is whole coins, and says of what it is made', () => {
  const all = allInAll(way(10.1), 3, 1011)!;
  expect(all.value).toBeCloseTo(40.43, 9);
  expect(JSON.stringify(all)).toContain('3 days at 10.11');
});

it('without a price there is no sum, and a day costs what somebody said', () => {
  expect(allInAll(way(null), 2, 2500)).toBeNull();
  expect(dayWithoutIt(testSheet())).toBeNull();
  expect(dayWithoutIt(testSheet({ choices: [testChoice(choiceKey.standingStill, { dayMinor: 2500 })] }))).toBe(2500);
});
