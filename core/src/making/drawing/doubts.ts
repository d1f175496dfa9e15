import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { leastEdgeMm } from '../../book/rings';
import { findThread } from '../../book/threads';
import {
  hostOf,
  placeBore,
  placeOutside,
  processOf,
  ringOf,
  type FeatureKindId,
  type Host,
  type Part,
  type PartFeature,
  type PlacedSurface,
} from '../part';
import { cutSpan } from './cut-span';

/** Something that can be made as drawn, and is usually a slip. */
export interface DrawingDoubt {
  /** The surface or feature that it is about. */
  readonly ownerId: string;
  readonly words: string;
}

/** DIN 76-1: run-out of a thread up to a shoulder, in pitches: usual, and where there is little room. */
const RUN_OUT = { usual: 2.5, short: 1.25 } as const;
const ROUNDING_MM = 1e-6;

type Of<K extends FeatureKindId> = Extract<PartFeature, { readonly kind: K }>;
const isA = <K extends FeatureKindId>(f: PartFeature, kind: K): f is Of<K> => f.kind === kind;

/** A feature with where it sits. */
interface Seated<F extends PartFeature = PartFeature> {
  readonly f: F;
  readonly host: Host;
}

const seated = (part: Part): Seated[] =>
  part.features.flatMap((f) => {
    const host = hostOf(part, f.on);
    return host ? [{ f, host }] : [];
  });

function runOut({ f, host }: Seated<Of<'thread'>>, all: readonly Seated[], show: (mm: number) => string): string | null {
  const pitchMm = findThread(f.thread)?.pitchMm;
  const shoulder = f.end === 'left' ? host.rightMm : host.leftMm;
  const radius = (f.end === 'left' ? host.surface.rightMm : host.surface.leftMm) / 2;
  if (!pitchMm || host.surface.side !== 'outside' || shoulder === null || shoulder <= radius + ROUNDING_MM) return null;
  const inner = f.end === 'left' ? 'right' : 'left';
  const cleared = all.some((o) => o.f.on === f.on && ((isA(o.f, 'undercut') && o.f.end === inner) || isA(o.f, 'relief')));
  const room = host.surface.toMm - host.surface.fromMm - f.lengthMm;
  if (cleared || room >= RUN_OUT.short * pitchMm - ROUNDING_MM) return null;
  return (
    `${f.name}: the full thread comes to ${show(Math.max(room, 0))} of the shoulder. It runs out over ${show(RUN_OUT.usual * pitchMm)}, ` +
    `${show(RUN_OUT.short * pitchMm)} where there is little room (DIN 76-1): make it shorter, or cut an undercut there.`
  );
}

/** The metal beside a ring's groove, on the side on which the surface ends in nothing or in less. */
function land({ f, host }: Seated<Of<'ring-groove'>>, all: readonly Seated[], show: (mm: number) => string): string | null {
  const { surface } = host;
  const sizeMm = 2 * host.radiusAt(surface.fromMm + f.atMm);
  const ring = ringOf(f, host);
  const wanted = leastEdgeMm(ring ?? { sizeMm, grooveMm: f.diameterMm, outsideMm: null });
  const why = ring && ring.outsideMm !== null ? `n of ${ring.standard}` : 'three times the depth (DIN 471, 472)';
  const chamferAt = (end: 'left' | 'right'): number =>
    Math.max(0, ...all.map((o) => (o.f.on === f.on && isA(o.f, 'chamfer') && o.f.end === end ? o.f.lengthMm : 0)));
  const ends = [
    { beside: host.leftMm, radius: surface.leftMm / 2, mm: f.atMm - chamferAt('left') },
    { beside: host.rightMm, radius: surface.rightMm / 2, mm: surface.toMm - surface.fromMm - f.atMm - f.widthMm - chamferAt('right') },
  ];
  const open = ends.filter(
    (e) => e.beside === null || (surface.side === 'outside' ? e.beside < e.radius - ROUNDING_MM : e.beside > e.radius + ROUNDING_MM),
  );
  const least = Math.min(...open.map((e) => e.mm));
  return least < wanted - ROUNDING_MM
    ? `${f.name}: ${show(Math.max(least, 0))} of land beside it. The ring's load is counted on ${show(wanted)}, ${why}.`
    : null;
}

/** What a milled cut must not run through: a ring, a seal or a lip has its place there. */
const SEALED: readonly FeatureKindId[] = ['ring-groove', 'oring-groove', 'seal-groove', 'seal-land'];
const MILLED: readonly FeatureKindId[] = ['keyseat', 'woodruff-seat', 'flats', 'spline', 'thread', 'cross-hole', 'knurl'];

