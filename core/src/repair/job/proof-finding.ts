import { capital, countOf, inSentence } from '../../terms/words';
import { judge, worst, type Limits, type Verdict } from '../../evidence/proof';
import { analyseShape, K95, type Shape } from '../../evidence/readings';
import type { Problem } from '../../terms/outcome';
import { typed, workedOut, type Figure } from '../../terms/working';
import { isDiameterOfSurface, isReadAllRound, READ_AS, sideRead } from '../../making/part';
import { alphaOf, instrumentUncertaintyMm, readingFigure, toDiameter } from './measured';
import { isAlong } from './along-cut';
import { beforeKey, treatmentOf } from './before-treatment';
import { instrumentOf } from './bias';
import type { FitFinding } from './fit-finding';
import { predictedPlay, type DimensionFinding, type PartFinding, type SegmentFinding } from './part-finding';
import { proofPlan, type ProofPlan } from './proof-plan';
import { MOVED_LEAST_MM } from './release';
import type { JobSheet, ProofRecord, ReadingRecord, Shop } from './records';
import { triedFinding, type Trial, type TriedFinding } from './tried';

/** A dimension of the finished part against its limits; of a diameter its play in each mate. */
export interface ProofFinding {
  readonly dimension: DimensionFinding;
  /** Of a diameter the surface's, else as the dimension is called. */
  readonly name: string;
  readonly limits: Limits;
  /** No instrument of the crib reads it: it is tried with a gauge, the nut, a specimen, and what came of it is signed. */
  readonly gauged: boolean;
  readonly readings: readonly ReadingRecord[];
  /** Where and with what it is read; null for what is gauged. */
  readonly plan: ProofPlan | null;
  readonly shape: Shape | null;
  readonly measured: Figure | null;
  readonly verdict: Verdict;
  readonly play: readonly { readonly mate: FitFinding; readonly tight: Figure; readonly loose: Figure }[];
  /** What somebody signed last of what is measured now; null where nobody did, and once it measures otherwise than what was signed. */
  readonly signed: ProofRecord | null;
  /** What has to be passed first, as afterwards it cannot be read any more; null where nothing has to. */
  readonly awaits: string | null;
  /** How it went together with its mate; null for what is no surface. */
  readonly tried: TriedFinding | null;
}

/** Must be proved, no instrument reads it, and nobody signed what a gauge or the nut showed. */
export const untried = (p: ProofFinding): boolean => p.gauged && p.dimension.mustProve && !p.signed;

/** A signature is of a size: it falls with the readings that it was given for, and a pass without a reason once it is out of its limits. */
function standing(last: ProofRecord | undefined, meanMm: number | null, verdict: Verdict): ProofRecord | null {
  if (!last || meanMm === null || last.measuredMm === null || Math.abs(last.measuredMm - meanMm) >= MOVED_LEAST_MM) return null;
  return last.passed && verdict === 'out' && last.remark.trim() === '' ? null : last;
}

const DEGREE = Math.PI / 180;

/** A dimension that no instrument of the crib reads: what was signed last is what is known of it. */
function gaugedProof(found: DimensionFinding & { readonly limits: Limits }, proofs: readonly ProofRecord[]): ProofFinding {
  const { key, label } = found.dimension;
  const name = capital(label);
  const last = proofs.filter((p) => p.segmentId === key && p.gaugedWith !== '').at(-1);
  const value = last?.measuredMm ?? null;
  const verdict = value === null ? 'unknown' : judge(value, 0, found.limits);
  const { measure } = found.figure;
  const scale = measure === 'angle' ? DEGREE : 1;
  return {
    dimension: found,
    name,
    limits: found.limits,
    gauged: true,
    readings: [],
    plan: null,
    shape: null,
    measured:
      value === null ? null : typed(`segment.${key}.proved`, `${inSentence(name)} as made`, value * scale, last!.gaugedWith, '', measure),
    verdict,
    play: [],
    signed: last && !(last.passed && verdict === 'out' && last.remark.trim() === '') ? last : null,
    awaits: null,
    tried: null,
  };
}

/** What was read, signed and tried of one piece, oldest first. */
export interface OfPiece {
  readonly live: readonly ReadingRecord[];
  readonly proofs: readonly ProofRecord[];
  readonly trials: readonly Trial[];
}

/** When a surface was read last while it was cut, ms; -Infinity where it was not. */
const cutLastAt = (live: readonly ReadingRecord[], key: string): number =>
  Math.max(-Infinity, ...live.filter((r) => r.purpose === 'cut' && r.segmentId === key && !isAlong(r)).map((r) => Date.parse(r.takenAt)));

/** When a surface was passed as it was before a treatment, ms: what was tried until then was of another size. -Infinity where it has none. */
function treatedSince({ part }: PartFinding, surfaceId: string, proofs: readonly ProofRecord[]): number {
  const f = treatmentOf(part, surfaceId);
  return Math.max(-Infinity, ...proofs.filter((p) => f && p.passed && p.segmentId === beforeKey(f)).map((p) => Date.parse(p.at)));
}

