import { testBar } from '../../repair/job/testing';
import { newPart } from '../part';
import type { Bar } from './bar';
import { blockBars, blockStock } from './block-stock';

it('a block is cut from stock that is larger by two millimetres a face each way, and says so', () => {
  const block = newPart('link', 'Link', 50, 120).block!;
  expect(blockStock(block).map((f) => [f.key, f.value])).toEqual([
    ['stock.length', 124],
    ['stock.width', 54],
    ['stock.height', 29],
  ]);
});

describe('out of the rack', () => {
  const bar = (id: string, more: object) =>
    testBar(id, { shape: 'flat', materialId: 'steel-mild', diameterMm: 60, innerMm: 30, lengthMm: 1000, ...more });
  const ids = (sizes: readonly [number, number, number], ...rack: Bar[]) =>
    blockBars(sizes, 'steel-mild', rack).map((b) => [b.bar.id, b.sawMm]);

  it('whichever way round it lies in the bar, and the least waste first', () => {
    expect(ids([124, 54, 29], bar('flat', {}))).toEqual([['flat', 126.5]]);
    expect(ids([29, 124, 54], bar('flat', {}))).toEqual([['flat', 126.5]]);
    // 54 along a square of 130: shorter, but far more to chips than along the flat.
    const square = bar('square', { shape: 'square', diameterMm: 130, innerMm: null });
    expect(ids([124, 54, 29], square, bar('flat', {})).map(([id]) => id)).toEqual(['flat', 'square']);
  });

  it('not out of what is too thin, too short, another metal, round or gone', () => {
    const bad = [
      { innerMm: 28 },
      { lengthMm: 126 },
      { materialId: 'brass' },
      { shape: 'round', innerMm: null, diameterMm: 200 },
      { pieces: 0 },
    ];
    expect(ids([124, 54, 29], ...bad.map((b, i) => bar(`b${i}`, b)))).toEqual([]);
  });

  it('never takes less of the bar than the block is: saw cut and chips make up the rest', () => {
    const [found] = blockBars([124, 54, 29], 'steel-mild', [bar('flat', {})]);
    expect(60 * 30 * found!.sawMm).toBeCloseTo(124 * 54 * 29 + 1000 * found!.wasteCm3, 6);
  });
});
