import { materialOf } from '../../book/materials';
import { drillBench, withMissing } from './drill-bench';
import { testSheet, testShop } from './testing';

it('through two metals the one that bears the slower drill says how fast', () => {
  const [steel, light] = [materialOf('steel-c45')!, materialOf('aluminium-6082')!];
  expect(drillBench([steel.id, light.id], testSheet(), testShop).hssMMin).toBe(Math.min(steel.speedHss, light.speedHss));
  expect(drillBench([], testSheet(), testShop).hssMMin).toBe(0);
});

it('a tool that the crib lists none of that size of is said first', () => {
  const need = { id: 'h', title: 'Hole', settings: [], cuts: null, words: ['Square.'], tools: [{ kind: 'tap', thread: 'M8' } as const] };
  const tap = { id: 't', kind: 'tap', sizeMm: null, thread: 'M10', note: '', pieces: 1, version: 1 } as const;
  expect(withMissing(need, testSheet(), { ...testShop, tools: [tap] }).words).toEqual(['Not in the crib: Tap M8, for Hole.', 'Square.']);
  expect(withMissing(need, testSheet(), { ...testShop, tools: [] }).words).toEqual(['Square.']);
});
