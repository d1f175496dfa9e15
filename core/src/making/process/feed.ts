import { USUAL_FEEDS_MM } from './cutting-time';

/** Nose radius of an ordinary turning tool, mm. */
export const USUAL_NOSE_MM = 0.4;
/** Largest feed a turn as a share of the nose radius: beyond it the straight edges begin to cut the ridges. */
const MOST_OF_NOSE = 2 / 3;

/** Mean height of parabolic ridges against their full height: 4 / (9 sqrt 3). */
const RA_SHARE = 4 / (9 * Math.sqrt(3));

/**
 * How high the ridges stand that a round nose leaves: r - sqrt(r² - f²/4), about f² / 8 r. With the Ra that they come to at best, both mm.
 *
 * @param feedMm a turn, below `noseMm`
 */
export function ridgesMm(feedMm: number, noseMm: number): { readonly high: number; readonly ra: number } {
  const high = noseMm - Math.sqrt(noseMm * noseMm - (feedMm * feedMm) / 4);
  return { high, ra: high * RA_SHARE };
}

/** The feed a turn whose ridges come to that Ra, mm: the other way round. */
export function feedForRaMm(raMm: number, noseMm: number): number {
  const high = Math.min(raMm / RA_SHARE, noseMm);
  return 2 * Math.sqrt(2 * noseMm * high - high * high);
}

/** Feeds a turn, mm. */
export interface Feeds {
  readonly rough: number;
  readonly finish: number;
}

/**
 * Feeds for a surface: the usual ones, no more than the nose bears, and for finishing no more than the finish that is asked for.
 *
 * @param raUm Ra that turning has to give, µm; null where none is asked for
 */
export function feedsFor(noseMm: number, raUm: number | null): Feeds {
  const most = MOST_OF_NOSE * noseMm;
  return {
    rough: Math.min(USUAL_FEEDS_MM.rough, most),
    finish: Math.min(USUAL_FEEDS_MM.finish, most, raUm === null ? Infinity : feedForRaMm(raUm / 1000, noseMm)),
  };
}
