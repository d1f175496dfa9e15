import type { StationId } from '../stations';

/** What a word of the trade means here, in a sentence that somebody who is new to it understands. */
export const TRADE_WORDS = {
  allowance: 'Allowance|The play that is chosen for the new part before it is made.',
  backlash:
    'Backlash|How far a handwheel turns before its slide follows. Every size is come up to from the same side, so that it does not count.',
  belly: 'Belly|Thicker or thinner in the middle than at both ends.',
  blank: 'Blank|The piece of bar that is sawn off for one part or several.',
  clock: 'Clock|Where round the part something is, seen from the right end of the picture: 0° on top, 90° to the right, on clockwise.',
  comeback: 'Comeback|A job that comes in again with the same trouble.',
  concentration: 'Stress concentration|Where the shape changes sharply the load crowds together: that is where a shaft begins to crack.',
  fit: 'Fit|A letter and a number, as in H7 or k6: the letter says where the limits lie, the number how far they are apart (ISO 286).',
  general: 'General tolerance|The limits of every size that nobody gave limits of its own. Wide ones, for what nothing runs on.',
  guard: 'Guard band|A strip inside each limit, as wide as the reading is unsure: only what lies further in fits for certain.',
  interference: 'Interference|The shaft is larger than its hole. It has to be pressed or shrunk in, and then holds by itself.',
  ladder: 'Depths from zero|Every edge that is cut in one set-up, in the order in which the tool reaches it.',
  land: 'Unworn land|A stretch that nothing ran on: it still has the size that the part was made to.',
  limits: 'Limits|The largest and the smallest size that the part may have.',
  lobes: 'Three lobes|Three high spots round the part. A mic reads the same all the way round; a vee block under an indicator shows them.',
  mate: 'Mate|What the worn part runs in, or what runs on it. The new part has to fit it as it is now.',
  oval: 'Oval|Larger across one way than the other: here the largest diameter of a section less its smallest.',
  pass: 'Pass|One cut along the part. Roughing takes off most of the metal, finishing the rest.',
  play: 'Play|How far two parts can move in each other: the size of the hole less the size of the pin.',
  pushed: 'Pushed off|How far the cut bends the work or the bar away from the tool. That much stays on.',
  radius: 'Reads on the radius|Such a dial takes twice what it shows off the diameter; one that reads on the diameter takes what it shows.',
  release: 'Release|From then on the numbers for cutting stand still. Whatever moves one of them later is marked.',
  route: 'Route|A way to put it right: what is made, mended or bought, with its hours and what it costs.',
  runout: 'Run-out|How far the hand of an indicator goes while the part turns once: it is not round, or not in the middle.',
  safety: 'Factor of safety|How many times over the part bears what it has to.',
  setup: 'Set-up|Everything that is cut while the part stays in one holding.',
  spring: 'Spring pass|The same cut once more with the dial left alone: what was pushed away before comes off now.',
  step: 'Step|A sudden change of size along the part, where what ran on it ended.',
  taper: 'Taper|Thicker at one end than at the other, evenly.',
  touchoff: 'Touch off|The tool is brought up until it just marks the work. From there on the dial knows its size.',
  unsure: '±|How far the true size may be from what was read, 95 times in 100.',
  verdict: 'Verdict|What becomes of a component: used again, cleaned up, mended, made new or bought.',
  wires: 'Three wires|Three equal wires lie in the thread. A mic over them tells the diameter at which its flanks work.',
  zero: 'Zero face|The face from which all depths of a set-up are counted. The dial is set to nought there.',
} as const satisfies Readonly<Record<string, `${string}|${string}`>>;
export type TradeWord = keyof typeof TRADE_WORDS;

/** Which words come up first where; each station explains its own. */
const AT: Readonly<Record<StationId, readonly TradeWord[]>> = {
  receive: ['comeback', 'mate'],
  strip: ['mate', 'land', 'play', 'verdict'],
  measure: ['clock', 'oval', 'lobes', 'taper', 'belly', 'step', 'land', 'unsure', 'runout'],
  decide: ['play', 'allowance', 'interference', 'fit', 'route'],
  draw: ['limits', 'general', 'fit', 'concentration', 'safety', 'runout'],
  plan: ['setup', 'zero', 'ladder', 'blank', 'pass', 'pushed', 'runout', 'release'],
  cut: ['touchoff', 'radius', 'backlash', 'pushed', 'spring', 'zero'],
  prove: ['limits', 'guard', 'unsure', 'wires', 'runout'],
  return: ['play', 'guard', 'comeback'],
};

/** A word of the trade, and what it means. */
export interface ExplainedWord {
  readonly id: TradeWord;
  readonly word: string;
  readonly means: string;
}

/** The words that a station explains, in the order in which they come up there. */
export const wordsAt = (station: StationId): readonly ExplainedWord[] =>
  AT[station].map((id) => {
    const [word, means] = TRADE_WORDS[id].split('|') as [string, string];
    return { id, word, means };
  });
