import type { Side } from './diameter-reading';
import { PLACE_KINDS, isDiameter, isIndicator, type PlaceKind, type Quantity } from './place-kinds.data';
import type { InstrumentKind } from './instruments.data';
import { fromUnit, type LengthUnit } from '../../terms/quantity';

/** One place to measure: where along the component, in which direction, and what is read there. */
export interface Spot {
  readonly stationMm: number;
  readonly clockDeg: number;
  readonly quantity: Quantity;
}

/** What somebody thinks happened to a place before it is measured. */
export const SUSPICIONS = ['bearing', 'oval', 'tapered', 'bent', 'lobed', 'seal-groove'] as const;
export type Suspicion = (typeof SUSPICIONS)[number];

/** Four directions tell an oval from four lobes. */
export const FOUR_CLOCKS = [0, 45, 90, 135] as const;
const TWO_CLOCKS = [0, 90] as const;
const SIX_CLOCKS = [0, 30, 60, 90, 120, 150] as const;
/** A head that touches at three points sees lobes when it is turned within a third of a circle. */
const HEAD_CLOCKS = [0, 40, 80] as const;
const EIGHT_ROUND = [0, 45, 90, 135, 180, 225, 270, 315] as const;
const SIXTEEN_ROUND = Array.from({ length: 16 }, (_, i) => i * 22.5);
/** Stay this far from an edge, where burrs and chamfers lie. */
const EDGE_MM = 3;
/** A lip wears a groove about this wide. */
const LIP_MM = 2;

/** What a rule shows, coarsest first: stations are set off with one. */
const RULE_STEPS: Readonly<Record<LengthUnit, readonly number[]>> = { mm: [5, 1, 0.5], in: [1 / 4, 1 / 8, 1 / 16, 1 / 32] };
/** A station moves to a line of the rule by this share of the place's length at most, and by this, mm. */
const MOVE_SHARE = 1 / 12;
const MOST_MOVE_MM = 2.5;

interface Span {
  readonly startMm: number;
  readonly lengthMm: number;
}

/** Stations on the coarsest lines of a rule that keep them apart, inside the place and near where they should be. */
function onRule(idealMm: readonly number[], { startMm, lengthMm }: Span, unit: LengthUnit): number[] {
  const most = Math.min(lengthMm * MOVE_SHARE, MOST_MOVE_MM) + 1e-9;
  const inside = (mm: number): boolean => mm > startMm && mm < startMm + lengthMm;
  // Half way between two lines goes to the one nearer the middle, so that both ends are alike.
  const nearest = (mm: number, stepMm: number): number =>
    mm < startMm + lengthMm / 2 ? Math.round(mm / stepMm) : -Math.round(-mm / stepMm);
  const snapped = RULE_STEPS[unit].map((step) => idealMm.map((mm) => fromUnit(nearest(mm, fromUnit(step, unit)) * step, unit)));
  const good = snapped.find(
    (at) => new Set(at).size === idealMm.length && at.every((mm, i) => inside(mm) && Math.abs(mm - idealMm[i]!) <= most),
  );
  return good ?? idealMm.map((mm) => Math.round(mm * 100) / 100);
}

/** A short pin is read at both ends, in five readings or fewer; a hole of that length may be bell-mouthed. From this length on the middle is read too, mm. */
const MIDDLE_FROM_MM: Readonly<Record<Side, number>> = { outside: 32, inside: 16 };

/** Near both ends and in the middle; a short place gets fewer. */
function endsAndMiddle({ startMm, lengthMm, side }: PlanInput): number[] {
  const edge = Math.min(EDGE_MM, lengthMm / 4);
  const middleFrom = MIDDLE_FROM_MM[side];
  const at =
    lengthMm < 8 ? [0.5] : lengthMm < middleFrom ? [edge / lengthMm, 1 - edge / lengthMm] : [edge / lengthMm, 0.5, 1 - edge / lengthMm];
  return at.map((f) => startMm + f * lengthMm);
}

/** A hole is taken in four directions, an outside in two: add 45° and 135° when they differ. */
const defaultClocks = (side: Side): number[] => [...(side === 'inside' ? FOUR_CLOCKS : TWO_CLOCKS)];

/** What a place needs: where, in which directions, with what, and why. */
export interface MeasuringPlan {
  readonly stationsMm: readonly number[];
  readonly clocksDeg: readonly number[];
  /** Kinds of instrument, the one to reach for first. */
  readonly instruments: readonly InstrumentKind[];
  readonly why: readonly string[];
  /** Where it is likely that it never wore. */
  readonly unworn: string;
}

export interface PlanInput {
  readonly kind: PlaceKind;
  readonly side: Side;
  readonly startMm: number;
  readonly lengthMm: number;
  readonly suspicions: readonly Suspicion[];
  /** Whose rule the stations are set off with. */
  readonly unit: LengthUnit;
}

const evenly = ({ startMm, lengthMm }: Span, count: number): number[] => {
  const edge = Math.min(EDGE_MM, lengthMm / 8);
  return Array.from({ length: count }, (_, i) => startMm + edge + (i * (lengthMm - 2 * edge)) / (count - 1));
};

