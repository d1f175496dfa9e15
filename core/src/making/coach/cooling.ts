/** What still air and radiation take from dull metal a little above the room, W/(m² K). */
export const STILL_AIR = 10;

/**
 * How long a piece takes to cool, min: rho c V / (h A) ln(from / to), all of it at one temperature, which metal of a few centimetres is in air.
 * Source: Incropera, Fundamentals of heat and mass transfer, lumped capacitance.
 *
 * @param heatJM3K heat by volume
 * @param depthMm volume over surface: a quarter of a round's diameter, half of a wall that cools from both sides
 * @param fromK above the room now, `toK` then; both above 0
 * @param hWM2K what takes the heat
 */
export const coolingMin = (heatJM3K: number, depthMm: number, fromK: number, toK: number, hWM2K = STILL_AIR): number =>
  fromK <= toK ? 0 : ((heatJM3K * (depthMm / 1000)) / hWM2K / 60) * Math.log(fromK / toK);
