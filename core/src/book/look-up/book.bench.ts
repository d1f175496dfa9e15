import { BEARINGS, bearingOf } from '../bearings';
import { inchFit, zoneDeviations } from '../fits';
import { ringsFor } from '../rings';
import { identifyThread, threadLimits, threadOf, THREADS } from '../threads';
import { lookUp } from './look-up';

/** Prints how long single look-ups and identifications take, over many different questions. */
function each(name: string, count: number, act: (i: number) => unknown): void {
  for (let i = 0; i < count; i++) act(i);
  const start = performance.now();
  for (let i = 0; i < count; i++) act(i);
  console.log(`  ${name}: ${(((performance.now() - start) * 1000) / count).toFixed(1)} µs each`);
}

const at = <T>(list: readonly T[], i: number): T => list[(i * 7919) % list.length]!;
const asked = ['3/8 24', 'M16x1.5', '6204', '-214', '25 H7/p6', '1 RC4', 'number 7', 'bronze'];

each('ISO 286 zone', 20_000, (i) => zoneDeviations(at(['H7', 'K6', 'P7', 's6', 'js9'], i), 1 + ((i * 37) % 499)));
each('ANSI B4.1 class', 20_000, (i) => inchFit('RC4', 0.1 + ((i * 37) % 1900) / 100));
each('thread limits', 20_000, (i) => threadLimits(at(THREADS, i), 'outside', '6g'));
each('bearing by code', 20_000, (i) => bearingOf(at(BEARINGS, i).code));
each('ring for a shaft', 20_000, (i) => ringsFor('shaft', 3 + ((i * 37) % 97)));
each('thread identified', 5000, (i) => identifyThread('outside', at(THREADS, i).majorMm * 0.995, at(THREADS, i).pitchMm));
for (const text of asked) each(`looked up "${text}"`, 2000, () => lookUp(text, 'mm', 1));
each('thread by name', 20_000, (i) => threadOf(at(THREADS, i).name));
