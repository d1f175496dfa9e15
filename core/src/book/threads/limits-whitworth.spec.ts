import { findThread } from './find-thread';
import { whitworthLimits } from './limits-whitworth';
import { THREADS } from './all-threads';

const inch = (mm: number | null): number => mm! / 25.4;
const limits = (name: string, side: 'outside' | 'inside', threadClass = 'medium') => {
  const found = whitworthLimits(findThread(name)!, side, threadClass);
  if (!found.ok) throw new Error(name);
  return found.value;
};

// Basic sizes as tabled in BS 84; the tolerance worked with pencil and four figures from D, L = D and p:
// 1/4: 0.00126 + 0.00150 + 0.00112, 1/2: 0.00159 + 0.00212 + 0.00144, 1 in: 0.00200 + 0.00300 + 0.00177.
it.each([
  ['1/4 BSW', 0.25, 0.218, 0.186, 0.0039],
  ['1/2 BSW', 0.5, 0.4466, 0.3932, 0.0052],
  ['1 BSW', 1, 0.92, 0.84, 0.0068],
])('%s, medium, outside: major %f, pitch %f, minor %f, each down from there; pitch by %f', (name, major, pitch, minor, tolerance) => {
  const of = limits(name, 'outside');
  expect(inch(of.major.upperMm)).toBeCloseTo(major, 6);
  expect(inch(of.pitchDiameter.upperMm)).toBeCloseTo(pitch, 4);
  expect(inch(of.minor.upperMm)).toBeCloseTo(minor, 3);
  expect(inch(of.pitchDiameter.upperMm! - of.pitchDiameter.lowerMm!)).toBeCloseTo(tolerance, 5);
});

it('a close bolt has two thirds of the medium tolerance, a free one half as much again', () => {
  const width = (threadClass: string): number => {
    const { lowerMm, upperMm } = limits('1 BSW', 'outside', threadClass).pitchDiameter;
    return inch(upperMm! - lowerMm!);
  };
  expect(width('close')).toBeCloseTo(0.0045, 5);
  expect(width('free')).toBeCloseTo(0.0102, 5);
});

it('the hole of a nut: a fifth of the pitch, and 7, 5 or 4 thou by how fine it is', () => {
  const room = (name: string): number => {
    const { lowerMm, upperMm } = limits(name, 'inside').minor;
    return inch(upperMm! - lowerMm!);
  };
  expect(room('1/2 BSW')).toBeCloseTo(0.2 / 12 + 0.007, 4);
  expect(room('3/8 BSF')).toBeCloseTo(0.2 / 20 + 0.007, 4);
  expect(room('5/16 BSF')).toBeCloseTo(0.2 / 22 + 0.005, 4);
  expect(room('1/4 BSF')).toBeCloseTo(0.2 / 26 + 0.004, 4);
});

it('the largest bolt goes into the smallest nut of every size, and each has room to be made', () => {
  const all = THREADS.filter((t) => t.system === 'whitworth' && !t.tapered && t.tpi !== null);
  expect(all.length).toBeGreaterThan(20);
  for (const t of all) {
    const [bolt, nut] = [whitworthLimits(t, 'outside', 'medium'), whitworthLimits(t, 'inside', 'normal')];
    if (!bolt.ok || !nut.ok) throw new Error(t.name);
    for (const what of ['major', 'pitchDiameter', 'minor'] as const) {
      expect(bolt.value[what].upperMm!).toBeLessThanOrEqual(nut.value[what].lowerMm! + 1e-9);
      expect(bolt.value[what].lowerMm!).toBeLessThan(bolt.value[what].upperMm!);
    }
  }
});
