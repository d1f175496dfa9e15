import { REFERENCE_TEMP_C } from '../../terms/quantity';

/** What a pin is made to and what it runs in, at 20 °C, with the temperatures that both will have. */
export interface OutlookInput {
  readonly pin: { readonly lowerMm: number; readonly upperMm: number; readonly alphaPerK: number; readonly tempC: number };
  readonly hole: {
    readonly smallestMm: number;
    readonly largestMm: number;
    /** Half width of the 95 % band of the hole's smallest size. */
    readonly plusMinusMm: number;
    readonly alphaPerK: number;
    readonly tempC: number;
  };
}

/** From and to, mm; negative is interference. */
export interface PlayBand {
  readonly leastMm: number;
  readonly mostMm: number;
}

/** How a pin will go in and how it will run. */
export interface FitOutlook {
  readonly playNow: PlayBand;
  readonly playWarm: PlayBand;
  /** Shares that add up to 1: it goes in by hand, under a soft hammer, or in the press. */
  readonly goesIn: { readonly slides: number; readonly taps: number; readonly presses: number };
}

/** A pin with less room than this does not go in by hand: roughness and a film of oil fill it, mm. */
export const SLIDE_LEAST_MM = 0.002;
/** A soft hammer drives this much interference, which grows with the diameter; more is for the press, mm. */
export const tapMostMm = (diameterMm: number): number => 0.005 + 0.0002 * diameterMm;

const SQRT_2PI = Math.sqrt(2 * Math.PI);
const density = (z: number): number => Math.exp(-0.5 * z * z) / SQRT_2PI;

/** Standard normal distribution function (Abramowitz and Stegun 26.2.17, absolute error below 7.5e-8). */
function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail = density(z) * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

/** Integral of the normal distribution function up to z. */
const belowIntegral = (z: number): number => z * below(z) + density(z);

/** A measured size known better than this is taken as known, mm. */
const LEAST_SD_MM = 1e-6;

/**
 * Probability that hole less pin is over `roomMm`: the pin lies anywhere within its limits alike, the hole is normal about its
 * measured smallest size. In closed form: the mean of the normal distribution function over the pin's limits.
 */
function chanceOver(roomMm: number, { pin, hole }: OutlookInput): number {
  const sd = Math.max(hole.plusMinusMm / 2, LEAST_SD_MM);
  const z = (pinMm: number): number => (hole.smallestMm - pinMm - roomMm) / sd;
  const width = pin.upperMm - pin.lowerMm;
  if (width <= LEAST_SD_MM) return below(z(pin.upperMm));
  const mean = ((belowIntegral(z(pin.lowerMm)) - belowIntegral(z(pin.upperMm))) * sd) / width;
  return Math.min(1, Math.max(0, mean));
}

const at = (mm: number, alphaPerK: number, tempC: number): number => mm * (1 + alphaPerK * (tempC - REFERENCE_TEMP_C));

/**
 * Play now and at running temperatures, and how the pin will go in.
 *
 * @example a 25 mm pin at 60 °C in a hole at 20 °C loses 0.0115 mm of its play
 */
export function fitOutlook(input: OutlookInput): FitOutlook {
  const { pin, hole } = input;
  const warm = (mm: number, part: { readonly alphaPerK: number; readonly tempC: number }): number => at(mm, part.alphaPerK, part.tempC);
  const slides = chanceOver(SLIDE_LEAST_MM, input);
  const slidesOrTaps = chanceOver(-tapMostMm(hole.smallestMm), input);
  return {
    playNow: { leastMm: hole.smallestMm - pin.upperMm, mostMm: hole.largestMm - pin.lowerMm },
    playWarm: {
      leastMm: warm(hole.smallestMm, hole) - warm(pin.upperMm, pin),
      mostMm: warm(hole.largestMm, hole) - warm(pin.lowerMm, pin),
    },
    goesIn: { slides, taps: slidesOrTaps - slides, presses: 1 - slidesOrTaps },
  };
}
