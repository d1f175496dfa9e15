import { inSentence } from '../../terms/words';
import { roundStart, type LengthUnit } from '../../terms/quantity';
import { findThread } from '../../book/threads';
import {
  FEATURE_KINDS,
  hostOf,
  kindOf,
  placeAll,
  surface,
  type Bore,
  type FeatureKindId,
  type Part,
  type PartFeature,
  type PlacedSurface,
  type SurfaceKind,
} from '../part';

/** A part with something new in it, and whose it is that is asked about next. */
export interface Added {
  readonly part: Part;
  /** Id of the new surface or feature. */
  readonly ownerId: string;
}

/** Steps are this much smaller than what they stand beside. */
const STEP_SHARE = 0.8;
const lengthMm = (unit: LengthUnit): number => roundStart(unit, 10, 0.5);

const sideOf = (part: Part, surfaceId: string | null): 'outside' | 'inside' | null =>
  placeAll(part).find((s) => s.id === surfaceId)?.side ?? null;

/** A name that none of these has: `Keyseat 2`. */
export function freshName(named: readonly { readonly name: string }[], name: string): string {
  const taken = new Set(named.map((x) => x.name));
  for (let n = 1; ; n++) {
    const said = n === 1 ? name : `${name} ${n}`;
    if (!taken.has(said)) return said;
  }
}
const freshIn = (part: Part, name: string): string => freshName([...placeAll(part), ...part.features], name);

/** A stretch of the outside behind that one, or at the end, where the chamfer of the part's end goes along. */
export function addedSurface(part: Part, kind: SurfaceKind, name: string, after: string | null, id: string, unit: LengthUnit): Added {
  const found = part.outside.findIndex((s) => s.id === after);
  const at = found < 0 ? part.outside.length : found + 1;
  const before = part.outside[at - 1];
  const size = (before?.diameterMm ?? 25) * (kind === 'head' ? 1.4 : STEP_SHARE);
  const plain = surface(id, kind, freshIn(part, name), lengthMm(unit), size);
  const own = kind === 'taper' ? { ...plain, diameterMm: before?.diameterMm ?? 25, farDiameterMm: size } : plain;
  const last = at === part.outside.length;
  const features = part.features.map((f) =>
    last && f.on === before?.id && f.kind === 'chamfer' && f.end === 'right' ? { ...f, on: id } : f,
  );
  return { part: { ...part, features, outside: [...part.outside.slice(0, at), own, ...part.outside.slice(at)] }, ownerId: id };
}

/** A bore from an end that has none yet, half as wide as the outside there; through, unless another one is. */
export function addedBore(part: Part, from: Bore['from'], id: string, unit: LengthUnit): Added {
  const first = from === 'near' ? part.outside[0] : part.outside.at(-1);
  const name = part.bores.length ? 'Far bore' : 'Bore';
  const hole = surface(`${id}-hole`, 'cylinder', name, lengthMm(unit), (first?.diameterMm ?? 25) / 2);
  const bore: Bore = { id, from, through: !part.bores.some((b) => b.through), surfaces: [hole] };
  return { part: { ...part, bores: [...part.bores, bore] }, ownerId: hole.id };
}

/** A bore one step deeper, smaller than its last; what was the last gets a length where it went through. */
export function deepened(part: Part, boreId: string, id: string, unit: LengthUnit): Added {
  const bores = part.bores.map((b) => {
    if (b.id !== boreId) return b;
    const last = b.surfaces.at(-1)!;
    const long = last.lengthMm > 0 ? last.lengthMm : lengthMm(unit);
    const next = surface(id, 'cylinder', 'Step of the bore', long, last.diameterMm * STEP_SHARE);
    return { ...b, surfaces: [...b.surfaces.slice(0, -1), { ...last, lengthMm: long }, next] };
  });
  return { part: { ...part, bores }, ownerId: id };
}

/** What somebody cuts into a surface, begun with what is usual there; null where the part has no such surface. */
export function addedFeature(part: Part, on: string, kindId: FeatureKindId, id: string, change: object = {}): Added | null {
  const host = hostOf(part, on);
  if (!host) return null;
  const kind = kindOf(kindId);
  const own = { ...kind.start(host), id, kind: kindId, on, name: freshIn(part, kind.name), ...change } as unknown as PartFeature;
  return { part: { ...part, features: [...part.features, own] }, ownerId: id };
}

/**
 * The same feature once more on its surface: one that is told by an end at the other end, one that is told by a place at the mirrored place; where that
 * is its own place, beside itself, which may leave the surface and is then said. What has neither lies on itself until it is moved. Null where there is
 * none of that id.
 */
