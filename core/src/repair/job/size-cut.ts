import { judge, type Limits } from '../../evidence/proof';
import { K95 } from '../../evidence/readings';
import {
  hostOf,
  isDiameterOfSurface,
  placeOutside,
  READ_AS,
  sideRead,
  type Dimension,
  type FeatureKindId,
  type Part,
} from '../../making/part';
import { overWiresOf } from '../../making/schedule';
import { formatWithUnit } from '../../terms/quantity';
import { minus, plus, sumOf, workedOut, type Figure } from '../../terms/working';
import { capital } from '../../terms/words';
import { instrumentOf } from './bias';
import { instrumentUncertaintyMm, readingFigure, sizeOf } from './measured';
import { treatedAt } from './as-cut';
import { readsRaw } from './before-treatment';
import type { DimensionFinding, PartFinding } from './part-finding';
import type { PlanFinding, PlannedSetUp } from './plan-finding';
import type { ProofFinding } from './proof-finding';
import { dialWords, type Asked, type At, type SizeCutState, type Slide } from './asked-cut';
import { lengthOverAll, placedCuts } from './placed-cut';
import type { JobSheet, ReadingRecord, Shop } from './records';
import { triedWithNut, type Trial, type TriedFinding } from './tried';

/** A width, a depth, a length or the floor of a groove at the machine: what it reads now, and how far the slide still goes. */
export interface SizeCut {
  readonly key: string;
  readonly name: string;
  /** Number of the set-up that cuts it. */
  readonly setUp: number;
  /** It has to be proved: a piece is not through before it stands in its limits. */
  readonly due: boolean;
  readonly limits: Limits;
  readonly wantedMm: number;
  readonly readings: readonly ReadingRecord[];
  readonly nowMm: number | null;
  readonly state: SizeCutState;
  /** What it still lacks of the middle of its limits; below nought where it is past it. Null before the first reading. */
  readonly left: Figure | null;
  /** How far the slide goes for that, as its dial counts it: `2 turns + 0.15 mm`; empty where there is nothing to go, or no dial is known. */
  readonly dial: string;
  readonly sentences: readonly string[];
  /** How the nut went on; null for what is no thread. */
  readonly tried: TriedFinding | null;
}

const GROOVE = ['width', 'diameter'] as const;
/** Which dimensions of each kind come about by cutting on; what is drilled, rolled or smoothed to its size in one go is not read between cuts. */
const CUT_ON: Readonly<Record<FeatureKindId, readonly string[]>> = {
  'ring-groove': GROOVE,
  'oring-groove': GROOVE,
  'seal-groove': GROOVE,
  relief: GROOVE,
  undercut: GROOVE,
  keyseat: ['length', 'width', 'depth'],
  'woodruff-seat': ['depth'],
  keyway: ['width', 'over'],
  flats: ['length', 'across'],
  slot: ['width', 'depth'],
  spline: ['length', 'tooth', 'root'],
  'oil-groove': ['depth'],
  eccentric: ['diameter'],
  'eccentric-bore': ['diameter', 'depth'],
  thread: ['length'],
  'cross-hole': ['depth'],
  'hole-pattern': ['depth'],
  'centre-hole': [],
  chamfer: [],
  fillet: [],
  knurl: [],
  'seal-land': [],
  'weld-prep': [],
  relation: [],
  'surface-finish': [],
  hardness: [],
  treatment: [],
};
/** What is left standing gets smaller as it is cut; all else grows. */
const SHRINKS: readonly Dimension['what'][] = ['outside', 'across'];
const SLIDE: Partial<Readonly<Record<Dimension['what'], Slide>>> = {
  outside: 'across',
  inside: 'across',
  across: 'across',
  depth: 'across',
  length: 'along',
  width: 'along',
};

/** What lies in the middle and must stay there: each of its walls is cut by half. */
const IN_THE_MIDDLE: readonly FeatureKindId[] = ['keyseat', 'keyway', 'slot'];

