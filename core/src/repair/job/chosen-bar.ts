import { materialName } from '../../book/materials';
import { partLengthMm, type FeatureKindId, type Part } from '../../making/part';
import { barsFor, isHollow, SHAPES, type Bar, type StockFit } from '../../making/stock';
import { placeWithUnit, type LengthUnit } from '../../terms/quantity';

/** Why the bar that somebody chose will not do, in sentences; empty where it will. */
export function willNotDo(bar: Bar, fit: StockFit, unit: LengthUnit): string[] {
  const alone = barsFor(fit, [{ ...bar, pieces: Math.max(bar.pieces, 1) }]);
  if (alone.ok) return [];
  const chosen = `The bar that was chosen, ${placeWithUnit(bar.diameterMm, unit)} x ${placeWithUnit(bar.lengthMm, unit)},`;
  switch (alone.problems[0]!.code) {
    case 'too-thin':
      return [`${chosen} is thinner than ${placeWithUnit(fit.diameterMm, unit)}.`];
    case 'too-short':
      return [`${chosen} is shorter than ${placeWithUnit(fit.lengthMm, unit)}.`];
    default:
      if (bar.materialId === fit.materialId && bar.innerMm !== null && isHollow(bar.shape))
        return [
          fit.boreMm === null
            ? `${chosen} is hollow, and the part is solid at one end or all through: take a bar that is solid.`
            : `${chosen} has a bore of ${placeWithUnit(bar.innerMm, unit)}: too wide to be bored to ${placeWithUnit(fit.boreMm, unit)}.`,
        ];
      if (bar.materialId === fit.materialId)
        return [
          `${chosen} is a ${SHAPES[bar.shape].words}: no blank comes out of it that is held so. Hold it another way, or take another bar.`,
        ];
      return [`${chosen} is ${materialName(bar.materialId)}, and the part is drawn in ${materialName(fit.materialId)}.`];
  }
}

/** What is to be minded of a bar whose metal nobody knows. */
export const unknownBarWords = (materialId: string): string =>
  `Nobody knows what this bar is: it counts as ${materialName(materialId)}, as it is drawn. File it and try it at the wheel before it is cut.`;

/** What opens one side of a round and leaves the other whole. */
const ONE_SIDED: readonly FeatureKindId[] = ['keyseat', 'woodruff-seat', 'slot'];
/** From so many times as long as thick on what bows is seen. */
const BOWS_FROM = 5;
/** Drawn to size as they are sold. */
const DRAWN: readonly string[] = ['steel-1018-drawn', 'steel-1144'];

/** What to mind of a bright bar that is cut on one side: its skin was stretched as it was drawn, and the whole bows once it is opened. Empty else. */
export function bowsWords({ outside, features, materialId }: Part, bar: Pick<Bar, 'finish' | 'materialId'> | null): string {
  const drawn = bar?.finish === 'bright' || DRAWN.includes(bar?.materialId ?? materialId);
  const opened = features.some((f) => ONE_SIDED.includes(f.kind) || (f.kind === 'flats' && f.count === 1));
  const slender = outside.length > 0 && partLengthMm({ outside }) >= BOWS_FROM * Math.min(...outside.map((s) => s.diameterMm));
  return drawn && opened && slender
    ? 'Bright-drawn bar: it bows when one side of it is opened. Rough all of it and mill the keyseats before the last cuts of what has to run true, or have it annealed; read it between centres after the mill.'
    : '';
}
