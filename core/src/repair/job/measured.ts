import { keeper } from '../../terms/kept';
import { materialOf, UNKNOWN_MATERIAL } from '../../book/materials';
import {
  analyseShape,
  disputes,
  INSTRUMENT_KINDS,
  isDiameter,
  outOfRange,
  sizeAt20,
  type DiameterReading,
  type Dispute,
  type InstrumentKind,
  type InstrumentReading,
  type Quantity,
  type Section,
  type Shape,
  type Side,
} from '../../evidence/readings';
import { placeWithUnit, type LengthUnit } from '../../terms/quantity';
import type { Figure } from '../../terms/working';
import { biasAtMm, instrumentOf, overdueFlag } from './bias';
import type { ComponentRecord, PlaceRecord, InstrumentRecord, ReadingRecord, Shop } from './records';

/** Expansion used when a component's material is not known: steel. */
const FALLBACK_ALPHA_PER_K = 11.5e-6;

/** Thermal expansion of a material, 1/K; that of steel where it is not known. */
export const alphaOf = (materialId: string): number => materialOf(materialId)?.alphaPerK ?? FALLBACK_ALPHA_PER_K;

const kindUncertaintyMm = (kind: InstrumentKind, side: Side): number =>
  side === 'outside' ? INSTRUMENT_KINDS[kind].outsideMm : INSTRUMENT_KINDS[kind].insideMm;

/**
 * Standard uncertainty of an instrument on that side of the metal, mm. A number that it cannot show was read some other way: it counts as
 * a caliper's at best.
 *
 * @param valueMm what was read by it, where its range matters
 */
export function instrumentUncertaintyMm(instrument: InstrumentRecord | undefined, side: Side, valueMm: number | null = null): number {
  const own = instrument?.uMm ?? kindUncertaintyMm(instrument?.kind ?? 'caliper', side);
  const beyond = instrument !== undefined && valueMm !== null && instrument.kind !== 'indicator' && outOfRange(valueMm, instrument);
  return beyond ? Math.max(own, kindUncertaintyMm('caliper', side)) : own;
}

/** A reading at 20 °C with the instrument's known bias taken off; an indicator shows differences, which warmth hardly moves. */
export function sizeOf(r: ReadingRecord, materialId: string, shopTempC: number, shop: Shop): number {
  if (r.quantity === 'indicator') return r.valueMm;
  const unbiased = r.valueMm - biasAtMm(shop, r.instrumentId, r.takenAt);
  return sizeAt20(unbiased, { partC: r.partTempC ?? shopTempC, instrumentC: shopTempC, partAlphaPerK: alphaOf(materialId) });
}

/** A reading as a diameter at 20 °C. */
export function toDiameter(r: ReadingRecord, side: Side, materialId: string, shopTempC: number, shop: Shop): InstrumentReading {
  const instrument = instrumentOf(shop, r.instrumentId);
  const repeatMm = instrument?.repeatMm;
  return {
    stationMm: r.stationMm,
    clockDeg: r.clockDeg,
    valueMm: sizeOf(r, materialId, shopTempC, shop),
    instrumentMm: instrumentUncertaintyMm(instrument, side, r.valueMm),
    ...(repeatMm == null ? {} : { repeatMm }),
    points: INSTRUMENT_KINDS[instrument?.kind ?? 'caliper'].points,
    instrumentId: r.instrumentId,
  };
}

/** What to say of a reading that its instrument cannot show; null when it can. */
function beyondRange(r: ReadingRecord, shop: Shop): string | null {
  const instrument = instrumentOf(shop, r.instrumentId);
  const beyond = instrument && r.quantity !== 'indicator' && instrument.kind !== 'indicator' && outOfRange(r.valueMm, instrument);
  return beyond ? `${instrument.name} cannot show this: taken as a caliper's` : null;
}

const FULL_DIGITS_MM = 0.0005;

/** A reading as a figure: value at 20 °C, origin as typed; `materialId` of what was read, where that is known here. */
export function readingFigure(r: ReadingRecord, at20Mm: number, shop: Shop, unit: LengthUnit, materialId?: string): Figure {
  const bias = biasAtMm(shop, r.instrumentId, r.takenAt);
  const warm = Math.abs(at20Mm - (r.valueMm - bias)) >= FULL_DIGITS_MM;
  const notes = [
    ...(warm ? [`corrected to 20 °C${materialId === UNKNOWN_MATERIAL ? ' as steel, its material is not known' : ''}`] : []),
    ...(Math.abs(bias) >= FULL_DIGITS_MM / 5 && r.quantity !== 'indicator' ? ['the instrument’s bias taken off'] : []),
  ];
  const overdue = overdueFlag(shop, r);
  const beyond = beyondRange(r, shop);
  const flags = [...(overdue ? [overdue] : []), ...(beyond ? [beyond] : [])];
  return {
    key: `reading.${r.id}`,
    label: `reading at ${placeWithUnit(r.stationMm, unit)}, ${r.clockDeg}°`,
    measure: 'length',
    value: at20Mm,
    origin: {
      kind: 'reading',
      text: r.text,
      instrument: instrumentOf(shop, r.instrumentId)?.name ?? 'an instrument not in the crib',
      by: shop.people.find((p) => p.id === r.personId)?.name ?? 'somebody',
      at: r.takenAt.slice(0, 10),
    },
    ...(notes.length ? { note: notes.join(', ') } : {}),
    ...(flags.length ? { flags } : {}),
  };
}

