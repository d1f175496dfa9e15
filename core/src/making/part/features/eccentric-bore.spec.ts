import { surface } from '../surface';
import type { Part } from '../part';
import { hostOf } from '../host';
import { eccentricBore, type EccentricBore } from './eccentric-bore';

const flanged: Part = {
  ...{ name: 'x', materialId: 'steel-c45', bores: [], features: [], limits: {}, block: null },
  outside: [surface('s', 'cylinder', 'Spigot', 40, 30), surface('t', 'cylinder', 'Flange', 10, 60)],
};
const bore = (own: Partial<EccentricBore>): EccentricBore => ({
  ...{ id: 'f', kind: 'eccentric-bore', on: 's', name: 'It', end: 'left', clockDeg: 0, timedTo: '' },
  ...{ diameterMm: 16, reach: 'through', depthMm: 0, throwMm: 3, ...own },
});
const host = (on: string, part = flanged) => hostOf(part, on)!;
const refused = (f: EccentricBore, part = flanged): string[] => eccentricBore.check(f, host(f.on, part)).map((p) => p.message);

it('goes through spigot and flange alike; the thinnest that it passes is what holds it in', () => {
  expect(refused(bore({ throwMm: 6.9 }))).toEqual([]);
  // 15 to the outside of the spigot: 8 and 7 come out there.
  expect(refused(bore({ throwMm: 7 }))).toEqual(['It comes out at the side of Spigot.']);
  // From the other end, and not as deep as the flange is thick, the spigot is no matter.
  expect(refused(bore({ on: 't', end: 'right', reach: 'to depth', depthMm: 9, throwMm: 15 }))).toEqual([]);
  expect(refused(bore({ on: 't', end: 'right', reach: 'to depth', depthMm: 11, throwMm: 15 }))).toEqual([
    'It comes out at the side of Spigot.',
  ]);
});

it('does not run into the bore on the axis', () => {
  const hollow: Part = {
    ...flanged,
    bores: [{ id: 'b', from: 'near', through: true, surfaces: [surface('h', 'cylinder', 'Hole', 50, 6)] }],
  };
  expect(refused(bore({ throwMm: 5, diameterMm: 4 }), hollow)).toEqual(['It runs into the bore on the axis.']);
  expect(refused(bore({ throwMm: 5.5, diameterMm: 4 }), hollow)).toEqual([]);
});

it('right through it has no depth to prove, however long the part becomes; one act makes all that is left', () => {
  const longer: Part = { ...flanged, outside: [{ ...flanged.outside[0]!, lengthMm: 70 }, flanged.outside[1]!] };
  for (const [reach, names] of [
    ['through', ['diameter', 'throw']],
    ['to depth', ['diameter', 'depth', 'throw']],
  ] as const) {
    const f = bore({ reach, depthMm: 30 });
    expect(eccentricBore.dimensions(f, host('s')).map((d) => d.name)).toEqual(names);
    expect(eccentricBore.operations(f, host('s')).flatMap((o) => o.makes)).toEqual(names);
    const taken = (part: Part): number => {
      const cut = eccentricBore.cut(f, host('s', part));
      return cut.shape === 'other' ? cut.removedMm3() : NaN;
    };
    expect(taken(longer) / taken(flanged)).toBeCloseTo(reach === 'through' ? 80 / 50 : 1, 9);
  }
});
