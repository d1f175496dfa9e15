/**
 * Judgement of a shop, not measurement: how strongly a fact speaks for a cause, and from when on it is one. What only eyes see has its weights
 * with the findings. Held by the tests of the diagnosis.
 */

/** How strongly a fact of a pair, a seat, a track, a bend or a repair speaks; 1 is a hint, 4 by itself strong. */
export const SPEAKS = {
  'oval hole, round pin': 4,
  'oval hole, pin not measured': 2,
  'worn pin, round hole': 4,
  'bell mouth': 3,
  'tapered hole': 2,
  'both worn evenly': 2,
  'both worn and out of round': 2,
  'wore together': 2,
  'both worn, perhaps dry': 1,
  'loose as made': 3,
  'seat under size': 3,
  'seat lost its fit': 1,
  'track between sound metal': 4,
  'bent by overload': 3,
  'bent, so out of line': 1,
  'earlier repair at fault': 4,
} as const;

/** How strongly a fact speaks against. */
export const SPEAKS_AGAINST = { 'round hole': 2, 'the pin is worn too': 2 } as const;

/** Summed weight from which the evidence is called strong, and fair. */
export const STRENGTH = { strong: 4, fair: 2 } as const;

/** A pin is called round when its oval is under this share of the hole's. */
export const ROUND_SHARE = 0.35;
/** Wear and tracks below these are none, and a pair where nothing wore was made with play beyond this, mm. */
export const WORN_MM = 0.03;
export const TRACK_LEAST_MM = 0.02;
export const COPIED_PLAY_MM = 0.15;
