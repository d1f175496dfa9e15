import { addedFeature } from '../../making/drawing';
import { surface, type FeatureKindId, type Part, type PartFeature } from '../../making/part';
import { asAimed } from './as-aimed';
import { choiceKey } from './choices';
import { workOut } from './repair';
import { testChoice, testSheet, testShop } from './testing';

const typed = (lowerDev: number, upperDev: number, text: string) => ({ lowerDev, upperDev, text });
const shaft = (limits: Part['limits']): Part => ({
  ...{ name: 'Shaft', materialId: 'steel-c45', limits, block: null, features: [], bores: [] },
  outside: [surface('a', 'cylinder', 'Seat', 40, 30), surface('b', 'cylinder', 'Body', 60, 40)],
});
const withCut = (part: Part, kind: FeatureKindId, id: string, own: object): Part => addedFeature(part, 'a', kind, id, own)!.part;
const aimed = (part: Part): Part => asAimed(workOut(testSheet({ choices: [testChoice(choiceKey.part, part)] }), testShop).part!);
const cut = <K extends FeatureKindId>(part: Part, id: string): Extract<PartFeature, { kind: K }> =>
  part.features.find((f) => f.id === id) as Extract<PartFeature, { kind: K }>;

describe('the part that is made for', () => {
  it('a 30 k6 seat is turned to the middle of 30.002 and 30.015 (ISO 286-2), and a length that may only be shorter is', () => {
    const { outside } = aimed(shaft({ a: typed(0.002, 0.015, 'k6'), 'a.length': typed(-0.2, 0, '+0 -0.2') }));
    expect(outside[0]!.diameterMm).toBeCloseTo(30.0085, 6);
    expect(outside[0]!.lengthMm).toBeCloseTo(39.9, 9);
    // Nothing said: as drawn.
    expect(outside[1]).toMatchObject({ diameterMm: 40, lengthMm: 60 });
  });

  it('a ring groove is as wide as the middle of what the book allows, its floor too; both walls move with it', () => {
    const part = withCut(shaft({ a: typed(0.002, 0.015, 'k6') }), 'ring-groove', 'g', {
      ...{ atMm: 20, widthMm: 1.6, diameterMm: 28.6, ring: 'measured' },
    });
    const limits = { ...part.limits, 'g.width': typed(0, 0.14, 'H13'), 'g.diameter': typed(-0.21, 0, 'h12') };
    const g = cut<'ring-groove'>(aimed({ ...part, limits }), 'g');
    expect(g.widthMm).toBeCloseTo(1.67, 9);
    expect(g.diameterMm).toBeCloseTo(28.495, 9);
  });

  it('the tool is told by the drawn width', () => {
    const part = withCut(shaft({}), 'ring-groove', 'g', { atMm: 20, widthMm: 1.6, diameterMm: 28.6, ring: 'measured' });
    const limited = { ...part, limits: { 'g.width': typed(0, 0.14, 'H13') } };
    const { plan } = workOut(testSheet({ choices: [testChoice(choiceKey.part, limited)] }), testShop);
    const [one] = plan!.setUps.flatMap((s) => s.schedules.filter((x) => x.id === 'g'));
    expect(one!.tools).toEqual([{ kind: 'parting', atMostMm: expect.closeTo(1.6, 9) }]);
  });

  it('a keyseat is made to the middle of its depth, but its width stays the cutter’s', () => {
    const part = withCut(shaft({}), 'keyseat', 'k', { atMm: 5, lengthMm: 25, widthMm: 8, depthMm: 4, cutter: 'end-mill' });
    const k = cut<'keyseat'>(aimed({ ...part, limits: { 'k.width': typed(-0.036, 0, 'N9') } }), 'k');
    // DIN 6885-1: 4 +0.2 deep for a key 8 wide.
    expect([k.depthMm, k.widthMm]).toEqual([expect.closeTo(4.1, 9), 8]);
  });

  it('what is plated afterwards has the size before it', () => {
    const part = withCut(shaft({ a: typed(-0.04, 0, '+0 -0.04') }), 'treatment', 't', {
      ...{ process: 'plate', where: 'elsewhere', by: '', masked: '', aSideMm: 0.025, plusMinusMm: 0.005 },
    });
    // 29.96 to 30.00 with 0.020 to 0.030 a side on it: 29.92 to 29.94 before.
    expect(aimed(part).outside[0]!.diameterMm).toBeCloseTo(29.93, 6);
  });
});
