import { advise, LEAST_CHIP_MM, type Advice, type CutRecord } from '../../making/coach';
import { USUAL_PASSES } from '../../making/process';
import { K95 } from '../../evidence/readings';
import { minus, plus, sumOf, type Figure } from '../../terms/working';
import { asCut, treatedAt } from './as-cut';
import { treatmentOf } from './before-treatment';
import { CAUTIONS, FILE_CAUTION, hazardsAtCut, type Caution } from './cautions.data';
import { instrumentOf } from './bias';
import { alphaOf, instrumentUncertaintyMm, readingFigure, toDiameter } from './measured';
import type { Lathe } from '../../making/setups';
import type { PlanChoice } from './choices';
import type { PartFinding, SegmentFinding } from './part-finding';
import type { ProofFinding } from './proof-finding';
import type { JobSheet, ReadingRecord, Shop } from './records';
import { triedFinding, type Trial, type TriedFinding } from './tried';

/** A segment at the lathe: its cuts so far and what to do next. */
export interface CutFinding {
  readonly segment: SegmentFinding;
  readonly readings: readonly ReadingRecord[];
  readonly cuts: readonly CutRecord[];
  readonly advice: Advice;
  /** To come off the diameter: last size at 20 °C less the middle of the limits; null before the first reading. */
  readonly left: Figure | null;
  /** Temperature of the part at the last reading, °C. */
  readonly partTempC: number;
  /** What to mind while this is cut: dust of the metal, file and emery where they are advised. */
  readonly cautions: readonly Caution[];
  /** How it went together with its mate. */
  readonly tried: TriedFinding;
}

/** What it is cut on: whose dials are read, and how thin a chip the tool takes. */
export interface CutMachine {
  readonly lathe: Lathe;
  readonly tool: PlanChoice['tool'];
}

function cutOf(
  segment: SegmentFinding,
  { lathe, tool }: CutMachine,
  materialId: string,
  { readings, trials }: { readonly readings: readonly ReadingRecord[]; readonly trials: readonly Trial[] },
  sheet: JobSheet,
  shop: Shop,
): CutFinding {
  const { shopTempC, unit } = sheet.job;
  const cuts = readings.map((r) => ({
    dial: r.dial ?? 0,
    measuredMm: toDiameter(r, segment.segment.side, materialId, shopTempC, shop).valueMm,
  }));
  const partTempC = readings.at(-1)?.partTempC ?? shopTempC;
  const lastInstrument = instrumentOf(shop, readings.at(-1)?.instrumentId ?? '');
  const cautions = hazardsAtCut(sheet.job.hazards, materialId).map((h) => CAUTIONS[h]);
  const plusMinusMm = K95 * instrumentUncertaintyMm(lastInstrument, segment.segment.side);
  const advice = advise(cuts, {
    lathe,
    unit,
    limits: segment.limits,
    side: segment.segment.side,
    leastChipMm: LEAST_CHIP_MM[tool],
    roughMostMm: USUAL_PASSES.roughMostMm,
    finishMm: USUAL_PASSES.finishMm,
    part: { tempC: partTempC, shopC: shopTempC, alphaPerK: alphaOf(materialId) },
    plusMinusMm,
    noDust: cautions.some((c) => c.dust),
  });
  const last = readings.at(-1);
  const left =
    last &&
    sumOf(
      `segment.${segment.segment.id}.left`,
      'to come off the diameter',
      segment.segment.side === 'outside'
        ? [plus(readingFigure(last, cuts.at(-1)!.measuredMm, shop, unit)), minus(segment.diameter)]
        : [plus(segment.diameter), minus(readingFigure(last, cuts.at(-1)!.measuredMm, shop, unit))],
    );
  return {
    segment,
    readings,
    cuts,
    advice,
    left: left ?? null,
    partTempC,
    cautions: [...cautions.filter((c) => c.dust), ...(advice.abrasive ? [FILE_CAUTION] : [])],
    tried: triedFinding(
      trials,
      segment,
      last ? { mm: cuts.at(-1)!.measuredMm, plusMinusMm } : null,
      last ? Date.parse(last.takenAt) : -Infinity,
      { materialId, shopTempC, unit },
    ),
  };
}

/** Of a block only bored holes are taken to size cut by cut. */
const isCoached = ({ part }: PartFinding, { segment }: SegmentFinding): boolean =>
  part.block === null || part.block.cuts.some((c) => c.id === segment.id && c.kind === 'hole' && c.made === 'bored');

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
    .filter((s) => s.segment.kind !== 'taper' && isCoached(found, s))
    .map((s) => {
      const { id } = s.segment;
      const since = cutSince(found, id, proofs);
      const readings = live.filter((r) => r.purpose === 'cut' && r.segmentId === id && Date.parse(r.takenAt) > since);
      const own = trials.filter((t) => t.segmentId === id && Date.parse(t.triedAt) > since);
      return cutOf(s, machine, found.part.materialId, { readings, trials: own }, sheet, shop);
    });
}