/** Whether half of what is to go is cut on each side: of a diameter, across two flats, of a keyseat's width; of one flat, or of three, all of it. */
function isHalved({ what, name, ownerId }: Dimension, part: Part): boolean {
  const f = part.features.find((x) => x.id === ownerId);
  if (f && name === 'width' && IN_THE_MIDDLE.includes(f.kind)) return true;
  return what === 'outside' || what === 'inside' || (what === 'across' && !(f?.kind === 'flats' && f.count % 2 === 1));
}

/** Whether a shoulder that this set-up cuts ends an outside surface on the side of the chuck: its length grows as the tool goes on. */
function endsAtShoulder(part: Part, id: string, fromFarEnd: boolean): boolean {
  const row = placeOutside(part);
  const at = row.findIndex((s) => s.id === id);
  const towardsChuck = row[fromFarEnd ? at - 1 : at + 1];
  return !!towardsChuck && towardsChuck.diameterMm > row[at]!.diameterMm;
}

/** Which way a size goes as it is cut, and by which slide; null for what is not brought to its size by cutting on. */
function howCut(d: Dimension, part: Part, { setUp }: PlannedSetUp): { readonly grows: boolean; readonly slide: Slide } | null {
  const slide = SLIDE[d.what];
  if (!slide || READ_AS[d.what] === null || isDiameterOfSurface(d)) return null;
  const f = part.features.find((x) => x.id === d.ownerId);
  if (f) return CUT_ON[f.kind].includes(d.name) ? { grows: !SHRINKS.includes(d.what), slide } : null;
  if (d.name !== 'length') return null;
  if (d.surface.side === 'inside') return { grows: true, slide: 'along' };
  return endsAtShoulder(part, d.ownerId, setUp.fromFarEnd) ? { grows: true, slide: 'along' } : null;
}

function stateOf(nowMm: number | null, plusMinusMm: number, { grows, limits, placed }: Asked): SizeCutState {
  if (nowMm === null) return 'not-read';
  const verdict = judge(nowMm, plusMinusMm, limits);
  if (verdict === 'fits') return 'in';
  // Nothing is lost of what only lies off its place.
  if (placed) return verdict === 'out' ? 'go-on' : 'close';
  const middleMm = (limits.lowerMm + limits.upperMm) / 2;
  const [lacks, toMiddle] = grows ? [limits.lowerMm - nowMm, middleMm - nowMm] : [nowMm - limits.upperMm, nowMm - middleMm];
  // Barely over the near limit it goes on to the middle, where the far one can still be told from it.
  if (lacks > 0 || (toMiddle > 0 && 2 * plusMinusMm <= limits.upperMm - limits.lowerMm)) return 'go-on';
  return (grows ? nowMm > limits.upperMm : nowMm < limits.lowerMm) ? 'beyond' : 'close';
}

function sizeCut(a: Asked, setUp: number, { part, live, trials, sheet: { job }, shop }: At): SizeCut {
  const { key, name, limits, grows } = a;
  const readings = live.filter((r) => r.purpose === 'cut' && r.segmentId === key);
  const last = readings.at(-1);
  const nowMm = last ? sizeOf(last, part.materialId, job.shopTempC, shop) : null;
  const plusMinusMm = last ? K95 * instrumentUncertaintyMm(instrumentOf(shop, last.instrumentId), a.side, last.valueMm) : 0;
  const state = stateOf(nowMm, plusMinusMm, a);
  const now = last && nowMm !== null ? readingFigure(last, nowMm, shop, job.unit) : null;
  const left = now && sumOf(`segment.${key}.left`, 'still to go', grows ? [plus(a.wanted), minus(now)] : [plus(now), minus(a.wanted)]);
  const moveMm = state === 'go-on' ? a.moveFor(left!.value) : 0;
  const dial = Math.abs(moveMm) > 0 ? a.dialFor(Math.abs(moveMm)) : '';
  const words: Readonly<Record<SizeCutState, string>> = {
    'not-read': 'Read it as it stands now.',
    'go-on': a.wordsFor(moveMm),
    in: 'Inside its limits. Take no more.',
    close: `Inside, or as good as, but ±${formatWithUnit(plusMinusMm, job.unit)} cannot tell. Stop, and read it with a finer instrument.`,
    beyond: 'Past its far limit. Stop: read it again, cold, before the part is given up.',
  };
  return {
    ...{ key, name, setUp, due: a.due, limits, wantedMm: a.wanted.value, readings, nowMm, state, left },
    dial,
    sentences: [words[state]],
    tried: a.ofThread ? triedWithNut(trials.filter((t) => t.segmentId === key)) : null,
  };
}

