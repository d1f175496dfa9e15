import { countOf, inSentence } from '../../terms/words';
import { expand95, QUANTITIES, temperatureUncertaintyMm, type Quantity, type Section, type Shape } from '../../evidence/readings';
import { placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { workedOut, type Figure } from '../../terms/working';
import { alphaOf, instrumentUncertaintyMm, type Measured } from './measured';
import { instrumentOf } from './bias';
import type { PlaceRecord, ReadingRecord, Shop } from './records';

/** The shape of a diameter as figures. */
export interface ShapeFigures {
  readonly smallest: Figure | null;
  readonly largest: Figure | null;
  readonly mean: Figure | null;
  readonly ovality: Figure | null;
  readonly lobing: Figure | null;
  readonly taper: Figure | null;
  readonly belly: Figure | null;
  /** Change of size at once, where there is one; taper and belly are null then. */
  readonly step: Figure | null;
}

export const NO_FIGURES: ShapeFigures = {
  smallest: null,
  largest: null,
  mean: null,
  ovality: null,
  lobing: null,
  taper: null,
  belly: null,
  step: null,
};

const fitted = (s: Section): string => {
  if (s.ovalityKind !== 'fitted') return 'the readings';
  return s.waves.length > 1
    ? `the curve of ${s.waves.map((w) => w.order).join(', ')} waves fitted through the directions`
    : 'oval fitted through the directions';
};

function ovalityFigure(f: PlaceRecord, shape: Shape, readingsOf: (s: Section) => Figure[], unit: LengthUnit): Figure | null {
  const oval = shape.mostOval;
  if (oval.ovalityKind === 'unknown') return null;
  const at = placeWithUnit(oval.stationMm, unit);
  const how =
    oval.ovalityKind === 'fitted'
      ? `largest less smallest diameter of the oval fitted at station ${at}${oval.longAxisDeg === null ? '' : `, long axis along ${Math.round(oval.longAxisDeg)}° ±${Math.ceil(oval.longAxisPlusMinusDeg ?? 0)}°`}`
      : `difference of two directions at station ${at}: at least this`;
  const band = oval.ovalityPlusMinusMm === null ? {} : { plusMinus: oval.ovalityPlusMinusMm };
  return workedOut(`${f.id}.ovality`, `ovality of ${inSentence(f.name)}`, oval.ovalityMm, how, readingsOf(oval), band);
}

/** Length that a taper is told over: what the trade of the unit says. */
export const TAPER_OVER: Readonly<Record<LengthUnit, { readonly mm: number; readonly words: string }>> = {
  mm: { mm: 100, words: 'per 100 mm' },
  in: { mm: 304.8, words: 'per foot' },
};

function alongFigures(
  f: PlaceRecord,
  shape: Shape,
  all: readonly Figure[],
  unit: LengthUnit,
): Pick<ShapeFigures, 'taper' | 'belly' | 'step'> {
  const { profile } = shape;
  const over = TAPER_OVER[unit];
  const name = inSentence(f.name);
  if (profile?.step) {
    const { fromMm, toMm, riseMm, plusMinusMm } = profile.step;
    const where = `between ${placeWithUnit(fromMm, unit)} and ${placeWithUnit(toMm, unit)}`;
    const how = `mean of the stations after it less mean of those before it, ${where}: one size on each side explains them better than any taper`;
    return {
      taper: null,
      belly: null,
      step: workedOut(`${f.id}.step`, `step in ${name} ${where}`, riseMm, how, all, { plusMinus: plusMinusMm }),
    };
  }
  const bellyMm = profile?.bellyMm ?? null;
  // Value and band are of one fit: with a belly in it, where the stations lie unevenly, the slope is another than a plain line's.
  const how = `slope of the ${bellyMm === null ? 'straight line' : 'curve of second order'} through the station means, ${over.words}`;
  return {
    step: null,
    taper:
      profile &&
      workedOut(`${f.id}.taper`, `taper of ${name}, ${over.words}`, profile.taperPerMm * over.mm, how, all, {
        plusMinus: profile.taperPlusMinus * over.mm,
      }),
    belly:
      bellyMm === null
        ? null
        : workedOut(
            `${f.id}.belly`,
            `belly of ${name}`,
            bellyMm,
            `middle less ends of the curve of second order through the station means: ${profile!.kind}`,
            all,
            { plusMinus: profile!.bellyPlusMinusMm! },
          ),
  };
}

/** The figures of a diameter's shape. */
export function shapeFigures(f: PlaceRecord, shape: Shape, readingsOf: (s: Section) => Figure[], unit: LengthUnit): ShapeFigures {
  const name = inSentence(f.name);
  const all = shape.sections.flatMap(readingsOf);
  const end = (which: 'smallest' | 'largest', value: number, stationMm: number): Figure => {
    const s = shape.sections.find((x) => x.stationMm === stationMm)!;
    const band = { plusMinus: which === 'smallest' ? shape.smallestPlusMinusMm : shape.largestPlusMinusMm };
    if (shape.meansOnly) {
      const mean = `mean at station ${placeWithUnit(stationMm, unit)} by a three-point head, which gives no smallest and no largest`;
      return workedOut(`${f.id}.${which}`, `mean of ${name}`, value, mean, readingsOf(s), band);
    }
    const how = `${which === 'smallest' ? 'smallest' : 'largest'} of ${fitted(s)} at station ${placeWithUnit(stationMm, unit)}, at 20 °C`;
    return workedOut(
      `${f.id}.${which}`,
      which === 'smallest' ? `smallest place in ${name}` : `largest place in ${name}`,
      value,
      how,
      readingsOf(s),
      band,
    );
  };
  const lobed = shape.sections.reduce<Section | null>((p, q) => (q.lobingMm !== null && q.lobingMm > (p?.lobingMm ?? -1) ? q : p), null);
  return {
    smallest: end('smallest', shape.smallestMm, shape.smallestAtMm),
    largest: end('largest', shape.largestMm, shape.largestAtMm),
    mean: workedOut(`${f.id}.mean`, `mean of ${name}`, shape.meanMm, `mean of ${countOf(shape.sections.length, 'station')}`, all, {
      plusMinus: shape.meanPlusMinusMm,
    }),
    ovality: ovalityFigure(f, shape, readingsOf, unit),
    lobing:
      lobed &&
      workedOut(
        `${f.id}.lobing`,
        `three lobes of ${name}`,
        lobed.lobingMm!,
        `highest less lowest radius by the three-point head turned at station ${placeWithUnit(lobed.stationMm, unit)}`,
        readingsOf(lobed),
        { plusMinus: lobed.lobingPlusMinusMm! },
      ),
    ...alongFigures(f, shape, all, unit),
  };
}

/** Something other than a diameter, as measured. */
export interface QuantityFinding {
  readonly quantity: Quantity;
  readonly readings: readonly ReadingRecord[];
  readonly mean: Figure;
  /** Largest less smallest reading, mm. */
  readonly spreadMm: number;
  readonly plusMinusMm: number;
}

/** Mean of what was read of a quantity, mm; null where it was not read. */
export const meanOf = ({ values }: { readonly values: readonly QuantityFinding[] }, quantity: Quantity): number | null =>
  values.find((v) => v.quantity === quantity)?.mean.value ?? null;

/** Lengths, widths, depths and the like of a place: mean and 95 % band, quantity by quantity. */
export function quantityFindings({ place, component, readings, figureOf }: Measured, shop: Shop): QuantityFinding[] {
  const groups = new Map<Quantity, ReadingRecord[]>();
  for (const r of readings) {
    if (r.quantity === 'size' || r.quantity === 'indicator') continue;
    const list = groups.get(r.quantity);
    if (list) list.push(r);
    else groups.set(r.quantity, [r]);
  }
  return [...groups].map(([quantity, of]) => {
    const figures = of.map(figureOf);
    const meanMm = figures.reduce((s, f) => s + f.value, 0) / figures.length;
    const repeatMm =
      figures.length > 1 ? Math.sqrt(figures.reduce((s, f) => s + (f.value - meanMm) ** 2, 0) / (figures.length - 1) / figures.length) : 0;
    const instrumentMm = Math.max(...of.map((r) => instrumentUncertaintyMm(instrumentOf(shop, r.instrumentId), place.side, r.valueMm)));
    const plusMinusMm = expand95({
      instrumentMm,
      repeatMm,
      temperatureMm: temperatureUncertaintyMm(meanMm, alphaOf(component.materialId)),
    });
    const { name } = QUANTITIES[quantity];
    const values = figures.map((f) => f.value);
    return {
      quantity,
      readings: of,
      mean: workedOut(
        `${place.id}.${quantity}`,
        `${name} of ${inSentence(place.name)}`,
        meanMm,
        figures.length > 1 ? `mean of ${figures.length} readings at 20 °C` : 'the reading at 20 °C',
        figures,
        { plusMinus: plusMinusMm },
      ),
      spreadMm: Math.max(...values) - Math.min(...values),
      plusMinusMm,
    };
  });
}
