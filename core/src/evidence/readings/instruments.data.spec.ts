import { INSTRUMENT_KINDS, unitShownBy, type InstrumentKind } from './instruments.data';

const KINDS = Object.keys(INSTRUMENT_KINDS) as InstrumentKind[];

it('a bare number is in what the instrument shows; a telescoping gauge shows nothing of its own', () => {
  expect(unitShownBy({ kind: 'micrometer', unit: 'in' })).toBe('in');
  expect(unitShownBy({ kind: 'caliper', unit: 'mm' })).toBe('mm');
  expect(unitShownBy({ kind: 'telescoping-gauge', unit: 'in' })).toBeNull();
});

it.each(KINDS)('%s: no finer than the last digit that it shows, and reads something', (kind) => {
  const { outsideMm, insideMm, decimals, points, reads } = INSTRUMENT_KINDS[kind];
  for (const u of [outsideMm, insideMm]) {
    expect(u).toBeGreaterThan(0);
    // A scale cannot be read closer than a digit, halved, spread evenly: a/√3.
    expect(u).toBeGreaterThan((10 ** -decimals.mm / 2 / Math.sqrt(3)) * 0.99);
  }
  expect(reads.length).toBeGreaterThan(0);
  expect([2, 3]).toContain(points);
  // An inch scale of as many digits more is about as fine.
  expect(decimals.in).toBe(decimals.mm + 1);
});

it('mic before bore gauge before telescoping gauge before caliper before rule', () => {
  const u = (['micrometer', 'dial-bore-gauge', 'telescoping-gauge', 'caliper', 'rule'] as const).map((k) => INSTRUMENT_KINDS[k].insideMm);
  expect(u).toEqual([...u].sort((p, q) => p - q));
  expect(new Set(u).size).toBe(u.length);
});
