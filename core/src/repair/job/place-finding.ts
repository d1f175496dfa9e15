import { inSentence } from '../../terms/words';
import { keeper } from '../../terms/kept';
import { INCH_PRIOR, recoverNominals, type RecoveredNominal } from '../../evidence/nominal';
import {
  PLACE_KINDS,
  isDiameter,
  openSpots,
  planAdvice,
  planFor,
  plannedSpots,
  worthSaying,
  type DepthCheck,
  type Dispute,
  type MeasuringPlan,
  type PlanAdvice,
  type Shape,
  type Spot,
} from '../../evidence/readings';
import { workedOut, type Figure } from '../../terms/working';
import { chosenNominal, chosenSkips, settledPairs, type NominalChoice } from './choices';
import { depthFinding } from './depth-finding';
import { grooveFinding, type GrooveFinding } from './groove-finding';
import { keyseatFinding, type KeyseatFinding } from './keyseat-finding';
import { NO_FIGURES, quantityFindings, shapeFigures, type QuantityFinding, type ShapeFigures } from './place-figures';
import { indicatorFinding, type IndicatorFinding } from './indicator-finding';
import { AS_FOUND, partStates, type PartState } from './part-states';
import { bearingWitness, nominalEvidence, unitWitness } from './nominal-evidence';
import { isSettled, measuredPlace, pairKey, type Measured } from './measured';
import type { ComponentRecord, PlaceRecord, JobSheet, ReadingRecord, Shop } from './records';
import { NOTHING_STANDS_OUT, standingOut, stillStandingOut, type StandingOut } from './suspects';
import { taperFinding } from './taper-finding';
import { threadFinding, type ThreadFinding } from './thread-finding';

/** Two instruments that disagree, and which one is believed once somebody settled it. */
export interface DisputeFinding {
  readonly dispute: Dispute;
  readonly pair: string;
  readonly believed: string | null;
}

/** Everything known of one measured place. */
export interface PlaceFinding extends ShapeFigures {
  readonly place: PlaceRecord;
  /** In which state of the part it was measured so. */
  readonly state: PartState;
  /** The same place after acts that changed the part, oldest first; none within one of these. */
  readonly after: readonly PlaceFinding[];
  readonly component: ComponentRecord;
  readonly readings: readonly ReadingRecord[];
  readonly shape: Shape | null;
  /** Lengths, widths and depths of a place that is no plain diameter. */
  readonly values: readonly QuantityFinding[];
  readonly depth: DepthCheck | null;
  /** A ring groove against the book's. */
  readonly groove: GrooveFinding | null;
  /** A keyseat against the book's. */
  readonly keyseat: KeyseatFinding | null;
  readonly thread: ThreadFinding | null;
  /** What a taper by design is, in words. */
  readonly taperOf: string | null;
  readonly indicator: IndicatorFinding | null;
  readonly disputes: readonly DisputeFinding[];
  /** Instruments whose readings do not count, as another is believed; until somebody says which, the coarser one. */
  readonly lost: ReadonlySet<string>;
  /** Readings that a slip explains better than wear, and repeats that cannot both be right. */
  readonly standOut: StandingOut;
  readonly planned: readonly Spot[];
  readonly skipped: readonly Spot[];
  /** Planned spots still to measure. */
  readonly open: readonly Spot[];
  readonly next: Spot | null;
  /** What the kind and the suspicion ask for, and what the readings ask for beyond the plan. */
  readonly plan: MeasuringPlan;
  readonly advice: readonly PlanAdvice[];
  readonly cannotShow: readonly string[];
  readonly nominal: RecoveredNominal;
  readonly chosenNominal: NominalChoice | null;
  /** The most probable original size, with its reasons. */
  readonly was: Figure | null;
}

const NO_NOMINAL = { ranked: [], none: 0, canTell: false, deciding: null } as const;
const NOT_MEASURED: RecoveredNominal = { ...NO_NOMINAL, note: 'Nothing measured yet.' };
const TAPERS: RecoveredNominal = { ...NO_NOMINAL, note: 'It tapers: it had no one size.' };

