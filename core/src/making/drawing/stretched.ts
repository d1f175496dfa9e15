import { bad, good, type Outcome } from '../../terms/outcome';
import { hostOf, placeBore, placeOutside, type Bore, type Host, type Part, type PartFeature, type PlacedSurface } from '../part';
import { liesAt } from './cut-span';

const EDGE_MM = 1e-6;

/** Where a part is cut through, mm from its zero face, and how much goes in there; below 0 it is taken out to the right of it. */
interface Cut {
  readonly atMm: number;
  readonly byMm: number;
}

/** What is taken out, and what only moves: nothing of a part may lie half in it. */
const goneTo = ({ atMm, byMm }: Cut): number => atMm + Math.max(-byMm, 0);

/** A feature of a surface that the cut goes through; null where the cut would go through the feature. */
function moved(f: PartFeature, host: Host, cut: Cut): PartFeature | null {
  const span = liesAt(f, host);
  if (!span) return f;
  const gone = goneTo(cut);
  if (span.toMm <= cut.atMm + EDGE_MM) return f;
  // What is told from an end moves with its end.
  if (span.fromMm >= gone - EDGE_MM) return 'atMm' in f ? { ...f, atMm: f.atMm + cut.byMm } : f;
  const through = span.fromMm < cut.atMm + EDGE_MM && span.toMm > gone - EDGE_MM;
  return through && 'lengthMm' in f && f.kind !== 'chamfer' && f.lengthMm + cut.byMm > EDGE_MM
    ? { ...f, lengthMm: f.lengthMm + cut.byMm }
    : null;
}

/** The surface of a row that the cut goes through; undefined where it goes through none, null where it would take an end of one out. */
function through(row: readonly PlacedSurface[], cut: Cut): PlacedSurface | undefined | null {
  const gone = goneTo(cut);
  const inside = row.find((s) => s.fromMm < cut.atMm + EDGE_MM && s.toMm > gone - EDGE_MM && s.toMm > cut.atMm + EDGE_MM);
  if (inside) return inside;
  return row.some(
    (s) => (s.fromMm > cut.atMm + EDGE_MM && s.fromMm < gone - EDGE_MM) || (s.toMm > cut.atMm + EDGE_MM && s.toMm < gone - EDGE_MM),
  )
    ? null
    : undefined;
}

/**
 * A turned part with one stretch longer or shorter: cut through at a place of an outside surface, with so much put in there or taken out to its right.
 * Everything to the left stays, everything to the right moves along; a bore that goes through there goes on, and what is cut along through the place
 * (a keyseat, a thread, a knurl) is as much longer.
 *
 * @param surfaceId of the outside
 * @param alongMm from the left end of that surface, mm
 * @param byMm how much longer, mm; below 0 how much shorter
 * @returns a reason where the place or what is taken out lies on something that cannot be parted: an end of a surface or of a bore, a groove, a hole
 */
export function stretched(part: Part, surfaceId: string, alongMm: number, byMm: number): Outcome<Part> {
  const on = placeOutside(part).find((s) => s.id === surfaceId);
  if (!on) return bad('no-surface', 'Say which stretch of the outside.', 'surfaceId');
  if (!Number.isFinite(byMm) || Math.abs(byMm) < EDGE_MM) return bad('nothing', 'Say by how much: +12 longer, -3 shorter.', 'byMm');
  const lengthMm = on.toMm - on.fromMm;
  if (!(alongMm >= 0 && alongMm <= lengthMm)) return bad('beside', `${on.name} is not as long as that.`, 'alongMm');
  if (alongMm + Math.max(-byMm, 0) > lengthMm + EDGE_MM || lengthMm + byMm < EDGE_MM)
    return bad('too-short', `${on.name} has not so much to give there.`, 'byMm');
  const cut: Cut = { atMm: on.fromMm + alongMm, byMm };
  const bores = part.bores.map((b) => ({ bore: b, found: through(placeBore(part, b), cut) }));
  const broken = bores.find((b) => b.found === null);
  if (broken) return bad('bore-ends', `A bore ends or steps where that is taken out. Take it out beside that.`, 'alongMm');
  const touched = new Set([surfaceId, ...bores.flatMap((b) => (b.found ? [b.found.id] : []))]);
  const features: PartFeature[] = [];
  for (const f of part.features) {
    const host = touched.has(f.on) ? hostOf(part, f.on) : null;
    const now = host ? moved(f, host, cut) : f;
    if (!now) return bad('through', `${f.name} lies there: choose a place beside it.`, 'alongMm');
    features.push(now);
  }
  const longer = <T extends { readonly id: string; readonly lengthMm: number }>(s: T): T =>
    touched.has(s.id) ? { ...s, lengthMm: s.lengthMm + byMm } : s;
  const longerBore = ({ bore }: { readonly bore: Bore }): Bore => ({
    ...bore,
    // The last one of a through bore takes what is left by itself.
    surfaces: bore.surfaces.map((s, i) => (bore.through && i === bore.surfaces.length - 1 ? s : longer(s))),
  });
  return good({ ...part, outside: part.outside.map(longer), bores: bores.map(longerBore), features });
}
