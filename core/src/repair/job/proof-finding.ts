import { countOf, inSentence } from '../../terms/words';
import { judge, worst, type Verdict } from '../../evidence/proof';
import { analyseShape, type Shape } from '../../evidence/readings';
import { workedOut, type Figure } from '../../terms/working';
import { alphaOf, readingFigure, toDiameter } from './measured';
import type { FitFinding } from './fit-finding';
import { predictedPlay, type PartFinding, type SegmentFinding } from './part-finding';
import type { JobSheet, ProofRecord, ReadingRecord, Shop } from './records';

/** A finished segment against its limits, and its play in each mate. */
export interface ProofFinding {
  readonly segment: SegmentFinding;
  readonly readings: readonly ReadingRecord[];
  readonly shape: Shape | null;
  readonly measured: Figure | null;
  readonly verdict: Verdict;
  readonly play: readonly { readonly mate: FitFinding; readonly tight: Figure; readonly loose: Figure }[];
  /** What somebody signed last, if anything. */
  readonly signed: ProofRecord | null;
}

/** The verdict of a shape: both its smallest and its largest place must be in. */
const verdictOf = (shape: Shape, segment: SegmentFinding): Verdict =>
  worst([shape.smallestMm, shape.largestMm].map((size) => judge(size, shape.plusMinusMm, segment.limits)));

function proofOf(segment: SegmentFinding, materialId: string, live: readonly ReadingRecord[], sheet: JobSheet, shop: Shop): ProofFinding {
  const { id, name } = segment.segment;
  const readings = live.filter((r) => r.purpose === 'proof' && r.segmentId === id);
  const diameters = readings.map((r) => toDiameter(r, 'outside', materialId, sheet.job.shopTempC, shop));
  const shape = analyseShape('outside', diameters, alphaOf(materialId));
  const measured =
    shape &&
    workedOut(
      `segment.${id}.proved`,
      `${inSentence(name)} as made`,
      shape.meanMm,
      `mean of ${countOf(shape.readings, 'reading')} at 20 °C`,
      readings.map((r, i) => readingFigure(r, diameters[i]!.valueMm, shop, sheet.job.unit)),
      { plusMinus: shape.plusMinusMm, limits: { lower: segment.limits.lowerMm, upper: segment.limits.upperMm } },
    );
  return {
    segment,
    readings,
    shape,
    measured,
    verdict: shape ? verdictOf(shape, segment) : 'unknown',
    play: segment.fits.map((mate) => ({ mate, ...predictedPlay(measured ?? segment.diameter, mate) })),
    signed: sheet.proofs.filter((p) => p.segmentId === id).at(-1) ?? null,
  };
}

/** Every segment of the new part, proved or not. */
export const proofFindings = (found: PartFinding | null, live: readonly ReadingRecord[], sheet: JobSheet, shop: Shop): ProofFinding[] =>
  found ? found.segments.map((s) => proofOf(s, found.part.materialId, live, sheet, shop)) : [];
