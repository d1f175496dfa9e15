import type { LengthUnit } from '../../../terms/quantity';
import { fineSlips, type Slip } from './slips';

/** A reading with what is needed to hold it against the others of its place. */
export interface Weighable {
  readonly id: string;
  readonly stationMm: number;
  readonly clockDeg: number;
  readonly valueMm: number;
  /** Standard uncertainty of the instrument, mm. */
  readonly uMm: number;
  readonly points: 2 | 3;
  readonly unit: LengthUnit;
  /** Decimals that were typed. */
  readonly decimals: number;
}

/** A reading that others of its place speak against. */
export interface Suspect {
  readonly id: string;
  readonly valueMm: number;
  /** What it was probably meant to be, with the slip's name; null where no slip explains it. */
  readonly slip: Slip | null;
  /** What the others make one expect, mm. */
  readonly expectedMm: number;
  readonly against:
    'a repeat at the same spot' | 'the other directions' | 'the stations beside it' | 'the rest of the place' | 'the size it had';
}

const OTHERS_SHOW: Readonly<Record<Suspect['against'], (about: string) => string>> = {
  'a repeat at the same spot': (about) => `a repeat at the same spot shows about ${about}`,
  'the other directions': (about) => `the other directions show about ${about}`,
  'the stations beside it': (about) => `the stations beside it show about ${about}`,
  'the rest of the place': (about) => `the rest of the place shows about ${about}`,
  'the size it had': (about) => `the size it had was about ${about}`,
};

/** What the others show that a reading stands out from, within a sentence. */
export const othersShow = (against: Suspect['against'], about: string): string => OTHERS_SHOW[against](about);

/** Repeats of one instrument at one spot differ by less than this many of its uncertainties. */
const REPEAT_K = 4;
/** A slip must bring a reading back among the others to within this many uncertainties, and this share of their spread. */
const BACK_K = 4;
const BACK_SHARE = 1;
/** A reading must stand off the others by this many times their own spread before a slip is thought of. */
const OUT_SHARE = 1;
const OUT_K = 6;
/** Digits swapped explain many a number: they are believed only of one that stands far off. */
const SWAP_SHARE = 2;
/** And by at least this, mm. */
const SWAP_LEAST_MM = 0.06;

const sameStation = (p: Weighable, q: Weighable): boolean => Math.abs(p.stationMm - q.stationMm) < 0.25;
const sameDirection = (p: Weighable, q: Weighable): boolean => Math.abs(((p.clockDeg - q.clockDeg) % 180) + 0) < 0.5;
/** An oval shows itself by two points and not by three: the two are not held against each other. */
const comparable = (p: Weighable, q: Weighable): boolean => p.points === q.points;

interface Range {
  readonly low: number;
  readonly high: number;
  readonly spread: number;
}
const rangeOf = (values: readonly number[]): Range => {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  return { low, high, spread: high - low };
};
const beyond = (value: number, { low, high }: Range): number => Math.max(low - value, value - high, 0);

/** The slip that brings a reading back among the others; null where none does, or where wear explains it as well. */
function slipInto(r: Weighable, others: Range, uMm: number): Slip | null {
  const out = beyond(r.valueMm, others);
  const room = Math.max(BACK_K * uMm, BACK_SHARE * others.spread);
  if (out <= Math.max(OUT_SHARE * others.spread, OUT_K * uMm)) return null;
  const back = fineSlips(r.valueMm, r.unit, r.decimals).filter((s) => beyond(s.mm, others) <= room);
  const far = out > Math.max(SWAP_SHARE * others.spread, SWAP_LEAST_MM);
  return back.find((s) => s.why !== 'two digits swapped') ?? (far ? (back[0] ?? null) : null);
}

