import { addedFeature } from '../../making/drawing';
import { newPart, surface, type Part } from '../../making/part';
import type { Bar } from '../../making/stock';
import { choiceKey } from './choices';
import { workOut } from './repair';
import { testChoice, testSheet, testShop } from './testing';

const bar = (id: string, diameterMm: number, finish: Bar['finish'], materialId = 'steel-chrome-rod'): Bar => ({
  ...{
    id,
    shape: 'round',
    materialId,
    diameterMm,
    innerMm: null,
    finish,
    lengthMm: 1200,
    pieces: 1,
    place: 'A1',
    priceMinor: null,
    version: 1,
  },
});
const F7 = { lowerDev: -0.05, upperDev: -0.025, text: 'f7' };

/** A rod of 44.45 with a spigot of 35 and a thread of 31.75 at its right end. */
function rod(limits: Part['limits'] = { body: F7 }, materialId = 'steel-chrome-rod'): Part {
  const part: Part = {
    ...{ name: 'Rod', materialId, bores: [], features: [], limits, block: null },
    outside: [
      surface('body', 'cylinder', 'Rod body', 760, 44.45),
      surface('spigot', 'cylinder', 'Spigot', 40, 35),
      surface('end', 'cylinder', 'End', 38, 31.75),
    ],
  };
  return addedFeature(part, 'end', 'thread', 't', { end: 'right', thread: '1 1/4-12 UNF', lengthMm: 34 })!.part;
}
const planned = (part: Part, rack: readonly Bar[], choices: readonly (readonly [string, object])[] = []) => {
  const sheet = testSheet({
    places: [],
    readings: [],
    choices: [testChoice(choiceKey.part, part), ...choices.map(([k, v]) => testChoice(k, v))],
  });
  const item = workOut(sheet, { ...testShop, rack: [...rack] }).items[0]!;
  return { item, plan: item.plan! };
};

it('a chromed bar bought to size is the rod: no thicker than the part, nothing turns it, and its ends are cut in under the chrome', () => {
  const { item, plan } = planned(rod(), [bar('chrome', 44.45, 'chromed')]);
  expect(plan.bar!.id).toBe('chrome');
  expect(plan.asBought!.ids).toEqual(['body']);
  expect(plan.asBought!.words).toBe(
    'Rod body stays as bought: read it over its length before it is sawn, it has limits. Copper or a collet round it, no bare jaws. Where it is turned the first cut goes in under the chrome: a tool that rubs on it is gone. Chrome dust is poison: no dry grinding of it.',
  );
  expect(plan.setUps.flatMap((s) => s.setUp.cuts)).not.toContain('body');
  expect(plan.setUps.flatMap((s) => s.setUp.operations).join()).not.toContain('rod body');
  expect(plan.passes.map((p) => p.segment.segment.id).sort()).toEqual(['end', 'spigot']);
  expect(item.pieces[0]!.cuts.map((c) => c.segment.segment.id).sort()).toEqual(['end', 'spigot']);
  // It is read all the same.
  expect(item.pieces[0]!.proofs.find((p) => p.dimension.dimension.key === 'body')!.dimension.mustProve).toBe(true);
  for (const way of plan.ways) expect(way.setUps.flatMap((s) => s.cuts)).not.toContain('body');
  const jaws = plan.setUps.filter((s) => s.setUp.holding === 'three-jaw');
  for (const s of jaws) expect(s.setUp.cautions.join()).toContain('copper');
});

it.each([
  ['a bright bar of that size does not keep limits: it is turned all over or not at all', { body: F7 }, 'bright', false],
  ['a ground one does', { body: F7 }, 'ground', true],
  ['a bright one does where only the general tolerance asks', {}, 'bright', true],
  ['a black one never does', {}, 'black', false],
] as const)('%s', (_, limits, finish, stays) => {
  const { plan } = planned(rod(limits, 'steel-c45'), [bar('own', 44.45, finish, 'steel-c45'), bar('thick', 50, 'black', 'steel-c45')]);
  expect(plan.bar!.id).toBe(stays ? 'own' : 'thick');
  expect(plan.asBought?.ids ?? []).toEqual(stays ? ['body'] : []);
  expect(plan.passes.some((p) => p.segment.segment.id === 'body')).toBe(!stays);
});

