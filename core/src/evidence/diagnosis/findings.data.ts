import type { RouteId } from './routes.data';

/** What a machinist finds on a worn part, its usual causes, and the routes in the order in which people consider them. */
export interface FindingRow {
  readonly name: string;
  /** Causes of the list that it speaks for, by id, with how strongly. */
  readonly causes: Readonly<Record<string, number>>;
  readonly routes: readonly RouteId[];
}

export const FINDINGS = {
  'journal-under': {
    name: 'Journal undersize where a bearing ran',
    causes: { 'spun-inner': 3, 'fit-lost': 2 },
    routes: ['new-shaft', 'sleeve', 'build-up', 'retaining'],
  },
  'housing-worn': {
    name: 'Bearing bore in the housing worn',
    causes: { 'spun-outer': 3, 'fit-lost': 1 },
    routes: ['bore-sleeve', 'bush', 'next-bearing'],
  },
  'tight-then-loose': {
    name: 'Pin loose in its hole, tight then loose as it is turned',
    causes: { 'load-one-way': 2, 'copied-small': 1, misaligned: 1 },
    routes: ['larger-pin', 'true-pin', 'bush-hole'],
  },
  sheared: {
    name: 'Shaft sheared',
    causes: { 'stress-raiser': 3, 'locked-up': 2, overload: 1 },
    routes: ['new-shaft-better', 'cure-lock'],
  },
  'ring-groove-broken': {
    name: 'Ring groove broken out',
    causes: { 'thin-wall': 3, 'pressure-spike': 2 },
    routes: ['weld-ring', 'new-barrel'],
  },
  'ring-groove-ramped': {
    name: 'Ring jumps out: the groove’s outer wall is ramped',
    causes: { 'ramped-wall': 4, 'thin-wall': 1 },
    routes: ['recut', 'barrel-end'],
  },
  'chrome-scored': {
    name: 'Chrome rod scored, dented or pitted in the seal’s path',
    causes: { dirt: 3, blow: 2 },
    routes: ['stone-reseal', 'new-rod', 'rechrome'],
  },
  'bush-worn': {
    name: 'Plain bush worn',
    causes: { dry: 3, dirt: 2, 'load-one-way': 1 },
    routes: ['bronze-bush'],
  },
  'key-stepped': {
    name: 'Key stepped or rolled, keyseat wide',
    causes: { 'loose-key': 3, reversing: 3 },
    routes: ['new-key', 'stepped-key', 'second-keyseat', 'new-shaft'],
  },
  'hub-loose': {
    name: 'Hub, pulley or coupling worn loose on its shaft',
    causes: { 'loose-key': 3, reversing: 2, 'fit-lost': 2 },
    routes: ['hub-sleeve', 'hub-shaft'],
  },
  'taper-hole': {
    name: 'Taper-pin hole worn',
    causes: { 'loose-key': 3, reversing: 1 },
    routes: ['next-taper', 'straight-pin'],
  },
  'thread-stripped': {
    name: 'Thread stripped in a casting',
    causes: { overtightened: 3, 'earlier-repair': 2 },
    routes: ['wire-insert', 'solid-bush', 'larger-stud', 'weld-retap'],
  },
  'threads-crushed': {
    name: 'Threads crushed',
    causes: { blow: 3 },
    routes: ['file-thread', 'chase'],
  },
  bent: {
    name: 'Screw or rod bent',
    causes: { overload: 4, blow: 1 },
    routes: ['straighten', 'remake'],
  },
  'lug-broken': {
    name: 'Casting lug or jaw broken',
    causes: { overtightened: 2, overload: 2 },
    routes: ['braze', 'steel-part'],
  },
  'mixed-fasteners': {
    name: 'Inch and metric fasteners mixed',
    causes: { 'earlier-repair': 4 },
    routes: ['standardise'],
  },
  'washers-dished': {
    name: 'Washers dished, bolts bottoming',
    causes: { overtightened: 2, 'earlier-repair': 2 },
    routes: ['right-bolts'],
  },
  'backlash-wrong': {
    name: 'Gear backlash or preload wrong',
    causes: { 'shims-wrong': 4, 'spun-outer': 1 },
    routes: ['shims'],
  },
  'raceway-flaked': {
    name: 'Raceway flaked or spalled',
    causes: { 'bearing-fatigue': 4, overload: 1 },
    routes: ['new-bearing'],
  },
  'raceway-dents': {
    name: 'Dents in the raceway at the pitch of the balls',
    causes: { 'false-brinelling': 3, 'true-brinelling': 3 },
    routes: ['bearing-shaken'],
  },
  'raceway-washboard': {
    name: 'Fine grey washboard lines in the raceway',
    causes: { 'current-through': 4 },
    routes: ['bearing-current'],
  },
  'rust-pits': { name: 'Rust pits, or chrome lifting', causes: { corrosion: 4 }, routes: ['new-part', 'strip-rechrome'] },
  'one-side-bearing': {
    name: 'Bearing or seat worn on the side of a belt or an overhung wheel',
    causes: { 'overhung-load': 4, misaligned: 1 },
    routes: ['move-load'],
  },
  'clamp-fretted': {
    name: 'Clamped faces fretted, red dust',
    causes: { 'loose-clamp': 4, 'fit-lost': 1 },
    routes: ['dress-clamp'],
  },
  'ring-gap': {
    name: 'Piston ring gap too big, bore tapered',
    causes: { dirt: 2, 'wear-out': 3 },
    routes: ['rings', 'hone', 'next-oversize'],
  },
} as const satisfies Record<string, FindingRow>;
export type FindingId = keyof typeof FINDINGS;
export const FINDING_IDS = Object.keys(FINDINGS) as FindingId[];
