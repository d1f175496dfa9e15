import { DRILLS, drillWords, inCrib, type DrillSet } from '../../book/drills';

/** Left for the boring bar on the diameter after drilling, mm: enough to straighten what the drill left. */
const LEFT_TO_BORE_MM = 2;
/** A drill from here on follows a pilot that clears its web, of about this share of it; one from here on is opened out in two steps. */
const PILOT_FROM_MM = 12;
const PILOT_SHARE = 0.3;
const OPENED_FROM_MM = 25;
const OPENED_SHARE = 0.6;
/** From this depth on, in diameters, chips are cleared every diameter. */
const PECK_FROM = 3;
/** Half the angle of a twist drill's point, 118° in all (DIN 1412). */
const HALF_POINT_RAD = (59 * Math.PI) / 180;

/** The smallest hole that a boring bar goes into, mm: what is smaller is drilled and reamed. */
const LEAST_FOR_A_BAR_MM = 6;

/** The largest drill that leaves the boring bar enough; null where the bore is too small to be drilled and bored. */
export const drillBeforeBoringMm = (boreMm: number, drillsMm: readonly number[]): number | null =>
  drillsMm.filter((d) => d >= LEAST_FOR_A_BAR_MM && d <= boreMm - LEFT_TO_BORE_MM).at(-1) ?? null;

/** Drills that hang in the crib by size, smallest first, mm. */
const hanging = (sets: readonly DrillSet[]): number[] => DRILLS.filter((d) => inCrib(sets, d)).map((d) => d.diameterMm);
const sold = DRILLS.map((d) => d.diameterMm);

/** The drill before a bore is bored. */
export interface FirstDrill {
  readonly diameterMm: number;
  /** It hangs in the crib; else as drills are sold. */
  readonly here: boolean;
}

/** The drill before boring: one that hangs in the crib where one does, else as sold; null where the bore is too small. */
export function firstDrill(boreMm: number, sets: readonly DrillSet[]): FirstDrill | null {
  const own = drillBeforeBoringMm(boreMm, hanging(sets));
  const any = own ?? drillBeforeBoringMm(boreMm, sold);
  return any === null ? null : { diameterMm: any, here: own !== null };
}

/** About how large the pilot of a drill is, mm; null where it needs none. */
export const pilotMm = (drillMm: number): number | null => (drillMm >= PILOT_FROM_MM ? PILOT_SHARE * drillMm : null);

/**
 * Drills one after another up to a size: a pilot that clears the web, from 25 mm on one between, each the largest of the crib that is not over what is
 * wanted, else as sold.
 */
export function drillLadderMm(drillMm: number, sets: readonly DrillSet[]): number[] {
  const upTo = (mm: number): number | undefined => hanging(sets).findLast((d) => d <= mm) ?? sold.findLast((d) => d <= mm);
  const pilot = pilotMm(drillMm);
  const before = [pilot, drillMm >= OPENED_FROM_MM ? OPENED_SHARE * drillMm : null].flatMap((mm) => (mm === null ? [] : (upTo(mm) ?? [])));
  return [...new Set([...before, drillMm])];
}

/** What a drill of exactly that size is called in its set: `letter N`, `7.7 mm`. */
export const drillNamed = (mm: number): string => DRILLS.filter((d) => d.diameterMm === mm).map(drillWords)[0] ?? '';

/** How far the point of a drill stands before its full diameter, mm. */
export const pointMm = (drillMm: number): number => drillMm / 2 / Math.tan(HALF_POINT_RAD);

/** Depths at which a drill is drawn out to clear its chips, the last where it is to come; one alone where it needs not, mm. */
export function peckDepthsMm(drillMm: number, deepMm: number): number[] {
  const depths: number[] = [];
  for (let at = PECK_FROM * drillMm; at < deepMm - 1e-9; at += drillMm) depths.push(at);
  return [...depths, deepMm];
}

/** Metal left for a machine reamer, on the diameter, mm, up to a size: usual practice for steel and cast iron. */
const FOR_REAMER = [
  { toMm: 5, leastMm: 0.1, mostMm: 0.2 },
  { toMm: 10, leastMm: 0.15, mostMm: 0.3 },
  { toMm: 20, leastMm: 0.2, mostMm: 0.4 },
  { toMm: 30, leastMm: 0.3, mostMm: 0.5 },
  { toMm: 80, leastMm: 0.4, mostMm: 0.7 },
] as const;

/** What is left on the diameter for a reamer of that size, at least and at most, mm; null beyond 80 mm. */
export const leftForReamer = (reamerMm: number): { readonly leastMm: number; readonly mostMm: number } | null =>
  FOR_REAMER.find((r) => reamerMm <= r.toMm + 1e-9) ?? null;

/** The last drill before a reamer: one of the crib that leaves what a reamer takes, else the largest that is sold and leaves the least; null for none. */
export function drillBeforeReamer(reamerMm: number, sets: readonly DrillSet[]): FirstDrill | null {
  const left = leftForReamer(reamerMm);
  if (!left) return null;
  const [least, most] = [reamerMm - left.mostMm, reamerMm - left.leastMm];
  const own = hanging(sets).findLast((d) => d <= most + 1e-9 && d >= least - 1e-9);
  const any = own ?? sold.findLast((d) => d <= most + 1e-9);
  return any === undefined ? null : { diameterMm: any, here: own !== undefined };
}
