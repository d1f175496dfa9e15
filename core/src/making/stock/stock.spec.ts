import { newPart, volumeMm3 } from '../part';
import { barSectionMm2, chooseBars, stockFit, stockNeed, USUAL_ALLOWANCES, type Bar, type OtherStock } from './index';
import { testBar } from '../../repair/job/testing';

const pin = newPart('headed-pin', 'Pin', 40, 120);
const need = stockNeed(pin, USUAL_ALLOWANCES);
const bar = (id: string, diameterMm: number, lengthMm: number, materialId = 'steel-c45'): Bar =>
  testBar(id, { diameterMm, lengthMm, materialId });

it('adds facing, parting, grip and saw to the part', () => {
  expect(need.length.value).toBeCloseTo(120 + 2 + 3 + 25 + 2.5, 9);
  expect(need.diameter.value).toBeCloseTo(57, 9);
});

it('takes the bar with least waste, the shorter offcut of two alike', () => {
  const rack = [
    bar('long', 60, 3000),
    bar('thick', 70, 200),
    bar('off', 60, 160),
    bar('thin', 50, 900),
    bar('bronze', 60, 500, 'bronze-tin'),
  ];
  const choice = chooseBars(stockFit(pin, need, USUAL_ALLOWANCES), need, rack, volumeMm3(pin));
  if (!choice.ok) throw new Error('no bar');
  expect(choice.value.map((c) => c.bar.id)).toEqual(['off', 'long', 'thick']);
  expect(choice.value[0]!.left.value).toBeCloseTo(7.5, 9);
});

it.each([
  [[bar('a', 60, 500, 'brass')], 'no-material'],
  [[testBar('a', { shape: 'plate', innerMm: 80 })], 'no-material'],
  [[testBar('a', { pieces: 0 })], 'no-material'],
  [[bar('a', 50, 500)], 'too-thin'],
  [[bar('a', 60, 100)], 'too-short'],
])('says why no bar will do', (rack, code) => {
  expect(chooseBars(stockFit(pin, need, USUAL_ALLOWANCES), need, rack, 1)).toMatchObject({ ok: false, problems: [{ code }] });
});

describe('other stock', () => {
  const ring = newPart('plain-bush', 'Bush', 40, 50);
  const bored = Math.min(...ring.bores.flatMap((b) => b.surfaces.map((s) => s.diameterMm)));
  const need = stockNeed(ring, USUAL_ALLOWANCES);
  const bar = (id: string, more: Partial<Bar>): Bar => ({
    ...{ id, shape: 'round', materialId: ring.materialId, diameterMm: 60, innerMm: null, finish: 'black', lengthMm: 500 },
    ...{ pieces: 1, place: '', priceMinor: null, version: 1 },
    ...more,
  });
  const ids = (rack: readonly Bar[], other: OtherStock): string[] => {
    const found = chooseBars(stockFit(ring, need, USUAL_ALLOWANCES, other), need, rack, volumeMm3(ring));
    return found.ok ? found.value.map((b) => b.bar.id) : [];
  };
  const largest = Math.max(...ring.outside.map((s) => s.diameterMm));

  it('a tube with metal left in the bore wastes less than a bar; one that is wider inside will not do', () => {
    const rack = [bar('bar', {}), bar('tube', { shape: 'tube', innerMm: bored - 3 }), bar('wide', { shape: 'tube', innerMm: bored })];
    expect(ids(rack, { ownSizeMm: null, boreMm: bored })).toEqual(['tube', 'bar']);
    expect(ids(rack, { ownSizeMm: null, boreMm: null })).toEqual(['bar']);
  });
  it('a bright bar of the part’s own size stays as it is, a black one does not, nor where something fits on it', () => {
    const rack = [bar('bright', { diameterMm: largest, finish: 'bright' }), bar('black', { diameterMm: largest })];
    expect(ids(rack, { ownSizeMm: largest, boreMm: null })).toEqual(['bright']);
    expect(ids(rack, { ownSizeMm: null, boreMm: null })).toEqual([]);
  });
});

it('a hexagon is as heavy as its six triangles, and comes after every round bar unless its flats are the part’s own', () => {
  // Six triangles of a side each, counted out of their corners.
  const area = (across: number): number => {
    const at = (i: number): [number, number] => {
      const [r, a] = [across / Math.sqrt(3), (i * Math.PI) / 3];
      return [r * Math.cos(a), r * Math.sin(a)];
    };
    return [0, 1, 2, 3, 4, 5].reduce((sum, i) => {
      const [[x, y], [u, v]] = [at(i), at(i + 1)];
      return sum + (x * v - u * y) / 2;
    }, 0);
  };
  expect(barSectionMm2({ shape: 'hexagon', diameterMm: 27, innerMm: null })).toBeCloseTo(area(27), 9);
  expect(barSectionMm2({ shape: 'square', diameterMm: 27, innerMm: null })).toBe(729);
  const rack = [testBar('hex', { shape: 'hexagon', diameterMm: 58, lengthMm: 500 }), bar('thick', 80, 500)];
  const choice = chooseBars(stockFit(pin, need, USUAL_ALLOWANCES), need, rack, volumeMm3(pin));
  expect(choice).toMatchObject({ ok: true, value: [{ bar: { id: 'thick' } }, { bar: { id: 'hex' } }] });
});
