/** What somebody of the shop may do there, beside what they are called. Words only, so that the first screen need not load the computation. */
export const ACCESSES = ['owner', 'machinist', 'apprentice', 'desk', 'reader'] as const;
export type Access = (typeof ACCESSES)[number];

export const ACCESS_NAMES: Readonly<Record<Access, string>> = {
  owner: 'Owner',
  machinist: 'Machinist',
  apprentice: 'Apprentice',
  desk: 'Front desk',
  reader: 'Looks on',
};

/** What there is to be allowed, and what it is called in "… may not …". */
export const ACTS = {
  look: 'look at jobs and papers',
  receive: 'take in jobs, photograph and note',
  bench: 'measure, decide, draw and cut',
  release: 'release for cutting, pass what is proved, sign or hand over',
  quote: 'send quotes',
  order: 'change the run order or the hours',
  stores: 'change the crib and the rack',
  shop: 'change the shop, its rates and its house rules',
  accounts: 'say who may do what, or see who did what',
} as const;
export type Act = keyof typeof ACTS;

/** Who may do what: the one table, which server and screen share. */
const MAY: Readonly<Record<Access, readonly Act[]>> = {
  owner: ['look', 'receive', 'bench', 'release', 'quote', 'order', 'stores', 'shop', 'accounts'],
  machinist: ['look', 'receive', 'bench', 'release', 'quote', 'order', 'stores'],
  apprentice: ['look', 'receive', 'bench'],
  desk: ['look', 'receive', 'quote', 'order'],
  reader: ['look'],
};

/** True where somebody of that kind may do it; nobody may do anything. */
export const may = (access: Access | null, act: Act): boolean => access !== null && MAY[access].includes(act);

/** Those who may do it, by their names; always at least the owner. */
export const whoMay = (act: Act): readonly string[] => ACCESSES.filter((a) => may(a, act)).map((a) => ACCESS_NAMES[a]);

const asWhat = (access: Access): string => (access === 'reader' ? 'somebody who looks on' : `“${ACCESS_NAMES[access].toLowerCase()}”`);

/** Why somebody may not do it, and who may: two sentences. */
export const mayNotWords = (access: Access, act: Act): string =>
  `As ${asWhat(access)} you may not ${ACTS[act]}. Who may: ${whoMay(act).join(', ').toLowerCase()}.`;

/** What each of them may do, for people to read. */
export const whatMay = (access: Access): readonly string[] => MAY[access].map((act) => ACTS[act]);

/** Choices of a job that somebody other than the bench makes; by the head of their key. */
const CHOICE_ACTS: Readonly<Record<string, Act>> = {
  returned: 'release',
  caution: 'release',
  accept: 'release',
  'called-off': 'receive',
  comeback: 'receive',
  urgency: 'order',
  'standing-still': 'receive',
};

/**
 * What somebody does who makes a choice of a job.
 *
 * @param key as in `choiceKey`
 */
export function actOfChoice(key: string): Act {
  const head = key.split(':', 1)[0]!;
  return Object.hasOwn(CHOICE_ACTS, head) ? CHOICE_ACTS[head]! : 'bench';
}
