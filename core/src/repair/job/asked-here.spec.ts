import { kindOf, surface, validatePart, type Part, type PartFeature } from '../../making/part';
import type { LengthUnit } from '../../terms/quantity';
import { askedHere } from './asked-here';
import { choiceKey } from './choices';
import { drawnId } from './drawn-id';
import { workOut } from './repair';
import { testChoice, testPlace, testSheet, testShop } from './testing';

const shaft = (features: readonly PartFeature[] = [], fits: readonly string[] = ['near', 'far']): Part => {
  const step = (id: string, name: string, lengthMm: number, mm: number) => ({
    ...surface(id, 'cylinder', name, lengthMm, mm),
    fitsPlaceIds: fits.includes(id) ? ['barrel'] : [],
  });
  return {
    name: 'Shaft',
    materialId: 'steel-c45',
    outside: [
      step('near', 'Near seat', 20, 40),
      step('body', 'Body', 60, 50),
      step('far', 'Far seat', 20, 40),
      step('tail', 'Tail', 40, 35),
    ],
    bores: [],
    features,
    limits: {},
    block: null,
  };
};
const asks = (part: Part, runs = 'bearing-inner', unit: LengthUnit = 'mm') => {
  const choices = [testChoice(choiceKey.part, part), testChoice(choiceKey.runs('barrel'), { kind: runs })];
  const repair = workOut(testSheet({ choices }), testShop);
  return askedHere(repair.part!, repair, unit);
};
const words = (part: Part, runs?: string) => asks(part, runs).map((a) => `${a.surfaceName}: ${a.words}`);

describe('what runs there asks', () => {
  // IT5 of 30 to 50 mm is 11 µm (ISO 286-1): half of it is 5.5, given as 5.
  it('bearing seats: how smooth, how true to each other, the shoulders square', () =>
    expect(words(shaft())).toEqual([
      'Near seat: Ra at most 0.8 µm',
      'Body: run-out of its face to near seat at most 0.011 mm',
      'Far seat: Ra at most 0.8 µm',
      'Far seat: run-out to near seat at most 0.005 mm',
      'Body: run-out of its face to far seat at most 0.011 mm',
    ]));
  it('in the reader’s own unit', () =>
    expect(asks(shaft(), 'bearing-inner', 'in').map((a) => a.words)).toContain('run-out of its face to near seat at most 0.0004 in'));
  it('in inches what is asked is just what is told: whole ten-thousandths', () => {
    const asked = asks(shaft(), 'bearing-inner', 'in').flatMap((a) => (a.feature.kind === 'relation' ? [a.feature.mm / 25.4] : []));
    expect(asked.length).toBeGreaterThan(0);
    for (const inches of asked) expect(Math.abs(inches * 1e4 - Math.round(inches * 1e4))).toBeLessThan(1e-6);
  });
  it('nothing where something else runs, or nothing does', () => {
    expect(words(shaft(), 'running-grease')).toEqual([]);
    expect(words(shaft([], []))).toEqual([]);
  });
  it('a keyed seat is to run true to a bearing’s: IT6 of 30 to 50 mm is 16 µm (ISO 286-1)', () => {
    const key = { id: 'k', kind: 'keyseat', on: 'tail', name: 'Key', ...{ cutter: 'end-mill', open: 'none' } } as unknown as PartFeature;
    const told = words(shaft([key]));
    expect(told).toContain('Tail: run-out to near seat at most 0.016 mm');
    expect(words(shaft([key], []))).toEqual([]);
  });
  it('a seal land is to be 45 HRC or harder (ISO 6194-1)', () => {
    const land: PartFeature = { id: 'l', kind: 'seal-land', on: 'tail', name: 'Land', atMm: 5, lengthMm: 20, raUm: 0.4 };
    expect(words(shaft([land], []))).toEqual(['Tail: 45 to 60 HRC']);
  });
  it('the same where the bearings are not here, only read off the old seats; and where a lip ran', () => {
    const place = (id: string, startMm: number, suspicions: readonly ('bearing' | 'seal-groove')[]) =>
      testPlace(id, { componentId: 'pin', name: id, kind: 'diameter', startMm, lengthMm: 20, suspicions });
    const places = [place('near', 0, ['bearing']), place('far', 80, ['bearing']), place('tail', 100, ['seal-groove'])];
    const drawn = shaft([], []);
    const part = { ...drawn, outside: drawn.outside.map((s) => ({ ...s, id: drawnId(s.id) })) };
    const repair = workOut(testSheet({ places, readings: [], choices: [testChoice(choiceKey.part, part)] }), testShop);
    const told = (unit: LengthUnit) => askedHere(repair.part!, repair, unit).map((a) => `${a.surfaceName}: ${a.words}`);
    expect(told('mm')).toEqual([...words(shaft()), 'Tail: 45 to 60 HRC']);
  });
  it('what is asked already is not asked again, with whatever figure; all that it asks can be drawn', () => {
    const all = asks(shaft());
    const part = shaft(all.map((a, i) => ({ ...a.feature, id: `a${i}` })));
    expect(validatePart(part)).toMatchObject({ ok: true });
    expect(asks(part)).toEqual([]);
    const looser = shaft([{ ...all[3]!.feature, id: 'x', mm: 0.02 } as PartFeature]);
    expect(words(looser)).not.toContain('Far seat: run-out to near seat at most 0.005 mm');
    expect(words(looser)).toHaveLength(4);
  });
  it('every kind that it asks for is one that can be drawn', () =>
    expect([...new Set(asks(shaft()).map((a) => kindOf(a.feature.kind).name))].sort()).toEqual(['Surface', 'True to']));
});
