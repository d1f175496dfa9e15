import { taperPinWornFrom } from '../../book/pins';
import { tapersNamed, taperWords } from '../../making/part';
import type { Measured } from './measured';

function told(names: readonly string[]): string {
  if (names.length === 0) return 'No listed pin, key, pipe or shank tapers so.';
  const all = names.join(', ');
  return names.length > 1 ? `These readings do not tell apart: ${all}.` : `As ${all} ${/s$/.test(all) ? 'do' : 'does'}.`;
}

/** The taper of a place that tapers by design: how steep, what tapers so, which listed pin it was; null before it was read at two stations. */
export function taperFinding({ place, shape }: Measured): string | null {
  const profile = place.kind === 'taper' ? shape?.profile : null;
  if (!shape || !profile || profile.taperPerMm === 0) return null;
  const perMm = Math.abs(profile.taperPerMm);
  const names = tapersNamed(perMm, profile.taperPlusMinus);
  const isPins = names.some((n) => n.endsWith('taper pins'));
  const pin = isPins && place.side === 'outside' ? taperPinWornFrom(shape.smallestMm, place.lengthMm) : undefined;
  return [
    `${taperWords(perMm)}.`,
    told(names),
    ...(pin ? [`As long as it is here it was a taper pin ${pin.name}, ${pin.source}.`] : []),
  ].join(' ');
}
