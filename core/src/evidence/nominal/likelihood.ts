import { K95, type Side } from '../readings';
import type { Candidate } from './candidates';
import { STRAY, UNEVEN_WEAR, WEAR_MIXTURE, type Use } from './judgement.data';
import { madeBands } from './made';

/** What was measured of one place, at 20 °C. */
export interface NominalEvidence {
  readonly side: Side;
  readonly use?: Use;
  /** Size of a place that never wore, with its standard uncertainty; null when there is none. */
  readonly land: { readonly sizeMm: number; readonly uMm: number } | null;
  /**
   * The least worn size seen where it did wear: largest of a shaft, smallest of a hole; null when not measured. With the range of its sizes
   * where enough stations and directions were read to show uneven wear.
   */
  readonly worn: { readonly sizeMm: number; readonly uMm: number; readonly rangeMm?: number } | null;
}

const normal = (x: number, sd: number): number => Math.exp(-0.5 * (x / sd) ** 2) / (sd * Math.sqrt(2 * Math.PI));

/** Normal blurred exponential: density per mm of wear plus noise at `x` mm, wear at least 0 with the given mean, mm. */
export function wearDensity(x: number, sd: number, meanWear: number): number {
  const lambda = 1 / meanWear;
  const z = (x - lambda * sd * sd) / sd;
  // Far in the tail phi's own error would be blown up: Mills' ratio, phi(z) ~ normal(z) / -z.
  if (z < -4) return (lambda * sd * normal(x, sd)) / -z;
  return lambda * Math.exp(lambda * (0.5 * lambda * sd * sd - x)) * phi(z);
}

/** Standard normal distribution function, Abramowitz and Stegun 7.1.26 (absolute error below 1.5e-7). */
function phi(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const erf = 1 - ((((1.061405429 * t - 1.453152027) * t + 1.421413741) * t - 0.284496736) * t + 0.254829592) * t * Math.exp(-x * x);
  return 0.5 * (1 + Math.sign(z) * erf);
}

/** How likely it is that wear of that size shows no more than this range: what wore much is seldom the same all over. */
const evenShare = (wearMm: number, rangeMm: number): number =>
  wearMm <= 0 ? 1 : 1 - Math.exp(-rangeMm / (UNEVEN_WEAR.meanShare * wearMm));

/** How likely the evidence is when a candidate was drawn: the land by how such parts are made, the worn place by how parts wear. */
export function likelihood(c: Candidate, e: NominalEvidence): number {
  const bands = madeBands(c.sizeMm, c.unit, e.side, e.use ?? 'any');
  let sum = 0;
  for (const b of bands) {
    const madeMm = (b.lowMm + b.highMm) / 2;
    const madeSd = (b.highMm - b.lowMm) / 4;
    let product = b.share;
    if (e.land) {
      const off = e.land.sizeMm - madeMm;
      product *= (1 - STRAY.share) * normal(off, Math.hypot(madeSd, e.land.uMm)) + STRAY.share * normal(off, STRAY.sdMm);
    }
    if (e.worn) {
      const wear = e.side === 'outside' ? madeMm - e.worn.sizeMm : e.worn.sizeMm - madeMm;
      const sd = Math.hypot(madeSd, e.worn.uMm);
      product *= WEAR_MIXTURE.reduce((s, w) => s + w.share * wearDensity(wear, sd, w.meanMm), 0);
      if (e.worn.rangeMm !== undefined) product *= evenShare(wear, Math.max(e.worn.rangeMm, K95 * e.worn.uMm));
    }
    sum += product;
  }
  return Number.isFinite(sum) ? sum : 0;
}
