import { findThread } from './find-thread';
import { pipeLimits } from './limits-pipe';

const value = (name: string, side: 'outside' | 'inside', threadClass: string) => {
  const found = pipeLimits(findThread(name)!, side, threadClass);
  if (!found.ok) throw new Error(found.problems[0]!.message);
  return found.value;
};

// ISO 228-1, table 1: pitch diameter, class A and B below it, the tolerance of the minor diameter inside.
it.each([
  ['G1/2', 19.793, 0.142, 0.284, 18.631, 0.541],
  ['G1', 31.77, 0.18, 0.36, 30.291, 0.64],
] as const)('%s', (name, pitch, a, b, minor, minorTolerance) => {
  expect(value(name, 'outside', 'A').pitchDiameter.upperMm).toBeCloseTo(pitch, 3);
  expect(value(name, 'outside', 'A').pitchDiameter.lowerMm).toBeCloseTo(pitch - a, 3);
  expect(value(name, 'outside', 'B').pitchDiameter.lowerMm).toBeCloseTo(pitch - b, 3);
  expect(value(name, 'inside', 'G').minor.lowerMm).toBeCloseTo(minor, 3);
  expect(value(name, 'inside', 'G').minor.upperMm).toBeCloseTo(minor + minorTolerance, 3);
});

it('a tapered one is gauged, not limited', () => {
  const tapered = findThread('R1/2')!;
  expect(pipeLimits(tapered, 'outside', 'A')).toMatchObject({ ok: false, problems: [{ code: 'no-limits' }] });
});
