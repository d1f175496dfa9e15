import { aSide, beforeLimits, processOf, type FeatureKindId, type Part, type Treatment } from '../../making/part';
import type { Limits } from '../../evidence/proof';
import type { Dimension } from '../../making/part';
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

/** The treatment of the surface from whose crown something is cut down; undefined where there is none. */
const crownOf = (part: Pick<Part, 'features'>, featureId: string): Treatment | undefined => {
  const cut = part.features.find((f) => f.id === featureId);
  return cut && FROM_THE_CROWN.includes(cut.kind) ? treatmentOf(part, cut.on) : undefined;
};

/** How much deeper, less deep below nought, something is cut while its surface has not its finished size yet, mm. */
export function deeperFromRawMm(part: Pick<Part, 'features'>, featureId: string): number {
  const f = crownOf(part, featureId);
  return f ? (processOf(f).changes === 'left-on' ? 1 : -1) * f.aSideMm : 0;
}

/** The same in words; empty where nothing is to be minded. */
export function fromRawCrown(part: Part, featureId: string, unit: LengthUnit): string {
  const f = crownOf(part, featureId);
  if (!f) return '';
  const more = deeperFromRawMm(part, featureId);
  return `Its depth counts from the finished size: cut ${processOf(f).before}, go ${formatWithUnit(Math.abs(more), unit)} ${more > 0 ? 'deeper' : 'less deep'} than that from the surface.`;
}
