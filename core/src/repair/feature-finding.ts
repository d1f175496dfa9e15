import { materialOf } from '../materials';
import { recoverNominal, type NominalEvidence, type RecoveredNominal } from '../nominal';
import {
  analyseShape,
  INSTRUMENT_KINDS,
  nextSpot,
  plannedSpots,
  sizeAt20,
  type DiameterReading,
  type Section,
  type Shape,
  type Side,
  type Spot,
} from '../readings';
import { placeWithUnit, type LengthUnit } from '../quantity';
import { workedOut, type Figure } from '../working';
import { chosenNominal, type NominalChoice } from './choices';
import type { ComponentRecord, FeatureRecord, InstrumentRecord, JobSheet, ReadingRecord, Shop } from './records';

/** Everything known of one measured feature. */
export interface FeatureFinding {
  readonly feature: FeatureRecord;
  readonly component: ComponentRecord;
  readonly readings: readonly ReadingRecord[];
  readonly shape: Shape | null;
  readonly planned: readonly Spot[];
  readonly next: Spot | null;
  readonly smallest: Figure | null;
  readonly largest: Figure | null;
  readonly mean: Figure | null;
  readonly ovality: Figure | null;
  readonly taper: Figure | null;
  readonly nominal: RecoveredNominal;
  readonly chosenNominal: NominalChoice | null;
  /** The most probable original size, with its reasons. */
  readonly was: Figure | null;
}

/** Expansion used when a component's material is not known: steel. */
export const FALLBACK_ALPHA_PER_K = 11.5e-6;

export const alphaOf = (materialId: string): number => materialOf(materialId)?.alphaPerK ?? FALLBACK_ALPHA_PER_K;

/** Standard uncertainty of an instrument on that side of the metal, mm. */
export function instrumentUncertaintyMm(instrument: InstrumentRecord | undefined, side: Side): number {
  const kind = INSTRUMENT_KINDS[instrument?.kind ?? 'caliper'];
  return instrument?.uMm ?? (side === 'outside' ? kind.outsideMm : kind.insideMm);
}

/** A reading as a diameter at 20 °C. */
export function toDiameter(r: ReadingRecord, side: Side, materialId: string, shopTempC: number, shop: Shop): DiameterReading {
  const instrument = shop.instruments.find((i) => i.id === r.instrumentId);
  return {
    stationMm: r.stationMm,
    clockDeg: r.clockDeg,
    valueMm: sizeAt20(r.valueMm, { partC: r.partTempC ?? shopTempC, instrumentC: shopTempC, partAlphaPerK: alphaOf(materialId) }),
    instrumentMm: instrumentUncertaintyMm(instrument, side),
    points: INSTRUMENT_KINDS[instrument?.kind ?? 'caliper'].points,
  };
}

/** A reading as a figure: value at 20 °C, origin as typed. */
export function readingFigure(r: ReadingRecord, at20Mm: number, shop: Shop, unit: LengthUnit): Figure {
  const warm = Math.abs(at20Mm - r.valueMm) >= 0.0005;
  return {
    key: `reading.${r.id}`,
    label: `reading at ${placeWithUnit(r.stationMm, unit)}, ${r.clockDeg}°`,
    measure: 'length',
    value: at20Mm,
    origin: {
      kind: 'reading',
      text: r.text,
      instrument: shop.instruments.find((i) => i.id === r.instrumentId)?.name ?? 'an instrument not in the crib',
      by: shop.people.find((p) => p.id === r.personId)?.name ?? 'somebody',
      at: r.takenAt.slice(0, 10),
    },
    ...(warm ? { note: 'corrected to 20 °C' } : {}),
  };
}

function figuresOf(f: FeatureRecord, shape: Shape, readingsOf: (s: Section) => Figure[], unit: LengthUnit) {
  const place = (mm: number): string => placeWithUnit(mm, unit);
  const name = f.name.toLowerCase();
  const band = { plusMinus: shape.plusMinusMm };
  const at = (stationMm: number): Section => shape.sections.find((s) => s.stationMm === stationMm)!;
  const fitted = (s: Section): string => (s.ovalityKind === 'fitted' ? 'oval fitted through the directions' : 'the readings');
  const end = (which: 'smallest' | 'largest', value: number, stationMm: number): Figure =>
    workedOut(
      `${f.id}.${which}`,
      `${which} place in ${name}`,
      value,
      `${which} of ${fitted(at(stationMm))} at station ${place(stationMm)}, at 20 °C`,
      readingsOf(at(stationMm)),
      band,
    );
  const oval = shape.mostOval;
  return {
    smallest: end('smallest', shape.smallestMm, shape.smallestAtMm),
    largest: end('largest', shape.largestMm, shape.largestAtMm),
    mean: workedOut(
      `${f.id}.mean`,
      `mean of ${name}`,
      shape.meanMm,
      `mean of ${shape.sections.length} station${shape.sections.length > 1 ? 's' : ''}`,
      shape.sections.flatMap(readingsOf),
      band,
    ),
    ovality:
      oval.ovalityKind === 'unknown'
        ? null
        : workedOut(
            `${f.id}.ovality`,
            `ovality of ${name}`,
            oval.ovalityMm,
            oval.ovalityKind === 'fitted'
              ? `largest less smallest diameter of the oval fitted at station ${place(oval.stationMm)}${oval.longAxisDeg === null ? '' : `, long axis along ${Math.round(oval.longAxisDeg)}°`}`
              : `difference of two directions at station ${place(oval.stationMm)}: at least this`,
            readingsOf(oval),
          ),
    taper:
      shape.taper &&
      workedOut(
        `${f.id}.taper`,
        `taper of ${name}`,
        shape.taper.perMm * 100,
        'least-squares line through the station means, per 100 mm',
        shape.sections.flatMap(readingsOf),
      ),
  };
}

