import { bad, good, MM_PER_INCH, MOST_PIECES, type LengthUnit, type Outcome, type ProfilePiece } from '@iron-patch/core';

interface XY {
  readonly x: number;
  readonly y: number;
}
/** What of an entity is looked at: lines, polylines with their bulges, arcs. */
interface Entity {
  readonly type: string;
  readonly layer?: string;
  readonly vertices?: readonly (XY & { readonly bulge?: number })[];
  readonly shape?: boolean;
  readonly center?: XY;
  readonly radius?: number;
  readonly startAngle?: number;
  readonly endAngle?: number;
}

/** The file's own word on its unit: 1 inch, 4 millimetre. */
const MM_EACH: Readonly<Record<number, number>> = { 1: MM_PER_INCH, 4: 1 };
/** Layers by whose name no outline lies on them. */
const NO_OUTLINE = /cent|axis|hidden|dim|size|text|sheet|frame|title|hatch/i;
const TURN = 2 * Math.PI;

const line = (a: XY, b: XY): ProfilePiece => ({ kind: 'line', x1: a.x, y1: a.y, x2: b.x, y2: b.y });

/** An arc counter-clockwise, cut where it turns back along the axis. */
function arc(centre: XY, radiusMm: number, from: number, to: number): ProfilePiece[] {
  const end = to <= from ? to + TURN : to;
  const cuts = [from, ...[0, 1, 2, 3, 4].map((k) => k * Math.PI).filter((a) => a > from && a < end), end];
  return cuts.slice(1).map((b, i): ProfilePiece => {
    const a = cuts[i]!;
    const xs = [a, b].map((t) => centre.x + radiusMm * Math.cos(t));
    const above = Math.sin((a + b) / 2) > 0;
    return { kind: 'arc', centreX: centre.x, centreY: centre.y, radiusMm, fromX: Math.min(...xs), toX: Math.max(...xs), above };
  });
}

/** A bulge is the tangent of a quarter of the arc's angle, to the left of its chord where it is negative. */
function bulged(a: XY, b: XY, bulge: number): ProfilePiece[] {
  const chord = Math.hypot(b.x - a.x, b.y - a.y);
  const angle = 4 * Math.atan(bulge);
  const radius = chord / 2 / Math.sin(Math.abs(angle) / 2);
  const off = radius * Math.cos(angle / 2) * Math.sign(bulge);
  const [ux, uy] = [(b.x - a.x) / chord, (b.y - a.y) / chord];
  const centre = { x: (a.x + b.x) / 2 - uy * off, y: (a.y + b.y) / 2 + ux * off };
  const at = (p: XY): number => (Math.atan2(p.y - centre.y, p.x - centre.x) + TURN) % TURN;
  return bulge > 0 ? arc(centre, radius, at(a), at(b)) : arc(centre, radius, at(b), at(a));
}

function pieces(e: Entity): ProfilePiece[] {
  const { vertices = [], center, radius, startAngle, endAngle } = e;
  if (e.type === 'ARC' && center && radius && startAngle !== undefined && endAngle !== undefined)
    return arc(center, radius, (startAngle + TURN) % TURN, (endAngle + TURN) % TURN);
  if (e.type !== 'LINE' && e.type !== 'LWPOLYLINE' && e.type !== 'POLYLINE') return [];
  const all = e.shape ? [...vertices, vertices[0]!] : vertices;
  return all.slice(1).flatMap((b, i) => {
    const a = all[i]!;
    if (Math.hypot(b.x - a.x, b.y - a.y) < 1e-9) return [];
    return a.bulge ? bulged(a, b, a.bulge) : [line(a, b)];
  });
}

const scaled = (p: ProfilePiece, by: number): ProfilePiece =>
  p.kind === 'line'
    ? { ...p, x1: p.x1 * by, y1: p.y1 * by, x2: p.x2 * by, y2: p.y2 * by }
    : { ...p, centreX: p.centreX * by, centreY: p.centreY * by, radiusMm: p.radiusMm * by, fromX: p.fromX * by, toX: p.toX * by };

/**
 * The pieces of a half outline in a drawing file, mm: lines, polylines and arcs of every layer but those whose names say that they hold something else.
 *
 * @param unit of a file that does not say its own
 * @returns a reason where it is no such file
 */
export async function dxfProfile(text: string, unit: LengthUnit): Promise<Outcome<ProfilePiece[]>> {
  // Fetched by whoever opens such a file only.
  const { default: Parser } = await import('dxf-parser');
  try {
    const file = new Parser().parseSync(text);
    const entities = (file?.entities ?? []) as unknown as readonly Entity[];
    if (entities.length > MOST_PIECES)
      return bad('many', `The file has over ${MOST_PIECES} things in it: leave the outline only.`, 'profile');
    const outlines = entities.filter((e) => !NO_OUTLINE.test(e.layer ?? ''));
    const by = MM_EACH[Number(file?.header?.['$INSUNITS'])] ?? (unit === 'in' ? MM_PER_INCH : 1);
    return good((outlines.length ? outlines : entities).flatMap(pieces).map((p) => scaled(p, by)));
  } catch {
    return bad('no-dxf', 'This is no DXF file that can be read: save it as ASCII DXF, R12 or later.', 'profile');
  }
}
