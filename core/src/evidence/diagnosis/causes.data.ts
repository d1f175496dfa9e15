/** Why something wears or breaks. */
export interface CauseRow {
  readonly name: string;
  /** Copying the old part keeps this cause alive. */
  readonly survivesCopy: boolean;
  /** What is done against it. */
  readonly cures: readonly string[];
}

export const CAUSES = {
  'load-one-way': {
    name: 'Load always from one side of a standing hole, the pin turning in it',
    survivesCopy: true,
    cures: ['bronze bush that can be changed', 'grease passage into the loaded side', 'longer or larger bearing area'],
  },
  'pin-stands': {
    name: 'Pin stands still to the load, its mate turns round it',
    survivesCopy: true,
    cures: ['turn or lock the pin on purpose, with grease to the loaded side', 'harder shaft or pin', 'bush in the mate'],
  },
  misaligned: {
    name: 'Bores out of line, or the pin bent: it bears on the ends',
    survivesCopy: true,
    cures: ['bore both lugs in one setting', 'straighten what is bent', 'self-aligning bearing'],
  },
  'copied-small': {
    name: 'An earlier pin was copied from a worn one: too small from the start',
    survivesCopy: true,
    cures: ['fit to the measured hole, not to the old pin'],
  },
  'spun-inner': {
    name: 'The inner ring turned on its seat: bearing seized, or fit too loose',
    survivesCopy: true,
    cures: ['seat zone for a turning inner ring (k6, heavier m6)', 'new bearing', 'cure what made it seize'],
  },
  'spun-outer': {
    name: 'The outer ring turned in its housing',
    survivesCopy: true,
    cures: ['M7 or N7 where the load turns', 'sleeve to size', 'new bearing'],
  },
  'fit-lost': { name: 'The fit was lost by fretting', survivesCopy: true, cures: ['tighter zone', 'better finish of the seat'] },
  'seal-track': {
    name: 'The lip of a seal wore its track',
    survivesCopy: true,
    cures: ['seal moved to a fresh track', 'harder sleeve', 'seal that keeps the dirt out'],
  },
  'stress-raiser': {
    name: 'Smallest section, groove or sharp corner as a stress raiser',
    survivesCopy: true,
    cures: ['shoulder instead of the groove', 'bigger radius', 'better steel'],
  },
  'locked-up': { name: 'Something locked up and overloaded it', survivesCopy: true, cures: ['cure the lock-up first'] },
  overload: { name: 'Overloaded', survivesCopy: false, cures: ['guard, stop or shear pin', 'larger section'] },
  'thin-wall': { name: 'Wall under the groove too thin', survivesCopy: true, cures: ['thicker ring of metal with a new groove'] },
  'pressure-spike': {
    name: 'Pressure spike, or a blocked port',
    survivesCopy: true,
    cures: ['relief valve checked', 'port and hose cleared'],
  },
  'ramped-wall': {
    name: 'Groove’s wall not square where the ring bears',
    survivesCopy: true,
    cures: ['recut square and deeper', 'new groove'],
  },
  dirt: { name: 'Dirt or water got in', survivesCopy: true, cures: ['wiper or seal', 'grease that is renewed'] },
  dry: {
    name: 'Ran dry',
    survivesCopy: true,
    cures: ['grease nipple and groove', 'oil-filled sintered bronze', 'tell who greases it and when'],
  },
  blow: { name: 'Struck or dropped', survivesCopy: false, cures: ['guard', 'word with whoever handles it'] },
  'loose-key': { name: 'Key or pin loose from the start', survivesCopy: true, cures: ['key fitted to the seat', 'set screw over the key'] },
  reversing: { name: 'Load that reverses', survivesCopy: true, cures: ['tighter key', 'two keys', 'spline or taper'] },
  overtightened: { name: 'Overtightened', survivesCopy: false, cures: ['torque written on the report', 'longer engagement'] },
  'earlier-repair': { name: 'An earlier repair was not sound', survivesCopy: true, cures: ['do it afresh'] },
  'shims-wrong': { name: 'Wrong shim pack', survivesCopy: true, cures: ['shims to the measured target'] },
  'ordinary-wear': {
    name: 'Ordinary wear of a pin in its hole',
    survivesCopy: true,
    cures: ['bush that can be changed', 'grease it, and write down when', 'harder shaft or pin'],
  },
  'oversize-as-made': { name: 'Made too large or too small from the start', survivesCopy: true, cures: ['fit to the measured mate'] },
  'bearing-fatigue': {
    name: 'Bearing tired: metal flaked off the raceways',
    survivesCopy: false,
    cures: ['new bearing', 'larger one if it came early', 'check the load'],
  },
  'false-brinelling': {
    name: 'False brinelling: shaken while it stood still',
    survivesCopy: true,
    cures: ['lock or unload it in transport', 'grease that stays', 'let it turn now and then'],
  },
  'true-brinelling': {
    name: 'Brinelling: balls dented the raceways under a blow or a press',
    survivesCopy: false,
    cures: ['press on the tight ring only', 'no hammer on it'],
  },
  'current-through': {
    name: 'Current through the bearing',
    survivesCopy: true,
    cures: ['earth brush or insulated bearing', 'welder’s earth clamp beside the weld'],
  },
  corrosion: {
    name: 'Corrosion, under the chrome too',
    survivesCopy: true,
    cures: ['seal that keeps water out', 'stainless or thicker plating', 'oil it before it stands'],
  },
  'overhung-load': {
    name: 'Overhung load or belt pull',
    survivesCopy: true,
    cures: ['pulley close to the bearing', 'less belt tension', 'outer bearing'],
  },
  'loose-clamp': { name: 'Clamp bolts loose', survivesCopy: true, cures: ['torque and lock them', 'dowels'] },
  'wear-out': { name: 'Worn out by its hours', survivesCopy: false, cures: ['note the hours for the next one'] },
} as const satisfies Record<string, CauseRow>;
export type CauseId = keyof typeof CAUSES;
export const CAUSE_IDS = Object.keys(CAUSES) as CauseId[];
