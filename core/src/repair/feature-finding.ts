import { inSentence } from '../words';
import { keeper } from '../kept';
import { INCH_PRIOR, recoverNominals, type RecoveredNominal } from '../nominal';
import {
  FEATURE_KINDS,
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
} from '../readings';
import { workedOut, type Figure } from '../working';
import { chosenNominal, chosenSkips, settledPairs, type NominalChoice } from './choices';
import { depthFinding } from './depth-finding';
import { grooveFinding, type GrooveFinding } from './groove-finding';
import { keyseatFinding, type KeyseatFinding } from './keyseat-finding';
import { NO_FIGURES, quantityFindings, shapeFigures, type QuantityFinding, type ShapeFigures } from './feature-figures';
import { indicatorFinding, type IndicatorFinding } from './indicator-finding';
import { AS_FOUND, partStates, type PartState } from './part-states';
import { bearingWitness, nominalEvidence, unitWitness } from './nominal-evidence';
import { isSettled, measuredPlace, pairKey, type Measured } from './measured';
import type { ComponentRecord, FeatureRecord, JobSheet, ReadingRecord, Shop } from './records';
import { NOTHING_STANDS_OUT, standingOut, stillStandingOut, type StandingOut } from './suspects';
import { threadFinding, type ThreadFinding } from './thread-finding';

/** Two instruments that disagree, and which one is believed once somebody settled it. */
export interface DisputeFinding {
  readonly dispute: Dispute;
  readonly pair: string;
  readonly believed: string | null;
}

