/** What a machinist finds on a worn part, its usual causes, and the routes in the order in which people consider them. */
export interface FindingRow {
  readonly name: string;
  /** Causes of the list that it speaks for, by id, with how strongly. */
  readonly causes: Readonly<Record<string, number>>;
  readonly routes: readonly string[];
}

export const FINDINGS = {
  'journal-under': {
    name: 'Journal undersize where a bearing ran',
    causes: { 'spun-inner': 3, 'fit-lost': 2 },
    routes: ['new shaft', 'sleeve', 'build up and regrind', 'retaining compound, only for small play and low load'],
  },
  'housing-worn': {
    name: 'Bearing bore in the housing worn',
    causes: { 'spun-outer': 3, 'fit-lost': 1 },
    routes: ['bore and sleeve', 'bush', 'next bearing size'],
  },
  'tight-then-loose': {
    name: 'Pin loose in its hole, tight then loose as it is turned',
    causes: { 'load-one-way': 2, 'copied-small': 1, misaligned: 1 },
    routes: ['larger pin to the smallest size of the hole', 'true the hole and fit a larger pin', 'bush the hole'],
  },
  sheared: {
    name: 'Shaft sheared',
    causes: { 'stress-raiser': 3, 'locked-up': 2, overload: 1 },
    routes: ['new shaft with a shoulder instead of the groove, bigger radius, better steel', 'cure the lock-up first'],
  },
  'ring-groove-broken': {
    name: 'Ring groove broken out',
    causes: { 'thin-wall': 3, 'pressure-spike': 2 },
    routes: ['weld on a thicker turned ring with a new groove', 'new barrel'],
  },
  'ring-groove-ramped': {
    name: 'Ring jumps out: the groove’s outer wall is ramped',
    causes: { 'ramped-wall': 4, 'thin-wall': 1 },
    routes: ['recut deeper if the wall allows', 'new barrel or end'],
  },
  'chrome-scored': {
    name: 'Chrome rod scored, dented or pitted in the seal’s path',
    causes: { dirt: 3, blow: 2 },
    routes: ['stone the high spots and reseal (short life, say so)', 'new rod', 'rechrome by a plater'],
  },
  'bush-worn': {
    name: 'Plain bush worn',
    causes: { dry: 3, dirt: 2, 'load-one-way': 1 },
    routes: ['bronze bush, and a new pin if it is scored too'],
  },
  'key-stepped': {
    name: 'Key stepped or rolled, keyseat wide',
    causes: { 'loose-key': 3, reversing: 3 },
    routes: ['new key', 'wider keyseat and stepped key', 'second keyseat elsewhere', 'new shaft'],
  },
  'taper-hole': {
    name: 'Taper-pin hole worn',
    causes: { 'loose-key': 3, reversing: 1 },
    routes: ['ream to the next taper pin', 'drill through to the next straight size, pin with head and split pin'],
  },
  'thread-stripped': {
    name: 'Thread stripped in a casting',
    causes: { overtightened: 3, 'earlier-repair': 2 },
    routes: ['wire insert', 'solid threaded bush, wall thick enough, locked', 'larger stud', 'weld up and retap'],
  },
  'threads-crushed': {
    name: 'Threads crushed',
    causes: { blow: 3 },
    routes: ['triangular file', 'chase with a die or a thread file'],
  },
  bent: {
    name: 'Screw or rod bent',
    causes: { overload: 4, blow: 1 },
    routes: ['straighten in a press, indicator map first', 'remake if hardened or cracked'],
  },
  'lug-broken': {
    name: 'Casting lug or jaw broken',
    causes: { overtightened: 2, overload: 2 },
    routes: ['braze or stitch by someone qualified', 'machine a steel replacement'],
  },
  'mixed-fasteners': {
    name: 'Inch and metric fasteners mixed',
    causes: { 'earlier-repair': 4 },
    routes: ['standardise so that one wrench fits, and note it'],
  },
  'washers-dished': {
    name: 'Washers dished, bolts bottoming',
    causes: { overtightened: 2, 'earlier-repair': 2 },
    routes: ['thicker washers, bolts of the right length'],
  },
  'backlash-wrong': {
    name: 'Gear backlash or preload wrong',
    causes: { 'shims-wrong': 4, 'spun-outer': 1 },
    routes: ['choose shims to a target'],
  },
  'raceway-flaked': {
    name: 'Raceway flaked or spalled',
    causes: { 'bearing-fatigue': 4, overload: 1 },
    routes: ['new bearing, and look at the load'],
  },
  'raceway-dents': {
    name: 'Dents in the raceway at the pitch of the balls',
    causes: { 'false-brinelling': 3, 'true-brinelling': 3 },
    routes: ['new bearing, and what shook or struck it'],
  },
  'raceway-washboard': {
    name: 'Fine grey washboard lines in the raceway',
    causes: { 'current-through': 4 },
    routes: ['new bearing, and lead the current past it'],
  },
  'rust-pits': { name: 'Rust pits, or chrome lifting', causes: { corrosion: 4 }, routes: ['new part', 'strip and rechrome by a plater'] },
  'one-side-bearing': {
    name: 'Bearing or seat worn on the side of a belt or an overhung wheel',
    causes: { 'overhung-load': 4, misaligned: 1 },
    routes: ['repair, and move the load in'],
  },
  'clamp-fretted': {
    name: 'Clamped faces fretted, red dust',
    causes: { 'loose-clamp': 4, 'fit-lost': 1 },
    routes: ['dress the faces, new bolts, lock them'],
  },
  'ring-gap': {
    name: 'Piston ring gap too big, bore tapered',
    causes: { dirt: 2, 'wear-out': 3 },
    routes: ['rings', 'hone', 'bore to the next oversize'],
  },
} as const satisfies Record<string, FindingRow>;
export type FindingId = keyof typeof FINDINGS;
export const FINDING_IDS = Object.keys(FINDINGS) as FindingId[];
