import { REFERENCE_TEMP_C } from '../../terms/quantity';

/** Shop instruments are steel. */
export const INSTRUMENT_ALPHA_PER_K = 11.5e-6;

/** How well a hand-held thermometer or a guess "same as the shop" knows the part's temperature, K (k = 1). */
const USUAL_TEMP_UNCERTAINTY_K = 1;

export interface Temperatures {
  readonly partC: number;
  readonly instrumentC: number;
  /** Expansion of the part, 1/K. */
  readonly partAlphaPerK: number;
}

/**
 * The size at 20 °C of a part that was read warm or cold: reading x (1 + ai (Ti - 20) - ap (Tp - 20)).
 *
 * @example a 50 mm steel part 30 °C above a 20 °C instrument reads 0.017 mm big
 */
export const sizeAt20 = (readingMm: number, t: Temperatures): number =>
  readingMm * (1 + INSTRUMENT_ALPHA_PER_K * (t.instrumentC - REFERENCE_TEMP_C) - t.partAlphaPerK * (t.partC - REFERENCE_TEMP_C));

/** Standard uncertainty that the temperature brings to a size, mm. */
export const temperatureUncertaintyMm = (sizeMm: number, alphaPerK: number, uTempK = USUAL_TEMP_UNCERTAINTY_K): number =>
  alphaPerK * sizeMm * uTempK;
