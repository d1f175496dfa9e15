import { newPart } from '../../making/part';
import { choiceKey } from './choices';
import { jointHoles } from './drilled-together';
import type { JobItem } from './items';
import { workOut } from './repair';
import { testPlace, testReading, testSheet, testShop, withChoices } from './testing';

/** A drum with a pin hole at both sides, trued to 8 mm, and a pin that fits both. */
function drum(trued: readonly [number, number], hubRead = true) {
  const base = testSheet();
  const [, mate] = base.components;
  const at = { stationsMm: [5], clocksDeg: [0, 90], instrumentId: 'mic', startMm: 0, lengthMm: 10, componentId: mate!.id };
  const read = (placeId: string, ...sizes: readonly number[]) =>
    sizes.map((valueMm, i) => testReading({ placeId, stationMm: 5, clockDeg: i * 90, valueMm, instrumentId: 'mic' }));
  const pin = newPart('plain-pin', 'Pin', 8, 60);
  const sheet = withChoices(
    testSheet({
      places: [
        testPlace('small', { name: 'Pin hole, near', side: 'inside', ...at }),
        testPlace('large', { name: 'Pin hole, far', side: 'inside', ...at }),
        testPlace('hub', { name: 'Hub outside', side: 'outside', ...at }),
        testPlace('flange', { name: 'Flange', side: 'outside', ...at }),
      ],
      readings: [
        ...read('small', 6.4, 6.6),
        ...read('large', 7.3, 7.5),
        ...(hubRead ? [...read('flange', 160, 160), ...read('hub', 48.2, 48.26)] : []),
      ],
    }),
    [choiceKey.part, { ...pin, outside: pin.outside.map((s) => ({ ...s, fitsPlaceIds: ['small', 'large'] })) }],
    [choiceKey.fit('small'), { schoolId: 'grease', hole: 'true', truedMm: trued[0] }],
    [choiceKey.fit('large'), { schoolId: 'grease', hole: 'true', truedMm: trued[1] }],
  );
  const repair = workOut(sheet, testShop);
  const step = { what: 'drill and ream both together and pin', done: false, act: 'pin', moves: false, doneAt: null } as const;
  const item = { ...repair.items[0]!.item, id: 'join', kind: 'join', steps: [step] } as JobItem;
  const holes = (i: JobItem) => jointHoles(i, [repair.items[0]!.part], { places: repair.places, sheet, shop: testShop });
  return { item, holes };
}

it('a pin that fits holes of two sides has one hole through both, found from the hub’s edge', () => {
  const { item, holes } = drum([8, 8]);
  const [hole, ...more] = holes(item);
  expect(more).toEqual([]);
  const of = (label: string) => hole!.settings.find((s) => s.figure.label === label)?.figure.value;
  expect(of('reamer')).toBe(8);
  // The hub, not the flange: 48.26 and a finder of 10 mm, by halves.
  expect(of('from the edge to the centre line')).toBeCloseTo(29.13, 6);
});

it('sides that are to be of two sizes, or an item that pins nothing, have none', () => {
  const two = drum([8, 8.5]);
  expect(two.holes(two.item)).toEqual([]);
  const { item, holes } = drum([8, 8]);
  expect(holes({ ...item, steps: [] })).toEqual([]);
  expect(holes({ ...item, kind: 'rework' })).toEqual([]);
});

it('says that the outside was not measured', () => {
  const { item, holes } = drum([8, 8], false);
  expect(holes(item)[0]!.words.join(' ')).toContain('was not measured');
});
