import { inSentence } from '../../terms/words';
import type { Reads } from '../../evidence/readings';
import { blockDimensions } from './block';
import type { Dimension } from './dimension';
import { isAtTheEdge, type BookLimits, type DimensionDraft, type DimensionWhat } from './feature-kind';
import { kindOf, type PartFeature } from './features';
import { hostOf } from './host';
import { placeBore, placeOutside, type Part } from './part';
import { type PlacedSurface } from './surface';

/** The diameter of a surface, by whose id it goes; not one of a feature. */
export const isDiameterOfSurface = (d: Pick<Dimension, 'key' | 'ownerId'>): boolean => d.key === d.ownerId;

/** It is round and lies along the axis: read at places and in directions. A surface's diameter, finished or before a treatment. */
export const isReadAllRound = (d: Pick<Dimension, 'key' | 'ownerId' | 'before'>): boolean => isDiameterOfSurface(d) || d.before === true;

/**
 * What an instrument has to be put to for a dimension; null where none of the crib reads it. A pitch diameter is read over wires or with a
 * thread mic, which is another number: it is gauged.
 */
export const READ_AS: Readonly<Record<DimensionWhat, Reads | null>> = {
  outside: 'outside',
  inside: 'inside',
  across: 'outside',
  length: 'length',
  width: 'gap',
  position: 'depth',
  depth: 'depth',
  'pitch-diameter': null,
  edge: null,
  angle: null,
  pitch: null,
  relation: 'indicator',
  roughness: null,
  hardness: null,
};

/** On which side of the metal an instrument stands that reads it. */
export const sideRead = (what: DimensionWhat): 'outside' | 'inside' =>
  READ_AS[what] === 'inside' || READ_AS[what] === 'gap' ? 'inside' : 'outside';

function ofSurface(s: PlacedSurface, lengthIsGiven: boolean, book: BookLimits | null): Dimension[] {
  const name = inSentence(s.name);
  const own = { ownerId: s.id, surface: s, unit: '', book: null, own: null, seat: false };
  const end = s.kind === 'taper' ? ', at its first end' : '';
  return [
    {
      ...own,
      book,
      key: s.id,
      name: 'diameter',
      what: s.side,
      label: `diameter of ${name}${end}`,
      value: s.diameterMm,
    },
    ...(s.farDiameterMm === null
      ? []
      : [
          {
            ...own,
            key: `${s.id}.far`,
            name: 'far',
            what: s.side,
            label: `diameter of ${name}, at its other end`,
            value: s.farDiameterMm,
          },
        ]),
    ...(lengthIsGiven
      ? [
          {
            ...own,
            key: `${s.id}.length`,
            name: 'length',
            what: s.side === 'inside' ? ('depth' as const) : ('length' as const),
            label: `length of ${name}`,
            value: s.lengthMm,
          },
        ]
      : []),
  ];
}

const UNITS: Partial<Record<DimensionWhat, string>> = { angle: '°', roughness: 'µm' };

/** What the features of a part say of its dimensions, each with its feature and the surface that it is on. */
const drafted = (part: Part): { readonly f: PartFeature; readonly surface: PlacedSurface; readonly d: DimensionDraft }[] =>
  part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    return host
      ? kindOf(f.kind)
          .dimensions(f, host)
          .map((d) => ({ f, surface: host.surface, d }))
      : [];
  });

/** Every dimension of a part, each once: outside from left to right, bores from their mouths, then what is cut into them. */
export function dimensionsOf(part: Part): Dimension[] {
  if (part.block) return blockDimensions(part.block);
  const drafts = drafted(part);
  const bookOf = (id: string): BookLimits | null => drafts.find(({ d, surface }) => d.ofSurface && surface.id === id)?.d.book ?? null;
  const outside = placeOutside(part).flatMap((s) => ofSurface(s, true, bookOf(s.id)));
  const inside = part.bores.flatMap((b) =>
    placeBore(part, b).flatMap((s, i) => ofSurface(s, !(b.through && i === b.surfaces.length - 1), bookOf(s.id))),
  );
  const cut = drafts
    .filter(({ d }) => !d.ofSurface && !isAtTheEdge(d))
    .map(({ f, surface, d }): Dimension => ({
      key: `${f.id}.${d.name}`,
      ownerId: f.id,
      name: d.name,
      what: d.what,
      // What a drawing asks for is of the surface, and says of which.
      label: d.own || d.before ? `${inSentence(surface.name)}, ${d.label}` : `${inSentence(f.name)}, ${d.label}`,
      value: d.value,
      unit: d.unit ?? UNITS[d.what] ?? '',
      book: d.book ?? null,
      own: d.own ?? null,
      seat: d.seat ?? false,
      ...(d.before ? { before: true } : {}),
      surface,
    }));
  return [...outside, ...inside, ...cut];
}
