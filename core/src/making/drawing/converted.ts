import { minorMm, type Thread } from '../../book/threads';
import { placeAll, type Part } from '../part';

/**
 * A part with another thread in the place of one of its threads, in the usual class: outside its blank becomes that thread's size over the crests, inside
 * the hole becomes the one it wants. What is longer than the new thread needs stays. Null where there is no such thread.
 */
export function converted(part: Part, featureId: string, to: Thread): Part | null {
  const f = part.features.find((x) => x.id === featureId);
  const on = f && placeAll(part).find((s) => s.id === f.on);
  if (f?.kind !== 'thread' || !on) return null;
  const diameterMm = on.side === 'outside' ? to.majorMm : minorMm(to);
  const blank = <T extends { readonly id: string }>(all: readonly T[]): T[] => all.map((s) => (s.id === on.id ? { ...s, diameterMm } : s));
  return {
    ...part,
    outside: blank(part.outside),
    bores: part.bores.map((b) => ({ ...b, surfaces: blank(b.surfaces) })),
    features: part.features.map((x) => (x.id === featureId ? { ...f, thread: to.name, threadClass: '' } : x)),
  };
}