function idealStations(place: PlanInput): number[] {
  const { kind, startMm, lengthMm, suspicions } = place;
  const has = (s: Suspicion): boolean => suspicions.includes(s);
  const middle = startMm + lengthMm / 2;
  if (!PLACE_KINDS[kind].grid) return [middle];
  if (kind === 'straightness' || has('bent')) return evenly(place, lengthMm < 60 ? 3 : lengthMm < 200 ? 5 : 7);
  if (kind === 'lobes' || kind === 'run-out') return [middle];
  // Three in the track, one at each end where there is room beside it.
  if (has('seal-groove')) {
    const run = [middle - 2 * LIP_MM, middle, middle + 2 * LIP_MM].filter((mm) => mm > startMm && mm < startMm + lengthMm);
    const ends = evenly(place, 2).filter((mm) => Math.abs(mm - middle) > 3 * LIP_MM);
    return [...ends, ...run].sort((p, q) => p - q);
  }
  if (kind === 'taper' || has('tapered')) return evenly(place, lengthMm < 16 ? 3 : 5);
  return endsAndMiddle(place);
}

function clocksFor({ kind, side, suspicions }: PlanInput): number[] {
  const has = (s: Suspicion): boolean => suspicions.includes(s);
  if (kind === 'lobes') return [...SIXTEEN_ROUND];
  if (isIndicator(kind)) return [...EIGHT_ROUND];
  if (kind === 'wall') return [0, 90, 180, 270];
  if (!isDiameter(kind)) return [0];
  if (has('oval') && has('lobed')) return [...SIX_CLOCKS];
  if (has('oval') || has('bearing')) return [...FOUR_CLOCKS];
  if (has('lobed')) return side === 'inside' ? [...HEAD_CLOCKS] : [...SIX_CLOCKS];
  return defaultClocks(side);
}

function instrumentsFor({ kind, side, suspicions }: PlanInput): InstrumentKind[] {
  if (isIndicator(kind)) return ['indicator'];
  if (kind === 'depth') return ['depth-mic', 'depth-rod', 'caliper'];
  if (kind === 'groove' || kind === 'keyseat') return ['caliper'];
  if (kind === 'length' || kind === 'flats' || kind === 'key') return ['micrometer', 'caliper', 'depth-mic'];
  if (!isDiameter(kind)) return ['caliper', 'micrometer'];
  if (side === 'outside') return ['micrometer', 'caliper'];
  // A three-point head is blind to an oval, a two-point gauge to three lobes.
  if (suspicions.includes('lobed') && !suspicions.includes('oval')) return ['bore-head', 'dial-bore-gauge', 'telescoping-gauge'];
  return ['telescoping-gauge', 'dial-bore-gauge', 'caliper', 'bore-head'];
}

const WHY: Readonly<Record<Suspicion, string>> = {
  bearing: 'Where a bearing ran: four directions, and both ends of the seat.',
  oval: 'Oval: two points of contact at four clock angles; a three-point head is blind to it.',
  tapered: 'Tapered: five stations, so that a belly or a bell-mouth shows too.',
  bent: 'Bent: an indicator at several stations and eight clock angles, on V-blocks or between centres.',
  lobed: 'Lobed: three points of contact, or a V-block; two points cannot see three lobes.',
  'seal-groove': 'Grooved by a seal: stations in the track and close on both sides of it.',
};

const UNWORN: Readonly<Record<Side, string>> = {
  outside: 'Look for a size that never ran: under the seal’s housing, past the bearing, at the end behind the retaining ring.',
  inside: 'Look for a size that never ran: the last turn at the closed end, behind a groove, between two bushes.',
};

/** The measuring plan of a place from its kind, its length and what is suspected. */
export function planFor(input: PlanInput): MeasuringPlan {
  const why = input.suspicions.map((s) => WHY[s]);
  return {
    stationsMm: onRule(idealStations(input), input, input.unit),
    clocksDeg: clocksFor(input),
    instruments: instrumentsFor(input),
    why: why.length
      ? why
      : [isDiameter(input.kind) ? 'Both ends and the middle.' : `${PLACE_KINDS[input.kind].name}: at the place itself.`],
    unworn: UNWORN[input.side],
  };
}

/** Every planned spot in measuring order: station by station, clock by clock, quantity by quantity. */
export const plannedSpots = (stationsMm: readonly number[], clocksDeg: readonly number[], quantities: readonly Quantity[]): Spot[] =>
  [...stationsMm]
    .sort((p, q) => p - q)
    .flatMap((stationMm) => clocksDeg.flatMap((clockDeg) => quantities.map((quantity) => ({ stationMm, clockDeg, quantity }))));

const keyOf = (s: Spot): string => `${Math.round(s.stationMm * 100)} ${Math.round(s.clockDeg * 100)} ${s.quantity}`;

/** The same place, direction and thing read. */
export const sameSpot = (p: Spot, q: Spot): boolean => keyOf(p) === keyOf(q);

/** Planned spots that are neither measured nor passed over, in order. */
export function openSpots(planned: readonly Spot[], taken: readonly Spot[], skipped: readonly Spot[] = []): Spot[] {
  const closed = new Set([...taken, ...skipped].map(keyOf));
  return planned.filter((spot) => !closed.has(keyOf(spot)));
}
