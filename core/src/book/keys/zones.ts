import { MM_PER_INCH } from '../../terms/quantity';
import { zoneDeviations } from '../fits';
import { keyDepthOverMm, type KeySeat } from './keyseat';

/** A zone for the width of a keyseat. */
export interface KeyZone {
  readonly where: 'shaft' | 'hub';
  readonly zone: string;
  readonly lowerMm: number;
  readonly upperMm: number;
  readonly words: string;
}

/** DIN 6885-1: where, zone, when. The key itself is h9. */
const ZONES = [
  ['shaft', 'P9', 'tight: reversing loads'],
  ['shaft', 'N9', 'usual'],
  ['shaft', 'H9', 'sliding'],
  ['hub', 'P9', 'tight: reversing loads'],
  ['hub', 'JS9', 'usual'],
  ['hub', 'D10', 'sliding'],
] as const;

/**
 * Zones of a metric key's width in shaft and hub (DIN 6885-1); none for inch keys, whose seats ASME B17.1 gives by class.
 *
 * @example width 8: shaft N9 -0.036 to 0, P9 -0.051 to -0.015; hub JS9 +-0.018, D10 +0.040 to +0.098
 */
export const keyZones = (k: Pick<KeySeat, 'standard' | 'widthMm'>): KeyZone[] =>
  k.standard !== 'DIN 6885'
    ? []
    : ZONES.flatMap(([where, zone, words]) => {
        const d = zoneDeviations(zone, k.widthMm);
        return d.ok ? [{ where, zone, lowerMm: d.value.lowerMm, upperMm: d.value.upperMm, words }] : [];
      });

/** Width of an inch key up to, and how much wider its seat may be in shaft and hub, in. Source: ASME B17.1-1967, table 4, class 1 (clearance). */
const B17_WIDER_IN = [
  [0.5, 0.002],
  [1, 0.003],
  [Infinity, 0.004],
] as const;
/** How much deeper an inch seat may be in the shaft and in the hub, in. Source: ASME B17.1-1967, table 4, both classes. */
const B17_DEEPER_IN = { shaft: 0.015, hub: 0.01 } as const;

/** Limits of a size of a key's seat, mm, and what gives them. */
export interface SeatLimits {
  readonly lower: number;
  readonly upper: number;
  readonly source: string;
}

/** Limits of a key's seat: its width in shaft and hub, its depth from the crown, and bore to roof. */
export interface KeySeatLimits {
  readonly shaft: { readonly width: SeatLimits; readonly depth: SeatLimits };
  readonly hub: { readonly width: SeatLimits; readonly over: SeatLimits };
}

/**
 * The usual limits of a key's seat by its own standard: metric N9 in the shaft and JS9 in the hub, inch by the class 1 fit.
 *
 * @example 1/4 x 1/4 in 1 in: 0.2500 to 0.2520 wide, 0.1409 to 0.1559 deep from the crown
 */
export function keySeatLimits(k: KeySeat): KeySeatLimits {
  const over = (from: number, mm: number): SeatLimits => ({ lower: from, upper: from + mm, source: k.source });
  if (k.standard === 'DIN 6885') {
    const width = (where: KeyZone['where'], name: string): SeatLimits => {
      const zone = keyZones(k).find((z) => z.where === where && z.zone === name)!;
      return { lower: k.widthMm + zone.lowerMm, upper: k.widthMm + zone.upperMm, source: `${k.source}, ${name}` };
    };
    const deeper = keyDepthOverMm(k.heightMm);
    return {
      shaft: { width: width('shaft', 'N9'), depth: over(k.fromCrownMm, deeper) },
      hub: { width: width('hub', 'JS9'), over: over(k.overHubMm, deeper) },
    };
  }
  const wider = B17_WIDER_IN.find(([upTo]) => k.widthMm <= upTo * MM_PER_INCH + 1e-9)![1] * MM_PER_INCH;
  const width = { ...over(k.widthMm, wider), source: `${k.source}, class 1` };
  return {
    shaft: { width, depth: over(k.fromCrownMm, B17_DEEPER_IN.shaft * MM_PER_INCH) },
    hub: { width, over: over(k.overHubMm, B17_DEEPER_IN.hub * MM_PER_INCH) },
  };
}
