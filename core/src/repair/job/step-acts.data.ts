import { ACTS } from './acts.data';

/** What kind of act a step is: whether sizes are others after it, and what to mind where it is planned. */
export interface StepActRow {
  readonly name: string;
  /** Sizes that were read before it are read again after it. */
  readonly moves: boolean;
  /** Words that tell it, in what people write. */
  readonly words: RegExp | null;
  readonly caution: string;
}

/** In the order in which they are looked for: a shaft straightened in the press is straightened. */
export const STEP_ACTS = {
  straighten: { name: 'straighten', moves: true, words: /\b(straighten|bend|bent\b)/i, caution: ACTS.bend.caution },
  weld: { name: 'weld', moves: true, words: /\b(weld|braz(e|ing)|build(ing)? up|built up)/i, caution: ACTS.weld.caution },
  'heat-treat': {
    name: 'heat treat',
    moves: true,
    words: /\b(harden|temper(ed|ing)?\b|anneal|nitrid|carburi|heat.?treat|stress.?reliev)/i,
    caution: 'Hot work and quench oil: guard, extinguisher, somebody who does it every day.',
  },
  plate: {
    name: 'have plated',
    moves: true,
    words: /\b(plated|plating|plate it|chrom|galvani|spray(ed|ing)\b)/i,
    caution: 'By a plater: acids and fumes. Hard steel is baked after, or it cracks under load.',
  },
  shrink: {
    name: 'shrink',
    moves: true,
    words: /\b(shr[iu]nk|freez|froze|dry ice)/i,
    caution: 'Hot and deep-cold parts burn: dry gloves, goggles, air the room; it goes home at once or not at all.',
  },
  press: { name: 'press', moves: true, words: /\b(press(ed|es|ing)?|driv(e|en|ing)|drove)\b/i, caution: ACTS['press-in'].caution },
  grind: {
    name: 'have ground',
    moves: true,
    words: /\b(grind|ground|hone|honed)\b/i,
    caution: 'Wheel rung, guarded and trued; eyes covered; dust off.',
  },
  pin: {
    name: 'pin, drill together',
    moves: false,
    words: /\b(pin(ned|s)?|drill(ed)?|ream(ed)?|tap(ped)?)\b/i,
    caution: 'Clamp both parts together before they are drilled; match marks first.',
  },
  other: { name: 'anything else', moves: false, words: null, caution: '' },
} as const satisfies Record<string, StepActRow>;
export type StepAct = keyof typeof STEP_ACTS;
export const STEP_ACT_IDS = Object.keys(STEP_ACTS) as StepAct[];

/** What only closes in on a bore; anything else that moves sizes may move them all. */
export const CLOSES_IN: readonly StepAct[] = ['press', 'shrink'];

/** The act that some words tell: the first whose words are in them. */
export const stepActOf = (what: string): StepAct => STEP_ACT_IDS.find((id) => STEP_ACTS[id].words?.test(what)) ?? 'other';
