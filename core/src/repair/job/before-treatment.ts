import { aSide, beforeLimits, processOf, type Dimension, type FeatureKindId, type Part, type Treatment } from '../../making/part';
import type { Limits } from '../../evidence/proof';
import { formatLength, formatWithUnit, type LengthUnit } from '../../terms/quantity';
import { ruled, workedOut, type Figure } from '../../terms/working';

/** The treatment that gives a surface its size; undefined where cutting does. */
export const treatmentOf = ({ features }: Pick<Part, 'features'>, surfaceId: string): Treatment | undefined =>
  features.find((f): f is Treatment => f.kind === 'treatment' && f.on === surfaceId);

/** Key of the diameter before it. */
export const beforeKey = ({ id }: Treatment): string => `${id}.before`;

/** What a layer, or what is left on, is called. */
const layerWords = (f: Treatment): string => (processOf(f).changes === 'left-on' ? 'left on a side' : 'layer a side');

const HOW = {
  stays: 'finished limits less the layer, thinnest and thickest, on both sides; to the middle',
  'cut-back': 'finished limits less the layer that stays on after it is cut back, on both sides; to the middle',
  'left-on': 'finished limits and what comes off afterwards, on both sides; to the middle',
} as const;

/** A diameter before a treatment: its figure, its limits where there are any, what says so. */
export interface BeforeTreatment {
  readonly figure: Figure;
  readonly limits: Limits | null;
  readonly words: string;
}

/**
 * What a surface is before a treatment: its limits follow from the finished ones and from the layer. None where the finished size has none yet, or
 * where the layer's own spread is more than they bear.
 *
 * @param bare the same as drawn, without limits
 * @param finished the surface's diameter
 */
export function beforeTreatment(
  { label, surface }: Pick<Dimension, 'label' | 'surface'>,
  bare: Figure,
  finished: Pick<BeforeTreatment, 'figure' | 'limits'>,
  f: Treatment,
): BeforeTreatment {
  const none = (words: string): BeforeTreatment => ({ figure: bare, limits: null, words });
  if (!finished.limits) return none('the finished diameter has no limits yet');
  const { changes, words: process } = processOf(f);
  const layer = aSide(f);
  const limits = beforeLimits(finished.limits, surface.side, changes, layer);
  const show = (mm: number): string => formatLength(mm, 'mm');
  if (!limits)
    return none(
      changes === 'stays'
        ? `a layer of ${show(layer.fromMm)} to ${show(layer.toMm)} mm a side varies by more than the finished limits: have it plated thicker and ground, or ask for a closer layer`
        : `${show(layer.fromMm)} to ${show(layer.toMm)} mm a side is closer than the finished limits: widen it`,
    );
  const its = [
    ruled(`treatment.${f.id}.from`, `${layerWords(f)}, at least`, layer.fromMm, process),
    ruled(`treatment.${f.id}.to`, `${layerWords(f)}, at most`, layer.toMm, process),
  ];
  const words = HOW[changes];
  const figure = workedOut(bare.key, label, (limits.lowerMm + limits.upperMm) / 2, words, [finished.figure, ...its], {
    limits: { lower: limits.lowerMm, upper: limits.upperMm },
  });
  return { figure, limits, words };
}

/** What is cut down from the crown of its surface. */
const FROM_THE_CROWN: readonly FeatureKindId[] = ['keyseat', 'woodruff-seat', 'flats', 'slot', 'spline', 'cross-hole', 'oil-groove'];

/** What has its size by a treatment and is cut into while it has not; undefined where nothing is. */
const under = (part: Pick<Part, 'features'>, featureId: string): Treatment | undefined => {
  const cut = part.features.find((f) => f.id === featureId);
  return cut && treatmentOf(part, cut.on);
};

/** How far the raw surface stands over the finished one, below nought under it, mm. */
const overFinishedMm = (f: Treatment): number => (processOf(f).changes === 'left-on' ? 1 : -1) * f.aSideMm;

/**
 * A size that is read from a surface which a treatment still changes, and by how much it reads otherwise meanwhile, mm: a depth from the raw crown, one
 * flat to the raw round, a keyway over the raw bore. Null where none is, or where both its ends are cut.
 */
export function readsRaw(
  part: Pick<Part, 'features'>,
  { ownerId, what, name }: Dimension,
): { readonly f: Treatment; readonly byMm: number } | null {
  const cut = part.features.find((f) => f.id === ownerId);
  const f = under(part, ownerId);
  if (!cut || !f) return null;
  if (FROM_THE_CROWN.includes(cut.kind) && what === 'depth') return { f, byMm: overFinishedMm(f) };
  if (cut.kind === 'flats' && name === 'across' && cut.count % 2 === 1) return { f, byMm: overFinishedMm(f) };
  return cut.kind === 'keyway' && name === 'over' ? { f, byMm: -overFinishedMm(f) } : null;
}

/** How much deeper, or less deep, something is cut while its surface has not its finished size yet, in words; empty where nothing is to be minded. */
export function fromRawCrown(part: Part, featureId: string, unit: LengthUnit): string {
  const cut = part.features.find((f) => f.id === featureId);
  const f = cut && FROM_THE_CROWN.includes(cut.kind) ? under(part, featureId) : undefined;
  if (!f) return '';
  const more = overFinishedMm(f);
  return `Its depth counts from the finished size: cut ${processOf(f).before}, go ${formatWithUnit(Math.abs(more), unit)} ${more > 0 ? 'deeper' : 'less deep'} than that from the surface.`;
}
