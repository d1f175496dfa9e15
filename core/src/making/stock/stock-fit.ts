export interface StockAllowances {
  /** Taken off each end to face it clean, mm. */
  readonly facingMm: number;
  /** It is left long, held on and cut off afterwards; else it is sawn to length. */
  readonly cutsOff: boolean;
  /** Held in the chuck and cut off afterwards, mm. */
  readonly grippedMm: number;
  /** Width of the parting tool, mm. */
  readonly partingMm: number;
  /** Lost to the saw, mm. */
  readonly sawMm: number;
  /** Least to come off the diameter so that the bar's skin is gone, mm. */
  readonly skinMm: number;
  /** How many are cut off one after another from what is held once; one where it is sawn to length. */
  readonly pieces: number;
}

export const USUAL_ALLOWANCES: StockAllowances = {
  ...{ facingMm: 1, cutsOff: true, grippedMm: 25, partingMm: 3, sawMm: 2.5, skinMm: 1, pieces: 1 },
};

/** What else than a black bar to be turned all over will do. */
export interface OtherStock {
  /** The largest diameter, where a bar of just that size may stay as it is bought; null where what fits on it was measured. */
  readonly ownSizeMm: number | null;
  /** It has limits: only what is ground or chromed to size will do, and is read before it is sawn. */
  readonly toLimits?: boolean;
  /** Across the flats of a hexagon that goes over the whole of the largest diameter: a bright hexagon of that size has it already; null without one. */
  readonly ownHexMm?: number | null;
  /** The smallest diameter of a bore right through, where a tube may be taken; null where it is solid. */
  readonly boreMm: number | null;
}

export const NO_OTHER_STOCK: OtherStock = { ownSizeMm: null, boreMm: null };

/** Stock that will do for a blank. */
export interface StockFit extends OtherStock {
  readonly materialId: string;
  /** With what the saw takes, mm. */
  readonly lengthMm: number;
  /** At least, mm. */
  readonly diameterMm: number;
  /** Of the part with both its ends faced: a plate that a disc is cut out of is so thick, mm. */
  readonly thickMm: number;
  /** Stock is left on to hold it, and cut off last. */
  readonly cutsOff: boolean;
  /** A bar of a metal that nobody knows, which somebody chose all the same; null for none. */
  readonly unknownBarId: string | null;
}
