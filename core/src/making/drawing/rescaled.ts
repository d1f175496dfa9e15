import { keySeats } from '../../book/keys';
import { ringsFor } from '../../book/rings';
import { bad, good, type Outcome } from '../../terms/outcome';
import { inSentence } from '../../terms/words';
import { hostOf, keyOf, parseLimits, placeAll, ringOf, type Host, type Part, type PartFeature, type TypedLimits } from '../part';

/** The seat that the book has for a shaft, where this one was the book's for its own. */
function bookSeat(f: Extract<PartFeature, { kind: 'keyseat' }>, host: Host, toMm: number): { widthMm: number; depthMm: number } | null {
  const listed = keyOf(f, host);
  const there = keySeats(toMm);
  const key = there.ok && listed && there.value.find((k) => k.standard === listed.standard);
  return key ? { widthMm: key.widthMm, depthMm: key.fromCrownMm } : null;
}

/** What is cut into a surface of another diameter: by the book where it was the book's, else as deep as it was. Null where it cannot follow. */
function following(f: PartFeature, host: Host, toMm: number): PartFeature | null {
  const fromMm = host.surface.leftMm;
  const moreMm = toMm - fromMm;
  switch (f.kind) {
    case 'thread':
      return null;
    case 'keyseat':
      return { ...f, ...bookSeat(f, host, toMm) };
    case 'ring-groove': {
      const own = f.ring === 'book' ? ringOf(f, host) : undefined;
      const found = own ? ringsFor(own.on, toMm) : null;
      const ring = found?.ok ? found.value.find((r) => r.standard === own!.standard) : undefined;
      return ring
        ? { ...f, widthMm: ring.widthMm, diameterMm: ring.grooveMm }
        : { ...f, ring: 'measured', diameterMm: f.diameterMm + moreMm };
    }
    case 'oring-groove':
    case 'seal-groove':
    case 'relief':
    case 'eccentric':
      return { ...f, diameterMm: f.diameterMm + moreMm };
    case 'spline':
      return { ...f, rootMm: f.rootMm + moreMm };
    case 'flats':
      return { ...f, acrossMm: (f.acrossMm * toMm) / fromMm };
    case 'hole-pattern':
      return { ...f, circleMm: (f.circleMm * toMm) / fromMm };
    default:
      return f;
  }
}

/** Limits that were typed of the diameter, of the new one: a zone is another at another size, two sizes were those of the old one. */
function limitsAt(limits: TypedLimits, fromMm: number, toMm: number): TypedLimits | null {
  const [was, is] = [fromMm, toMm].map((mm) => parseLimits(limits.text, mm, 'mm'));
  if (!was?.ok || !is?.ok) return null;
  if (/^[a-z]/i.test(limits.text)) return is.value;
  // Deviations read the same at every size, in whatever unit: they stand as they were read. Two sizes do not.
  return Math.abs(was.value.lowerDev - is.value.lowerDev) < SAME_DEV_MM ? limits : null;
}
const SAME_DEV_MM = 1e-9;

/**
 * A turned part with another diameter of one surface, and what hangs on it following: a keyseat and a ring's groove by their standard where they were by
 * it, grooves, splines and eccentrics as deep as they were, flats and bolt circles in proportion, limits of a zone at the new size.
 *
 * @param toMm the diameter, mm
 * @returns a reason for a taper, a diameter that follows a fit, and a thread, whose size is its name's
 */
export function rescaled(part: Part, surfaceId: string, toMm: number): Outcome<Part> {
  const host = hostOf(part, surfaceId);
  if (!host) return bad('no-surface', 'Say which stretch.', 'surfaceId');
  const { surface } = host;
  if (!(toMm > 0) || !Number.isFinite(toMm)) return bad('size', 'Say the diameter that it gets.', 'toMm');
  if (surface.kind === 'taper') return bad('taper', `${surface.name} is a taper: change its two ends.`, 'surfaceId');
  if (surface.fitsPlaceIds.length)
    return bad('fitted', `${surface.name} follows its fit: choose another fit at Decide, or take the mate off it first.`, 'surfaceId');
  const features: PartFeature[] = [];
  for (const f of part.features) {
    const now = f.on === surfaceId ? following(f, host, toMm) : f;
    if (!now) return bad('thread', `${f.name} has the size of its name: take another thread instead.`, 'surfaceId');
    features.push(now);
  }
  const typed = part.limits[surfaceId];
  const { [surfaceId]: _, ...others } = part.limits;
  const own = typed && limitsAt(typed, surface.diameterMm, toMm);
  const sized = <T extends { readonly id: string }>(all: readonly T[]): T[] =>
    all.map((s) => (s.id === surfaceId ? { ...s, diameterMm: toMm } : s));
  return good({
    ...part,
    outside: sized(part.outside),
    bores: part.bores.map((b) => ({ ...b, surfaces: sized(b.surfaces) })),
    features,
    limits: own ? { ...others, [surfaceId]: own } : others,
  });
}

/** What of a surface's typed limits a new diameter would leave without any, in words; empty where nothing. */
export function limitsLost(before: Part, after: Part): string[] {
  const names = new Map(placeAll(before).map((s) => [s.id, s.name]));
  return Object.keys(before.limits).flatMap((key) =>
    key in after.limits || !names.has(key)
      ? []
      : [`Limits ${before.limits[key]!.text} of ${inSentence(names.get(key)!)} were of the old size: say them anew.`],
  );
}
