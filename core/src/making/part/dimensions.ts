import { inSentence } from '../../terms/words';
import type { InstrumentKind } from '../../evidence/readings';
import type { BookLimits, DimensionWhat } from './feature-kind';
import { kindOf } from './features';
import { hostOf } from './host';
import { placeBore, placeOutside, type Part, type PlacedSurface } from './part';

/** One number of the part that is released, made and proved. */
export interface Dimension {
  /** Lasts: the surface's id for its diameter, else `<id of surface or feature>.<name>`. */
  readonly key: string;
  readonly ownerId: string;
  readonly name: string;
  readonly what: DimensionWhat;
  /** `diameter of body`, `ring groove, width`. */
  readonly label: string;
  /** mm; degrees for an angle, µm for a roughness. */
  readonly value: number;
  readonly book: BookLimits | null;
  /** Something sits or runs there: the general tolerance will not do. */
  readonly seat: boolean;
  /** The surface it lies on. */
  readonly surface: PlacedSurface;
}

/** The key of a dimension of a surface or a feature. */
export const dimensionKey = (ownerId: string, name: string): string =>
  name === 'diameter' && !ownerId.includes('.') ? ownerId : `${ownerId}.${name}`;

/** Instruments that read such a dimension, the usual one first. A measure that no instrument of the crib reads is gauged or seen. */
export const MEASURED_BY: Readonly<Record<DimensionWhat, readonly InstrumentKind[]>> = {
  outside: ['micrometer', 'caliper'],
  inside: ['dial-bore-gauge', 'bore-head', 'telescoping-gauge', 'caliper'],
  length: ['caliper', 'depth-mic'],
  depth: ['depth-mic', 'caliper'],
  width: ['caliper'],
  across: ['micrometer', 'caliper'],
  position: ['caliper', 'depth-mic'],
  'pitch-diameter': ['micrometer'],
  edge: [],
  angle: [],
  pitch: [],
  roughness: [],
};

function ofSurface(s: PlacedSurface, lengthIsGiven: boolean): Dimension[] {
  const name = inSentence(s.name);
  const own = { ownerId: s.id, surface: s, book: null, seat: false };
  const end = s.kind === 'taper' ? ', at its first end' : '';
  return [
    {
      ...own,
      key: dimensionKey(s.id, 'diameter'),
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
            key: dimensionKey(s.id, 'far'),
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
            key: dimensionKey(s.id, 'length'),
            name: 'length',
            what: s.side === 'inside' ? ('depth' as const) : ('length' as const),
            label: `length of ${name}`,
            value: s.lengthMm,
          },
        ]
      : []),
  ];
}

/** Every dimension of a part, each once: outside from left to right, bores from their mouths, then what is cut into them. */
export function dimensionsOf(part: Part): Dimension[] {
  const outside = placeOutside(part).flatMap((s) => ofSurface(s, true));
  const inside = part.bores.flatMap((b) => placeBore(part, b).flatMap((s, i) => ofSurface(s, !(b.through && i === b.surfaces.length - 1))));
  const cut = part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    if (!host) return [];
    return kindOf(f.kind)
      .dimensions(f, host)
      .map((d): Dimension => ({
        key: `${f.id}.${d.name}`,
        ownerId: f.id,
        name: d.name,
        what: d.what,
        label: `${inSentence(f.name)}, ${d.label}`,
        value: d.value,
        book: d.book ?? null,
        seat: d.seat ?? false,
        surface: host.surface,
      }));
  });
  return [...outside, ...inside, ...cut];
}
