import { MATERIALS } from '../../book/materials';
import { CAUTIONS, hazardsAtCut, LICENSED_HAZARDS } from './cautions.data';
import { HAZARDS } from './records';

it('every hazard says what, why, and who or what must be done; none leaves a word out', () => {
  for (const h of HAZARDS) for (const words of [CAUTIONS[h].what, CAUTIONS[h].why, CAUTIONS[h].who]) expect(words).toMatch(/\.$/);
});

it('what a licensed or certified person must pass: lifting, vessels, steering, pressure, structural welds; not a hot part', () => {
  for (const h of ['lifting', 'vessel', 'steering', 'pressure', 'structural-weld'] as const) expect(LICENSED_HAZARDS).toContain(h);
  for (const h of ['hot', 'solvent', 'lead-bronze'] as const) expect(LICENSED_HAZARDS).not.toContain(h);
});

it('metals whose dust or chips hurt are told at the machine though nobody ticked them, once', () => {
  expect(hazardsAtCut([], 'copper-beryllium')).toEqual(['beryllium']);
  expect(hazardsAtCut(['magnesium'], 'magnesium-cast')).toEqual(['magnesium']);
  expect(hazardsAtCut(['lifting'], 'brass')).toEqual(['lifting', 'lead-bronze']);
  expect(hazardsAtCut([], 'steel-c45')).toEqual([]);
});

it('every metal of the book with lead, beryllium or magnesium in its name has its caution', () => {
  const told = MATERIALS.filter((m) => /leaded b|beryllium|magnesium/i.test(m.name));
  expect(told.length).toBeGreaterThan(2);
  for (const m of told) expect([m.id, hazardsAtCut([], m.id).length]).toEqual([m.id, 1]);
});
