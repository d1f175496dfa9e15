import { MATERIAL_CAUTIONS, MATERIAL_SUBSTITUTES } from './advice.data';
import { CUTTING } from './cutting.data';
import { enduranceGuideMpa, MATERIALS, materialOf } from './index';

it('holds expansions as handbooks give them', () => {
  expect(materialOf('steel-c45')!.alphaPerK).toBe(11.5e-6);
  expect(materialOf('iron-grey')!.alphaPerK).toBe(10.5e-6);
  expect(materialOf('bronze-tin')!.alphaPerK).toBe(18e-6);
  expect(materialOf('brass')!.alphaPerK).toBe(19e-6);
  expect(materialOf('aluminium-6082')!.alphaPerK).toBe(23e-6);
  expect(materialOf('stainless-304')!.alphaPerK).toBe(17.3e-6);
  expect(materialOf('unobtainium')).toBeUndefined();
});

it('has about forty rows or more, one an id, with every number plausible', () => {
  expect(MATERIALS.length).toBeGreaterThanOrEqual(40);
  expect(new Set(MATERIALS.map((m) => m.id)).size).toBe(MATERIALS.length);
  for (const m of MATERIALS) {
    expect(Math.min(m.densityKgM3, m.alphaPerK, m.speedHss, m.youngMpa, m.tensileMpa)).toBeGreaterThan(0);
    expect(m.speedCarbide).toBeGreaterThan(m.speedHss);
    expect(m.poisson).toBeGreaterThan(0.2);
    expect(m.poisson).toBeLessThan(0.5);
    if (m.yieldMpa !== null) expect(m.yieldMpa).toBeLessThanOrEqual(m.tensileMpa);
    expect((m.kc11 === null) === (m.mc === null)).toBe(true);
  }
});

it('its data files speak of the same materials', () => {
  const ids = MATERIALS.map((m) => m.id);
  expect(Object.keys(CUTTING).sort()).toEqual([...ids].sort());
  for (const id of Object.keys(MATERIAL_CAUTIONS)) expect(ids).toContain(id);
  for (const [id, others] of Object.entries(MATERIAL_SUBSTITUTES)) {
    expect(ids).toContain(id);
    for (const [other] of others) expect(ids).toContain(other);
  }
});

it('grey iron and laminate break without yielding; every other plastic yields', () => {
  expect(MATERIALS.filter((m) => m.brittle).map((m) => m.id)).toEqual(['iron-grey-200', 'iron-grey', 'phenolic']);
  expect(MATERIALS.filter((m) => m.yieldMpa === null).every((m) => m.brittle)).toBe(true);
});

it('guides endurance by family', () => {
  expect(enduranceGuideMpa(materialOf('steel-c45')!)).toBe(310);
  expect(enduranceGuideMpa({ family: 'steel', tensileMpa: 1800 })).toBe(700);
  expect(enduranceGuideMpa(materialOf('aluminium-7075')!)).toBe(130);
  expect(enduranceGuideMpa(materialOf('pom')!)).toBeNull();
});
