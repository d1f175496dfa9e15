import { surface } from '../surface';
import type { Part } from '../part';
import { hostOf } from '../host';
import { ringGroove, ringOf, type RingGroove } from './ring-groove';

const bored: Part = {
  ...{ name: 'Part', materialId: 'steel-c45', features: [], limits: {}, block: null },
  outside: [surface('out', 'cylinder', 'Body', 60, 62)],
  bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('in', 'cylinder', 'Bore', 60, 47)] }],
};
const [shaft, bore] = [hostOf(bored, 'out')!, hostOf(bored, 'in')!];
const groove = (own: Partial<RingGroove>): RingGroove => ({
  ...ringGroove.start(shaft),
  id: 'g',
  kind: 'ring-groove',
  on: 'out',
  name: 'Ring groove',
  ...own,
});

// DIN 471, 62 mm: groove 59 h12 (-0.3), 2.15 H13 (+0.14); DIN 472, 47 mm: groove 49.5 H12 (+0.25), 1.85 H13 (+0.14).
it.each([
  ['a shaft of 62', shaft, 59, -0.3, 0, 2.15],
  ['a bore of 47', bore, 49.5, 0, 0.25, 1.85],
] as const)('%s: floor %2$f with its limits, as the standard has it', (_, host, floor, lower, upper, wide) => {
  const start = { ...groove({}), ...ringGroove.start(host) };
  expect([start.diameterMm, start.widthMm]).toEqual([floor, wide]);
  expect(ringOf(start, host)?.grooveMm).toBe(floor);
  const d = Object.fromEntries(ringGroove.dimensions(start, host).map((x) => [x.name, x]));
  expect(d['diameter']!.book).toMatchObject({ lower: expect.closeTo(floor + lower, 3), upper: expect.closeTo(floor + upper, 3) });
  expect(d['width']!.book).toMatchObject({ lower: expect.closeTo(wide, 6), upper: expect.closeTo(wide + 0.14, 3) });
});

it('a floor a little off the listed one is still that ring’s, one further off is no ring’s and says which the book has', () => {
  expect(ringOf({ diameterMm: 59.015 }, shaft)?.grooveMm).toBe(59);
  expect(ringOf({ diameterMm: 59.1 }, shaft)).toBeUndefined();
  expect(ringGroove.check(groove({ diameterMm: 58 }), shaft)).toEqual([
    { field: 'ring', message: expect.stringContaining('59.00\u00a0mm') },
  ]);
  expect(ringGroove.check(groove({ diameterMm: 58, ring: 'measured' }), shaft)).toEqual([]);
});

it('one that is as measured has no limits of a book', () => {
  const d = ringGroove.dimensions(groove({ ring: 'measured' }), shaft);
  expect(d.filter((x) => x.book)).toEqual([]);
});
