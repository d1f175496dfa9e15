import { placeAll, type Part } from '../part';

/** A part without that bore, and without what was cut into it. */
export function withoutBore(part: Part, boreId: string): Part {
  const gone = new Set(part.bores.find((b) => b.id === boreId)?.surfaces.map((s) => s.id));
  return { ...part, bores: part.bores.filter((b) => b.id !== boreId), features: part.features.filter((f) => !gone.has(f.on)) };
}

/**
 * A part without that surface, and what was cut into it, or without that feature. The last surface of a bore takes its bore along; null for the only
 * surface of the outside, and where there is nothing of that id.
 */
export function removed(part: Part, ownerId: string): Part | null {
  if (part.features.some((f) => f.id === ownerId)) return { ...part, features: part.features.filter((f) => f.id !== ownerId) };
  const own = placeAll(part).find((s) => s.id === ownerId);
  if (!own || (own.side === 'outside' && part.outside.length === 1)) return null;
  const bore = part.bores.find((b) => b.surfaces.some((s) => s.id === ownerId));
  if (bore?.surfaces.length === 1) return withoutBore(part, bore.id);
  const outside = part.outside.filter((s) => s.id !== ownerId);
  // The chamfer of an end of the part stays with the end.
  const ends = {
    left: part.outside[0]?.id === ownerId ? outside[0] : undefined,
    right: part.outside.at(-1)?.id === ownerId ? outside.at(-1) : undefined,
  };
  const kept = part.features.flatMap((f) => {
    if (f.on !== ownerId) return [f];
    const on = f.kind === 'chamfer' ? ends[f.end]?.id : undefined;
    const has = part.features.some((o) => o.kind === 'chamfer' && f.kind === 'chamfer' && o.on === on && o.end === f.end);
    return on === undefined || has ? [] : [{ ...f, on }];
  });
  const bores = part.bores.map((b) => ({ ...b, surfaces: b.surfaces.filter((s) => s.id !== ownerId) }));
  return { ...part, outside, bores, features: kept };
}
