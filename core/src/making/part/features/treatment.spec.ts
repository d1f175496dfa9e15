import { hostOf } from '../host';
import type { Part } from '../part';
import { surface } from '../surface';
import { aSide, isCutBackHere, PROCESSES, processOf, treatment, type Treatment } from './treatment';

const bush: Part = {
  ...{ name: 'Bush', materialId: 'steel-c45', features: [], limits: {}, block: null },
  outside: [surface('out', 'cylinder', 'Body', 60, 30)],
  bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('in', 'cylinder', 'Bore', 60, 20)] }],
};
const [outside, inside] = [hostOf(bush, 'out')!, hostOf(bush, 'in')!];
const of = (process: Treatment['process'], aSideMm: number, more: Partial<Treatment> = {}): Treatment => ({
  ...{ id: 't', kind: 'treatment', on: 'out', name: 'Treatment', where: 'elsewhere', plusMinusMm: 0, by: '', masked: '' },
  ...{ process, aSideMm },
  ...more,
});
const before = (f: Treatment, host: typeof outside): number => treatment.dimensions(f, host)[0]!.value;

it('plated 0.025 a side it is cut 0.05 under, in a bore 0.05 over; left on for the grinder the other way round', () => {
  expect(before(of('plate', 0.025), outside)).toBeCloseTo(29.95, 9);
  expect(before(of('plate', 0.025), inside)).toBeCloseTo(20.05, 9);
  expect(before(of('ground', 0.2), outside)).toBeCloseTo(30.4, 9);
  expect(before(of('ground', 0.2), inside)).toBeCloseTo(19.6, 9);
});

it('the layer at its thinnest and thickest', () =>
  expect(aSide({ aSideMm: 0.025, plusMinusMm: 0.005 })).toEqual({ fromMm: 0.02, toMm: expect.closeTo(0.03, 12) }));

it('what has to be baked, or stays in another shop, is not cut back here whatever is ticked', () => {
  expect(isCutBackHere(of('plate-ground', 0.1, { where: 'here' }))).toBe(false);
  expect(isCutBackHere(of('ground', 0.2, { where: 'here' }))).toBe(true);
  expect(isCutBackHere(of('ground', 0.2))).toBe(false);
});

describe('what will not do', () => {
  const wrong = (f: Treatment, host = outside): string[] => treatment.check(f, host).map((p) => p.field);
  it('off by more than there is', () => expect(wrong(of('plate', 0.02, { plusMinusMm: 0.021 }))).toEqual(['plusMinusMm']));
  it('cut for it through to the bore, or out of the side', () => {
    // 30 on 20: a wall of 5.
    expect(wrong(of('build-up', 4.9))).toEqual([]);
    expect(wrong(of('build-up', 5))).toEqual(['aSideMm']);
    expect(wrong(of('build-up', 5.1), inside)).toEqual(['aSideMm']);
  });
});

it('every process says what it is, how it is called before, and a usual range that is one', () => {
  for (const process of Object.keys(PROCESSES) as (keyof typeof PROCESSES)[]) {
    const p = processOf({ process });
    expect(p.before).toMatch(/^before /);
    expect(p.leastMm).toBeLessThan(p.mostMm);
    expect(p.minds).toMatch(/\.$/);
  }
});

it('takes nothing away, is no notch, and names what it is done with and what is kept free', () => {
  expect(treatment.raiser(of('plate', 0.02), outside)).toBeNull();
  expect(treatment.operations(of('plate', 0.02, { by: 'hard chrome', masked: 'the thread' }), outside)[0]!.words).toBe(
    'Have it plated to size (hard chrome; kept free of it: the thread)',
  );
});