const NO_FIGURES = { smallest: null, largest: null, mean: null, ovality: null, taper: null };

/** The evidence for what a feature was: its own land, or a land of the same component near its size. */
function evidenceFor(f: FeatureRecord, shape: Shape | null, lands: readonly { shape: Shape; feature: FeatureRecord }[]): NominalEvidence {
  const seen = shape && (f.side === 'outside' ? shape.largestMm : shape.smallestMm);
  const own = f.land === 'unworn' ? shape : null;
  const near = lands.find(
    (l) => l.feature.id !== f.id && l.feature.side === f.side && seen !== null && Math.abs(l.shape.meanMm - seen) < 0.05 * seen,
  );
  const land = own ?? near?.shape ?? null;
  return {
    side: f.side,
    land: land && { sizeMm: land.meanMm, uMm: land.plusMinusMm / 2 },
    worn: f.land === 'worn' && seen !== null && shape ? { sizeMm: seen, uMm: shape.plusMinusMm / 2 } : null,
  };
}

interface Measured {
  readonly feature: FeatureRecord;
  readonly component: ComponentRecord;
  readonly readings: readonly ReadingRecord[];
  readonly diameters: readonly DiameterReading[];
  readonly shape: Shape | null;
}

/** The readings of each section as figures, each made once: a job may hold thousands. */
function figuresBySection({ readings, diameters, shape }: Measured, shop: Shop, unit: LengthUnit): (s: Section) => Figure[] {
  const sections = shape?.sections ?? [];
  const groups = new Map<Section, Figure[]>(sections.map((s) => [s, []]));
  readings.forEach((r, i) => {
    const home = sections.findLast((s) => s.stationMm <= r.stationMm + 1e-9) ?? sections[0];
    if (home) groups.get(home)!.push(readingFigure(r, diameters[i]!.valueMm, shop, unit));
  });
  return (s) => groups.get(s) ?? [];
}

function finding(m: Measured, lands: readonly { shape: Shape; feature: FeatureRecord }[], sheet: JobSheet, shop: Shop): FeatureFinding {
  const { feature, component, readings, shape } = m;
  const planned = plannedSpots(feature.stationsMm, feature.clocksDeg);
  const nominal = recoverNominal(evidenceFor(feature, shape, lands), sheet.job.unit === 'in' ? 0.6 : 0.4);
  const best = nominal.ranked[0];
  const readingsOf = figuresBySection(m, shop, sheet.job.unit);
  return {
    feature,
    component,
    readings,
    shape,
    planned,
    next: nextSpot(planned, readings),
    ...(shape ? figuresOf(feature, shape, readingsOf, sheet.job.unit) : NO_FIGURES),
    nominal,
    was: best
      ? workedOut(
          `${feature.id}.was`,
          `${feature.name.toLowerCase()} as drawn by its maker`,
          best.sizeMm,
          `${best.name}, ${Math.round(best.probability * 100)} %: ${best.reasons.join('; ')}`,
          shape ? shape.sections.flatMap(readingsOf) : [],
        )
      : null,
    chosenNominal: chosenNominal(sheet, feature.id),
  };
}

/** Findings of all features of a job, in the sheet's order. */
export function featureFindings(sheet: JobSheet, live: readonly ReadingRecord[], shop: Shop): FeatureFinding[] {
  const found = new Map<string, ReadingRecord[]>();
  for (const r of live) {
    if (r.purpose !== 'found' || r.featureId === null) continue;
    const list = found.get(r.featureId);
    if (list) list.push(r);
    else found.set(r.featureId, [r]);
  }
  const measured = sheet.features.flatMap((feature): Measured[] => {
    const component = sheet.components.find((c) => c.id === feature.componentId);
    if (!component) return [];
    const readings = found.get(feature.id) ?? [];
    const diameters = readings.map((r) => toDiameter(r, feature.side, component.materialId, sheet.job.shopTempC, shop));
    return [{ feature, component, readings, diameters, shape: analyseShape(feature.side, diameters, alphaOf(component.materialId)) }];
  });
  return measured.map((m) => {
    const lands = measured.flatMap((o) =>
      o.shape && o.feature.land === 'unworn' && o.component.id === m.component.id ? [{ shape: o.shape, feature: o.feature }] : [],
    );
    return finding(m, lands, sheet, shop);
  });
}
