import { measuredPlace } from './measured';
import type { ReadingRecord } from './records';
import { NOTHING_STANDS_OUT, rightKey, standingOut, stillStandingOut } from './suspects';
import { testPlace, testReading, testSheet, testShop, withChoices } from './testing';

const sheet = testSheet();
const [component] = sheet.components;
const read = (stationMm: number, clockDeg: number, valueMm: number, more: Partial<ReadingRecord> = {}): ReadingRecord =>
  testReading({ placeId: 'body', stationMm, clockDeg, valueMm, instrumentId: 'mic', ...more });
const outOf = (readings: readonly ReadingRecord[]) =>
  standingOut(
    measuredPlace({
      place: testPlace('body', { stationsMm: [10, 20, 30], clocksDeg: [0, 90] }),
      ...{ component: component!, readings, settled: {}, shopTempC: 20, unit: 'mm' as const, shop: testShop },
    }),
    testShop,
  );

const even = [10, 20, 30].flatMap((at) => [read(at, 0, 39.67 + at / 10_000), read(at, 90, 39.672 + at / 10_000)]);

it('readings that lie as wear leaves them, or fewer than two, do not stand out', () => {
  expect(outOf(even)).toEqual({ suspects: [], repeats: [] });
  expect(outOf([read(10, 0, 93.67)])).toBe(NOTHING_STANDS_OUT);
});

it('a thimble read a whole turn off, half a millimetre, stands out until somebody says that it is right', () => {
  const slip = read(20, 45, 40.172, { id: 'slip' });
  const found = outOf([...even, slip]);
  expect(found.suspects.map((s) => s.id)).toEqual(['slip']);
  expect(stillStandingOut(found, sheet, 'body').suspects).toHaveLength(1);
  const right = withChoices(sheet, [rightKey('body', 'slip'), true]);
  expect(stillStandingOut(found, right, 'body')).toEqual({ suspects: [], repeats: [] });
  // It is right at its own place, nowhere else.
  expect(stillStandingOut(found, right, 'barrel').suspects).toHaveLength(1);
});

it('two readings of one instrument at one spot that differ cannot both be right: told once, and gone when both are said to be', () => {
  const found = outOf([...even, read(10, 0, 39.72, { id: 'again' })]);
  const told = [...found.suspects.map((s) => s.id), ...found.repeats.flatMap((r) => [r.first.id, r.second.id])];
  expect(told).toContain('again');
  const once = stillStandingOut({ suspects: found.suspects, repeats: found.repeats }, sheet, 'body');
  const named = new Set(once.suspects.map((s) => s.id));
  expect(once.repeats.some((r) => named.has(r.first.id) || named.has(r.second.id))).toBe(false);
  const both = withChoices(sheet, ...[...new Set(told)].map((id) => [rightKey('body', id), true] as const));
  expect(stillStandingOut(found, both, 'body')).toEqual({ suspects: [], repeats: [] });
});
