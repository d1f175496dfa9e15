import type { Block } from './block';
import { cutKindOf, type BlockCut, type BlockCutId } from './cuts';
import type { Face } from './box';
import { blockProblems, MOST_BLOCK_MM } from './validate-block';

const SIZES = { lengthMm: 60, widthMm: 40, heightMm: 30 };
const cut = (kind: BlockCutId, on: Face, own: object = {}, id = 'c'): BlockCut =>
  ({ ...cutKindOf(kind).start(SIZES, on), fitsPlaceIds: [], id, kind, on, name: 'It', ...own }) as unknown as BlockCut;
const paths = (block: Block): string[] => blockProblems(block).map((p) => p.path);

it('a plain box is right, also with every kind of cut as it starts on every face', () => {
  expect(blockProblems({ ...SIZES, cuts: [] })).toEqual([]);
  for (const kind of ['hole', 'slot', 'step', 'angled-face', 'half-round'] as const)
    for (const on of ['top', 'bottom', 'front', 'back', 'left', 'right'] as const)
      expect([kind, on, paths({ ...SIZES, cuts: [cut(kind, on)] })]).toEqual([kind, on, []]);
});

it.each([
  ['none at all', { lengthMm: 0 }, ['block.lengthMm']],
  ['below nought', { widthMm: -1 }, ['block.widthMm']],
  ['no number', { heightMm: NaN }, ['block.heightMm']],
  ['beyond what anybody mills', { lengthMm: MOST_BLOCK_MM + 0.1 }, ['block.lengthMm']],
  ['two at once', { lengthMm: 0, heightMm: 0 }, ['block.lengthMm', 'block.heightMm']],
])('a size that is %s is told at its field, and nothing else meanwhile', (_, own, wrong) =>
  expect(paths({ ...SIZES, ...own, cuts: [cut('hole', 'top', { diameterMm: -1 })] })).toEqual(wrong),
);

it('what is wrong with a cut is told by where it stands in the list and its field', () => {
  const cuts = [cut('hole', 'top'), cut('hole', 'top', { atMm: 59, diameterMm: 16 }, 'd')];
  expect(paths({ ...SIZES, cuts }).every((p) => p.startsWith('block.cuts.1.'))).toBe(true);
  expect(paths({ ...SIZES, cuts })).not.toEqual([]);
  expect(paths({ ...SIZES, cuts: [cut('hole', 'top', { diameterMm: NaN })] })).toEqual(['block.cuts.0.diameterMm']);
});

it('a face that a block does not have is no face, whatever it is called', () => {
  for (const on of ['', 'sideways', 'toString'])
    expect(paths({ ...SIZES, cuts: [{ ...cut('hole', 'top'), on: on as Face }] })).toEqual(['block.cuts.0.on']);
});

it('two things of one id are told once', () => {
  expect(paths({ ...SIZES, cuts: [cut('hole', 'top'), cut('slot', 'bottom')] })).toEqual(['block']);
  expect(paths({ ...SIZES, cuts: [cut('hole', 'top', {}, 'block')] })).toEqual(['block']);
});