function runsThrough(a: Seated, all: readonly Seated[]): string | null {
  const own = MILLED.includes(a.f.kind) ? cutSpan(a.f, a.host) : null;
  const met = own
    ? all.find((o) => {
        const other = o.f.on === a.f.on && SEALED.includes(o.f.kind) ? cutSpan(o.f, o.host) : null;
        return other && Math.min(own.toMm, other.toMm) - Math.max(own.fromMm, other.fromMm) > ROUNDING_MM;
      })
    : undefined;
  return met ? `${a.f.name} runs through ${inSentence(met.f.name)}: what sits there loses its edge.` : null;
}

/** Whether something larger (outside), or narrower (in a bore), stands before a surface on both sides. */
function shutIn(row: readonly PlacedSurface[], s: PlacedSurface): boolean {
  const stops = (o: PlacedSurface): boolean => {
    const [most, least] = [Math.max(o.leftMm, o.rightMm), Math.min(o.leftMm, o.rightMm)];
    return s.side === 'outside' ? most > Math.max(s.leftMm, s.rightMm) + ROUNDING_MM : least < Math.min(s.leftMm, s.rightMm) - ROUNDING_MM;
  };
  return row.some((o) => o.fromMm < s.fromMm - ROUNDING_MM && stops(o)) && row.some((o) => o.toMm > s.toMm + ROUNDING_MM && stops(o));
}

const cannotGoOn = (row: readonly PlacedSurface[]): DrawingDoubt[] =>
  row
    .filter((s) => s.fitsPlaceIds.length > 0 && shutIn(row, s))
    .map((s) => ({
      ownerId: s.id,
      words: `${s.name}: what fits it cannot be pushed on, for the part is ${s.side === 'outside' ? 'larger' : 'narrower'} on both sides of it. Unless it is split, make one side ${s.side === 'outside' ? 'smaller' : 'wider'}.`,
    }));

/** Steps of a bore that are wider than what is nearer its mouth. */
const recessed = (rows: readonly PlacedSurface[], through: boolean): DrawingDoubt[] =>
  rows.flatMap((s, i) => {
    const mouth = Math.min(...rows.slice(0, i).flatMap((o) => [o.leftMm, o.rightMm]));
    const fromBehind =
      through && rows.slice(i + 1).every((o) => Math.min(o.leftMm, o.rightMm) >= Math.max(s.leftMm, s.rightMm) - ROUNDING_MM);
    return Math.max(s.leftMm, s.rightMm) > mouth + ROUNDING_MM && !fromBehind
      ? [{ ownerId: s.id, words: `${s.name} is wider than the bore before it: only a recessing tool gets in there.` }]
      : [];
  });

/** A layer that is far from what such a layer is. */
function odd({ f }: Seated<Of<'treatment'>>, show: (mm: number) => string): string | null {
  const { leastMm, mostMm, words } = processOf(f);
  return f.aSideMm < leastMm || f.aSideMm > mostMm
    ? `${f.name}: ${show(f.aSideMm)} a side. Where it is ${words} that is usually ${show(leastMm)} to ${show(mostMm)}.`
    : null;
}

/**
 * What a machinist would ask about a drawing that can be made: a thread without room to run out, a thin land beside a ring, a keyseat through a ring's
 * groove, a seat that nothing can be pushed on to, a bore that is wider inside, a layer that is far from
 * usual. Of a turned part without problems; a block has none.
 *
 * @param unit in which lengths are told
 */
export function drawingDoubts(part: Part, unit: LengthUnit): DrawingDoubt[] {
  if (part.block) return [];
  const show = (mm: number): string => formatWithUnit(mm, unit, unit === 'mm' ? 2 : 3);
  const all = seated(part);
  const cut = all.flatMap((s): DrawingDoubt[] => {
    const { f, host } = s;
    const said = [
      isA(f, 'thread') ? runOut({ f, host }, all, show) : null,
      isA(f, 'ring-groove') ? land({ f, host }, all, show) : null,
      isA(f, 'treatment') ? odd({ f, host }, (mm) => formatWithUnit(mm, unit)) : null,
      runsThrough(s, all),
    ];
    return said.flatMap((words) => (words ? [{ ownerId: f.id, words }] : []));
  });
  const outside = placeOutside(part);
  return [
    ...cannotGoOn(outside),
    ...part.bores.flatMap((b) => {
      const rows = placeBore(part, b);
      return [...cannotGoOn(rows), ...recessed(rows, b.through)];
    }),
    ...cut,
  ];
}
