import { seededRandom } from '../../evidence/proof';
import type { Part, Treatment } from '../../making/part';
import { kindOf, newPart, hostOf, type FeatureKindId } from '../../making/part';
import { typed } from '../../terms/working';
import { beforeKey, beforeTreatment, fromRawCrown, readsRaw, treatmentOf } from './before-treatment';
import { dimensionsOf } from '../../making/part';

const treatment = (process: Treatment['process'], aSideMm: number, plusMinusMm: number): Treatment => ({
  ...{ id: 't', kind: 'treatment', on: 'body', name: 'Treatment', where: 'elsewhere', by: '', masked: '' },
  ...{ process, aSideMm, plusMinusMm },
});
const figure = typed('d', 'diameter', 25, 'the drawing');
const before = (f: Treatment, lowerMm: number, upperMm: number, side: 'outside' | 'inside' = 'outside') =>
  beforeTreatment(
    { label: 'diameter of body', surface: { side } as Parameters<typeof beforeTreatment>[0]['surface'] },
    figure,
    { figure, limits: { lowerMm, upperMm } },
    f,
  );

describe('a diameter before it is treated', () => {
  it('plated 0.020 to 0.030 a side and left so: whatever is inside its limits comes out inside the finished ones', () => {
    const { limits } = before(treatment('plate', 0.025, 0.005), 24.96, 25);
    const random = seededRandom(5);
    for (let i = 0; i < 500; i++) {
      const d = limits!.lowerMm + random() * (limits!.upperMm - limits!.lowerMm);
      const plated = d + 2 * (0.02 + 0.01 * random());
      expect(plated).toBeGreaterThan(24.96 - 1e-9);
      expect(plated).toBeLessThan(25 + 1e-9);
    }
    // And no wider than that: at its ends with the thinnest and thickest layer it just comes to them.
    expect(limits!.upperMm + 0.06).toBeCloseTo(25, 9);
    expect(limits!.lowerMm + 0.04).toBeCloseTo(24.96, 9);
  });

  it('of a bore the layer closes it in', () => {
    const { limits } = before(treatment('plate', 0.025, 0.005), 25, 25.04, 'inside');
    expect(limits!.lowerMm - 0.06).toBeCloseTo(25, 9);
    expect(limits!.upperMm - 0.04).toBeCloseTo(25.04, 9);
  });

  it('a layer that varies by more than the limits bear cannot be left as it comes: it says what to do', () => {
    const { limits, words } = before(treatment('plate', 0.025, 0.006), 24.98, 25);
    expect(limits).toBeNull();
    expect(words).toContain('have it plated thicker and ground');
  });

  it('what is left on for grinding lies over the finished size wherever it ends up', () => {
    const { limits } = before(treatment('ground', 0.2, 0.05), 24.987, 25);
    expect(limits!.lowerMm).toBeGreaterThan(25 + 2 * 0.1);
    expect(limits!.upperMm).toBeLessThanOrEqual(24.987 + 2 * 0.25 + 1e-9);
  });

  it('has none while the finished size has none', () => {
    const f = treatment('plate', 0.025, 0.005);
    const bare = beforeTreatment({ label: 'd', surface: { side: 'outside' } as never }, figure, { figure, limits: null }, f);
    expect(bare).toMatchObject({ limits: null, figure });
  });
});

/** A shaft of 25 with something cut into it, plated 0.1 a side, or left 0.3 a side over for grinding. */
function shaft(kind: FeatureKindId, own: object, f: Treatment): Part {
  const part = { ...newPart('plain-pin', 'Shaft', 25, 100), features: [] };
  const on = part.outside[0]!.id;
  const cut = { ...kindOf(kind).start(hostOf(part, on)!), id: 'c', kind, on, name: 'It', ...own };
  return { ...part, features: [cut as unknown as Part['features'][number], { ...f, on }] };
}
const rawBy = (part: Part, name: string): number | null => {
  const found = readsRaw(
    part,
    dimensionsOf(part).find((d) => d.ownerId === 'c' && d.name === name)!,
  );
  return found && found.byMm;
};

it('finds the treatment of a surface, and its key', () => {
  const part = shaft('keyseat', {}, treatment('plate', 0.1, 0.02));
  expect(treatmentOf(part, part.outside[0]!.id)?.id).toBe('t');
  expect(treatmentOf(part, 'elsewhere')).toBeUndefined();
  expect(beforeKey(treatment('plate', 0.1, 0.02))).toBe('t.before');
});

describe('what is cut from a surface that has not its size yet', () => {
  it('a keyseat reads less deep by the plating to come, deeper by what is still to be ground off', () => {
    expect(rawBy(shaft('keyseat', {}, treatment('plate', 0.1, 0.02)), 'depth')).toBeCloseTo(-0.1, 9);
    expect(rawBy(shaft('keyseat', {}, treatment('ground', 0.3, 0.02)), 'depth')).toBeCloseTo(0.3, 9);
    // Its width is between its own walls.
    expect(rawBy(shaft('keyseat', {}, treatment('plate', 0.1, 0.02)), 'width')).toBeNull();
  });

  it('one flat is read to the raw round, two across are both cut', () => {
    expect(rawBy(shaft('flats', { count: 1 }, treatment('ground', 0.3, 0.02)), 'across')).toBeCloseTo(0.3, 9);
    expect(rawBy(shaft('flats', { count: 2 }, treatment('ground', 0.3, 0.02)), 'across')).toBeNull();
  });

  it('says by how much the dial goes further, in the unit of the job', () => {
    const part = shaft('keyseat', {}, treatment('ground', 0.254, 0.02));
    expect(fromRawCrown(part, 'c', 'in')).toContain('0.0100 in deeper');
    expect(fromRawCrown(part, 'c', 'mm')).toMatch(/before grinding, go 0\.25\d? mm deeper/);
    expect(fromRawCrown(shaft('keyseat', {}, treatment('plate', 0.1, 0.02)), 'c', 'mm')).toContain('less deep');
    expect(fromRawCrown(part, 'nothing', 'mm')).toBe('');
  });
});
