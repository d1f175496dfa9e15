import { choiceKey } from './choices';
import { placeFindings } from './place-finding';
import type { JobSheet } from './records';
import { readAsReworked } from './reworked';
import { barrelReadings, testChoice, testItem, testReading, testSheet, testShop } from './testing';

const of = (sheet: JobSheet, id: string, live = sheet.readings) => placeFindings(sheet, live, testShop).find((f) => f.place.id === id)!;

it('places come in the sheet’s order; one whose component is gone is left out', () => {
  const sheet = testSheet();
  expect(placeFindings(sheet, sheet.readings, testShop).map((f) => f.place.id)).toEqual(['body', 'land', 'barrel']);
  const gone = { ...sheet, components: sheet.components.filter((c) => c.id !== 'barrel-part') };
  expect(placeFindings(gone, sheet.readings, testShop).map((f) => f.place.id)).toEqual(['body', 'land']);
});

it('what is next is the first planned spot that was neither read nor skipped', () => {
  const sheet = testSheet();
  expect(of(sheet, 'body').next).toBeNull();
  const unread = of(
    sheet,
    'barrel',
    sheet.readings.filter((r) => r.placeId !== 'barrel'),
  );
  expect(unread.open).toHaveLength(12);
  expect(unread.next).toMatchObject({ stationMm: 5, clockDeg: 0 });
  const skip = { ...sheet, choices: [testChoice(choiceKey.skip('barrel'), { spots: [unread.next] })] };
  const skipped = of(skip, 'barrel', []);
  expect(skipped.next).toMatchObject({ stationMm: 5, clockDeg: 45 });
  expect(skipped.open).toHaveLength(11);
});

it('the barrel: 40.31 at its widest, 40.16 at its tightest, as its readings have them', () => {
  const barrel = of(testSheet(), 'barrel');
  expect(barrel.largest!.value).toBeCloseTo(40.31, 2);
  expect(barrel.smallest!.value).toBeCloseTo(40.16, 2);
  expect(barrel.ovality!.value).toBeCloseTo(0.14, 2);
});

it('a pin whose land was 39.975 was 40 f7, whatever is worn, and says why', () => {
  const land = of(testSheet(), 'land');
  expect(land.was!.value).toBe(40);
  expect(land.nominal.ranked[0]!.name).toBe('40 mm f7');
  expect(land.was!.origin).toMatchObject({ kind: 'worked', how: expect.stringContaining('40 mm f7') });
});

it('a place that nobody read has no shape, no nominal, and the whole plan before it', () => {
  const sheet = testSheet({ readings: [] });
  const body = of(sheet, 'body');
  expect(body).toMatchObject({ shape: null, smallest: null, was: null, readings: [] });
  expect(body.nominal.note).toBe('Nothing measured yet.');
  expect(body.open).toEqual(body.planned);
});

it('a place that was bored out is found twice: as it came, and as it is now, under a name of its own', () => {
  const bored = [0, 45, 90, 135].map((clockDeg) =>
    testReading({ purpose: 'proof', segmentId: 'barrel', itemId: 'out', stationMm: 20, clockDeg, valueMm: 42.01, instrumentId: 'tele' }),
  );
  const item = testItem('rework', 'Bore out', { componentIds: ['barrel-part'], cuts: [{ placeId: 'barrel' }] as never });
  const sheet = testSheet({ readings: [...barrelReadings(), ...bored], choices: [testChoice(choiceKey.item('out'), item)] });
  const live = [...sheet.readings, ...readAsReworked(bored, sheet)];
  const barrel = of(sheet, 'barrel', live);
  expect(barrel.smallest!.value).toBeCloseTo(40.16, 2);
  expect(barrel.after).toHaveLength(1);
  expect(barrel.after[0]!.smallest!.value).toBeCloseTo(42.01, 2);
  expect(barrel.after[0]!.smallest!.key).not.toBe(barrel.smallest!.key);
  expect(barrel.after[0]!.state.actId).toBe('out');
});
