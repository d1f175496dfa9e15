import { keeper } from '../kept';
import { B17_1_ROWS, DIN6885_ROWS } from '../keys';
import { INCH_PRIOR, recoverNominals, WITNESS_TIMES, type MachineFeature, type RecoveredNominal, type UnitWitness } from '../nominal';
import { MM_PER_INCH } from '../quantity';
import {
  FEATURE_KINDS,
  isDiameter,
  openSpots,
  planAdvice,
  planFor,
  plannedSpots,
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
import { NO_FIGURES, quantityFindings, shapeFigures, type QuantityFinding, type ShapeFigures } from './feature-figures';
import { indicatorFinding, type IndicatorFinding } from './indicator-finding';
import { AS_FOUND, partStates, type PartState } from './part-states';
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

/** A worn place and a land this near in size are taken for one turned size: share of the size, and mm. */
const ONE_SIZE = { share: 0.05, mm: 1 };
/** A pin and its hole further apart than this were not drawn alike, mm. */
const ONE_PAIR_MM = 1.5;

const seenMm = ({ feature, shape }: Measured): number | null => shape && (feature.side === 'outside' ? shape.largestMm : shape.smallestMm);

const isPair = (p: Measured, q: Measured): boolean =>
  q.feature.matesFeatureId === p.feature.id || p.feature.matesFeatureId === q.feature.id;
const isSaidOneSize = (p: Measured, q: Measured): boolean =>
  q.feature.detail.oneSizeWithId === p.feature.id || p.feature.detail.oneSizeWithId === q.feature.id;
const apartMm = (p: Measured, q: Measured): number => Math.abs(seenMm(p)! - seenMm(q)!);

/** Two places of a part near in size may be of one turned size, or have a shoulder between them. */
const near = (p: Measured, q: Measured): boolean =>
  q.component.id === p.component.id &&
  q.feature.side === p.feature.side &&
  apartMm(p, q) < Math.min(ONE_SIZE.share * seenMm(p)!, ONE_SIZE.mm);

/** One lies within the stretch of the other: there is no shoulder between them. */
const overlap = ({ feature: p }: Measured, { feature: q }: Measured): boolean =>
  Math.min(p.startMm + p.lengthMm, q.startMm + q.lengthMm) > Math.max(p.startMm, q.startMm);

/** Were these two drawn to the same size: a pin and its hole, places that are told to be of one turned size, or one within the other? */
const drawnAlike = (p: Measured, q: Measured): boolean =>
  isSaidOneSize(p, q) || (isPair(p, q) && apartMm(p, q) < ONE_PAIR_MM) || (near(p, q) && overlap(p, q));

/** All places that hang together with this one by such likeness, from one to the next. */
function togetherWith(m: Measured, all: readonly Measured[], like: (p: Measured, q: Measured) => boolean): string[] {
  const together = new Set([m]);
  for (const p of together) for (const q of all) if (!together.has(q) && like(p, q)) together.add(q);
  together.delete(m);
  return [...together].map((t) => t.feature.id);
}

function evidenceOf(m: Measured, all: readonly Measured[]): MachineFeature {
  const { feature, shape } = m;
  const seen = seenMm(m);
  const twinIds = togetherWith(m, all, drawnAlike);
  const anyhow = togetherWith(m, all, (p, q) => drawnAlike(p, q) || near(p, q));
  return {
    id: feature.id,
    side: feature.side,
    use: feature.suspicions.includes('bearing') ? 'seat' : 'any',
    land: feature.land === 'unworn' && shape ? { sizeMm: shape.meanMm, uMm: shape.plusMinusMm / 2 } : null,
    worn: feature.land === 'worn' && seen !== null && shape ? { sizeMm: seen, uMm: shape.plusMinusMm / 2 } : null,
    twinIds,
    nearIds: anyhow.filter((id) => !twinIds.includes(id)),
  };
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
  return workedOut(`${feature.id}.was`, `${feature.name.toLowerCase()} as drawn by its maker`, best.sizeMm, how, all);
}

function finding(
  m: Measured,
  nominal: RecoveredNominal,
  sheet: JobSheet,
  shop: Shop,
  feature = m.feature,
  state = AS_FOUND,
): FeatureFinding {
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
    cannotShow: [...(shape?.cannotShow ?? []), ...(own.indicator?.cannotShow ?? [])],
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

/** A key's width this near to a listed one is one of it, mm. */
const KEY_WIDTH_MM = 0.06;

/** What a thread or a key tells of the machine's system, where it can be of one alone. */
function unitWitness({ feature }: Measured, { thread, values }: OwnFinding): UnitWitness[] {
  const units = new Set(thread?.answer?.matches.map((m) => m.thread.unit));
  if (units.size === 1) return [{ unit: [...units][0]!, times: WITNESS_TIMES.thread }];
  const width = feature.kind === 'key' || feature.kind === 'keyseat' ? values.find((v) => v.quantity === 'width')?.mean.value : undefined;
  if (width === undefined) return [];
  const near = (listed: number): boolean => Math.abs(width - listed) <= KEY_WIDTH_MM;
  const [mm, inch] = [DIN6885_ROWS.some((r) => near(r[2])), B17_1_ROWS.some((r) => near(r[2] * MM_PER_INCH))];
  return mm === inch ? [] : [{ unit: mm ? 'mm' : 'in', times: WITNESS_TIMES.key }];
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

/** The place as it was last measured: after an act where it was read since, else as found. What is made has to fit this. */
export const asItIsNow = (f: FeatureFinding): FeatureFinding => f.after.findLast((a) => a.readings.length > 0) ?? f;

/** The place in one state of its part; as found where that state is not known of it. */
export const inState = (f: FeatureFinding, actId: string | null): FeatureFinding => f.after.find((a) => a.state.actId === actId) ?? f;

/**
 * The place in the state that somebody picked; where nobody did, in the one that the part is in: after the last act that changes sizes.
 *
 * @param picked id of an act, null for as found, undefined where nobody picked
 */
export const inHand = (f: FeatureFinding, picked?: string | null): FeatureFinding =>
  picked === undefined ? (f.after.findLast((a) => a.state.resizes) ?? f) : inState(f, picked);

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
    sized.map((m) => evidenceOf(m, sized)),
    INCH_PRIOR[unit],
    measured.flatMap((m) => unitWitness(m, ownFinding(m, sheet, shop))),
  ).byFeature;
  return measured.map((m) => {
    const { feature, component } = m;
    const nominal = nominals.get(feature.id) ?? NOT_MEASURED;
    const after = states.get(feature.id)!.slice(1);
    return {
      ...finding(m, nominal, sheet, shop),
      after: after.map((s) => finding(measureIn(feature, component, s), nominal, sheet, shop, feature, s)),
    };
  });
}
