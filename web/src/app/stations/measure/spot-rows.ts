import {
  PLACE_KINDS,
  formatLength,
  formatPlace,
  INSTRUMENT_KINDS,
  instrumentOf,
  isDiameter,
  type PlaceFinding,
  type LengthUnit,
  type Quantity,
  type ReadingRecord,
  type Section,
  type Shop,
  type Verdict,
} from '@iron-patch/core';

/** One spot as it stands in the grid. */
export interface SpotCell {
  /** The clock angle, degrees. */
  readonly key: number;
  readonly text: string;
  readonly spoken: string;
  readonly on: boolean;
  readonly next: boolean;
}

/** All spots of one station, and what they come to. */
export interface SpotRow {
  /** The station, mm. */
  readonly key: number;
  readonly place: string;
  readonly cells: readonly SpotCell[];
  /** Mean of a diameter; for anything else largest less smallest. */
  readonly sum: string;
  /** Null where the place is no diameter. */
  readonly oval: string | null;
  readonly state: Verdict;
}

export interface SpotGridModel {
  readonly clocks: readonly number[];
  readonly diameter: boolean;
  readonly quantity: Quantity;
  readonly rows: readonly SpotRow[];
}

export interface SpotGridInput {
  readonly finding: PlaceFinding;
  readonly selected: { readonly stationMm: number | null; readonly clockDeg: number | null };
  readonly unit: LengthUnit;
  readonly shop: Shop;
  /** Oval that the fit wants trued, mm; null where no fit asks. */
  readonly mostPlayMm: number | null;
}

const SAME_STATION_MM = 0.25;
/** Ovality up to this many times the uncertainty cannot be told from noise. */
const NOISE_TIMES = 2;

const ascending = (p: number, q: number): number => p - q;
const spotKey = (stationMm: number, clockDeg: number): string => `${stationMm} ${clockDeg}`;

/** Readings of one spot together, in one walk: a job may hold thousands. */
function bySpot(readings: readonly ReadingRecord[]): Map<string, ReadingRecord[]> {
  const spots = new Map<string, ReadingRecord[]>();
  for (const r of readings) {
    const key = spotKey(r.stationMm, r.clockDeg);
    const there = spots.get(key);
    if (there) there.push(r);
    else spots.set(key, [r]);
  }
  return spots;
}

function ovalText(s: Section | null, unit: LengthUnit): string {
  if (!s || s.ovalityKind === 'unknown') return '';
  return (s.ovalityKind === 'at-least' ? '≥ ' : '') + formatLength(s.ovalityMm, unit);
}

/** Round within the uncertainty fits, a hole that its fit wants trued is out, between is close. */
function stateOf({ finding, mostPlayMm }: SpotGridInput, section: Section | null, missing: boolean): Verdict {
  if (missing) return 'unknown';
  if (!isDiameter(finding.place.kind)) return 'fits';
  if (!section || section.ovalityKind === 'unknown') return 'unknown';
  if (mostPlayMm !== null && mostPlayMm > 0 && section.ovalityMm > mostPlayMm / 2) return 'out';
  return section.ovalityMm <= NOISE_TIMES * (finding.shape?.plusMinusMm ?? 0) ? 'fits' : 'close';
}

/** The readings of a place by station and clock, as they are shown and spoken. */
export function spotGrid(input: SpotGridInput): SpotGridModel {
  const { finding, selected, unit, shop } = input;
  const { place, next, skipped } = finding;
  const diameter = isDiameter(place.kind);
  const quantity = PLACE_KINDS[place.kind].quantities[0];
  const readings = finding.readings.filter((r) => r.quantity === quantity);
  const clocks = [...new Set([...place.clocksDeg, ...readings.map((r) => r.clockDeg)])].sort(ascending);
  const stations = [...new Set([...place.stationsMm, ...readings.map((r) => r.stationMm)])].sort(ascending);
  const spots = bySpot(readings);
  const passed = new Set(skipped.map((s) => spotKey(s.stationMm, s.clockDeg)));

  /** As fine as the instrument shows; an indicator with its sign. */
  const size = (r: ReadingRecord): string => {
    const kind = instrumentOf(shop, r.instrumentId)?.kind ?? 'caliper';
    const sign = quantity === 'indicator' && r.valueMm > 0 ? '+' : '';
    return sign + formatLength(r.valueMm, unit, INSTRUMENT_KINDS[kind].decimals[unit]);
  };

  /** The newest of a spot that counts. */
  const telling = (there: readonly ReadingRecord[]): ReadingRecord | undefined =>
    there.findLast((r) => !finding.lost.has(r.instrumentId)) ?? there.at(-1);

  const cell = (stationMm: number, place: string, clockDeg: number): SpotCell => {
    const there = spots.get(spotKey(stationMm, clockDeg)) ?? [];
    const last = telling(there);
    const isNext = next?.stationMm === stationMm && next.clockDeg === clockDeg;
    const skip = passed.has(spotKey(stationMm, clockDeg));
    const read = last && size(last) + (there.length > 1 ? ` ×${there.length}` : '');
    return {
      key: clockDeg,
      text: read ?? (isNext ? 'next' : skip ? 'passed' : '·'),
      spoken: `Station ${place}, ${clockDeg} degrees, ${read ?? (isNext ? 'next' : skip ? 'passed over' : 'no reading')}`,
      on: selected.stationMm === stationMm && selected.clockDeg === clockDeg,
      next: isNext,
    };
  };

  const row = (stationMm: number): SpotRow => {
    const at = formatPlace(stationMm, unit);
    const section = finding.shape?.sections.find((s) => Math.abs(s.stationMm - stationMm) < SAME_STATION_MM) ?? null;
    const read = (clockDeg: number): ReadingRecord | undefined => telling(spots.get(spotKey(stationMm, clockDeg)) ?? []);
    const planned = place.stationsMm.includes(stationMm) ? place.clocksDeg : [];
    const missing = planned.some((c) => !passed.has(spotKey(stationMm, c)) && !read(c));
    const values = clocks.flatMap((c) => read(c)?.valueMm ?? []);
    const total = values.length > 1 ? formatLength(Math.max(...values) - Math.min(...values), unit) : '';
    return {
      key: stationMm,
      place: at,
      cells: clocks.map((c) => cell(stationMm, at, c)),
      sum: diameter ? (section ? formatLength(section.meanMm, unit) : '') : total,
      oval: diameter ? ovalText(section, unit) : null,
      state: stateOf(input, section, missing),
    };
  };

  return { clocks, diameter, quantity, rows: stations.map(row) };
}
