import { MM_PER_INCH } from '../../terms/quantity';
import { findThread } from './find-thread';
import { acmeLimits, acmeRoomIn } from './limits-acme';

const all = (side: 'outside' | 'inside'): number[] => {
  const found = acmeLimits(findThread('1-5 ACME')!, side, '2G');
  if (!found.ok) throw new Error(found.problems[0]!.message);
  const { major, pitchDiameter, minor } = found.value;
  return [major, pitchDiameter, minor].flatMap((b) => [b.lowerMm!, b.upperMm!]).map((x) => Math.round((x / MM_PER_INCH) * 1e4) / 1e4);
};

it('1-5 Acme 2G as ASME B1.5 lists it: major, pitch, minor', () => {
  expect(all('outside')).toEqual([0.99, 1, 0.8726, 0.892, 0.7509, 0.78]);
  expect(all('inside')).toEqual([1.02, 1.04, 0.9, 0.9194, 0.8, 0.81]);
});

it('has 0.010 of room at crest and root a side up to 10 threads an inch, half of it beyond', () => {
  expect([1 / 5, 1 / 10, 1 / 12].map(acmeRoomIn)).toEqual([0.02, 0.02, 0.01]);
});
