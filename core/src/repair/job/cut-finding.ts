import { heatJM3K, materialOf } from '../../book/materials';
import { advise, coolingMin, LEAST_CHIP_MM, WARM_K, type Advice, type CutRecord } from '../../making/coach';
import { largestDiameterMm, type Part } from '../../making/part';
import type { DrillSet } from '../../book/drills';
import { firstDrill, USUAL_PASSES } from '../../making/process';
import { K95 } from '../../evidence/readings';
import { formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { minus, plus, sumOf, workedOut, type Figure } from '../../terms/working';
import { alongCut, isAlong, thinWords, type AlongCut } from './along-cut';
import { asCut, treatedAt } from './as-cut';
import { treatmentOf } from './before-treatment';
import { CAUTIONS, FILE_CAUTION, hazardsAtCut, type Caution } from './cautions.data';
import { instrumentOf } from './bias';
import { crossSlide, type Dialled } from './bored-on';
import { alphaOf, instrumentUncertaintyMm, readingFigure, toDiameter } from './measured';
import type { Lathe } from '../../making/setups';
import type { PlanChoice } from './choices';
import type { PartFinding, SegmentFinding } from './part-finding';
import { drilledOnly } from './planned-passes';
import type { ProofFinding } from './proof-finding';
import type { JobSheet, ReadingRecord, Shop } from './records';
import { narrowed, triedFinding, type ReadSize, type Trial, type TriedFinding } from './tried';

/** A segment at the lathe: its cuts so far and what to do next. */
export interface CutFinding {
  readonly segment: SegmentFinding;
  /** Whose dial sets it. */
  readonly dialled: Dialled;
  readonly readings: readonly ReadingRecord[];
  readonly cuts: readonly CutRecord[];
  readonly advice: Advice;
  /** To come off the diameter: last size at 20 °C less the middle of the limits; null before the first reading. */
  readonly left: Figure | null;
  /** Temperature of the part at the last reading, °C. */
  readonly partTempC: number;
  /** When it is about as cool as it has to be for the last cut, in still air, by its last reading; null where it is, or nobody can tell. */
  readonly coolAt: string | null;
  /** What to mind while this is cut: dust of the metal, file and emery where they are advised. */
  readonly cautions: readonly Caution[];
  /** How it came out along its length at the last cut; null for a bore, and before anything is read of it. */
  readonly along: AlongCut | null;
  /** How it went together with its mate. */
  readonly tried: TriedFinding;
}

/** What it is cut on: whose dials are read, and how thin a chip the tool takes. */
export interface CutMachine {
  readonly lathe: Lathe;
  /** What bores where that is no chuck of the lathe; null where it is. */
  readonly bores: Dialled | null;
  /** A reamer or a hone brings its bores to size: no dial does. */
  readonly follows: boolean;
  readonly tool: PlanChoice['tool'];
}

/** The last size as it reads, or as reading and trial leave it. */
const nowFigure = (segment: SegmentFinding, read: Figure, known: ReadSize | null): Figure =>
  known
    ? workedOut(
        `segment.${segment.segment.id}.now`,
        'by reading and trial',
        known.mm,
        'middle of what the reading and how it went together leave open',
        [read],
        {
          plusMinus: known.plusMinusMm,
        },
      )
    : read;

const knownWords = (known: ReadSize, unit: LengthUnit): string =>
  `With how it went together it is ${formatWithUnit(known.mm, unit)} ±${formatWithUnit(known.plusMinusMm, unit)}: counted from that.`;

/** As thick as a solid round that cools as fast, mm: a tube cools from both sides. Of a bore of what stays nobody knows. */
function thickOf(part: Part, { segment, diameter }: SegmentFinding): number | null {
  if (!part.outside.length) return segment.side === 'outside' ? diameter.value : null;
  const through = part.bores.filter((b) => b.through).flatMap((b) => b.surfaces.map((s) => s.diameterMm));
  return largestDiameterMm(part) - (through.length ? Math.min(...through) : 0);
}

/** When what was read so warm is as cool as it has to be; null where its metal is not known. */
function coolAt(readAt: string, warmK: number, thickMm: number | null, materialId: string): string | null {
  const m = materialOf(materialId);
  if (!m || thickMm === null) return null;
  const min = coolingMin(heatJM3K(m), thickMm / 4, warmK, WARM_K);
  return new Date(Date.parse(readAt) + min * 60_000).toISOString();
}

function cutOf(
  segment: SegmentFinding,
  { lathe, bores, tool }: CutMachine,
  materialId: string,
  thickMm: number | null,
  { readings: all, trials }: { readonly readings: readonly ReadingRecord[]; readonly trials: readonly Trial[] },
  sheet: JobSheet,
  shop: Shop,
): CutFinding {
  const { shopTempC, unit } = sheet.job;
  const sizeOf = (r: ReadingRecord): number => toDiameter(r, segment.segment.side, materialId, shopTempC, shop).valueMm;
  const bandOf = (r: ReadingRecord | undefined): number =>
    K95 * instrumentUncertaintyMm(instrumentOf(shop, r?.instrumentId ?? ''), segment.segment.side);
  // The tool's habits are learned where the cuts are measured, always the same place.
  const readings = all.filter((r) => !isAlong(r));
  const cuts = readings.map((r) => ({ dial: r.dial ?? 0, measuredMm: sizeOf(r) }));
  const partTempC = readings.at(-1)?.partTempC ?? shopTempC;
  const cautions = hazardsAtCut(sheet.job.hazards, materialId).map((h) => CAUTIONS[h]);
  const last = readings.at(-1);
  const plusMinusMm = bandOf(last);
  const read = last ? { mm: cuts.at(-1)!.measuredMm, plusMinusMm } : null;
  const tried = triedFinding(trials, segment, read, last ? Date.parse(last.takenAt) : -Infinity, { materialId, shopTempC, unit });
  // How it went together says more of the last size than its instrument may: the next cut counts from that.
  const known = narrowed(tried, read);
  const counted = known ? [...cuts.slice(0, -1), { ...cuts.at(-1)!, measuredMm: known.mm }] : cuts;
  const dialled = (segment.segment.side === 'inside' ? bores : null) ?? crossSlide(lathe);
  const advice = advise(counted, {
    lathe: dialled,
    unit,
    limits: segment.limits,
    side: segment.segment.side,
    rises: dialled.rises,
    leastChipMm: LEAST_CHIP_MM[tool],
    roughMostMm: USUAL_PASSES.roughMostMm,
    finishMm: USUAL_PASSES.finishMm,
    part: { tempC: partTempC, shopC: shopTempC, alphaPerK: alphaOf(materialId) },
    plusMinusMm,
    knownMm: known?.plusMinusMm,
    noDust: cautions.some((c) => c.dust),
  });
  const along =
    last && segment.segment.side === 'outside'
      ? alongCut(
          segment.segment,
          all.filter(isAlong).map((reading) => ({ reading, mm: sizeOf(reading), plusMinusMm: bandOf(reading) })),
          Date.parse(last.takenAt),
        )
      : null;
  const thin = along && thinWords(along, counted.at(-1)!.measuredMm, advice.nextMm, segment.limits.lowerMm, unit);
  const first = [...(known ? [knownWords(known, unit)] : []), ...(thin ? [thin] : [])];
  const now = last && nowFigure(segment, readingFigure(last, cuts.at(-1)!.measuredMm, shop, unit), known);
  const left =
    now &&
    sumOf(
      `segment.${segment.segment.id}.left`,
      'to come off the diameter',
      segment.segment.side === 'outside' ? [plus(now), minus(segment.diameter)] : [plus(segment.diameter), minus(now)],
    );
  return {
    ...{ segment, dialled },
    readings,
    cuts,
    advice: first.length ? { ...advice, sentences: [...first, ...advice.sentences] } : advice,
    left: left ?? null,
    partTempC,
    coolAt: last && advice.state === 'cool' ? coolAt(last.takenAt, partTempC - shopTempC, thickMm, materialId) : null,
    cautions: [...cautions.filter((c) => c.dust), ...(advice.abrasive ? [FILE_CAUTION] : [])],
    along,
    tried,
  };
}

/** Of a block only bored holes are taken to size cut by cut; of a turned part what no tap or reamer gives its size. */
function isCoached({ part }: PartFinding, { segment, diameter }: SegmentFinding, sets: readonly DrillSet[]): boolean {
  if (part.block) return part.block.cuts.some((c) => c.id === segment.id && c.kind === 'hole' && c.made === 'bored');
  return segment.side === 'outside' || drilledOnly(part, segment, firstDrill(diameter.value, sets)?.diameterMm ?? 0) === null;
}

/** What is cut back after a treatment begins anew: cuts of before were of another size, ms. */
function cutSince({ part }: PartFinding, surfaceId: string, proofs: readonly ProofFinding[]): number {
  const f = treatmentOf(part, surfaceId);
  return (f && treatedAt(f, proofs)) ?? -Infinity;
}

/**
 * Every diameter of one piece at the lathe.
 *
 * @param live readings of that piece
 * @param proofs of that piece
 * @param trials of that piece, oldest first
 */
export function cutFindings(
  found: PartFinding | null,
  machine: CutMachine | null,
  live: readonly ReadingRecord[],
  proofs: readonly ProofFinding[],
  trials: readonly Trial[],
  sheet: JobSheet,
  shop: Shop,
): CutFinding[] {
  if (!found || !machine) return [];
  return asCut(found, proofs)
    .filter((s) => s.segment.kind !== 'taper' && isCoached(found, s, shop.drillSets) && !(machine.follows && s.segment.side === 'inside'))
    .map((s) => {
      const { id } = s.segment;
      const since = cutSince(found, id, proofs);
      const readings = live.filter((r) => r.purpose === 'cut' && r.segmentId === id && Date.parse(r.takenAt) > since);
      const own = trials.filter((t) => t.segmentId === id && Date.parse(t.triedAt) > since);
      return cutOf(s, machine, found.part.materialId, thickOf(found.part, s), { readings, trials: own }, sheet, shop);
    });
}
