import type { Figure } from '../../terms/working';
import type { PlaceFinding } from './place-finding';
import type { Repair } from './repair';
import type { StationId } from '../../terms/stations';

type Found = Figure | null | undefined;

/** Every figure of a job that can be touched, by which a kept key is found again. */
export function everyFigure({ places, routes, fits, bores, seats, part, plan, cuts, proofs, releasable }: Repair): Figure[] {
  const all: Found[] = [
    ...releasable,
    ...places.flatMap((f) => [f, ...f.after]).flatMap(ofPlace),
    ...fits.flatMap((f) => (f.figures ? (Object.values(f.figures) as Figure[]) : [])),
    ...bores.flatMap((b) => (b.figures ? (Object.values(b.figures) as Figure[]) : [])),
    ...seats.flatMap((s) => [s.lower, s.upper]),
    ...routes.flatMap((r) => [r.price, r.minutes]),
    ...(part?.dimensions.map((d) => d.figure) ?? []),
    part?.mass,
    plan?.need.length,
    plan?.need.diameter,
    ...cuts.map((c) => c.left),
    ...proofs.flatMap((p) => [p.measured, ...p.play.flatMap((x) => [x.tight, x.loose])]),
  ];
  return all.filter((f) => f != null);
}

const ofPlace = (f: PlaceFinding): Found[] => [
  ...[f.smallest, f.largest, f.mean, f.ovality, f.taper, f.indicator?.figure, f.was],
  ...f.values.map((v) => v.mean),
];

/**
 * The place that is looked at while measuring: the picked one; else one whose instruments disagree; else the one with the next planned
 * spot; else the first mate; null where there is none.
 */
export function placeInHand(places: readonly PlaceFinding[], spanId: string | null): PlaceFinding | null {
  return (
    places.find((f) => f.place.id === spanId) ??
    places.find((f) => f.disputes.some((d) => d.believed === null)) ??
    places.find((f) => f.next) ??
    places.find((f) => f.component.role === 'mate') ??
    places[0] ??
    null
  );
}

/** What matters of a measured place: what is left of it where it wore. */
function ofMeasured(f: PlaceFinding | undefined): Found {
  if (!f) return null;
  return f.indicator?.figure ?? (f.place.side === 'inside' ? f.largest : f.smallest) ?? f.values[0]?.mean;
}

/** What the new part has to be at a place, or what is made there. */
function ofDecision({ fits, bores, seats }: Repair, spanId: string | null): Found {
  const here = fits.find((f) => f.hole.place.id === spanId) ?? fits.find((f) => f.figures);
  const bore = bores.find((b) => b.shaft.place.id === spanId) ?? (here?.figures ? undefined : bores.find((b) => b.figures));
  const seat = seats.find((s) => s.place.place.id === spanId) ?? (here?.figures || bore?.figures ? undefined : seats[0]);
  return seat?.upper ?? bore?.figures?.lower ?? here?.figures?.upper;
}

/**
 * The number that a station is about at the place that is looked at: where the Working starts before anything is touched.
 *
 * @param spanId id of a place or, of the new part, of a segment; null for none
 */
export function stationFigure(repair: Repair, station: StationId, spanId: string | null): Figure | null {
  const { places, part } = repair;
  const segment = part?.segments.find((s) => s.segment.id === spanId || s.fits.some((f) => f.hole.place.id === spanId));
  const id = segment?.segment.id;
  switch (station) {
    case 'receive':
      return null;
    case 'strip':
    case 'measure':
      return ofMeasured(placeInHand(places, spanId) ?? undefined) ?? null;
    case 'decide':
      return ofDecision(repair, spanId) ?? null;
    case 'draw':
      return (segment ?? part?.segments.find((s) => s.fits.length) ?? part?.segments[0])?.diameter ?? null;
    case 'plan':
      return segment?.diameter ?? repair.plan?.need.length ?? null;
    case 'cut':
      return (repair.cuts.find((c) => c.segment.segment.id === id) ?? repair.cuts.find((c) => c.left))?.left ?? null;
    case 'prove':
    case 'return':
      return (
        (
          repair.proofs.find((p) => p.dimension.dimension.key === (id ?? spanId)) ??
          repair.proofs.find((p) => p.dimension.from === 'fit' && p.measured)
        )?.measured ?? null
      );
  }
}
