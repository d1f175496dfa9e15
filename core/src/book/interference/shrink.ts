import { bad, good, type Outcome } from '../../terms/outcome';

/**
 * What a metal shrinks by a degree when it is cooled far below the room, per kelvin: less than it grows when warmed. Of the metal that is
 * cooled, whichever it is.
 *
 * Source: DIN 7190-1, contraction on undercooling.
 */
const COLD_ALPHA_PER_K = {
  steel: 8.5e-6,
  'cast iron': 8e-6,
  'tin bronze': 14e-6,
  gunmetal: 15e-6,
  brass: 16e-6,
  aluminium: 18e-6,
  magnesium: 21e-6,
} as const;

/** Materials of the book by the row of DIN 7190 that they fall under. */
const COLD_ROW: Readonly<Record<string, keyof typeof COLD_ALPHA_PER_K>> = {
  'bronze-tin': 'tin bronze',
  'bronze-phosphor': 'tin bronze',
  'bronze-leaded': 'gunmetal',
  'bronze-sintered': 'tin bronze',
  brass: 'brass',
  'magnesium-cast': 'magnesium',
};
/** Cold share of the warm expansion where the standard has no row: that of steel. */
const COLD_SHARE = 8.5 / 11.5;

/** Contraction of a material that is cooled, as a share of its length per kelvin: a mean over the cooling where one is known, else less than warm. */
export function coldAlphaPerK(m: { readonly id: string; readonly family: string; readonly alphaPerK: number }): number {
  const row = COLD_ROW[m.id];
  if (row) return COLD_ALPHA_PER_K[row];
  if (m.family === 'steel') return COLD_ALPHA_PER_K.steel;
  if (m.family === 'iron') return COLD_ALPHA_PER_K['cast iron'];
  if (m.family === 'aluminium') return COLD_ALPHA_PER_K.aluminium;
  return m.alphaPerK * COLD_SHARE;
}
const COLD_C = { 'dry ice': -78, 'liquid nitrogen': -196 } as const;
export type ColdBath = keyof typeof COLD_C;
/** Share of a cold bath's reach that is left when the part is in the hole: it warms on the way. */
const COLD_LEFT = 0.8;

/** What may not be heated further, °C. */
export const HEAT_LIMIT_C = {
  'open bearing': 120,
  'sealed bearing': 80,
  'hardened and tempered steel': 200,
  'case-hardened steel': 160,
  'cast iron or soft steel': 350,
  aluminium: 150,
} as const;
export type Heated = keyof typeof HEAT_LIMIT_C;

export interface ShrinkQuestion {
  readonly diameterMm: number;
  readonly interferenceMm: number;
  /** Play wanted while it goes together, on the diameter. */
  readonly enteringMm: number;
  readonly hubAlphaPerK: number;
  readonly heated: Heated;
  readonly shaftAlphaColdPerK: number;
  readonly roomC: number;
}

export interface ShrinkWay {
  readonly way: 'heat the hub' | 'cool the shaft' | 'heat and cool';
  /** What the hub must reach; room where only the shaft is cooled. */
  readonly hubC: number;
  readonly bath: ColdBath | null;
  readonly possible: boolean;
  readonly words: string;
}

const need = (q: ShrinkQuestion): number => q.interferenceMm + q.enteringMm;

function byHeat(q: ShrinkQuestion): ShrinkWay {
  const hubC = q.roomC + need(q) / (q.hubAlphaPerK * q.diameterMm);
  const limit = HEAT_LIMIT_C[q.heated];
  const possible = hubC <= limit;
  return {
    way: 'heat the hub',
    hubC,
    bath: null,
    possible,
    words: possible ? `below the ${limit} °C that ${q.heated} stands` : `over the ${limit} °C that ${q.heated} stands`,
  };
}

/** How much a shaft shrinks in a bath, mm on the diameter, with what it warms on the way taken off. */
const shrinks = (q: ShrinkQuestion, bath: ColdBath): number => q.shaftAlphaColdPerK * q.diameterMm * (q.roomC - COLD_C[bath]) * COLD_LEFT;

function byCold(q: ShrinkQuestion, bath: ColdBath): ShrinkWay {
  const got = shrinks(q, bath);
  const possible = got >= need(q);
  const reach = `${bath} at ${COLD_C[bath]} °C gives ${got.toFixed(3)} mm of the ${need(q).toFixed(3)} mm needed`;
  return { way: 'cool the shaft', hubC: q.roomC, bath, possible, words: reach };
}

function byBoth(q: ShrinkQuestion, bath: ColdBath): ShrinkWay {
  const left = Math.max(need(q) - shrinks(q, bath), 0);
  const hubC = q.roomC + left / (q.hubAlphaPerK * q.diameterMm);
  const limit = HEAT_LIMIT_C[q.heated];
  return {
    way: 'heat and cool',
    hubC,
    bath,
    possible: hubC <= limit,
    words: `shaft in ${bath}, hub to the temperature beside; ${q.heated} stands ${limit} °C`,
  };
}

/**
 * Every way to get an interference fit together without force, with what each needs: dT = (interference + entering play)/(alpha d).
 *
 * @example 50 mm steel, 0.05 mm interference, 0.05 mm entering play: hub 174 K above the room
 */
export function shrinkWays(q: ShrinkQuestion): Outcome<ShrinkWay[]> {
  if (!(q.diameterMm > 0)) return bad('diameter', 'Give the diameter that the parts fit at.', 'diameterMm');
  if (!(q.interferenceMm > 0)) return bad('interference', 'A shrink fit needs interference: shaft larger than the hole.', 'interferenceMm');
  if (!(q.enteringMm >= 0)) return bad('entering', 'The entering play cannot be below 0.', 'enteringMm');
  if (!(q.hubAlphaPerK > 0 && q.shaftAlphaColdPerK > 0)) return bad('alpha', 'Give the expansion of both parts.', 'hubAlphaPerK');
  return good([byHeat(q), byCold(q, 'dry ice'), byCold(q, 'liquid nitrogen'), byBoth(q, 'dry ice'), byBoth(q, 'liquid nitrogen')]);
}
