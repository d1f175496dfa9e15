import { nearWallByRing } from '../../evidence/readings';
import { meanOf, type PlaceFinding } from '../job';

/** A groove that Strip put this near to a depth is the one that was read, mm. */
const SAME_WALL_MM = 1;

/**
 * What a depth tells, mm from the zero face of its component: as it was read directly, else over the fitted ring, to the groove's wall nearest to that
 * face. Null where it was not read, or nobody said how thick the ring is.
 */
export function depthMm(f: PlaceFinding): number | null {
  const direct = meanOf(f, 'depth');
  if (direct !== null) return direct;
  const over = meanOf(f, 'over-ring');
  const { ringMm, grooveWidthMm, ringRestsOn, ringFace } = f.place.detail;
  if (over === null || ringMm === null || grooveWidthMm === null) return null;
  return nearWallByRing({ overRingMm: over, ringMm, grooveWidthMm, restsOn: ringRestsOn ?? 'near', face: ringFace ?? 'near' });
}

/** The groove whose wall a depth was read to: the nearest on its side of its component, where a ring or its name speaks for one; else one that begins there. */
function grooveOf(f: PlaceFinding, all: readonly PlaceFinding[]): PlaceFinding | null {
  const at = depthMm(f);
  if (f.place.kind !== 'depth' || at === null) return null;
  const off = (g: PlaceFinding): number => Math.abs(g.place.startMm - at);
  const [nearest] = all
    .filter((g) => g.place.kind === 'groove' && g.place.side === f.place.side && g.component.id === f.component.id)
    .sort((p, q) => off(p) - off(q));
  const isRing = f.place.detail.ringMm !== null || /\b(ring|groove)\b/i.test(f.place.name);
  return nearest && (isRing || off(nearest) <= SAME_WALL_MM) ? nearest : null;
}

/** Places with every groove where a depth was read to its wall: that counts before what was said at Strip. */
export const groovesByDepth = (all: readonly PlaceFinding[]): readonly PlaceFinding[] => {
  const read = new Map(
    all.flatMap((f) => {
      const groove = grooveOf(f, all);
      return groove ? [[groove.place.id, depthMm(f)!] as const] : [];
    }),
  );
  return all.map((f) => {
    const at = read.get(f.place.id);
    return at === undefined ? f : { ...f, place: { ...f.place, startMm: at } };
  });
};

/** Whether a depth inside was read to a shoulder or the floor of a bore. */
const isMark = (f: PlaceFinding, all: readonly PlaceFinding[]): boolean =>
  f.place.kind === 'depth' && f.place.side === 'inside' && depthMm(f) !== null && grooveOf(f, all) === null;

/** Depths inside that were read to a shoulder or the floor of a bore, mm from the part's zero face. */
export const depthMarks = (all: readonly PlaceFinding[], zeroMm: number): number[] =>
  all.flatMap((f) => (isMark(f, all) ? [f.component.axisOffsetMm + depthMm(f)! - zeroMm] : []));

/** Depths that a drawing has: to a groove's wall, or along a bore. */
export const isDrawnDepth = (f: PlaceFinding, all: readonly PlaceFinding[]): boolean => grooveOf(f, all) !== null || isMark(f, all);
