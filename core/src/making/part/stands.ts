import { clockWords, timedWords } from './features/clock';
import type { PartFeature } from './features';
import { hostOf } from './host';
import type { Part } from './part';

/** Where a feature stands round its part, in a sentence that both ends agree on; empty for what has no clock angle. */
export function standsWords(part: Part, f: PartFeature): string {
  const host = hostOf(part, f.on);
  return host && 'clockDeg' in f ? `It stands ${timedWords(f, host) || clockWords(f.clockDeg, 'the top')}.` : '';
}
