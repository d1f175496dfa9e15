import { newPart } from '../part';
import { blockStock } from './block-stock';

it('a block is cut from stock that is larger by two millimetres a face each way, and says so', () => {
  const block = newPart('link', 'Link', 50, 120).block!;
  expect(blockStock(block).map((f) => [f.key, f.value])).toEqual([
    ['stock.length', 124],
    ['stock.width', 54],
    ['stock.height', 29],
  ]);
});
