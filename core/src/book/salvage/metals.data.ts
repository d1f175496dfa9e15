/** What a magnet, a file, a wheel and a cut say of a metal that nobody knows. */
export const METAL_QUESTIONS = {
  magnet: {
    name: 'A magnet',
    answers: { strong: 'holds fast', weak: 'holds weakly', none: 'does not hold' },
  },
  file: {
    name: 'A file',
    answers: { cuts: 'cuts easily', works: 'cuts with a push', hard: 'hardly cuts', skates: 'skates off' },
  },
  spark: {
    name: 'Sparks at the wheel',
    answers: {
      few: 'long straw lines, few forks',
      forks: 'long white lines, many forks',
      bursts: 'white, bursts close together from the wheel on',
      arrows: 'straw lines that end in a loose arrow head',
      'red-fine': 'short, red at the wheel, fine bursts at the end',
      'red-broken': 'faint dark red, broken lines, hardly a fork',
      straw: 'short, straw to white, few or no forks',
      'white-all': 'bright white, fans of bursts all along',
      glare: 'glaring white, short, with forks',
      none: 'none at all',
    },
  },
  chip: {
    name: 'Its chip',
    answers: {
      curls: 'curls',
      crumbles: 'crumbles to grey dust',
      short: 'breaks short',
      gums: 'smears and sticks',
      tough: 'tough, hardens as it is cut',
    },
  },
  colour: {
    name: 'Filed bright it is',
    answers: {
      steel: 'steel grey',
      cast: 'grey, with a cast skin',
      silver: 'silver white, no rust on it',
      light: 'white and light in the hand',
      yellow: 'yellow or red',
    },
  },
} as const satisfies Record<string, { readonly name: string; readonly answers: Readonly<Record<string, string>> }>;
export type MetalQuestion = keyof typeof METAL_QUESTIONS;
export const METAL_QUESTION_IDS = Object.keys(METAL_QUESTIONS) as MetalQuestion[];

/** A kind of metal: how often it lies in a scrap box, how often each answer is given of it, and what is assumed of it. */
export interface MetalKind {
  readonly name: string;
  readonly prior: number;
  /** Of each question, answers with how often they are given; one that does not stand here hardly ever is. */
  readonly says: Readonly<Record<MetalQuestion, Readonly<Record<string, number>>>>;
  /** Of the book: assumed for its strength (the weakest that it may be) and for its cut (the hardest to cut). */
  readonly weakestId: string;
  readonly hardestId: string;
  readonly words: string;
}

/**
 * Sparks as welding and shop handbooks describe them (such as TM 9-237), from memory; how often each answer is given is a judgement: hands,
 * wheels and light differ.
 */
export const METAL_SOURCE = 'spark tables of shop handbooks, weighed by judgement';

