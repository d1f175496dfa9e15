/** How long a repair holds against what the thing was when new. */
export const LASTS = ['weeks', 'years-fewer', 'as-new', 'longer'] as const;
export type Lasts = (typeof LASTS)[number];

export const LASTS_WORDS: Readonly<Record<Lasts, string>> = {
  weeks: 'weeks to a season',
  'years-fewer': 'a good while, less than new',
  'as-new': 'as new',
  longer: 'longer than it did',
};

/** A way to put something right: how long it holds and why, what can go wrong, and whether it makes the thing as it was. */
export interface RouteRow {
  readonly name: string;
  readonly lasts: Lasts;
  readonly lastsWhy: string;
  /** What can go wrong, and what is lost then. */
  readonly risk: string;
  /** The thing is again as it was: whatever wore it goes on. */
  readonly copies: boolean;
  /** Who else has to decide, or may do it; empty where it is the shop's own. */
  readonly decides: string;
}

const row = (name: string, lasts: Lasts, lastsWhy: string, risk: string, copies = true, decides = ''): RouteRow => ({
  name,
  lasts,
  lastsWhy,
  risk,
  copies,
  decides,
});

export const ROUTES = {
  'new-shaft': row('new shaft', 'as-new', 'new skin and sizes all along', 'what nobody measured is not in the new one'),
  'new-shaft-better': row(
    'new shaft with a shoulder instead of the groove, bigger radius, better steel',
    'longer',
    'the section that broke is stronger',
    'the next weakest part breaks where the overload goes on',
    false,
  ),
  sleeve: row(
    'sleeve',
    'as-new',
    'a new seat, pressed on sound metal',
    'the shaft is thinner under the sleeve: look at its strength first',
  ),
  'build-up': row(
    'build up and regrind',
    'years-fewer',
    'weld leaves a soft, stretched zone where the load is worst',
    'it warps, and cracks at the edge of the weld under a turning load',
    true,
    'somebody who welds shafts; not on steering, lifting or a shaft that must not break',
  ),
  retaining: row(
    'retaining compound, only for small play and low load',
    'weeks',
    'the compound carries the load, and it ages with heat and oil',
    'it lets go and the seat wears on; the next bearing is hard to get off',
  ),
  'bore-sleeve': row(
    'bore and sleeve',
    'as-new',
    'a new seat in sound metal',
    'too little wall is left for the sleeve; the bore runs out of line',
  ),
  bush: row('bush', 'as-new', 'a new seat that can be changed again', 'too little wall is left for the bush'),
  'next-bearing': row(
    'next bearing size',
    'as-new',
    'a new bearing on sound metal',
    'the next size does not fit the mate or is not to be had',
  ),
  'larger-pin': row(
    'larger pin to the smallest size of the hole',
    'years-fewer',
    'the hole stays as worn as it is: the pin carries at its smallest places',
    'it rattles where the hole is widest, and wears on from there',
  ),
  'true-pin': row(
    'true the hole and fit a larger pin',
    'as-new',
    'round, and carrying all round',
    'the hole wanders while it is trued; the next pin is larger again',
  ),
  'bush-hole': row(
    'bush the hole',
    'longer',
    'a bush wears instead of the part, and is changed in an hour',
    'too little wall is left round the bush',
    false,
  ),
  'cure-lock': row('cure the lock-up first', 'as-new', 'nothing new breaks on the old fault', 'the cause is not found', false),
  'weld-ring': row(
    'weld on a thicker turned ring with a new groove',
    'longer',
    'the wall under the groove is thicker than it was',
    'the tube warps and has to be honed; the weld is in the load’s way',
    false,
    'somebody who welds for pressure; a test with oil behind a shield',
  ),
  'new-barrel': row('new barrel', 'as-new', 'new tube all along', 'tube of that size and finish is long to come', true),
  recut: row(
    'recut deeper if the wall allows',
    'years-fewer',
    'the wall under the groove is thinner than it was',
    'the thinner wall breaks out; work it out first',
  ),
  'barrel-end': row('new barrel or end', 'as-new', 'new metal where it broke', 'the joint has to bear what the old one bore'),
  'stone-reseal': row(
    'stone the high spots and reseal (short life, say so)',
    'weeks',
    'the scratch stays in the seal’s way',
    'it leaks again, and the seals are paid for twice',
  ),
  'new-rod': row('new rod', 'as-new', 'new chrome all along', 'thread and spigot must run true to the chrome', true),
  rechrome: row(
    'rechrome by a plater',
    'as-new',
    'new chrome on sound metal',
    'the plater’s wall limit; hydrogen in hard steel; weeks without it',
    true,
    'the plater',
  ),
  'bronze-bush': row(
    'bronze bush, and a new pin if it is scored too',
    'longer',
    'the bush wears instead of the pin',
    'it runs dry again where grease does not reach',
    false,
  ),
  'new-key': row('new key', 'weeks', 'the keyseat stays as wide as it is', 'it works loose again and takes the keyseat with it'),
  'stepped-key': row('wider keyseat and stepped key', 'as-new', 'sound walls on both sides', 'the shaft is weaker by the wider keyseat'),
  'second-keyseat': row(
    'second keyseat elsewhere',
    'as-new',
    'sound metal all along the key',
    'two keyseats weaken the shaft; the hub’s timing changes',
  ),
  'hub-sleeve': row(
    'bore true, press in a sleeve, cut a new keyway in it',
    'as-new',
    'a round bore and square keyway walls in new metal',
    'too little wall is left over the keyway, and it splits there; a thin sleeve turns in the hub unless the key reaches through it',
  ),
  'hub-shaft': row(
    'bore true, and a new shaft with a larger seat',
    'as-new',
    'both are new metal where they touch',
    'the larger seat has to go through what stands before it; the next hub has to be bored as well',
    false,
  ),
  'next-taper': row(
    'ream to the next taper pin',
    'as-new',
    'full bearing in both parts',
    'the holes wore so far that the next does not clean up',
  ),
  'straight-pin': row(
    'drill through to the next straight size, pin with head and split pin',
    'as-new',
    'full bearing in both parts',
    'the shaft is weaker by the larger hole',
  ),
  'wire-insert': row('wire insert', 'as-new', 'steel thread in soft metal', 'the hole is crooked or torn beyond the insert’s tap'),
  'solid-bush': row(
    'solid threaded bush, wall thick enough, locked',
    'longer',
    'thread and metal round it are new',
    'the wall left is too thin, or it turns out with the stud',
    false,
  ),
  'larger-stud': row('larger stud', 'years-fewer', 'new thread in what metal is left', 'too little metal is left round it'),
  'weld-retap': row(
    'weld up and retap',
    'years-fewer',
    'the casting is soft round the weld',
    'the casting cracks or warps',
    true,
    'somebody who welds castings',
  ),
  'file-thread': row('triangular file', 'years-fewer', 'what is crushed stays thinner', 'the nut binds half way on'),
  chase: row(
    'chase with a die or a thread file',
    'as-new',
    'full flanks where metal is left',
    'the die starts crooked and cuts a second thread',
  ),
  straighten: row(
    'straighten in a press, indicator map first',
    'years-fewer',
    'stretched fibres stay in it: it may creep back',
    'it cracks, at once or later: look for cracks after',
  ),
  remake: row('remake if hardened or cracked', 'as-new', 'new metal all along', 'what nobody measured is not in the new one'),
  braze: row(
    'braze or stitch by someone qualified',
    'years-fewer',
    'the joint is weaker than the casting was',
    'it cracks beside the joint',
    true,
    'somebody qualified for it',
  ),
  'steel-part': row('machine a steel replacement', 'longer', 'steel instead of a casting', 'the next weakest part breaks', false),
  standardise: row(
    'standardise so that one wrench fits, and note it',
    'as-new',
    'threads are whole',
    'somebody looks for the old size later',
    false,
  ),
  'right-bolts': row(
    'thicker washers, bolts of the right length',
    'longer',
    'the joint is clamped as it should be',
    'the thread was pulled already',
    false,
  ),
  shims: row('choose shims to a target', 'as-new', 'set as it was meant', 'worn teeth mesh anew and whine', false),
  'new-bearing': row('new bearing, and look at the load', 'as-new', 'a new bearing', 'the load kills it again where nothing is done'),
  'bearing-shaken': row('new bearing, and what shook or struck it', 'as-new', 'a new bearing', 'it is struck again while it is fitted'),
  'bearing-current': row(
    'new bearing, and lead the current past it',
    'as-new',
    'a new bearing',
    'the current finds the next bearing',
    false,
    'an electrician',
  ),
  'new-part': row('new part', 'as-new', 'new metal all along', 'what nobody measured is not in the new one'),
  'strip-rechrome': row(
    'strip and rechrome by a plater',
    'as-new',
    'new chrome on sound metal',
    'pits are deeper than the plater’s wall allows',
    true,
    'the plater',
  ),
  'move-load': row('repair, and move the load in', 'longer', 'the bearing bears less than it did', 'the belt’s line has to follow', false),
  'dress-clamp': row('dress the faces, new bolts, lock them', 'as-new', 'whole faces, clamped', 'the faces are no longer square'),
  rings: row('rings', 'years-fewer', 'the bore stays as tapered as it is', 'it smokes on'),
  hone: row('hone', 'years-fewer', 'round again, and larger', 'the gap of the old rings is larger still'),
  'next-oversize': row(
    'bore to the next oversize',
    'as-new',
    'round and straight, new piston and rings',
    'oversize pistons are not to be had',
  ),
  buy: row(
    'buy it',
    'as-new',
    'as its maker makes it',
    'it is not to be had, or not as it was',
    true,
    'the customer, for the price and the wait',
  ),
} as const satisfies Record<string, RouteRow>;
export type RouteId = keyof typeof ROUTES;
export const ROUTE_IDS = Object.keys(ROUTES) as RouteId[];
