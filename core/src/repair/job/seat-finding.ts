import { BEARINGS, shaftSeat, type BearingSize, type TurningRing } from '../../book/bearings';
import { zoneDeviations } from '../../book/fits';
import { MOST_LIKELY } from '../../evidence/nominal';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { isDiameter } from '../../evidence/readings';
import { ruled, type Figure } from '../../terms/working';
import { chosenRuns } from './choices';
import type { PlaceFinding } from './place-finding';
import type { JobSheet } from './records';
import { runsHere, type RunsHere } from './runs-here';
import { areMates } from './pair';

/** A seat of the worn part on which a bearing sat that is not here to be measured: its new limits by the bearing table. */
export interface SeatFinding {
  readonly place: PlaceFinding;
  readonly runs: RunsHere;
  /** Bore of the bearing, mm; null while it is not clear which it was. */
  readonly boreMm: number | null;
  /** Listed bearings of that bore, the lighter first. */
  readonly codes: readonly string[];
  readonly zone: string | null;
  readonly lower: Figure | null;
  readonly upper: Figure | null;
  /** What the table says, and where the place as found stands to it. */
  readonly words: string;
}

/** Zones of inner rings, from the easy to the tight. */
const RING_ZONES = ['g6', 'h6', 'j6', 'k5', 'k6', 'm6'] as const;
/** As likely as this it is taken for a bearing's bore that it still holds. */
const LIKELY = 0.5;
const MOST_CODES = 4;
const SAME_MM = 1e-3;

/** Usual zones of that bore, with their sizes. */
const zonesOf = (boreMm: number): readonly { readonly zone: string; readonly low: number; readonly high: number }[] =>
  RING_ZONES.flatMap((zone) => {
    const d = zoneDeviations(zone, boreMm);
    return d.ok ? [{ zone, low: boreMm + d.value.lowerMm, high: boreMm + d.value.upperMm }] : [];
  });

/** Zones that hold the place as it was found. */
const holding = ({ shape }: PlaceFinding, boreMm: number): string[] =>
  zonesOf(boreMm)
    .filter((l) => shape!.meanMm >= l.low && shape!.meanMm <= l.high)
    .map((l) => l.zone);

/**
 * A bearing of the bore that sat there: the size that was chosen; else the likeliest where another can be told from it, or where the seat as found still
 * holds a bearing of it. One that would have to be worn is not guessed. Null where no bearing has it.
 */
function ranThere(place: PlaceFinding): BearingSize | null {
  const { chosenNominal, nominal } = place;
  const [first] = nominal.ranked;
  const bearingOf = (sizeMm: number): BearingSize | null => BEARINGS.find((b) => Math.abs(b.boreMm - sizeMm) < SAME_MM) ?? null;
  if (chosenNominal) return bearingOf(chosenNominal.sizeMm);
  if (!first || first.probability < LIKELY) return null;
  const bearing = bearingOf(first.sizeMm);
  return bearing && (first.probability >= MOST_LIKELY || holding(place, bearing.boreMm).length) ? bearing : null;
}

const boreName = ({ boreMm, unit }: BearingSize): string => (unit === 'mm' ? `${boreMm} mm` : formatWithUnit(boreMm, 'in'));

/** Where the place as it was read stands to the zones of that bore. */
function foundWords(found: PlaceFinding, boreMm: number, unit: LengthUnit): string {
  const { shape, place } = found;
  const seenMm = shape!.meanMm;
  const hold = holding(found, boreMm);
  const show = formatWithUnit(seenMm, unit);
  const holds = hold.join(', ');
  if (hold.length) return hold.length > 1 ? `As found, ${show}: ${holds} hold it.` : `As found, ${show}: ${holds} holds it.`;
  const under = Math.min(...zonesOf(boreMm).map((l) => l.low)) - seenMm;
  if (under > 0)
    return `As found, ${show}, it is ${formatWithUnit(under, unit)} under the loosest of them${place.land === 'worn' ? ': worn' : ''}.`;
  return `As found, ${show}: none of the usual zones has it.`;
}

function seatOf(place: PlaceFinding, places: readonly PlaceFinding[], sheet: JobSheet): SeatFinding {
  const runs = runsHere(place, places, sheet);
  const none = (words: string): SeatFinding => ({ place, runs, boreMm: null, codes: [], zone: null, lower: null, upper: null, words });
  const { unit } = sheet.job;
  if (!place.shape) return none('Measure the seat first.');
  if (!runs.kind?.startsWith('bearing-inner')) return none('Not the seat of a bearing, as was said: it is sized with what runs on it.');
  const bearing = ranThere(place);
  if (!bearing) return none('Which bearing sat here is not told: read its number or its bore, or say below what this place was.');
  const turning: TurningRing = runs.kind === 'bearing-inner' ? 'inner' : 'outer';
  const { boreMm } = bearing;
  const seat = shaftSeat(boreMm, 'normal', turning);
  if (!seat.ok) return none(seat.problems[0]!.message);
  const { zone, words, seat: limits } = seat.value;
  const rule = `${zone} on a bearing bore of ${boreName(bearing)}: ${words}`;
  const id = place.place.id;
  return {
    place,
    runs,
    boreMm,
    codes: BEARINGS.filter((b) => b.kind === 'ball' && Math.abs(b.boreMm - boreMm) < SAME_MM)
      .slice(0, MOST_CODES)
      .map((b) => b.code),
    zone,
    lower: ruled(`${id}.seat-lower`, 'smallest the seat may be', boreMm + limits.lowerMm, rule),
    upper: ruled(`${id}.seat-upper`, 'largest the seat may be', boreMm + limits.upperMm, rule),
    words: `${rule}. ${foundWords(place, boreMm, unit)}`,
  };
}

/** Seats of the part that is replaced at which a bearing ran, where no mate that it fits was measured. */
export function seatFindings(places: readonly PlaceFinding[], sheet: JobSheet): SeatFinding[] {
  const hasMate = ({ place }: PlaceFinding): boolean => places.some((f) => f.component.role === 'mate' && areMates(f.place, place));
  const isSeat = (f: PlaceFinding): boolean =>
    f.place.suspicions.includes('bearing') || (chosenRuns(sheet, f.place.id)?.kind.startsWith('bearing-inner') ?? false);
  return places
    .filter((f) => f.component.role === 'worn' && f.place.side === 'outside' && isDiameter(f.place.kind))
    .filter((f) => isSeat(f) && !hasMate(f))
    .map((f) => seatOf(f, places, sheet));
}
