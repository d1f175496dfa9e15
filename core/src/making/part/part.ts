import type { Block } from './block';
import type { PartFeature } from './features';
import type { PlacedSurface, Surface } from './surface';

/** A bore from one end, its surfaces from its mouth inwards. The last one of a through bore takes what is left of the length. */
export interface Bore {
  readonly id: string;
  readonly from: 'near' | 'far';
  readonly through: boolean;
  readonly surfaces: readonly Surface[];
}

/** Limits that somebody typed for a dimension: deviations from its size, mm or degrees, and the words as typed. */
export interface TypedLimits {
  readonly lowerDev: number;
  readonly upperDev: number;
  readonly text: string;
}

/**
 * The drawing of a part. Of a turned one: surfaces one after another from the zero face (x = 0) to the right, bores, what is cut into them. Of a
 * block all of that is empty.
 */
export interface Part {
  readonly name: string;
  readonly materialId: string;
  readonly outside: readonly Surface[];
  readonly bores: readonly Bore[];
  readonly features: readonly PartFeature[];
  /** The box and what is cut into it; null for a turned part. */
  readonly block: Block | null;
  /** By key of dimension. */
  readonly limits: Readonly<Record<string, TypedLimits>>;
}

/** Whether there is anything of it to draw: a rework has a name and a material only. */
export const isDrawn = (part: Pick<Part, 'outside' | 'block'>): boolean => part.block !== null || part.outside.length > 0;

/** Length over all, mm. */
export const partLengthMm = (part: Pick<Part, 'outside'>): number => part.outside.reduce((s, q) => s + q.lengthMm, 0);

/** Largest outside diameter, mm; 0 for a part without an outside. */
export const largestDiameterMm = (part: Pick<Part, 'outside'>): number =>
  Math.max(0, ...part.outside.flatMap((s) => [s.diameterMm, s.farDiameterMm ?? 0]));

/** The outside from left to right. */
export function placeOutside(part: Pick<Part, 'outside'>): PlacedSurface[] {
  let at = 0;
  return part.outside.map((s) => {
    const fromMm = at;
    at += s.lengthMm;
    return { ...s, side: 'outside', fromMm, toMm: at, leftMm: s.diameterMm, rightMm: s.farDiameterMm ?? s.diameterMm };
  });
}

const depthOf = (bore: Bore): number => bore.surfaces.reduce((s, q, i) => s + (isLastOfThrough(bore, i) ? 0 : q.lengthMm), 0);
const isLastOfThrough = (bore: Bore, i: number): boolean => bore.through && i === bore.surfaces.length - 1;

/**
 * The surfaces of a bore from its mouth inwards, each with its place on the part. The last one of a through bore takes what the others,
 * and a bore from the other end, leave of the length.
 */
export function placeBore(part: Pick<Part, 'outside' | 'bores'>, bore: Bore): PlacedSurface[] {
  const length = partLengthMm(part);
  const others = part.bores.filter((b) => b.id !== bore.id && b.from !== bore.from && !b.through);
  const left = length - depthOf(bore) - Math.max(0, ...others.map(depthOf));
  let deep = 0;
  return bore.surfaces.map((s, i) => {
    const lengthMm = isLastOfThrough(bore, i) ? left : s.lengthMm;
    const from = deep;
    deep += lengthMm;
    const far = s.farDiameterMm ?? s.diameterMm;
    const near = bore.from === 'near';
    return {
      ...s,
      lengthMm,
      side: 'inside',
      fromMm: near ? from : length - deep,
      toMm: near ? deep : length - from,
      leftMm: near ? s.diameterMm : far,
      rightMm: near ? far : s.diameterMm,
    };
  });
}

/** Every surface of the part with its place: outside from left to right, then each bore from its mouth. */
export const placeAll = (part: Pick<Part, 'outside' | 'bores'>): PlacedSurface[] => [
  ...placeOutside(part),
  ...part.bores.flatMap((b) => placeBore(part, b)),
];
