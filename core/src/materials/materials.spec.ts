import { MATERIALS, materialOf } from './index';

it('holds expansions as handbooks give them', () => {
  expect(materialOf('steel-c45')!.alphaPerK).toBe(11.5e-6);
  expect(materialOf('iron-grey')!.alphaPerK).toBe(10.5e-6);
  expect(materialOf('aluminium-6082')!.alphaPerK).toBe(23e-6);
  expect(materialOf('unobtainium')).toBeUndefined();
});

it('has one row an id, every number positive and carbide faster than steel', () => {
  expect(new Set(MATERIALS.map((m) => m.id)).size).toBe(MATERIALS.length);
  for (const m of MATERIALS) {
    expect(Math.min(m.densityKgM3, m.alphaPerK, m.speedHss)).toBeGreaterThan(0);
    expect(m.speedCarbide).toBeGreaterThan(m.speedHss);
  }
});