function suspectOf(r: Weighable, all: readonly Weighable[]): Suspect | null {
  const others = all.filter((o) => o !== r && o.id !== r.id && comparable(o, r));
  const uMm = Math.max(r.uMm, ...others.map((o) => o.uMm));
  const found = (values: readonly number[], slip: Slip | null, against: Suspect['against']): Suspect => {
    const sorted = [...values].sort((p, q) => p - q);
    return { id: r.id, valueMm: r.valueMm, slip, expectedMm: sorted[Math.floor(sorted.length / 2)]!, against };
  };
  const repeats = others.filter((o) => sameStation(o, r) && sameDirection(o, r));
  if (repeats.length) {
    const range = rangeOf(repeats.map((o) => o.valueMm));
    const out = beyond(r.valueMm, range);
    // Two readings of one spot say nothing of which is wrong: the rest of the section does.
    const section = others.filter((o) => sameStation(o, r) && !sameDirection(o, r));
    if (out > REPEAT_K * uMm && (repeats.length > 1 || nearerTo(repeats[0]!, r, section)))
      return found(
        repeats.map((o) => o.valueMm),
        slipInto(r, { ...range, spread: 0 }, uMm),
        'a repeat at the same spot',
      );
    if (out <= REPEAT_K * uMm) return null;
  }
  const places: readonly (readonly [Suspect['against'], Weighable[], number])[] = [
    ['the other directions', others.filter((o) => sameStation(o, r) && !sameDirection(o, r)), 2],
    ['the stations beside it', others.filter((o) => !sameStation(o, r) && sameDirection(o, r)), 2],
    ['the rest of the place', others, 3],
  ];
  for (const [against, of, least] of places) {
    if (of.length < least) continue;
    const values = of.map((o) => o.valueMm);
    const slip = slipInto(r, rangeOf(values), uMm);
    // What all the rest of the place shows as wear is no slip here.
    if (slip && beyond(r.valueMm, rangeOf(others.map((o) => o.valueMm))) > OUT_K * uMm) return found(values, slip, against);
  }
  return null;
}

/** Does the section speak for the first of two repeats? */
const nearerTo = (p: Weighable, r: Weighable, section: readonly Weighable[]): boolean => {
  if (!section.length) return false;
  const range = rangeOf(section.map((o) => o.valueMm));
  return beyond(p.valueMm, range) < beyond(r.valueMm, range);
};

const spotOf = (r: Weighable): string =>
  `${r.points} ${Math.round(r.stationMm * 4)} ${Math.round((((r.clockDeg % 180) + 180) % 180) * 100)}`;

/** Readings at one spot, spot by spot. */
function bySpot(readings: readonly Weighable[]): Weighable[][] {
  const spots = new Map<string, Weighable[]>();
  for (const r of readings) {
    const there = spots.get(spotOf(r));
    if (there) there.push(r);
    else spots.set(spotOf(r), [r]);
  }
  return [...spots.values()];
}

/** Only what stands at either end of its place, or apart from a repeat, can be a gross error: of thousands a handful. */
function worthWeighing(readings: readonly Weighable[]): Weighable[] {
  const ends = ([2, 3] as const).flatMap((points) => {
    const own = readings.filter((r) => r.points === points);
    if (own.length < 3) return own;
    const { low, high } = rangeOf(own.map((r) => r.valueMm));
    // What several readings show alike stands off nothing.
    return [low, high].flatMap((end) => {
      const there = own.filter((r) => r.valueMm === end);
      return there.length === 1 ? there : [];
    });
  });
  const apart = bySpot(readings)
    .filter((there) => there.length > 1 && rangeOf(there.map((r) => r.valueMm)).spread > REPEAT_K * there[0]!.uMm)
    .flat();
  return [...new Set([...ends, ...apart])];
}

/**
 * Readings of one place that a slip explains better than wear does: a turn of the thimble, a tenth, two digits swapped. Each is held
 * against its repeats, the other directions of its section, the stations beside it, and the rest of the place.
 *
 * Wear is as large as what the others show of it: a reading that stands off them by less is never doubted.
 */
export const grossErrors = (readings: readonly Weighable[]): Suspect[] =>
  worthWeighing(readings).flatMap((r) => suspectOf(r, readings) ?? []);

/** The same for one reading before it is kept; null where it agrees, or where too little is there to say. */
export const grossError = (candidate: Weighable, taken: readonly Weighable[]): Suspect | null =>
  suspectOf(candidate, [...taken, candidate]);

/** Two readings of one spot by one instrument that differ by more than it can explain. */
export interface RepeatConflict {
  readonly first: Weighable;
  readonly second: Weighable;
  readonly differenceMm: number;
  readonly allowedMm: number;
}

/** Repeats that cannot both be right, the lowest and the highest of each spot; whose they are is told by `instrumentOf`. */
export function repeatConflicts(readings: readonly Weighable[], instrumentOf: (id: string) => string): RepeatConflict[] {
  return bySpot(readings).flatMap((there) => {
    const byInstrument = new Map<string, Weighable[]>();
    for (const r of there) byInstrument.set(instrumentOf(r.id), [...(byInstrument.get(instrumentOf(r.id)) ?? []), r]);
    return [...byInstrument.values()].flatMap((own) => {
      const sorted = [...own].sort((p, q) => p.valueMm - q.valueMm);
      const [first, second] = [sorted[0]!, sorted.at(-1)!];
      const [differenceMm, allowedMm] = [second.valueMm - first.valueMm, REPEAT_K * first.uMm];
      return differenceMm > allowedMm ? [{ first, second, differenceMm, allowedMm }] : [];
    });
  });
}