it('a thicker bar that somebody chose is turned all over', () => {
  const rack = [bar('own', 44.45, 'chromed'), bar('thick', 50, 'chromed')];
  const chosen = {
    latheId: testShop.lathes[0]!.id,
    barId: 'thick',
    tool: 'carbide',
    partingMm: 3,
    touched: 'left',
    grippedMm: 25,
    finishes: 2,
  };
  const { plan } = planned(rod(), rack, [[choiceKey.plan, chosen]]);
  expect([plan.asBought, plan.bar!.id]).toEqual([null, 'thick']);
  expect(plan.passes.map((p) => p.segment.segment.id)).toContain('body');
});

it('of two of one size the one with limits of its own is turned where the bar is only bright', () => {
  const part = rod({ collar: F7 }, 'steel-c45');
  const two: Part = {
    ...part,
    outside: [
      part.outside[0]!,
      surface('neck', 'cylinder', 'Neck', 20, 40),
      surface('collar', 'cylinder', 'Collar', 30, 44.45),
      ...part.outside.slice(1),
    ],
  };
  const { plan } = planned(two, [bar('own', 44.45, 'bright', 'steel-c45')]);
  expect(plan.asBought!.ids).toEqual(['body']);
});

describe('a hexagon bar', () => {
  // M10: 16 across the flats.
  const screw = { ...newPart('screw', 'Screw', 10, 60), materialId: 'steel-c45' };
  const { acrossMm } = screw.features.find((f) => f.kind === 'flats')!;
  const hex = (across: number, more: Partial<Bar> = {}): Bar => ({
    ...bar('hex', across, 'bright', 'steel-c45'),
    shape: 'hexagon',
    ...more,
  });
  const flats = screw.features.find((f) => f.kind === 'flats')!.id;

  it('as wide as the head’s own is not milled: head and flats stay as bought, and the shank is turned from its corners', () => {
    const { plan } = planned(screw, [bar('round', 30, 'black', 'steel-c45'), hex(acrossMm)]);
    expect(plan.bar!.id).toBe('hex');
    expect([...plan.asBought!.ids].sort()).toEqual([flats, 'head'].sort());
    expect(plan.asBought!.words).toContain('Head stays as the hexagon is bought');
    expect(plan.blankWords).toContain('corners strike the tool');
    const said = plan.setUps.flatMap((s) => s.setUp.operations).join();
    expect(said).not.toMatch(/hexagon|head to/i);
    // The first cut goes in from the corners: across the flats over the cosine of 30°.
    const [first] = plan.passes;
    expect(plan.passes.map((p) => p.segment.segment.id)).toEqual(['shank']);
    expect(first!.fromMm).toBeCloseTo(acrossMm / Math.cos(Math.PI / 6), 6);
  });

  it.each([
    ['black', { finish: 'black' as const }],
    ['a size larger', { diameterMm: acrossMm + 2 }],
  ])('one that is %s does not have them: they are milled, out of one that is thick enough', (_, more) => {
    const { plan } = planned(screw, [hex(acrossMm, more), hex(24, { id: 'thick', finish: 'black' })]);
    expect(plan.bar!.id).toBe('thick');
    expect(plan.asBought).toBeNull();
    expect(plan.setUps.flatMap((s) => s.setUp.cuts)).toContain(flats);
  });

  it('flats that have limits of their own are milled all the same', () => {
    const tight = { ...screw, limits: { [`${flats}.across`]: { lowerDev: -0.02, upperDev: 0, text: '+0 -0.02' } } };
    const { plan } = planned(tight, [hex(acrossMm), hex(24, { id: 'thick', finish: 'black' })]);
    expect([plan.bar!.id, plan.asBought]).toEqual(['thick', null]);
  });

  it('a round comes out of one that is as wide across its flats as the round with its skin', () => {
    const pin = { ...newPart('plain-pin', 'Pin', 20, 60), materialId: 'steel-c45' };
    const barOf = (across: number) => planned(pin, [hex(across, { finish: 'black' })]).plan.bar?.id;
    expect([barOf(20.9), barOf(21.1)]).toEqual([undefined, 'hex']);
  });
});
