import { DRILLS, inCrib, type DrillSet } from './index';

const set = (more: Partial<DrillSet>): DrillSet => ({ id: 's', version: 1, kind: 'metric', fromMm: 1, toMm: 13, stepMm: 0.5, ...more });
const names = (sets: readonly DrillSet[]): string[] => DRILLS.filter((d) => inCrib(sets, d)).map((d) => d.name);

it('a metric index from 1 to 13 by halves holds 25 drills', () => {
  const held = names([set({})]);
  expect(held).toHaveLength(25);
  expect(held.slice(0, 3)).toEqual(['1', '1.5', '2']);
});

it('an inch index from 1/16 to 1/2 by 64ths holds 29, the ends among them', () => {
  const held = names([set({ kind: 'fraction', fromMm: 25.4 / 16, toMm: 12.7, stepMm: 25.4 / 64 })]);
  expect(held).toHaveLength(29);
  expect([held[0], held.at(-1)]).toEqual(['1/16', '1/2']);
});

it('without a step every one that is sold is there, of that kind alone, and of several sets all', () => {
  const numbers = set({ kind: 'number', fromMm: 0.1, toMm: 10, stepMm: null });
  expect(names([numbers])).toHaveLength(80);
  expect(names([numbers, set({})])).toHaveLength(105);
  expect(names([])).toEqual([]);
});
