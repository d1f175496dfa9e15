import { newPart, volumeMm3 } from '../part';
import { chooseBars, stockNeed, USUAL_ALLOWANCES, type Bar } from './index';
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
  const choice = chooseBars(pin, need, rack, volumeMm3(pin));
  if (!choice.ok) throw new Error('no bar');
  expect(choice.value.map((c) => c.bar.id)).toEqual(['off', 'long', 'thick']);
  expect(choice.value[0]!.left.value).toBeCloseTo(7.5, 9);
});

it.each([
  [[bar('a', 60, 500, 'brass')], 'no-material'],
  [[testBar('a', { shape: 'hexagon' })], 'no-material'],
  [[testBar('a', { pieces: 0 })], 'no-material'],
  [[bar('a', 50, 500)], 'too-thin'],
  [[bar('a', 60, 100)], 'too-short'],
])('says why no bar will do', (rack, code) => {
  expect(chooseBars(pin, need, rack, 1)).toMatchObject({ ok: false, problems: [{ code }] });
});
