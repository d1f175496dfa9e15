import { MM_PER_INCH } from '../../terms/quantity';
import { findThread } from './find-thread';
import { threadLimits } from './limits';

const limits = (name: string, side: 'outside' | 'inside', threadClass: string): number[] => {
  const found = threadLimits(findThread(name)!, side, threadClass);
  if (!found.ok) throw new Error(found.problems[0]!.message);
  const { major, pitchDiameter, minor } = found.value;
  const crest = side === 'outside' ? major : minor;
  return [crest.lowerMm!, crest.upperMm!, pitchDiameter.lowerMm!, pitchDiameter.upperMm!].map(
    (x) => Math.round((x / MM_PER_INCH) * 1e4) / 1e4,
  );
};

// ASME B1.1, limits of sizes, in: crest, then pitch diameter.
it.each([
  ['1/4-20 UNC', 'outside', '2A', [0.2408, 0.2489, 0.2127, 0.2164]],
  ['1/4-20 UNC', 'inside', '2B', [0.196, 0.207, 0.2175, 0.2224]],
  ['1/2-13 UNC', 'outside', '2A', [0.4876, 0.4985, 0.4435, 0.4485]],
  ['1/2-13 UNC', 'inside', '2B', [0.417, 0.434, 0.45, 0.4565]],
] as const)('%s %s %s', (name, side, threadClass, published) => expect(limits(name, side, threadClass)).toEqual([...published]));
