import { findThread } from './find-thread';
import { threadLimits } from './limits';

const limits = (name: string, side: 'outside' | 'inside', threadClass: string): number[] => {
  const found = threadLimits(findThread(name)!, side, threadClass);
  if (!found.ok) throw new Error(found.problems[0]!.message);
  const { major, pitchDiameter, minor } = found.value;
  const crest = side === 'outside' ? major : minor;
  return [crest.lowerMm!, crest.upperMm!, pitchDiameter.lowerMm!, pitchDiameter.upperMm!].map((x) => Math.round(x * 1000) / 1000);
};

// ISO 965-2, limits of sizes: crest, then pitch diameter.
it.each([
  ['M6', 'outside', '6g', [5.794, 5.974, 5.212, 5.324]],
  ['M10', 'outside', '6g', [9.732, 9.968, 8.862, 8.994]],
  ['M10', 'inside', '6H', [8.376, 8.676, 9.026, 9.206]],
  ['M20', 'outside', '6g', [19.623, 19.958, 18.164, 18.334]],
  ['M20', 'inside', '6H', [17.294, 17.744, 18.376, 18.6]],
] as const)('%s %s %s', (name, side, threadClass, published) => expect(limits(name, side, threadClass)).toEqual([...published]));
