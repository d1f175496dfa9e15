import type { School, SchoolAnswer } from '../../book/fits';

/** What runs, sits or slides in a pair: it decides by which school the new part is sized. */
export const PAIR_KINDS = [
  'bearing-inner',
  'bearing-inner-standing',
  'bearing-outer',
  'pressed-bush',
  'running-grease',
  'running-oil',
  'locating',
  'sliding',
  'gland',
  'threaded',
  'loose',
] as const;
export type PairKind = (typeof PAIR_KINDS)[number];

export interface PairKindRow {
  readonly name: string;
  /** The school that is taken while nobody chooses another; null where no school sizes such a pair. */
  readonly schoolId: string | null;
  /** Why there is no school, or what is never taken. */
  readonly words: string;
  /** Why a school will not do for it; null where it will. */
  readonly bars: (school: School, answer: SchoolAnswer) => string | null;
}

const seatOnly = (school: School): string | null => (school.kind === 'seat' || school.kind === 'own' ? null : 'by the bearing table alone');
const tightOnly = (_: School, a: SchoolAnswer): string | null => (a.clearanceMm + a.toleranceMm < 0 ? null : 'pressed in: no play');
const looseOnly = (_: School, a: SchoolAnswer): string | null => (a.clearanceMm > 0 ? null : 'it runs: needs play');
const notTight = (_: School, a: SchoolAnswer): string | null => (a.clearanceMm >= 0 ? null : 'goes in by hand: never tight');
const anything = (): null => null;

export const PAIRS: Readonly<Record<PairKind, PairKindRow>> = {
  'bearing-inner': { name: 'Bearing, inner ring turns', schoolId: 'seat', words: 'Sized by the bearing table.', bars: seatOnly },
  'bearing-inner-standing': {
    name: 'Bearing, inner ring stands still',
    schoolId: 'seat-standing',
    words: 'Sized by the bearing table: g6, h6 where it need not shift.',
    bars: seatOnly,
  },
  'bearing-outer': {
    name: 'Bearing, outer ring',
    schoolId: null,
    words: 'The housing is sized by the bearing’s outside: see Bearing seats at Sums.',
    bars: seatOnly,
  },
  'pressed-bush': { name: 'Bush pressed in', schoolId: 'press-bush', words: 'Never clearance.', bars: tightOnly },
  'running-grease': { name: 'Turns in grease or dirt', schoolId: 'grease', words: 'Room for grease and grit.', bars: looseOnly },
  'running-oil': { name: 'Turns in oil', schoolId: 'free-oil', words: 'Room for an oil film.', bars: looseOnly },
  locating: { name: 'Locates, stays put', schoolId: 'light-tap', words: 'Tight over its whole band.', bars: anything },
  sliding: { name: 'Slides, goes in by hand', schoolId: 'close', words: 'Does not rattle.', bars: notTight },
  gland: { name: 'Gland or piston in its bore', schoolId: 'iso:f7', words: 'Goes in with its seals on.', bars: notTight },
  threaded: { name: 'Thread', schoolId: null, words: 'A thread’s size comes from its table, not from a fit.', bars: anything },
  loose: { name: 'Loose, only held in place', schoolId: 'iso:H8/e8', words: 'Play does no harm here.', bars: notTight },
};