// A reading never changes: what it comes to is worked out once for a shop and a temperature.
const keepDiameter = keeper<ReadingRecord, InstrumentReading>();
const keepFigure = keeper<ReadingRecord, Figure>();

/** The readings of one place and what they are by themselves. */
export interface Measured {
  readonly place: PlaceRecord;
  readonly component: ComponentRecord;
  readonly readings: readonly ReadingRecord[];
  /** Readings of the place's diameter, as taken and at 20 °C; readings left out because another instrument was believed are not there. */
  readonly sizes: readonly ReadingRecord[];
  readonly diameters: readonly DiameterReading[];
  readonly shape: Shape | null;
  readonly disputes: readonly Dispute[];
  /** Instruments whose readings do not count, as another is believed. */
  readonly lost: ReadonlySet<string>;
  readonly figureOf: (r: ReadingRecord) => Figure;
  readonly readingsOf: (s: Section) => Figure[];
}

export interface MeasuredInput {
  readonly place: PlaceRecord;
  readonly component: ComponentRecord;
  readonly readings: readonly ReadingRecord[];
  /** By pair of instruments: the one believed. */
  readonly settled: Readonly<Record<string, string>>;
  readonly shopTempC: number;
  readonly unit: LengthUnit;
  readonly shop: Shop;
}

/** Two instruments that disagree, as one key. */
export const pairKey = (d: Dispute): string => `${d.first.instrumentId}|${d.second.instrumentId}`;

/** Instruments whose readings do not count: those not believed, and while nobody has said, the coarser one; never the average of both. */
function losers(found: readonly Dispute[], settled: Readonly<Record<string, string>>): ReadonlySet<string> {
  const lost = found.flatMap((d) => {
    const believed = settled[pairKey(d)];
    const { first, second } = d;
    if (believed === first.instrumentId) return [second.instrumentId];
    if (believed === second.instrumentId) return [first.instrumentId];
    return [first.uMm > second.uMm ? first.instrumentId : second.instrumentId];
  });
  return new Set(lost);
}

/** The readings of each section as figures, each made once: a job may hold thousands. */
function bySection(sizes: readonly ReadingRecord[], shape: Shape | null, figureOf: (r: ReadingRecord) => Figure): Map<Section, Figure[]> {
  const sections = shape?.sections ?? [];
  const groups = new Map<Section, Figure[]>(sections.map((s) => [s, []]));
  const homes = new Map<number, Figure[]>();
  for (const r of sizes) {
    let home = homes.get(r.stationMm);
    if (!home) {
      home = groups.get(sections.findLast((s) => s.stationMm <= r.stationMm + 1e-9) ?? sections[0]!)!;
      homes.set(r.stationMm, home);
    }
    home.push(figureOf(r));
  }
  return groups;
}

const SIZE: Quantity = 'size';
/** Carried by every figure of a place while its instruments disagree. */
const UNSETTLED = 'two instruments disagree here and nobody has said which is right';

/** Whether somebody said which of the two is believed. */
export const isSettled = (d: Dispute, settled: Readonly<Record<string, string>>): boolean =>
  [d.first.instrumentId, d.second.instrumentId].includes(settled[pairKey(d)] ?? '');

function measure({ place, component, readings, settled, shopTempC, unit, shop }: MeasuredInput): Measured {
  const { materialId } = component;
  const all = isDiameter(place.kind) ? readings.filter((r) => r.quantity === SIZE) : [];
  const { side } = place;
  const everyDiameter = all.map((r) =>
    keepDiameter(r, [side, materialId, shopTempC, shop], () => toDiameter(r, side, materialId, shopTempC, shop)),
  );
  const found = disputes(everyDiameter);
  const lost = losers(found, settled);
  const sizes = lost.size ? all.filter((r) => !lost.has(r.instrumentId)) : all;
  const diameters = lost.size ? everyDiameter.filter((d) => !lost.has(d.instrumentId)) : everyDiameter;
  const shape = analyseShape(side, diameters, alphaOf(materialId));
  const open = found.some((d) => !isSettled(d, settled));
  const made = new Map<ReadingRecord, Figure>();
  const figureOf = (r: ReadingRecord): Figure => {
    const there = made.get(r);
    if (there) return there;
    const at20Mm = sizeOf(r, materialId, shopTempC, shop);
    const plain = keepFigure(r, [shop, unit, at20Mm, materialId], () => readingFigure(r, at20Mm, shop, unit, materialId));
    const fresh = open && r.quantity === SIZE ? { ...plain, flags: [...(plain.flags ?? []), UNSETTLED] } : plain;
    made.set(r, fresh);
    return fresh;
  };
  let groups: Map<Section, Figure[]> | null = null;
  const readingsOf = (s: Section): Figure[] => (groups ??= bySection(sizes, shape, figureOf)).get(s) ?? [];
  return { place, component, readings, sizes, diameters, shape, disputes: found, lost, figureOf, readingsOf };
}

// With thousands of readings on a job, one more at one place leaves the other places alone.
const keepPlace = keeper<PlaceRecord, Measured>();

/** The readings of one place analysed; the same answer again while its inputs are the same objects. */
export function measuredPlace(input: MeasuredInput): Measured {
  const { component, shop, shopTempC, unit, settled, readings } = input;
  return keepPlace(input.place, [component, shop, shopTempC, unit, JSON.stringify(settled), ...readings], () => measure(input));
}
