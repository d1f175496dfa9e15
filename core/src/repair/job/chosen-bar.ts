import { materialName } from '../../book/materials';
import { barsFor, type Bar, type StockFit } from '../../making/stock';
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
      return [`${chosen} is ${materialName(bar.materialId)}, and the part is drawn in ${materialName(fit.materialId)}.`];
  }
}

/** What is to be minded of a bar whose metal nobody knows. */
export const unknownBarWords = (materialId: string): string =>
  `Nobody knows what this bar is: it counts as ${materialName(materialId)}, as it is drawn. File it and try it at the wheel before it is cut.`;
