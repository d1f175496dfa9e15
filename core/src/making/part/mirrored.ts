import { kindOf, type PartFeature } from './features';
import { hostOf } from './host';
import type { Bore, Part } from './part';
import type { Surface } from './surface';

/** A surface seen from the other end. */
const turned = (s: Surface): Surface => (s.farDiameterMm === null ? s : { ...s, diameterMm: s.farDiameterMm, farDiameterMm: s.diameterMm });

const fromOther = (b: Bore): Bore => ({ ...b, from: b.from === 'near' ? 'far' : 'near' });

function feature(part: Part, f: PartFeature): PartFeature {
  const host = hostOf(part, f.on);
  return host ? (kindOf(f.kind).mirrored(f, host.surface.toMm - host.surface.fromMm) as PartFeature) : f;
}

/** Limits of a taper's two ends change places with its ends. */
function limitsOf(part: Part): Part['limits'] {
  // A bore is told from its mouth: its ends stay as they are told.
  const tapers = part.outside.filter((s) => s.farDiameterMm !== null).map((s) => s.id);
  const other = new Map(tapers.flatMap((id) => [[id, `${id}.far`] as const, [`${id}.far`, id] as const]));
  return Object.fromEntries(Object.entries(part.limits).map(([key, l]) => [other.get(key) ?? key, l]));
}

/**
 * A turned part mirrored end for end: each place z becomes L - z, and keeps its clock angle seen from the same side of the machine. That is no turning
 * round, which changes nothing. The hand of threads, knurls and oil grooves stays: a mirrored machine's screws are asked for, not guessed. Limits and
 * ids stay with what they belong to. A block comes back as it is.
 *
 * @example a keyseat 10 mm from the left end of a seat of 50, 20 long: 20 mm from its left end
 */
export const mirrored = (part: Part): Part =>
  part.block
    ? part
    : {
        ...part,
        outside: [...part.outside].reverse().map(turned),
        bores: part.bores.map(fromOther),
        features: part.features.map((f) => feature(part, f)),
        limits: limitsOf(part),
      };
