import { capital, countOf, inSentence } from '../../terms/words';
import { judge, worst, type Limits, type Verdict } from '../../evidence/proof';
import { analyseShape, K95, type Shape } from '../../evidence/readings';
import { workedOut, type Figure } from '../../terms/working';
import { isDiameterOfSurface, READ_AS } from '../../making/part';
import { alphaOf, instrumentUncertaintyMm, readingFigure, toDiameter } from './measured';
import { instrumentOf } from './bias';
import type { FitFinding } from './fit-finding';
import { predictedPlay, type DimensionFinding, type PartFinding } from './part-finding';
import { MOVED_LEAST_MM } from './release';
import type { JobSheet, ProofRecord, ReadingRecord, Shop } from './records';

/** A dimension of the finished part against its limits; of a diameter its play in each mate. */
export interface ProofFinding {
  readonly dimension: DimensionFinding;
  /** Of a diameter the surface's, else as the dimension is called. */
  readonly name: string;
  readonly limits: Limits;
  readonly readings: readonly ReadingRecord[];
  readonly shape: Shape | null;
  readonly measured: Figure | null;
  readonly verdict: Verdict;
  readonly play: readonly { readonly mate: FitFinding; readonly tight: Figure; readonly loose: Figure }[];
  /** What somebody signed last of what is measured now; null where nobody did, and once it measures otherwise than what was signed. */
  readonly signed: ProofRecord | null;
}

/** Nobody reads an angle or a roughness with an instrument of the crib here: what is read as a length is proved. */
const isRead = ({ dimension }: DimensionFinding): boolean => READ_AS[dimension.what] !== null;

/** A signature is of a size: it falls with the readings that it was given for, and a pass without a reason once it is out of its limits. */
function standing(last: ProofRecord | undefined, meanMm: number | null, verdict: Verdict): ProofRecord | null {
  if (!last || meanMm === null || Math.abs(last.measuredMm - meanMm) >= MOVED_LEAST_MM) return null;
  return last.passed && verdict === 'out' && last.remark.trim() === '' ? null : last;
}

function proofOf(
  found: DimensionFinding & { readonly limits: Limits },
  fits: readonly FitFinding[],
  materialId: string,
  live: readonly ReadingRecord[],
  proofs: readonly ProofRecord[],
  sheet: JobSheet,
  shop: Shop,
): ProofFinding {
  const { key, what, surface, label } = found.dimension;
  const round = isDiameterOfSurface(found.dimension);
  const name = round ? surface.name : capital(label);
  const readings = live.filter((r) => r.purpose === 'proof' && r.segmentId === key);
  const side = what === 'inside' ? 'inside' : 'outside';
  const sizes = readings.map((r) => toDiameter(r, side, materialId, sheet.job.shopTempC, shop));
  const shape = round ? analyseShape(side, sizes, alphaOf(materialId)) : null;
  const values = sizes.map((d) => d.valueMm);
  const mean = shape?.meanMm ?? (values.length ? values.reduce((s, v) => s + v, 0) / values.length : null);
  const plusMinusMm =
    shape?.plusMinusMm ??
    K95 * Math.max(0, ...readings.map((r) => instrumentUncertaintyMm(instrumentOf(shop, r.instrumentId), side, r.valueMm)));
  const ends = shape ? [shape.smallestMm, shape.largestMm] : values.length ? [Math.min(...values), Math.max(...values)] : [];
  const measured =
    mean === null
      ? null
      : workedOut(
          `segment.${key}.proved`,
          `${inSentence(name)} as made`,
          mean,
          `mean of ${countOf(readings.length, 'reading')} at 20 °C`,
          readings.map((r, i) => readingFigure(r, sizes[i]!.valueMm, shop, sheet.job.unit)),
          { plusMinus: plusMinusMm, limits: { lower: found.limits.lowerMm, upper: found.limits.upperMm } },
        );
  const verdict = ends.length ? worst(ends.map((size) => judge(size, plusMinusMm, found.limits))) : 'unknown';
  return {
    dimension: found,
    name,
    limits: found.limits,
    readings,
    shape,
    measured,
    verdict,
    play: fits.map((mate) => ({ mate, ...predictedPlay(measured ?? found.figure, mate) })),
    signed: standing(proofs.filter((p) => p.segmentId === key).at(-1), mean, verdict),
  };
}

/**
 * Every dimension of one piece that an instrument reads, proved or not; what must be proved before the rest.
 *
 * @param live readings of that piece
 * @param proofs what was signed of that piece, oldest first
 */
export function proofFindings(
  found: PartFinding | null,
  live: readonly ReadingRecord[],
  proofs: readonly ProofRecord[],
  sheet: JobSheet,
  shop: Shop,
): ProofFinding[] {
  if (!found) return [];
  const fitsOf = new Map(found.segments.map((s) => [s.segment.id, s.fits]));
  const read = found.dimensions.filter((d): d is DimensionFinding & { limits: Limits } => d.limits !== null && isRead(d));
  const all = read.map((d) => proofOf(d, fitsOf.get(d.dimension.key) ?? [], found.part.materialId, live, proofs, sheet, shop));
  return [...all.filter((p) => p.dimension.mustProve), ...all.filter((p) => !p.dimension.mustProve)];
}