/** All that follows from a place's own readings, worked out once while they stay as they are. */
interface OwnFinding {
  readonly figures: ShapeFigures;
  readonly all: readonly Figure[];
  readonly values: readonly QuantityFinding[];
  readonly depth: DepthCheck | null;
  readonly thread: ThreadFinding | null;
  readonly taperOf: string | null;
  readonly indicator: IndicatorFinding | null;
  readonly standOut: StandingOut;
  readonly planned: readonly Spot[];
  /** Planned spots without a reading. */
  readonly unread: readonly Spot[];
  readonly plan: MeasuringPlan;
  readonly advice: readonly PlanAdvice[];
}

const keepOwn = keeper<Measured, OwnFinding>();
const ownFinding = (m: Measured, sheet: JobSheet, shop: Shop): OwnFinding => keepOwn(m, [], () => workOutOwn(m, sheet, shop));

function workOutOwn(m: Measured, sheet: JobSheet, shop: Shop): OwnFinding {
  const { place, readings, shape } = m;
  const { unit } = sheet.job;
  const { kind, side, startMm, lengthMm, suspicions } = place;
  const values = quantityFindings(m, shop);
  const planned = plannedSpots(place.stationsMm, place.clocksDeg, PLACE_KINDS[kind].quantities);
  return {
    figures: shape ? shapeFigures(place, shape, m.readingsOf, unit) : NO_FIGURES,
    all: shape ? shape.sections.flatMap(m.readingsOf) : [],
    values,
    depth: depthFinding(place, values),
    thread: kind === 'thread' ? threadFinding(place, values) : null,
    taperOf: taperFinding(m),
    indicator: indicatorFinding(m, shop, unit),
    standOut: isDiameter(kind) ? standingOut(m, shop) : NOTHING_STANDS_OUT,
    planned,
    unread: openSpots(planned, readings),
    plan: planFor({ kind, side, startMm, lengthMm, suspicions, unit }),
    advice: planAdvice(side, shape, place, unit),
  };
}

function wasFigure({ place }: Measured, nominal: RecoveredNominal, all: readonly Figure[]): Figure | null {
  const best = nominal.ranked[0];
  if (!best) return null;
  const how = `${best.name}, ${Math.round(best.probability * 100)} %: ${best.reasons.join('; ')}`;
  return workedOut(`${place.id}.was`, `${inSentence(place.name)} as drawn by its maker`, best.sizeMm, how, all);
}

/** What the readings of a place hide and somebody should know. */
function hidden({ place }: Measured, { blind, sections, plusMinusMm }: Shape, sheet: JobSheet): string[] {
  const means = sections.map((s) => s.meanMm);
  return worthSaying(blind, {
    suspicions: place.suspicions,
    ofAPair: place.matesPlaceId !== null || sheet.places.some((f) => f.matesPlaceId === place.id),
    lengthMm: place.lengthMm,
    differs: Math.max(...means) - Math.min(...means) > plusMinusMm,
  });
}

function finding(
  m: Measured,
  nominal: RecoveredNominal,
  sheet: JobSheet,
  shop: Shop,
  place = m.place,
  state = AS_FOUND,
): Omit<PlaceFinding, 'groove' | 'keyseat'> {
  const { component, readings, shape } = m;
  const settled = settledPairs(sheet, place.id);
  const { figures, all, unread, ...own } = ownFinding(m, sheet, shop);
  const skipped = chosenSkips(sheet, place.id);
  const open = skipped.length ? openSpots(unread, [], skipped) : unread;
  return {
    place,
    component,
    state,
    after: [],
    readings,
    shape,
    ...figures,
    ...own,
    disputes: m.disputes.map((dispute) => ({
      dispute,
      pair: pairKey(dispute),
      believed: isSettled(dispute, settled) ? settled[pairKey(dispute)]! : null,
    })),
    lost: m.lost,
    standOut: stillStandingOut(own.standOut, sheet, place.id),
    skipped,
    open,
    next: open[0] ?? null,
    // While planned spots are open, the plan itself is what would show it.
    cannotShow: [...(open.length || !shape ? [] : hidden(m, shape, sheet)), ...(own.indicator?.cannotShow ?? [])],
    nominal,
    chosenNominal: chosenNominal(sheet, place.id),
    was: wasFigure(m, nominal, all),
  };
}