function proofOf(
  found: DimensionFinding & { readonly limits: Limits },
  segment: SegmentFinding | null,
  materialId: string,
  { live, proofs, trials }: OfPiece,
  sheet: JobSheet,
  shop: Shop,
): ProofFinding {
  const { key, what, surface, label } = found.dimension;
  const round = isReadAllRound(found.dimension);
  const name = isDiameterOfSurface(found.dimension) ? surface.name : capital(label);
  const readings = live.filter((r) => r.purpose === 'proof' && r.segmentId === key);
  const side = sideRead(what);
  const sizes = readings.map((r) => toDiameter(r, side, materialId, sheet.job.shopTempC, shop));
  const shape = round ? analyseShape(side, sizes, alphaOf(materialId)) : null;
  // Which way an indicator swings says nothing of how far.
  const values = sizes.map((d) => (READ_AS[what] === 'indicator' ? Math.abs(d.valueMm) : d.valueMm));
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
  const { unit, shopTempC } = sheet.job;
  // What a pin is stopped by is where it is thickest, a bore where it is narrowest.
  const tightMm = side === 'outside' ? ends.at(-1) : ends[0];
  const read = tightMm === undefined ? null : { mm: tightMm, plusMinusMm };
  const own = trials.filter((t) => t.segmentId === key);
  return {
    dimension: found,
    name,
    limits: found.limits,
    gauged: false,
    readings,
    plan: proofPlan(found, readings, sheet, shop),
    shape,
    measured,
    verdict,
    play: (segment?.fits ?? []).map((mate) => ({ mate, ...predictedPlay(measured ?? found.figure, mate) })),
    signed: standing(proofs.filter((p) => p.segmentId === key).at(-1), mean, verdict),
    awaits: null,
    tried: segment ? triedFinding(own, segment, read, cutLastAt(live, key), { materialId, shopTempC, unit }) : null,
  };
}

/** What somebody signs of a dimension: passed or not, why, and of what is gauged with what and what that showed. */
export interface Signing {
  readonly passed: boolean;
  readonly remark: string;
  readonly gaugedWith: string;
  readonly gaugedValue: number | null;
}

/** What keeps a signature from being taken; none where it may stand. The same in browser and server. */
export function signProblems(found: ProofFinding | undefined, given: Signing): Problem[] {
  if (!found || !(found.gauged || found.measured))
    return [{ code: 'unmeasured', path: 'segmentId', message: 'Measure this dimension before passing it.' }];
  if (found.gauged && given.gaugedWith.trim() === '')
    return [{ code: 'untried', path: 'gaugedWith', message: 'Say what it was tried with: thread gauge, the nut, a specimen, a tester.' }];
  if (given.passed && found.awaits !== null)
    return [{ code: 'awaits', path: 'segmentId', message: `Pass ${inSentence(found.awaits)} first: afterwards nobody can read it.` }];
  if (given.passed && found.plan?.warm.length)
    return [
      {
        code: 'warm',
        path: 'segmentId',
        message: 'It was read while it was warm. Let it cool, withdraw those readings and read it again.',
      },
    ];
  if (!given.passed || given.remark.trim() !== '') return [];
  const wrong = found.tried?.bound ?? found.tried?.against ?? null;
  if (wrong !== null) return [{ code: 'bound', path: 'remark', message: `${wrong} Try it again, or say why it may pass all the same.` }];
  if (found.gauged ? given.gaugedValue !== null && judge(given.gaugedValue, 0, found.limits) === 'out' : found.verdict === 'out')
    return [{ code: 'out', path: 'remark', message: 'It is out of its limits. Say why it may pass all the same, and who agreed.' }];
  if (!found.plan?.next) return [];
  const { read, spots } = found.plan;
  return [
    { code: 'unread', path: 'remark', message: `Read at ${read} of ${spots.length} spots. Read the rest, or say why that is enough.` },
  ];
}

/**
 * Every dimension of one piece, proved or not; what must be proved before the rest. Of what is gauged only what must be: nobody asks for more.
 *
 */
export function proofFindings(found: PartFinding | null, of: OfPiece, sheet: JobSheet, shop: Shop): ProofFinding[] {
  if (!found) return [];
  const segmentOf = new Map(found.segments.map((s) => [s.segment.id, s]));
  const limited = found.dimensions.filter((d): d is DimensionFinding & { limits: Limits } => d.limits !== null);
  const all = limited.flatMap((d) => {
    // A pitch is the tool’s own: whoever has the right knurl has the right pitch.
    if (READ_AS[d.dimension.what] === null) return d.mustProve && d.dimension.what !== 'pitch' ? [gaugedProof(d, of.proofs)] : [];
    const { key } = d.dimension;
    const since = treatedSince(found, key, of.proofs);
    const trials = of.trials.filter((t) => Date.parse(t.triedAt) > since);
    return [proofOf(d, segmentOf.get(key) ?? null, found.part.materialId, { ...of, trials }, sheet, shop)];
  });
  const early = all.filter((p) => p.dimension.dimension.before);
  const rest = all
    .filter((p) => !p.dimension.dimension.before)
    .map((p) => {
      const open = early.find((e) => e.dimension.dimension.surface.id === p.dimension.dimension.key && !e.signed?.passed);
      return open ? { ...p, awaits: open.name } : p;
    });
  return [...early, ...rest.filter((p) => p.dimension.mustProve), ...rest.filter((p) => !p.dimension.mustProve)];
}
