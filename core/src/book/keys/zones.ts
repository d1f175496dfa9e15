import { zoneDeviations } from '../fits';
import type { KeySeat } from './keyseat';

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