function byPlace(live: readonly ReadingRecord[]): Map<string, ReadingRecord[]> {
  const found = new Map<string, ReadingRecord[]>();
  for (const r of live) {
    if (r.purpose !== 'found' || r.placeId === null) continue;
    const list = found.get(r.placeId);
    if (list) list.push(r);
    else found.set(r.placeId, [r]);
  }
  return found;
}

const NONE: readonly ReadingRecord[] = [];
const inStateOf = (readings: readonly ReadingRecord[], actId: string | null): readonly ReadingRecord[] =>
  readings.filter((r) => r.afterActId === actId);

// The place as it is called after an act: one object while the place and the act stay as they are.
const keepNamed = keeper<PlaceRecord, Map<string, PlaceRecord>>();
/** The figures of another state are other figures: they have a key and a name of their own. */
function namedAfter(place: PlaceRecord, { actId, words }: PartState): PlaceRecord {
  const names = keepNamed(place, [], () => new Map());
  const key = `${place.id}@${actId}`;
  const name = `${place.name} ${words}`;
  const there = names.get(key);
  if (there?.name === name) return there;
  const fresh = { ...place, id: key, name };
  names.set(key, fresh);
  return fresh;
}

/** Findings of all places of a job, in the sheet's order. */
export function placeFindings(sheet: JobSheet, live: readonly ReadingRecord[], shop: Shop): PlaceFinding[] {
  const found = byPlace(live);
  const { unit, shopTempC } = sheet.job;
  const components = new Map(sheet.components.map((c) => [c.id, c]));
  const states = new Map(sheet.places.map((f) => [f.id, partStates(sheet, f, found.get(f.id) ?? NONE)]));
  const measureIn = (place: PlaceRecord, component: ComponentRecord, state: PartState): Measured => {
    const all = found.get(place.id) ?? NONE;
    return measuredPlace({
      place: state.actId === null ? place : namedAfter(place, state),
      component,
      readings: states.get(place.id)!.length === 1 ? all : inStateOf(all, state.actId),
      settled: settledPairs(sheet, place.id),
      ...{ shopTempC, unit, shop },
    });
  };
  const measured = sheet.places.flatMap((place): Measured[] => {
    const component = components.get(place.componentId);
    return component ? [measureIn(place, component, AS_FOUND)] : [];
  });
  // What tapers by design had no one size that could be told.
  const sized = measured.filter((m) => m.shape && m.place.kind === 'diameter');
  const nominals = recoverNominals(
    sized.map((m) => nominalEvidence(m, sized)),
    INCH_PRIOR[unit],
    measured.flatMap((m) => [...unitWitness(m.place, ownFinding(m, sheet, shop)), ...bearingWitness(m, measured)]),
    unit,
  ).byPlace;
  return measured.map((m) => {
    const { place, component } = m;
    const nominal = nominals.get(place.id) ?? (place.kind === 'taper' ? TAPERS : NOT_MEASURED);
    const whole = (own: Measured, state: PartState): PlaceFinding => {
      const f = finding(own, nominal, sheet, shop, place, state);
      return { ...f, groove: grooveFinding(own, f.values, measured, unit), keyseat: keyseatFinding(own, f.values, measured, unit) };
    };
    const after = states.get(place.id)!.slice(1);
    return { ...whole(m, AS_FOUND), after: after.map((s) => whole(measureIn(place, component, s), s)) };
  });
}
