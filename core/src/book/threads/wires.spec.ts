import fc from 'fast-check';
import { MM_PER_INCH } from '../../terms/quantity';
import { THREADS, threadOf } from './all-threads';
import { FORMS } from './form';
import { pitchDiameterMm, type Thread } from './thread';
import { overWires, pitchDiameterFromWires, wireRange } from './wires';

const t = (name: string): Thread => threadOf(name)!;
const sumOf = (thread: Thread, wire: number, starts = 1) => {
  const o = overWires(thread, wire, undefined, starts);
  if (!o.ok) throw new Error(o.problems[0]!.message);
  return o.value;
};

it.each([
  // Published factors of the wire and of the pitch, best wire, and the wires that may be used, in pitches.
  ['iso60', 3, 0.866025, 0.57735, 0.505182, 1.010363],
  ['whitworth', 3.16568, 0.96049, 0.56369, 0.506, 0.853],
  ['ba', 3.48295, 1.13634, 0.54626, 0.498, 0.73],
  ['trapezoidal', 4.8637, 1.86603, 0.51764, 0.4865, 0.6564],
  ['acme', 4.99393, 1.93336, 0.51645, 0.487263, 0.650013],
] as const)('%s has its published constants', (id, wire, pitch, best, least, most) => {
  const form = FORMS[id];
  expect(form.wireFactor).toBeCloseTo(wire, 4);
  expect(form.pitchFactor).toBeCloseTo(pitch, 4);
  expect(form.bestWire).toBeCloseTo(best, 4);
  const range = wireRange({ form });
  expect(Math.abs(range.least - least)).toBeLessThan(0.001);
  expect(Math.abs(range.most - most)).toBeLessThan(0.001);
});

it('1/2-13 over best wires is 0.5167 in, of which lead 0.0001', () => {
  const sum = sumOf(t('1/2-13 UNC'), 0.57735 * t('1/2-13 UNC').pitchMm);
  expect((sum.overWiresMm - sum.leadCorrectionMm) / MM_PER_INCH).toBeCloseTo(0.5167, 4);
  expect(sum.leadCorrectionMm / MM_PER_INCH).toBeCloseTo(0.0001, 4);
});

it('refuses a wire that sinks under the crests or rides on them, form by form', () => {
  for (const [name, wire] of [
    ['M10', 0.7],
    ['M10', 1.52],
    ['1-5 ACME', 0.47 * 5.08],
    ['1-5 ACME', 0.66 * 5.08],
    ['1/2 BSW', 0.86 * (25.4 / 12)],
  ] as const)
    expect(overWires(t(name), wire)).toMatchObject({ problems: [{ path: 'wireMm' }] });
  expect(overWires(t('M10'), NaN)).toMatchObject({ ok: false });
  expect(overWires(t('1-5 ACME'), 0.64 * 5.08).ok).toBe(true);
});

it('turns round: the pitch diameter comes back from what it measures, any thread, any fair wire, any starts', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...THREADS.filter((x) => !x.tapered)),
      fc.double({ min: 0.02, max: 0.98, noNaN: true }),
      fc.integer({ min: 1, max: 4 }),
      (thread, share, starts) => {
        const { least, most } = wireRange(thread);
        const wire = (least + share * (most - least)) * thread.pitchMm;
        const sum = sumOf(thread, wire, starts);
        expect(pitchDiameterFromWires(thread, wire, sum.overWiresMm, starts)).toBeCloseTo(pitchDiameterMm(thread), 4);
      },
    ),
    { seed: 2, numRuns: 200 },
  );
});

/**
 * The wire laid into a groove whose flanks are straight along the axis, found by search: the least height at which a cylinder,
 * tilted as it likes, clears the flank.
 */
function laidIn(thread: Thread, wire: number, starts: number): number {
  const half = (thread.form.angleDeg * Math.PI) / 360;
  const e = pitchDiameterMm(thread) / 2;
  const lead = starts * thread.pitchMm;
  // Flank on the far side of the groove: z = P/4 + (r - e) tan(half) + lead x angle / 2 pi.
  const gap = (height: number, tilt: number): number => {
    let least = Infinity;
    let [a0, a1, r0, r1] = [-0.6, 0.6, e - 0.5 * thread.pitchMm, e + 0.7 * thread.pitchMm];
    for (let round = 0; round < 5; round++) {
      let best: [number, number] = [0, e];
      for (let i = 0; i <= 10; i++)
        for (let j = 0; j <= 10; j++) {
          const [angle, r] = [a0 + ((a1 - a0) * i) / 10, r0 + ((r1 - r0) * j) / 10];
          const [x, y] = [r * Math.cos(angle) - height, r * Math.sin(angle)];
          const z = thread.pitchMm / 4 + (r - e) * Math.tan(half) + (lead * angle) / (2 * Math.PI);
          const along = y * Math.cos(tilt) + z * Math.sin(tilt);
          const d = Math.sqrt(Math.max(x * x + y * y + z * z - along * along, 0));
          if (d < least) [least, best] = [d, [angle, r]];
        }
      const [da, dr] = [(a1 - a0) / 6, (r1 - r0) / 6];
      [a0, a1, r0, r1] = [best[0] - da, best[0] + da, best[1] - dr, best[1] + dr];
    }
    return least;
  };
  const heightAt = (tilt: number): number => {
    let [low, high] = [e - wire, e + 2 * wire];
    for (let i = 0; i < 24; i++) {
      const mid = (low + high) / 2;
      if (gap(mid, tilt) < wire / 2) low = mid;
      else high = mid;
    }
    return low;
  };
  let [low, high] = [0, 2 * Math.atan(lead / (2 * Math.PI * e))];
  for (let i = 0; i < 16; i++) {
    const [p, q] = [low + (high - low) / 3, high - (high - low) / 3];
    if (heightAt(p) < heightAt(q)) high = q;
    else low = p;
  }
  return 2 * heightAt((low + high) / 2) + wire;
}

it.each([
  ['1/2-13 UNC', 1],
  ['1-5 ACME', 1],
  ['1-5 ACME', 2],
  ['Tr 30 x 6', 3],
  ['M20', 4],
])('%s of %d starts: the sum is what a wire laid into the groove shows', (name, starts) => {
  const thread = t(name);
  const wire = thread.form.bestWire * thread.pitchMm;
  expect(Math.abs(sumOf(thread, wire, starts).overWiresMm - laidIn(thread, wire, starts))).toBeLessThan(0.006);
});
