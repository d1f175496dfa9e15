import type { ActKind } from './strip-records';

/** What an act is called and what it takes with it for ever. */
export interface ActRow {
  readonly name: string;
  readonly destroys: string;
  readonly caution: string;
}

export const ACTS: Readonly<Record<ActKind, ActRow>> = {
  saw: {
    name: 'Saw through',
    destroys: 'length, straightness, and how both halves stood to each other',
    caution: 'Clamp both sides; springs and trapped oil first.',
  },
  'cut-weld': {
    name: 'Cut out a weld',
    destroys: 'how the parts stood to each other, and the edges that were joined',
    caution: 'Structural welds: a certified person decides and signs. No coatings in the heat, fire watch.',
  },
  'drill-out': {
    name: 'Drill out',
    destroys: 'the hole’s size, its thread and its place',
    caution: 'Clamp it; face shield for what lets go.',
  },
  'press-out': { name: 'Press out', destroys: 'the fit, and how deep it sat', caution: 'Shield up: parts under load shatter.' },
  'grind-off': { name: 'Grind off', destroys: 'the surface, heights and edges', caution: 'Plating and old linings: no dry grinding.' },
  bend: {
    name: 'Bend or straighten',
    destroys: 'the bend as it was, and where it was highest',
    caution: 'Hardened parts can snap: shield, and look for cracks after.',
  },
};