/** Everything known of one measured place. */
export interface FeatureFinding extends ShapeFigures {
  readonly feature: FeatureRecord;
  /** In which state of the part it was measured so. */
  readonly state: PartState;
  /** The same place after acts that changed the part, oldest first; none within one of these. */
  readonly after: readonly FeatureFinding[];
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

const NOT_MEASURED: RecoveredNominal = { ranked: [], none: 0, canTell: false, note: 'Nothing measured yet.', deciding: null };

/** All that follows from a place's own readings, worked out once while they stay as they are. */
interface OwnFinding {
  readonly figures: ShapeFigures;
  readonly all: readonly Figure[];
  readonly values: readonly QuantityFinding[];
  readonly depth: DepthCheck | null;
  readonly thread: ThreadFinding | null;
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
  const { feature, readings, shape } = m;
  const { unit } = sheet.job;
  const { kind, side, startMm, lengthMm, suspicions } = feature;
  const values = quantityFindings(m, shop);
  const planned = plannedSpots(feature.stationsMm, feature.clocksDeg, FEATURE_KINDS[kind].quantities);
  return {
    figures: shape ? shapeFigures(feature, shape, m.readingsOf, unit) : NO_FIGURES,
    all: shape ? shape.sections.flatMap(m.readingsOf) : [],
    values,
    depth: depthFinding(feature, values),
    thread: kind === 'thread' ? threadFinding(feature, values) : null,
    indicator: indicatorFinding(m, shop, unit),
    standOut: isDiameter(kind) ? standingOut(m, shop) : NOTHING_STANDS_OUT,
    planned,
    unread: openSpots(planned, readings),
    plan: planFor({ kind, side, startMm, lengthMm, suspicions, unit }),
    advice: planAdvice(side, shape, feature, unit),
  };
}

function wasFigure({ feature }: Measured, nominal: RecoveredNominal, all: readonly Figure[]): Figure | null {
  const best = nominal.ranked[0];
  if (!best) return null;
  const how = `${best.name}, ${Math.round(best.probability * 100)} %: ${best.reasons.join('; ')}`;
  return workedOut(`${feature.id}.was`, `${inSentence(feature.name)} as drawn by its maker`, best.sizeMm, how, all);
}

/** What the readings of a place hide and somebody should know. */
function hidden({ feature }: Measured, { blind, sections, plusMinusMm }: Shape, sheet: JobSheet): string[] {
  const means = sections.map((s) => s.meanMm);
  return worthSaying(blind, {
    suspicions: feature.suspicions,
    ofAPair: feature.matesFeatureId !== null || sheet.features.some((f) => f.matesFeatureId === feature.id),
    lengthMm: feature.lengthMm,
    differs: Math.max(...means) - Math.min(...means) > plusMinusMm,
  });
}

function finding(
  m: Measured,
  nominal: RecoveredNominal,
  sheet: JobSheet,
  shop: Shop,
  feature = m.feature,
  state = AS_FOUND,
): Omit<FeatureFinding, 'groove' | 'keyseat'> {
  const { component, readings, shape } = m;
  const settled = settledPairs(sheet, feature.id);
  const { figures, all, unread, ...own } = ownFinding(m, sheet, shop);
  const skipped = chosenSkips(sheet, feature.id);
  const open = skipped.length ? openSpots(unread, [], skipped) : unread;
  return {
    feature,
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
    standOut: stillStandingOut(own.standOut, sheet, feature.id),
    skipped,
    open,
    next: open[0] ?? null,
    // While planned spots are open, the plan itself is what would show it.
    cannotShow: [...(open.length || !shape ? [] : hidden(m, shape, sheet)), ...(own.indicator?.cannotShow ?? [])],
    nominal,
    chosenNominal: chosenNominal(sheet, feature.id),
    was: wasFigure(m, nominal, all),
  };
}

function byFeature(live: readonly ReadingRecord[]): Map<string, ReadingRecord[]> {
  const found = new Map<string, ReadingRecord[]>();
  for (const r of live) {
    if (r.purpose !== 'found' || r.featureId === null) continue;
    const list = found.get(r.featureId);
    if (list) list.push(r);
    else found.set(r.featureId, [r]);
  }
  return found;
}

const NONE: readonly ReadingRecord[] = [];
const inStateOf = (readings: readonly ReadingRecord[], actId: string | null): readonly ReadingRecord[] =>
  readings.filter((r) => r.afterActId === actId);

// The place as it is called after an act: one object while the place and the act stay as they are.
const keepNamed = keeper<FeatureRecord, Map<string, FeatureRecord>>();
/** The figures of another state are other figures: they have a key and a name of their own. */
function namedAfter(feature: FeatureRecord, { actId, words }: PartState): FeatureRecord {
  const names = keepNamed(feature, [], () => new Map());
  const key = `${feature.id}@${actId}`;
  const name = `${feature.name} ${words}`;
  const there = names.get(key);
  if (there?.name === name) return there;
  const fresh = { ...feature, id: key, name };
  names.set(key, fresh);
  return fresh;
}

/** Findings of all places of a job, in the sheet's order. */
export function featureFindings(sheet: JobSheet, live: readonly ReadingRecord[], shop: Shop): FeatureFinding[] {
  const found = byFeature(live);
  const { unit, shopTempC } = sheet.job;
  const components = new Map(sheet.components.map((c) => [c.id, c]));
  const states = new Map(sheet.features.map((f) => [f.id, partStates(sheet, f, found.get(f.id) ?? NONE)]));
  const measureIn = (feature: FeatureRecord, component: ComponentRecord, state: PartState): Measured => {
    const all = found.get(feature.id) ?? NONE;
    return measuredPlace({
      feature: state.actId === null ? feature : namedAfter(feature, state),
      component,
      readings: states.get(feature.id)!.length === 1 ? all : inStateOf(all, state.actId),
      settled: settledPairs(sheet, feature.id),
      ...{ shopTempC, unit, shop },
    });
  };
  const measured = sheet.features.flatMap((feature): Measured[] => {
    const component = components.get(feature.componentId);
    return component ? [measureIn(feature, component, AS_FOUND)] : [];
  });
  const sized = measured.filter((m) => m.shape && isDiameter(m.feature.kind));
  const nominals = recoverNominals(
    sized.map((m) => nominalEvidence(m, sized)),
    INCH_PRIOR[unit],
    measured.flatMap((m) => [...unitWitness(m.feature, ownFinding(m, sheet, shop)), ...bearingWitness(m, measured)]),
    unit,
  ).byFeature;
  return measured.map((m) => {
    const { feature, component } = m;
    const nominal = nominals.get(feature.id) ?? NOT_MEASURED;
    const whole = (own: Measured, state: PartState): FeatureFinding => {
      const f = finding(own, nominal, sheet, shop, feature, state);
      return { ...f, groove: grooveFinding(own, f.values, measured, unit), keyseat: keyseatFinding(own, f.values, measured, unit) };
    };
    const after = states.get(feature.id)!.slice(1);
    return { ...whole(m, AS_FOUND), after: after.map((s) => whole(measureIn(feature, component, s), s)) };
  });
}
