import { bad, good, type Outcome } from '../../terms/outcome';
import { surface, validatePart, type Part, type PartFeature, type Surface } from '../part';

/** One piece of a drawn half outline: x along the axis, y the radius, mm. Of an arc the half that lies above or below its centre. */
export type ProfilePiece =
  | { readonly kind: 'line'; readonly x1: number; readonly y1: number; readonly x2: number; readonly y2: number }
  | {
      readonly kind: 'arc';
      readonly centreX: number;
      readonly centreY: number;
      readonly radiusMm: number;
      readonly fromX: number;
      readonly toX: number;
      readonly above: boolean;
    };

export interface ProfileDrawing {
  readonly part: Part;
  /** What was not taken over as it was drawn. */
  readonly doubts: readonly string[];
}

/** What programs round away, mm. */
const SAME_MM = 0.002;
/** A slope at an end of the part no longer than this is a chamfer, mm. */
const CHAMFER_MM = 6;
const CHAMFER_DEG = { from: 10, to: 80 } as const;
export const MOST_PIECES = 2000;

interface Stretch {
  readonly fromMm: number;
  readonly toMm: number;
  readonly leftR: number;
  readonly rightR: number;
  readonly arc: Extract<ProfilePiece, { kind: 'arc' }> | null;
}

const span = (p: ProfilePiece): readonly [number, number] =>
  p.kind === 'line' ? [Math.min(p.x1, p.x2), Math.max(p.x1, p.x2)] : [p.fromX, p.toX];

function heightAt(p: ProfilePiece, x: number): number {
  if (p.kind === 'line') return p.x1 === p.x2 ? Math.max(p.y1, p.y2) : p.y1 + ((p.y2 - p.y1) * (x - p.x1)) / (p.x2 - p.x1);
  const rise = Math.sqrt(Math.max(p.radiusMm ** 2 - (x - p.centreX) ** 2, 0));
  return p.centreY + (p.above ? rise : -rise);
}

/** The uppermost piece over each stretch between two ends of pieces, from left to right; neighbours on one line are one. */
function uppermost(pieces: readonly ProfilePiece[]): Stretch[] {
  const xs = [...new Set(pieces.flatMap(span).map((x) => Number(x.toFixed(4))))].sort((a, b) => a - b);
  const stretches = xs.slice(1).flatMap((toMm, i): Stretch[] => {
    const fromMm = xs[i]!;
    if (toMm - fromMm < SAME_MM) return [];
    const mid = (fromMm + toMm) / 2;
    const over = pieces.filter((p) => span(p)[0] <= mid && mid <= span(p)[1] && heightAt(p, mid) > SAME_MM);
    const top = over.reduce<ProfilePiece | null>((best, p) => (best && heightAt(best, mid) >= heightAt(p, mid) ? best : p), null);
    if (!top) return [];
    return [{ fromMm, toMm, leftR: heightAt(top, fromMm), rightR: heightAt(top, toMm), arc: top.kind === 'arc' ? top : null }];
  });
  return stretches.reduce<Stretch[]>((row, s) => {
    const before = row.at(-1);
    const joins = before && Math.abs(before.toMm - s.fromMm) < SAME_MM && Math.abs(before.rightR - s.leftR) < SAME_MM;
    const slope = (q: Stretch): number => (q.rightR - q.leftR) / (q.toMm - q.fromMm);
    const one = joins && (before.arc || s.arc ? before.arc === s.arc : Math.abs(slope(before) - slope(s)) < 1e-4);
    return one ? [...row.slice(0, -1), { ...before, toMm: s.toMm, rightR: s.rightR }] : [...row, s];
  }, []);
}

const isFlat = (s: Stretch | undefined): boolean => s !== undefined && !s.arc && Math.abs(s.leftR - s.rightR) < SAME_MM;
const angleDeg = (s: Stretch): number => (Math.atan2(Math.abs(s.rightR - s.leftR), s.toMm - s.fromMm) * 180) / Math.PI;
const tidy = (mm: number): number => Number(mm.toFixed(3));

/** Something at the end of a surface in the place of a stretch of its own. */
interface Corner {
  readonly stretch: Stretch;
  readonly kind: 'chamfer' | 'fillet';
  /** Which end of its neighbour it stands at, and whether that neighbour lies on its left. */
  readonly ofLeft: boolean;
}

