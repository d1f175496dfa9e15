import type { Block } from './block';
import { blockDimensions, cutSurface } from './block-dimensions';
import { cutKindOf, type BlockCut, type BlockCutId } from './cuts';
import type { Face } from './box';

const SIZES = { lengthMm: 60, widthMm: 40, heightMm: 30 };
const cut = (kind: BlockCutId, on: Face, own: object = {}, id = 'c'): BlockCut =>
  ({ ...cutKindOf(kind).start(SIZES, on), fitsPlaceIds: [], id, kind, on, name: 'Pivot hole', ...own }) as unknown as BlockCut;
const block = (...cuts: BlockCut[]): Block => ({ ...SIZES, cuts });

it('its three sizes come first, under keys that last', () => {
  const sizes = blockDimensions(block());
  expect(sizes.map((d) => [d.key, d.value, d.what])).toEqual([
    ['block.length', 60, 'length'],
    ['block.width', 40, 'length'],
    ['block.height', 30, 'length'],
  ]);
});

it('the diameter of a hole has the hole’s own key, as a bore’s has; everything else stands behind it', () => {
  const own = blockDimensions(block(cut('hole', 'top', { diameterMm: 12, atMm: 20, upMm: 10 }))).slice(3);
  const byKey = new Map(own.map((d) => [d.key, d]));
  expect(byKey.get('c')).toMatchObject({ value: 12, what: 'inside', label: expect.stringContaining('pivot hole') });
  expect(own.filter((d) => d.key !== 'c').every((d) => d.key.startsWith('c.'))).toBe(true);
  expect(byKey.size).toBe(own.length);
});

it('a hole lies on a bore as deep as it goes: through by the block behind its face', () => {
  const deep = (on: Face, own: object = {}) => cutSurface(block(), cut('hole', on, { diameterMm: 8, ...own })).lengthMm;
  expect([deep('top'), deep('front'), deep('left')]).toEqual([30, 40, 60]);
  expect(deep('top', { reach: 'to depth', depthMm: 12 })).toBe(12);
  expect(cutSurface(block(), cut('hole', 'top', { diameterMm: 8 }))).toMatchObject({ side: 'inside', leftMm: 8, rightMm: 8, id: 'c' });
});

it('anything else lies on its face', () => {
  expect(cutSurface(block(), cut('step', 'right'))).toMatchObject({ id: 'right', name: 'right end', side: 'outside' });
});

it('angles are told in degrees, keys never repeat over many cuts', () => {
  const all = blockDimensions(
    block(...(['hole', 'slot', 'step', 'angled-face', 'half-round'] as const).map((kind, i) => cut(kind, 'top', {}, `c${i}`))),
  );
  expect(new Set(all.map((d) => d.key)).size).toBe(all.length);
  const angles = all.filter((d) => d.what === 'angle');
  expect(angles.length).toBeGreaterThan(0);
  expect(angles.every((d) => d.unit === '°')).toBe(true);
});
