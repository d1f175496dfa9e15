import { REFERENCE_TEMP_C } from '../../terms/quantity';
import type { Side } from '../readings';
import { MM_PER_INCH, type LengthUnit } from '../../terms/quantity';
import { stretchAt, trueOffsetMm, trueRadiusMm, type TruePart, type TrueStretch } from './true-part';

/** How an instrument touches the part. */
export type Contact = 'two-point' | 'three-point' | 'v-block' | 'centres';

/** An instrument with the faults that a real one has. */
export interface SimulatedInstrument {
  readonly name: string;
  readonly contact: Contact;
  readonly side: Side;
  readonly unit: LengthUnit;
  /** Smallest step that it shows, mm. */
  readonly resolutionMm: number;
  /** What it reads too big, always, mm. */
  readonly biasMm: number;
  /** Standard deviation from reading to reading, mm. */
  readonly scatterMm: number;
  /** Included angle of the V-block, degrees. */
  readonly vDeg: number;
  /** Stations of the V-blocks, mm; empty between centres. */
  readonly supportsMm: readonly number[];
  readonly alphaPerK: number;
}

/** Where and when it is read. */
export interface ReadingPlace {
  readonly stationMm: number;
  readonly clockDeg: number;
  readonly partC: number;
  readonly instrumentC: number;
}

const THIRD_DEG = 120;

/** Rise of an indicator over a V-block: the radius under it and what the two flanks lift. */
function overVBlock(s: TrueStretch, at: ReadingPlace, vDeg: number): number {
  const away = 90 + vDeg / 2;
  const flanks = trueRadiusMm(s, at.stationMm, at.clockDeg + away) + trueRadiusMm(s, at.stationMm, at.clockDeg - away);
  const mean = s.diameterMm / 2;
  return trueRadiusMm(s, at.stationMm, at.clockDeg) - mean + (flanks - 2 * mean) / (2 * Math.sin((vDeg * Math.PI) / 360));
}

/** Offset from the line through the supports, or through the centres. */
function offSupports(part: TruePart, at: ReadingPlace, supportsMm: readonly number[]): number {
  const here = trueOffsetMm(part, at.stationMm, at.clockDeg);
  if (supportsMm.length < 2) return here;
  const [a, b] = [Math.min(...supportsMm), Math.max(...supportsMm)];
  const [ya, yb] = [trueOffsetMm(part, a, at.clockDeg), trueOffsetMm(part, b, at.clockDeg)];
  return here - ya - ((at.stationMm - a) / (b - a)) * (yb - ya);
}

/** What the instrument would show without any fault of its own, mm at 20 °C; null where it touches nothing. */
export function idealMm(part: TruePart, i: SimulatedInstrument, at: ReadingPlace): number | null {
  const s = stretchAt(part, at.stationMm, i.side);
  if (s === null) return null;
  const radius = (deg: number): number => trueRadiusMm(s, at.stationMm, deg);
  if (i.contact === 'two-point') return radius(at.clockDeg) + radius(at.clockDeg + 180);
  if (i.contact === 'three-point')
    return (2 / 3) * (radius(at.clockDeg) + radius(at.clockDeg + THIRD_DEG) + radius(at.clockDeg + 2 * THIRD_DEG));
  if (i.contact === 'v-block' && i.supportsMm.length < 2) return overVBlock(s, at, i.vDeg);
  return radius(at.clockDeg) - s.diameterMm / 2 + offSupports(part, at, i.supportsMm);
}

/**
 * One reading with the instrument's bias, its scatter, its resolution and the warmth of part and instrument, mm; null where the part has nothing there.
 *
 * @param normal standard normal draws
 */
export function takeSimulated(part: TruePart, i: SimulatedInstrument, at: ReadingPlace, normal: () => number): number | null {
  const ideal = idealMm(part, i, at);
  if (ideal === null) return null;
  const grown = part.alphaPerK * (at.partC - REFERENCE_TEMP_C) - i.alphaPerK * (at.instrumentC - REFERENCE_TEMP_C);
  const indicator = i.contact === 'v-block' || i.contact === 'centres';
  const shown = ideal * (indicator ? 1 : 1 + grown) + (indicator ? 0 : i.biasMm) + i.scatterMm * normal();
  return Math.round(shown / i.resolutionMm) * i.resolutionMm;
}

/** A reading as the instrument's display would write it. */
export function displayed(mm: number, i: Pick<SimulatedInstrument, 'unit' | 'resolutionMm'>): string {
  const step = i.unit === 'mm' ? i.resolutionMm : i.resolutionMm / MM_PER_INCH;
  const decimals = Math.max(0, Math.min(6, Math.ceil(-Math.log10(step) - 1e-9)));
  return (i.unit === 'mm' ? mm : mm / MM_PER_INCH).toFixed(decimals);
}