function cornerOf(row: readonly Stretch[], i: number): Corner | null {
  const s = row[i]!;
  const [left, right] = [row[i - 1], row[i + 1]];
  const end = i === 0 || i === row.length - 1;
  if (!s.arc && end && s.toMm - s.fromMm <= CHAMFER_MM && angleDeg(s) >= CHAMFER_DEG.from && angleDeg(s) <= CHAMFER_DEG.to) {
    const falls = i === 0 ? s.rightR > s.leftR : s.rightR < s.leftR;
    if (falls && isFlat(i === 0 ? right : left)) return { stretch: s, kind: 'chamfer', ofLeft: i !== 0 };
  }
  // A fillet: an arc below its centre that runs out of a cylinder up a shoulder.
  if (s.arc && !s.arc.above) {
    if (left && isFlat(left) && Math.abs(s.leftR - left.rightR) < SAME_MM && s.rightR > s.leftR)
      return { stretch: s, kind: 'fillet', ofLeft: true };
    if (right && isFlat(right) && Math.abs(s.rightR - right.leftR) < SAME_MM && s.leftR > s.rightR)
      return { stretch: s, kind: 'fillet', ofLeft: false };
  }
  return null;
}

/**
 * A turned part from a half outline: what lies uppermost along the axis becomes cylinders and tapers, a small slope at an end a chamfer, an arc up a
 * shoulder a fillet; any other arc is drawn as a taper, and said. What lies below, and below the axis, is passed over: bores are added by hand.
 *
 * @returns a reason where there is no outline above the axis, or none that can be turned
 */
export function partFromProfile(pieces: readonly ProfilePiece[], name: string): Outcome<ProfileDrawing> {
  if (pieces.length > MOST_PIECES) return bad('many', `The file has over ${MOST_PIECES} lines: leave the outline only.`, 'profile');
  const row = uppermost(pieces);
  if (!row.length) return bad('empty', 'The file has no outline above the axis: x along the axis, the half outline over y = 0.', 'profile');
  if (row.slice(1).some((s, i) => s.fromMm - row[i]!.toMm > SAME_MM))
    return bad('gap', 'The outline has a gap: its lines have to meet.', 'profile');
  const corners = row.map((_, i) => cornerOf(row, i));
  const outside: Surface[] = [];
  const features: PartFeature[] = [];
  const doubts: string[] = [];
  row.forEach((s, i) => {
    if (corners[i]) return;
    const [before, after] = [corners[i - 1], corners[i + 1]];
    // What belongs to this stretch, on its left and on its right.
    const left = before && !before.ofLeft ? before : null;
    const right = after?.ofLeft ? after : null;
    const from = left?.stretch.fromMm ?? s.fromMm;
    const to = right?.stretch.toMm ?? s.toMm;
    const id = `p${outside.length + 1}`;
    const flat = isFlat(s);
    const plain = surface(id, flat ? 'cylinder' : 'taper', `Step ${outside.length + 1}`, tidy(to - from), tidy(2 * s.leftR));
    outside.push(flat ? plain : { ...plain, farDiameterMm: tidy(2 * s.rightR) });
    if (s.arc)
      doubts.push(`An arc of ${tidy(s.arc.radiusMm)} mm at ${tidy(s.fromMm - row[0]!.fromMm)} mm is drawn as a taper: put it right.`);
    const corner = (c: Corner, end: 'left' | 'right'): void => {
      const base = { id: `${id}-${end}`, on: id, end };
      if (c.kind === 'fillet') features.push({ ...base, kind: 'fillet', name: 'Fillet', radiusMm: tidy(c.stretch.arc!.radiusMm) });
      else
        features.push({
          ...base,
          kind: 'chamfer',
          name: 'Chamfer',
          lengthMm: tidy(c.stretch.toMm - c.stretch.fromMm),
          angleDeg: tidy(angleDeg(c.stretch)),
        });
    };
    if (left) corner(left, 'left');
    if (right) corner(right, 'right');
  });
  const part: Part = { name, materialId: 'steel-c45', outside, bores: [], features, limits: {}, block: null };
  const checked = validatePart(part);
  return checked.ok ? good({ part, doubts }) : { ok: false, problems: checked.problems.map((p) => ({ ...p, path: 'profile' })) };
}
