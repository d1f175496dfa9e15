import { newStep } from './items';
import { standingAt } from './rework-standing';
import { choiceKey } from './choices';
import { workOut } from './repair';
import { testItem, testReading, testShop, verdicts, withChoices } from './testing';

const limits = { lowerDev: 0, upperDev: 0.025, text: 'H7' };
const cuts = [{ placeId: 'barrel', sizeMm: 40.35, limits }];
const sheet = withChoices(verdicts('reuse', 'repair'), [
  choiceKey.item('barrel-part'),
  testItem('rework', 'Ramp barrel', { componentIds: ['barrel-part'], cuts }),
]);
const repair = workOut(sheet, testShop);
const { item, part } = repair.items.find((i) => i.item.id === 'barrel-part')!;
const place = repair.places.find((f) => f.place.id === 'barrel')!;
const segment = part!.segments[0]!;
const skim = (valueMm: number, more: object = {}) =>
  testReading({ ...{ purpose: 'cut', segmentId: 'barrel', itemId: 'barrel-part', takenAt: '2026-11-23T10:00:00Z' }, valueMm, ...more });
const of = (own: Partial<Parameters<typeof standingAt>[2]> = {}, as = item) =>
  standingAt(segment, as, { place, readings: [], ...own }, sheet, testShop);

it('is what was read first at the machine, whatever was read of the place before', () => {
  expect(of({ readings: [skim(40.2), skim(40.28)] }).figure!.value).toBeCloseTo(40.2, 6);
  expect(of({ readings: [skim(40.2, { segmentId: 'other' })] }).figure!.value).toBeCloseTo(40.16, 6);
});

it('a warm part is taken at 20 °C', () => {
  const at20 = of({ readings: [skim(40.2, { partTempC: 60 })] }).figure!.value;
  // Mild steel, 12 millionths a kelvin: 40 K on 40.2 mm.
  expect(40.2 - at20).toBeCloseTo(40.2 * 40 * 12e-6, 2);
});

it('of a place that nobody read there is none, and it says what to do', () => {
  expect(of({ place: null })).toEqual({ figure: null, cannot: expect.stringContaining('skim it') as string });
});

it('plating or weld that is still to come makes what was read of no use; a step that takes nothing on does not', () => {
  const step = (what: string) => ({ ...item, steps: [newStep(what, 'rework')] });
  expect(of({}, step('Have it chromed')).cannot).toContain('Have it chromed');
  expect(of({}, step('Build up with weld')).figure).toBeNull();
  expect(of({}, step('Drill the grease hole')).cannot).toBeNull();
});