/** A dimension of the drawing as a size to be cut to; none where it is not brought to its size by cutting on. */
function ofDimension(
  { dimension, limits, figure, mustProve }: DimensionFinding,
  one: PlannedSetUp,
  { part, plan, proofs, sheet }: At,
): Asked[] {
  const how = limits && one.setUp.cuts.includes(dimension.ownerId) ? howCut(dimension, part, one) : null;
  if (!limits || !how) return [];
  const halved = isHalved(dimension, part);
  // From a surface that is not finished yet.
  const raw = readsRaw(part, dimension);
  const deeper = raw && treatedAt(raw.f, proofs) === null ? raw.byMm : 0;
  const cutTo = { lowerMm: limits.lowerMm + deeper, upperMm: limits.upperMm + deeper };
  const on = (mm: number): string => formatWithUnit(mm, sheet.job.unit) + ' on' + (halved ? ', on each side' : '');
  return [
    {
      ...{
        key: dimension.key,
        name: capital(dimension.label),
        side: sideRead(dimension.what),
        grows: how.grows,
        due: mustProve,
        limits: cutTo,
      },
      wanted: { ...figure, value: (cutTo.lowerMm + cutTo.upperMm) / 2 },
      moveFor: (mm) => mm / (halved ? 2 : 1),
      dialFor: (mm) => dialWords(mm, how.slide, one, plan),
      wordsFor: (mm) => `The tool goes ${on(mm)}. Wind past and come again from the same side, then read it.`,
    },
  ];
}

/** Outside threads over the best wires: what is too much over them comes off by half of it straight in, or a little more along the compound. */
function ofThreads(one: PlannedSetUp, { part, plan, sheet }: At): Asked[] {
  return part.features.flatMap((f): Asked[] => {
    const host = f.kind === 'thread' && one.setUp.cuts.includes(f.id) ? hostOf(part, f.on) : null;
    const over = f.kind === 'thread' && host ? overWiresOf(f, host) : null;
    if (!over?.limits) return [];
    const show = (mm: number): string => formatWithUnit(mm, sheet.job.unit);
    const along = (mm: number): number => mm / Math.cos((over.compoundDeg * Math.PI) / 180);
    const name = `${capital(f.name)}, over wires of ${show(over.wireMm)}`;
    return [
      {
        ...{ key: `${f.id}.over-wires`, name, side: 'outside', grows: false, due: false, limits: over.limits, ofThread: true },
        wanted: workedOut(
          `segment.${f.id}.over-wires`,
          'over three wires',
          over.wantedMm,
          'middle of the class, the lead angle counted',
          [],
        ),
        moveFor: (mm) => mm / 2,
        dialFor: (mm) => dialWords(mm, 'across', one, plan),
        wordsFor: (mm) =>
          `Straight in by ${show(mm)}, or ${show(along(mm))} along the compound at ${over.compoundDeg}°. Take it in two, a spring pass between: it takes some by itself.`,
      },
    ];
  });
}

/**
 * Every size of one piece that is no diameter of a surface, in the order in which the set-ups cut them.
 *
 * @param live readings of that piece
 * @param proofs of that piece
 * @param trials of that piece, oldest first
 */
export function sizeCuts(
  found: PartFinding | null,
  plan: PlanFinding | null,
  live: readonly ReadingRecord[],
  proofs: readonly ProofFinding[],
  trials: readonly Trial[],
  sheet: JobSheet,
  shop: Shop,
): SizeCut[] {
  if (!found || !plan) return [];
  const at = { plan, part: found.part, live, proofs, trials, sheet, shop };
  return plan.setUps.flatMap((one) =>
    [
      ...lengthOverAll(found, one, at),
      ...found.dimensions.flatMap((d) => [...placedCuts(d, one, at), ...ofDimension(d, one, at)]),
      ...ofThreads(one, at),
    ].map((a) => sizeCut(a, one.setUp.number, at)),
  );
}