export const METAL_KINDS = {
  mild: {
    name: 'Low-carbon steel',
    prior: 30,
    says: {
      magnet: { strong: 98, weak: 2 },
      file: { cuts: 80, works: 20 },
      spark: { few: 88, forks: 12 },
      chip: { curls: 75, gums: 15, short: 10 },
      colour: { steel: 97, silver: 3 },
    },
    weakestId: 'steel-mild',
    hardestId: 'steel-s355',
    words: 'It does not harden. It welds as it is.',
  },
  medium: {
    name: 'Medium-carbon steel',
    prior: 22,
    says: {
      magnet: { strong: 98, weak: 2 },
      file: { cuts: 25, works: 65, hard: 10 },
      spark: { few: 12, forks: 75, bursts: 13 },
      chip: { curls: 80, short: 15, tough: 5 },
      colour: { steel: 98, silver: 2 },
    },
    weakestId: 'steel-c35',
    hardestId: 'steel-c60',
    words: 'It hardens at a weld: preheat, or do not weld it.',
  },
  high: {
    name: 'High-carbon or tool steel',
    prior: 8,
    says: {
      magnet: { strong: 98, weak: 2 },
      file: { works: 45, hard: 40, skates: 15 },
      spark: { forks: 18, bursts: 77, 'red-broken': 5 },
      chip: { curls: 55, short: 35, tough: 10 },
      colour: { steel: 98, silver: 2 },
    },
    weakestId: 'steel-c60',
    hardestId: 'steel-o1',
    words: 'Hard and brittle as it may be: do not weld it, and look at what it broke like.',
  },
  alloy: {
    name: 'Chrome-molybdenum or nickel steel',
    prior: 12,
    says: {
      magnet: { strong: 97, weak: 3 },
      file: { cuts: 5, works: 60, hard: 35 },
      spark: { forks: 35, arrows: 55, few: 10 },
      chip: { curls: 70, tough: 25, short: 5 },
      colour: { steel: 97, silver: 3 },
    },
    weakestId: 'steel-4130',
    hardestId: 'steel-34crnimo6',
    words: 'Soft or tempered, no file tells: take it for no stronger than its worst. It cracks at a cold weld.',
  },
  hardened: {
    name: 'Steel with a hard skin: case or induction hardened, chromed',
    prior: 8,
    says: {
      magnet: { strong: 98, weak: 2 },
      file: { hard: 8, skates: 92 },
      spark: { bursts: 45, forks: 45, few: 10 },
      chip: { curls: 40, short: 40, tough: 20 },
      colour: { steel: 80, silver: 20 },
    },
    weakestId: 'steel-mild',
    hardestId: 'steel-chrome-rod',
    words:
      'Under the skin it may be soft: file again where it was cut. Grind, cut with hard inserts in one go under the skin, or anneal first.',
  },
  grey: {
    name: 'Grey cast iron',
    prior: 7,
    says: {
      magnet: { strong: 95, weak: 5 },
      file: { cuts: 45, works: 45, hard: 10 },
      spark: { 'red-fine': 93, none: 4, 'red-broken': 3 },
      chip: { crumbles: 97, short: 3 },
      colour: { cast: 90, steel: 10 },
    },
    weakestId: 'iron-grey-200',
    hardestId: 'iron-grey',
    words: 'It breaks without bending: never pressed or shrunk into as if it were steel.',
  },
  ductile: {
    name: 'Ductile or malleable iron',
    prior: 3,
    says: {
      magnet: { strong: 97, weak: 3 },
      file: { cuts: 35, works: 60, hard: 5 },
      spark: { 'red-fine': 60, few: 25, forks: 15 },
      chip: { short: 60, crumbles: 25, curls: 15 },
      colour: { cast: 88, steel: 12 },
    },
    weakestId: 'iron-malleable',
    hardestId: 'iron-sg-500',
    words: 'It bends a little before it breaks.',
  },
  austenitic: {
    name: 'Stainless, 304 or 316',
    prior: 6,
    says: {
      magnet: { none: 72, weak: 26, strong: 2 },
      file: { cuts: 20, works: 75, hard: 5 },
      spark: { straw: 82, few: 13, 'red-broken': 5 },
      chip: { tough: 70, curls: 20, gums: 10 },
      colour: { silver: 92, steel: 8 },
    },
    weakestId: 'stainless-304',
    hardestId: 'stainless-316',
    words: 'It hardens as it is rubbed: keep the tool cutting, sharp, with feed.',
  },
  martensitic: {
    name: 'Stainless that a magnet holds, 416 or 420',
    prior: 3,
    says: {
      magnet: { strong: 93, weak: 7 },
      file: { cuts: 10, works: 60, hard: 25, skates: 5 },
      spark: { straw: 25, few: 35, forks: 40 },
      chip: { curls: 50, short: 40, tough: 10 },
      colour: { silver: 88, steel: 12 },
    },
    weakestId: 'stainless-416',
    hardestId: 'stainless-420',
    words: 'It hardens at a weld.',
  },
  'high-speed': {
    name: 'High-speed steel',
    prior: 2,
    says: {
      magnet: { strong: 95, weak: 5 },
      file: { hard: 15, skates: 85 },
      spark: { 'red-broken': 92, straw: 8 },
      chip: { short: 50, tough: 50 },
      colour: { steel: 92, silver: 8 },
    },
    weakestId: 'steel-d2',
    hardestId: 'steel-d2',
    words: 'A tool, not stock: it is ground, and breaks like glass.',
  },
  manganese: {
    name: 'Manganese steel, as of crushers and buckets',
    prior: 1,
    says: {
      magnet: { none: 85, weak: 15 },
      file: { works: 40, hard: 50, skates: 10 },
      spark: { 'white-all': 88, bursts: 12 },
      chip: { tough: 97, short: 3 },
      colour: { steel: 65, cast: 35 },
    },
    weakestId: 'steel-mild',
    hardestId: 'steel-d2',
    words: 'It hardens under the tool until nothing cuts it: grind it, or leave it.',
  },
  copper: {
    name: 'Bronze, brass or copper',
    prior: 5,
    says: {
      magnet: { none: 96, weak: 4 },
      file: { cuts: 75, works: 25 },
      spark: { none: 99, straw: 1 },
      chip: { short: 55, curls: 30, gums: 15 },
      colour: { yellow: 99, steel: 1 },
    },
    weakestId: 'bronze-leaded',
    hardestId: 'bronze-aluminium',
    words:
      'Which bronze it is no file tells: heavy load or speed asks for one that is known. Beryllium copper dust harms lungs: no file where it may be that.',
  },
  aluminium: {
    name: 'Aluminium',
    prior: 6,
    says: {
      magnet: { none: 100 },
      file: { cuts: 97, works: 3 },
      spark: { none: 100 },
      chip: { gums: 40, curls: 45, short: 15 },
      colour: { light: 93, silver: 7 },
    },
    weakestId: 'aluminium-cast',
    hardestId: 'aluminium-7075',
    words: 'Magnesium looks alike and burns: try a few chips away from the machine before it is turned.',
  },
  titanium: {
    name: 'Titanium',
    prior: 1,
    says: {
      magnet: { none: 100 },
      file: { works: 55, hard: 45 },
      spark: { glare: 96, 'white-all': 4 },
      chip: { tough: 65, curls: 35 },
      colour: { steel: 40, silver: 40, light: 20 },
    },
    weakestId: 'titanium-5',
    hardestId: 'titanium-5',
    words: 'Its chips burn and water feeds the fire: keep them few, sharp tool, dry sand at hand.',
  },
} as const satisfies Record<string, MetalKind>;
export type MetalKindId = keyof typeof METAL_KINDS;
export const METAL_KIND_IDS = Object.keys(METAL_KINDS) as MetalKindId[];
