import { biasAtMm, instrumentOf, overdueFlag } from './bias';
import { testInstrument, testShop } from './testing';

const check = (at: string, readMm: number) =>
  ({
    id: at,
    instrumentId: 'mic',
    at,
    readMm,
    referenceMm: 25,
    personId: 'tomas',
    note: '',
  }) as unknown as (typeof testShop.instrumentChecks)[number];
const shop = {
  ...testShop,
  instruments: [testInstrument('mic', { biasMm: 0.002, dueOn: '2026-11-20' }), testInstrument('other', { biasMm: -0.001 })],
  instrumentChecks: [check('2026-11-20T09:00:00Z', 25.012), check('2026-11-10T09:00:00Z', 25.005)],
};

it('is what the newest check before the reading showed, never a later one', () => {
  expect(biasAtMm(shop, 'mic', '2026-11-21T00:00:00Z')).toBeCloseTo(0.012, 9);
  expect(biasAtMm(shop, 'mic', '2026-11-20T08:59:59Z')).toBeCloseTo(0.005, 9);
});

it('before any check it is what its card says; nothing of an instrument that is not there', () => {
  expect(biasAtMm(shop, 'mic', '2026-11-01T00:00:00Z')).toBe(0.002);
  expect(biasAtMm(shop, 'other', '2026-11-21T00:00:00Z')).toBe(-0.001);
  expect(biasAtMm(shop, 'gone', '2026-11-21T00:00:00Z')).toBe(0);
  expect(instrumentOf(shop, 'gone')).toBeUndefined();
});

it('is overdue from the day after', () => {
  const at = (takenAt: string) => overdueFlag(shop, { instrumentId: 'mic', takenAt });
  expect(at('2026-11-20T23:00:00Z')).toBeNull();
  expect(at('2026-11-21T00:00:00Z')).toContain('2026-11-20');
  expect(overdueFlag(shop, { instrumentId: 'other', takenAt: '2030-01-01T00:00:00Z' })).toBeNull();
});
