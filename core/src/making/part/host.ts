import { keeper } from '../../terms/kept';
import type { Host } from './feature-kind';
import { partLengthMm, placeBore, placeOutside, type Part } from './part';
import { type PlacedSurface } from './surface';

const EDGE_MM = 1e-9;

/** Radius of a placed surface at `x`, both in mm of the part; beyond the surface that of its nearer end. */
export function radiusAt(s: PlacedSurface, x: number): number {
  const share = s.toMm > s.fromMm ? Math.min(Math.max((x - s.fromMm) / (s.toMm - s.fromMm), 0), 1) : 0;
  return (s.leftMm + (s.rightMm - s.leftMm) * share) / 2;
}

const over = (all: readonly PlacedSurface[], x: number): PlacedSurface[] =>
  all.filter((s) => x >= s.fromMm - EDGE_MM && x <= s.toMm + EDGE_MM);

type Placed = { readonly outside: readonly PlacedSurface[]; readonly bores: readonly (readonly PlacedSurface[])[] };

const keepPlaced = keeper<Part['outside'], Placed>();

/** Every surface of a part with its place, worked out once for all that is cut into them. */
export const placed = (part: Pick<Part, 'outside' | 'bores'>): Placed =>
  keepPlaced(part.outside, [part.bores], () => ({ outside: placeOutside(part), bores: part.bores.map((b) => placeBore(part, b)) }));

function besides(row: readonly PlacedSurface[], s: PlacedSurface): { left: PlacedSurface | undefined; right: PlacedSurface | undefined } {
  return {
    left: row.find((o) => o !== s && Math.abs(o.toMm - s.fromMm) < EDGE_MM),
    right: row.find((o) => o !== s && Math.abs(o.fromMm - s.toMm) < EDGE_MM),
  };
}

type WithSurfaces = Pick<Part, 'outside' | 'bores' | 'features'>;

const keepHosts = keeper<WithSurfaces, Map<string, Host | null>>();

/** Where a feature on that surface sits; null where the part has no such surface. Worked out once for all that is cut there. */
export function hostOf(part: WithSurfaces, surfaceId: string): Host | null {
  const known = keepHosts(part, [part.outside, part.bores, part.features], () => new Map());
  if (!known.has(surfaceId)) known.set(surfaceId, hostAt(part, surfaceId));
  return known.get(surfaceId)!;
}

function hostAt(part: WithSurfaces, surfaceId: string): Host | null {
  const { outside, bores } = placed(part);
  const row = [outside, ...bores].find((r) => r.some((s) => s.id === surfaceId));
  const surface = row?.find((s) => s.id === surfaceId);
  if (!row || !surface) return null;
  const { left, right } = besides(row, surface);
  const beyondAt =
    surface.side === 'outside'
      ? (x: number): number => Math.max(0, ...over(bores.flat(), x).map((s) => radiusAt(s, x)))
      : (x: number): number => Math.min(...over(outside, x).map((s) => radiusAt(s, x)), Infinity);
  return {
    surface,
    radiusAt: (x) => radiusAt(surface, x),
    beyondAt,
    leftMm: left ? left.rightMm / 2 : null,
    rightMm: right ? right.leftMm / 2 : null,
    partLengthMm: partLengthMm(part),
    surfaces: [...outside, ...bores.flat()],
    clockOf: (id) => {
      const f = part.features.find((x) => x.id === id);
      return f && 'clockDeg' in f ? f.clockDeg : undefined;
    },
    nameOf: (id) => [...outside, ...bores.flat(), ...part.features].find((x) => x.id === id)?.name,
  };
}