export function copied(part: Part, featureId: string, id: string): Added | null {
  const f = part.features.find((x) => x.id === featureId);
  const host = f && hostOf(part, f.on);
  if (!f || !host) return null;
  const lengthMm = host.surface.toMm - host.surface.fromMm;
  const there = kindOf(f.kind).mirrored(f, lengthMm) as PartFeature;
  const same = 'atMm' in f && 'atMm' in there && Math.abs(there.atMm - f.atMm) < 0.001;
  // In the middle it reaches as far as both its ends are from the surface's.
  const twin = same ? { ...there, atMm: lengthMm - f.atMm } : there;
  // Its own kind's name, so that the second keyseat is not "Keyseat 1 2".
  return {
    part: { ...part, features: [...part.features, { ...twin, id, name: freshIn(part, f.name.replace(/ \d+$/, '')) }] },
    ownerId: id,
  };
}

/** The part with a feature at the other end of its own surface, as in a mirror; null where there is none of that id. */
export function otherEndOn(part: Part, featureId: string): Part | null {
  const f = part.features.find((x) => x.id === featureId);
  const host = f && hostOf(part, f.on);
  if (!f || !host) return null;
  const there = kindOf(f.kind).mirrored(f, host.surface.toMm - host.surface.fromMm) as PartFeature;
  return { ...part, features: part.features.map((x) => (x === f ? there : x)) };
}

/** Surfaces that a kind can be cut into, along the part. */
export const hostsFor = (part: Part, kindId: FeatureKindId): PlacedSurface[] =>
  placeAll(part).filter((s) => kindOf(kindId).sides.includes(s.side));

/** What can be added by its name. */
interface Addable {
  readonly name: string;
  /** Other words for it. */
  readonly also?: readonly string[];
  make(id: string): Added | null;
}

function addables(part: Part, at: string | null, unit: LengthUnit): Addable[] {
  const side = sideOf(part, at);
  const outside = side === 'outside' ? at : null;
  const bore = part.bores.find((b) => b.surfaces.some((s) => s.id === at));
  const free = (['near', 'far'] as const).filter((end) => !part.bores.some((b) => b.from === end));
  const step: Addable = bore
    ? { name: 'Step of the bore', also: ['step', 'cylinder'], make: (id) => deepened(part, bore.id, id, unit) }
    : { name: 'Cylinder', also: ['step'], make: (id) => addedSurface(part, 'cylinder', 'Step', outside, id, unit) };
  return [
    step,
    { name: 'Taper', make: (id) => addedSurface(part, 'taper', 'Taper', outside, id, unit) },
    ...free.map((from): Addable => ({
      name: from === 'near' ? 'Bore from the zero face' : 'Bore from the far end',
      make: (id) => addedBore(part, from, id, unit),
    })),
    ...(Object.keys(FEATURE_KINDS) as FeatureKindId[])
      .filter((k) => side !== null && kindOf(k).sides.includes(side))
      .map((k): Addable => ({ name: kindOf(k).name, make: (id) => addedFeature(part, at!, k, id) })),
  ];
}

/** What typed words add: one thing, one of several that they may mean, or nothing that is known. */
export type ByWords =
  | { readonly kind: 'added'; readonly name: string; make(id: string): Added | null }
  | { readonly kind: 'which'; readonly names: readonly string[] }
  | { readonly kind: 'none' };

/**
 * What is added to a surface by its name, or the beginning of one of its words: `keyseat`, `ring`, `step`, `bore from far`; a thread by its own name.
 *
 * @param at id of the surface in hand; null for none
 */
export function byWords(part: Part, words: string, at: string | null, unit: LengthUnit): ByWords {
  const typed = words.trim().toLowerCase();
  if (typed.length < 2) return { kind: 'none' };
  const thread = at !== null && /\d/.test(typed) ? findThread(words.trim()) : null;
  if (thread) return { kind: 'added', name: thread.name, make: (id) => addedFeature(part, at!, 'thread', id, { thread: thread.name }) };
  const all = addables(part, at, unit);
  const names = (a: Addable): readonly string[] => [a.name, ...(a.also ?? [])].map((n) => n.toLowerCase());
  const exact = all.filter((a) => names(a).includes(typed));
  const begins = exact.length
    ? exact
    : all.filter((a) =>
        names(a).some((n) => n.startsWith(typed) || n.split(' ').some((_, i, w) => w.slice(i).join(' ').startsWith(typed))),
      );
  if (begins.length === 1) return { kind: 'added', name: inSentence(begins[0]!.name), make: (id) => begins[0]!.make(id) };
  return begins.length ? { kind: 'which', names: begins.map((a) => a.name) } : { kind: 'none' };
}
