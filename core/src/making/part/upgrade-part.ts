import type { PartFeature } from './features';
import { type Part } from './part';
import { surface, type Surface } from './surface';

/** A drawing as it was kept before 2026-11-27: cylinders with two chamfers, one plain bore, cross holes from the zero face. */
interface PartOfSegments {
  readonly name: string;
  readonly materialId: string;
  readonly segments: readonly {
    readonly id: string;
    readonly kind: 'head' | 'cylinder';
    readonly name: string;
    readonly lengthMm: number;
    readonly diameterMm: number;
    readonly chamferLeftMm: number;
    readonly chamferRightMm: number;
    readonly fitsPlaceIds?: readonly string[];
  }[];
  readonly bore: { readonly diameterMm: number; readonly depthMm: number | null } | null;
  readonly crossHoles: readonly { readonly id: string; readonly diameterMm: number; readonly atMm: number; readonly clockDeg: number }[];
}

type OldHole = PartOfSegments['crossHoles'][number];

function holeFeature(h: OldHole, outside: readonly Surface[], number: number): PartFeature {
  let from = 0;
  const on = outside.find((s) => h.atMm <= (from += s.lengthMm)) ?? outside.at(-1)!;
  const start = outside.slice(0, outside.indexOf(on)).reduce((sum, s) => sum + s.lengthMm, 0);
  return {
    id: h.id,
    kind: 'cross-hole',
    on: on.id,
    name: number > 1 ? `Cross hole ${number}` : 'Cross hole',
    atMm: h.atMm - start,
    diameterMm: h.diameterMm,
    reach: 'through',
    depthMm: 0,
    sinkMm: 0,
    sinkDeg: 90,
    thread: '',
    clockDeg: h.clockDeg,
    timedTo: '',
  };
}

/** A stored drawing as it is read today; what is of today's shape comes back as it is, null what is no drawing. */
export function upgradePart(value: unknown): Part | null {
  if (typeof value !== 'object' || value === null) return null;
  // Blocks came later than surfaces.
  if (!('segments' in value)) return 'block' in value ? (value as Part) : { ...(value as Omit<Part, 'block'>), block: null };
  const old = value as PartOfSegments;
  const outside = old.segments.map((s): Surface => ({
    ...surface(s.id, s.kind, s.name, s.lengthMm, s.diameterMm),
    fitsPlaceIds: s.fitsPlaceIds ?? [],
  }));
  const chamfers = old.segments.flatMap((s) =>
    (['left', 'right'] as const).flatMap((end): PartFeature[] => {
      const lengthMm = end === 'left' ? s.chamferLeftMm : s.chamferRightMm;
      return lengthMm > 0 ? [{ id: `${s.id}-${end}`, kind: 'chamfer', on: s.id, name: 'Chamfer', end, lengthMm, angleDeg: 45 }] : [];
    }),
  );
  const { bore } = old;
  return {
    name: old.name,
    materialId: old.materialId,
    outside,
    bores: bore
      ? [
          {
            id: 'bore',
            from: 'near',
            through: bore.depthMm === null,
            surfaces: [surface('hole', 'cylinder', 'Bore', bore.depthMm ?? 0, bore.diameterMm)],
          },
        ]
      : [],
    features: outside.length ? [...chamfers, ...old.crossHoles.map((h, i) => holeFeature(h, outside, i + 1))] : chamfers,
    limits: {},
    block: null,
  };
}
