import { testShop } from '@iron-patch/core/testing';
import { inTheShop } from './in-the-shop';

const words = (text: string): string[] => inTheShop(testShop, text, 'mm').map((t) => `${t.what}: ${t.words}`);

it('finds what the shop has by words that begin one of its own', () => {
  const [first] = testShop.instruments;
  expect(words(first!.name.toLowerCase())).toContainEqual(expect.stringContaining(`Instrument: ${first!.name}`));
  expect(words('person')).toHaveLength(testShop.people.length);
  expect(words('house rule')).toHaveLength(testShop.houseRules.length);
  // The middle of a word is none.
  expect(words('erson')).toEqual([]);
  expect(words('')).toEqual([]);
});
