import { bad, type Outcome } from '../../terms/outcome';
import { acmeLimits } from './limits-acme';
import { metricLimits } from './limits-metric';
import { pipeLimits } from './limits-pipe';
import { unifiedLimits } from './limits-unified';
import { whitworthLimits } from './limits-whitworth';
import type { Thread } from './thread';
import type { ThreadLimits } from './thread-limits';

/** Classes that the book has limits for, usual one first. */
export const THREAD_CLASSES: Readonly<
  Partial<Record<Thread['system'], { readonly outside: readonly string[]; readonly inside: readonly string[] }>>
> = {
  unified: { outside: ['2A', '1A', '3A'], inside: ['2B', '1B', '3B'] },
  metric: { outside: ['6g', '4g6g', '6e'], inside: ['6H', '6G', '5H'] },
  whitworth: { outside: ['medium', 'close', 'free'], inside: ['medium', 'normal'] },
  pipe: { outside: ['A', 'B'], inside: ['G'] },
  acme: { outside: ['2G', '3G', '4G'], inside: ['2G', '3G', '4G'] },
};

/** Limits of a thread in a class; a reason where the book has none (BA, trapezoidal, tapered pipe) or the class is not of that system. */
export function threadLimits(t: Thread, side: 'outside' | 'inside', threadClass: string): Outcome<ThreadLimits> {
  const classes = THREAD_CLASSES[t.system]?.[side];
  if (!classes) return bad('no-limits', `The book has basic sizes of ${t.name}, not its limits: gauge it or fit it to its mate.`);
  if (!classes.includes(threadClass)) return bad('class', `${t.name} has no class ${threadClass} for this side: ${classes.join(', ')}.`);
  switch (t.system) {
    case 'metric':
      return metricLimits(t, side, threadClass);
    case 'unified':
      return unifiedLimits(t, side, threadClass);
    case 'pipe':
      return pipeLimits(t, side, threadClass);
    case 'whitworth':
      return whitworthLimits(t, side, threadClass);
    default:
      return acmeLimits(t, side, threadClass);
  }
}
