import { keeper } from '../../terms/kept';
import { blindSpots, type BlindSpot } from './blind-spots';
import type { DiameterReading, Side } from './diameter-reading';
import { analyseSection, type Section } from './section';
import { commonMm } from './diameter-reading';
import { K95, K95_VECTOR } from './harmonics';
import { fitProfile, type Profile } from './profile';
import { stationMeans } from './station-means';
import { fitTaper, type Taper } from './taper';
import { temperatureUncertaintyMm } from './temperature';

/** Everything that the diameters of one place say about it, at 20 °C. */
export interface Shape {
  readonly side: Side;
  readonly sections: readonly Section[];
  readonly readings: number;
  readonly meanMm: number;
  readonly smallestMm: number;
  readonly largestMm: number;
  readonly smallestAtMm: number;
  readonly largestAtMm: number;
  /** Half widths of their 95 % bands, mm. */
  readonly smallestPlusMinusMm: number;
  readonly largestPlusMinusMm: number;
  /** Nothing but three-point heads: they give a mean, and no smallest or largest. */
  readonly meansOnly: boolean;
  /** The section with the largest ovality seen; its band is that of the largest of so many. */
  readonly mostOval: Section;
  readonly taper: Taper | null;
  /** Taper and belly along the axis with their 95 % bands; null with one station. */
  readonly profile: Profile | null;
  /** Half width of the 95 % band of the mean, mm. */
  readonly meanPlusMinusMm: number;
  /** Half width of the 95 % band of any one size of this place, mm. */
  readonly plusMinusMm: number;
  /** What readings like these cannot show, whether it matters or not. */
  readonly blind: readonly BlindSpot[];
}

/** Stations closer than this are one station, mm. */
const SAME_STATION_MM = 0.25;

function byStation(readings: readonly DiameterReading[]): DiameterReading[][] {
  const sorted = [...readings].sort((p, q) => p.stationMm - q.stationMm);
  const groups: DiameterReading[][] = [];
  for (const reading of sorted) {
    const last = groups.at(-1);
    if (last && reading.stationMm - last[0]!.stationMm < SAME_STATION_MM) last.push(reading);
    else groups.push([reading]);
  }
  return groups;
}

// A reading more at one station leaves the other sections as they are.
const keepSection = keeper<DiameterReading, Section>();

/** What the uncertainty is made of, each k = 1, mm. */
export interface UncertaintyParts {
  readonly instrumentMm: number;
  readonly repeatMm: number;
  readonly temperatureMm: number;
}

/** Combines independent parts, mm, and widens to 95 % (k = 2; JCGM 100, 5.1.2 and 6.3). */
export const expand95 = (parts: UncertaintyParts): number => 2 * Math.hypot(parts.instrumentMm, parts.repeatMm, parts.temperatureMm);

/** The parts of a place's uncertainty: the worst instrument used, repeats pooled over sections, temperature. */
function uncertaintyParts(readings: readonly DiameterReading[], sections: readonly Section[], alphaPerK: number): UncertaintyParts {
  const repeats = sections.flatMap((s) => (s.repeatMm === null ? [] : [s.repeatMm ** 2]));
  const meanMm = readings.reduce((s, r) => s + r.valueMm, 0) / readings.length;
  return {
    instrumentMm: Math.max(...readings.map((r) => r.instrumentMm)),
    repeatMm: repeats.length ? Math.sqrt(repeats.reduce((s, v) => s + v, 0) / repeats.length) : 0,
    temperatureMm: temperatureUncertaintyMm(meanMm, alphaPerK),
  };
}

/** Band of the mean of all stations: what the instrument shares in full, what scatters by the root of the readings, temperature. */
function meanBand(readings: readonly DiameterReading[], sections: readonly Section[], alphaPerK: number): number {
  const common = Math.max(...readings.map(commonMm));
  const { temperatureMm } = uncertaintyParts(readings, sections, alphaPerK);
  const scatter =
    Math.hypot(...sections.map((s) => Math.sqrt(Math.max((s.meanPlusMinusMm / K95) ** 2 - common ** 2, 0)))) / sections.length;
  return K95 * Math.hypot(common, scatter, temperatureMm);
}

/** 95 % of the longest of `count` vectors of unit scatter lies within this many: each must lie within it with the count-th root of 0.95. */
const largestOf = (count: number): number => Math.sqrt(-2 * Math.log(1 - 0.95 ** (1 / Math.max(count, 1))));

/** The most oval of the sections. It was picked for being so: its band is that of the largest of as many as could have been picked. */
function mostOvalOf(sections: readonly Section[]): Section {
  const most = sections.reduce((p, q) => (q.ovalityMm > p.ovalityMm ? q : p));
  const fitted = sections.filter((s) => s.ovalityKind === 'fitted').length;
  if (most.ovalityPlusMinusMm === null || fitted < 2) return most;
  const ovalityPlusMinusMm = (most.ovalityPlusMinusMm * largestOf(fitted)) / K95_VECTOR;
  const told = most.ovalityMm > ovalityPlusMinusMm;
  return { ...most, ovalityPlusMinusMm, ...(told ? {} : { longAxisDeg: null, longAxisPlusMinusDeg: null }) };
}

/**
 * Analyses one place's diameters.
 *
 * @param readings two- or three-point diameters at 20 °C
 * @param alphaPerK expansion of the part, for the uncertainty that temperature brings
 * @returns null when there is no reading yet
 */
export function analyseShape(side: Side, readings: readonly DiameterReading[], alphaPerK: number): Shape | null {
  if (readings.length === 0) return null;
  const groups = byStation(readings);
  const sections = groups.map((group) => keepSection(group[0]!, [side, ...group], () => analyseSection(group[0]!.stationMm, group, side)));
  const points = stationMeans(sections, groups);
  const smallest = sections.reduce((p, q) => (q.smallestMm < p.smallestMm ? q : p));
  const largest = sections.reduce((p, q) => (q.largestMm > p.largestMm ? q : p));
  const { temperatureMm } = uncertaintyParts(readings, sections, alphaPerK);
  const withWarmth = (band: number): number => Math.hypot(band, K95 * temperatureMm);
  return {
    side,
    sections,
    readings: readings.length,
    meanMm: sections.reduce((s, q) => s + q.meanMm, 0) / sections.length,
    smallestMm: smallest.smallestMm,
    largestMm: largest.largestMm,
    smallestAtMm: smallest.stationMm,
    largestAtMm: largest.stationMm,
    smallestPlusMinusMm: withWarmth(smallest.smallestPlusMinusMm),
    largestPlusMinusMm: withWarmth(largest.largestPlusMinusMm),
    meansOnly: sections.every((s) => s.directions === 0),
    mostOval: mostOvalOf(sections),
    taper: fitTaper(points),
    profile: fitProfile(side, points),
    meanPlusMinusMm: meanBand(readings, sections, alphaPerK),
    plusMinusMm: expand95(uncertaintyParts(readings, sections, alphaPerK)),
    blind: blindSpots(readings, sections),
  };
}
