import type { ActKind } from './strip-records';

/** What an act is called and what it takes with it for ever. */
export interface ActRow {
  readonly name: string;
  /** How the part is called once it is done. */
  readonly done: string;
  /** Sizes are others after it: a reading taken then is not one of what was found. */
  readonly resizes: boolean;
  readonly destroys: string;
  readonly caution: string;
}

export const ACTS: Readonly<Record<ActKind, ActRow>> = {
  saw: {
    name: 'Saw through',
    done: 'sawn through',
    resizes: false,
    destroys: 'length, straightness, and how both halves stood to each other',
    caution: 'Clamp both sides; springs and trapped oil first.',
  },
  'cut-weld': {
    name: 'Cut out a weld',
    done: 'weld cut out',
    resizes: false,
    destroys: 'how the parts stood to each other, and the edges that were joined',
    caution: 'Structural welds: a certified person decides and signs. No coatings in the heat, fire watch.',
  },
  'drill-out': {
    name: 'Drill out',
    done: 'drilled out',
    resizes: true,
    destroys: 'the hole’s size, its thread and its place',
    caution: 'Clamp it; face shield for what lets go.',
  },
  'press-out': {
    name: 'Press out',
    done: 'pressed out',
    resizes: false,
    destroys: 'the fit, and how deep it sat',
    caution: 'Shield up: parts under load shatter.',
  },
  'grind-off': {
    name: 'Grind off',
    done: 'ground off',
    resizes: true,
    destroys: 'the surface, heights and edges',
    caution: 'Plating and old linings: no dry grinding.',
  },
  bend: {
    name: 'Bend or straighten',
    done: 'straightened',
    resizes: true,
    destroys: 'the bend as it was, and where it was highest',
    caution: 'Hardened parts can snap: shield, and look for cracks after.',
  },
  dress: {
    name: 'Dress a surface or an edge',
    done: 'dressed',
    resizes: true,
    destroys: 'burrs, marks and the surface as it ran',
    caution: 'A file or a stone beside turning work takes fingers: stop it, or keep the handle on the far side.',
  },
  bore: {
    name: 'Bore, hone or ream true',
    done: 'bored',
    resizes: true,
    destroys: 'the hole as it wore: which way, how far, how deep',
    caution: 'Clamp it; no gloves at a turning spindle.',
  },
  'press-in': {
    name: 'Press something in',
    done: 'pressed in',
    resizes: true,
    destroys: 'the hole before it is covered; a bore closes in',
    caution: 'Shield up: parts under load shatter.',
  },
  weld: {
    name: 'Weld on it',
    done: 'welded',
    resizes: true,
    destroys: 'straightness, hardness and sizes beside the weld',
    caution: 'Structural welds: a certified person decides and signs. No fuel, pressure or coatings in the heat; fire watch.',
  },
};
