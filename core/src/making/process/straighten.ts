/** A round bar on two supports that a press pushes down between them. */
export interface Pressed {
  readonly diameterMm: number;
  /** From the press to either support, mm. */
  readonly leftMm: number;
  readonly rightMm: number;
}

/**
 * How far it is pushed down before anything of it stays, mm: the surface under the press begins to yield at M = sigma pi D³/32, and a beam on two
 * supports sinks by 2 sigma a b/3 E D then (P a² b²/3 E I L with M = P a b/L).
 */
export const elasticMm = ({ diameterMm, leftMm, rightMm }: Pressed, youngMpa: number, yieldMpa: number): number =>
  (2 * yieldMpa * leftMm * rightMm) / (3 * youngMpa * diameterMm);

/** What the press pushes with then, N: P = M L/a b. */
export const yieldForceN = ({ diameterMm, leftMm, rightMm }: Pressed, yieldMpa: number): number =>
  (yieldMpa * Math.PI * diameterMm ** 3 * (leftMm + rightMm)) / (32 * leftMm * rightMm);

/** A round section all of which yields bears so much more than one that just begins to: 16/3 pi. */
export const PLASTIC_ROUND = 16 / (3 * Math.PI);

/**
 * Moment of a round section that yields down to `core` of its radius, as a multiple of the moment at which it begins to: elastic perfectly plastic,
 * the strips integrated.
 *
 * @param core half height of what is still elastic, as a share of the radius, 0 to 1
 */
function momentRatio(core: number): number {
  if (core <= 0) return PLASTIC_ROUND;
  const root = Math.sqrt(Math.max(1 - core * core, 0));
  const elastic = (4 / core) * (Math.asin(core) / 8 - (core / 8) * root * (1 - 2 * core * core));
  return (elastic + (4 / 3) * root ** 3) / (Math.PI / 4);
}

/** Curvature under a moment, both as multiples of what they are when yielding begins. */
function curvatureRatio(moment: number): number {
  if (moment <= 1) return moment;
  let [low, high] = [0, 1];
  for (let i = 0; i < 50; i++) {
    const core = (low + high) / 2;
    if (momentRatio(core) > moment) low = core;
    else high = core;
  }
  return 1 / high;
}

const STRIPS = 200;

/** How far it is pushed for a moment under the press: the curvatures added up from a support to the press, as a multiple of `elasticMm`. */
function pushRatio(moment: number): number {
  let sum = 0;
  for (let i = 0; i < STRIPS; i++) {
    const at = (i + 0.5) / STRIPS;
    sum += curvatureRatio(moment * at) * at;
  }
  return (3 * sum) / STRIPS;
}

/** What stays of a push for moments up to the plastic one, closer together towards it; worked out once. */
let stays: readonly { readonly moment: number; readonly set: number }[] | null = null;
const MOMENTS = 60;

function staysTable(): NonNullable<typeof stays> {
  stays ??= Array.from({ length: MOMENTS + 1 }, (_, i) => {
    const moment = 1 + (PLASTIC_ROUND * (1 - 1e-6) - 1) * (1 - (1 - i / MOMENTS) ** 3);
    return { moment, set: pushRatio(moment) - moment };
  });
  return stays;
}

/** The moment under the press at which so much of the push stays; pushes and what stays as multiples of `elasticMm`. */
function momentLeaving(set: number): number {
  const table = staysTable();
  const next = table.findIndex((t) => t.set >= set);
  if (next < 0) return table.at(-1)!.moment;
  const [p, q] = [table[Math.max(next - 1, 0)]!, table[next]!];
  return q.set === p.set ? q.moment : p.moment + ((set - p.set) / (q.set - p.set)) * (q.moment - p.moment);
}

/** How far to push so that so much stays, and the strain of the surface under the press. */
export interface PushFor {
  readonly pushMm: number;
  /** As a multiple of the strain at which it begins to yield. */
  readonly strainTimes: number;
}

/**
 * The push after which a straight bar that yields without hardening keeps a bend; one that hardens keeps less, so this never says too much.
 *
 * @param setMm what is to stay, mm
 * @param elastic push up to which nothing stays, mm
 */
export function pushForSet(setMm: number, elastic: number): PushFor {
  if (setMm <= 0) return { pushMm: elastic, strainTimes: 1 };
  const moment = momentLeaving(setMm / elastic);
  return { pushMm: elastic * moment + setMm, strainTimes: curvatureRatio(moment) };
}

/** One push: the bow before and after it, and how far down it went between them, mm. */
export interface Push {
  readonly beforeMm: number;
  readonly pushedMm: number;
  readonly afterMm: number;
}

export type PressState = 'press' | 'straight' | 'over';

/** What to do next at the press. */
export interface PressAdvice {
  readonly state: PressState;
  /** How far down from where it lies free, mm; null where nothing is pressed, or nothing is known to begin with. */
  readonly pushMm: number | null;
  /** What is expected to stay of it, mm. */
  readonly staysMm: number;
  readonly strainTimes: number;
}

/** What a push must leave to count as having left anything, mm: an indicator shows no less for sure. Ours. */
const STAYS_MM = 0.015;
/** A push that left nothing to be seen may have left a little: it began to yield here at the earliest, as a share of that push. Ours. */
const BEGAN_BY_THEN = 0.85;
/** Bent back the other way metal yields sooner: to begin with this share of the push that it sprang back from. Ours. */
const OTHER_WAY = 0.6;

/** The pushes since it was last bent the way it is bent now. */
function thisWay(pushes: readonly Push[], over: boolean): readonly Push[] {
  const turned = pushes.findLastIndex((p) => p.beforeMm < 0 !== over);
  return pushes.slice(turned + 1);
}

/** What springs back of a push: all but what stayed. */
const sprangBackMm = ({ beforeMm, pushedMm, afterMm }: Push): number => pushedMm - Math.abs(beforeMm - afterMm);

/** Never more beyond what springs back than so many times what is to stay, and never quite all that the last push asks for. Ours. */
const BEYOND_MOST = 2;
const BEYOND_SHARE = 0.8;

/** How much further it goes than what is to stay, where of the push before only a share of that stayed: metal that hardens gives less and less. */
function beyondTimes({ beforeMm, afterMm }: Push): number {
  const stayed = Math.abs(beforeMm - afterMm) / Math.abs(beforeMm);
  return Math.min(Math.max(BEYOND_SHARE / Math.max(stayed, 1e-9), 1), BEYOND_MOST);
}

/**
 * The next push of a bar that is straightened cold. What sprang back of the push before springs back again, and what is pushed beyond stays at most:
 * so it comes up to straight from one side.
 *
 * @param bowMm bow as found, mm: half of what an indicator shows
 * @param pushes oldest first
 * @param elastic by the book's least yield, mm; null where the metal is not known
 * @param mostMm most bow that may stay, mm
 */
export function nextPush(bowMm: number, pushes: readonly Push[], elastic: number | null, mostMm: number): PressAdvice {
  const nowMm = pushes.at(-1)?.afterMm ?? bowMm;
  const left = Math.abs(nowMm);
  const over = nowMm < 0;
  if (left <= mostMm) return { state: 'straight', pushMm: null, staysMm: 0, strainTimes: 0 };
  const state = over ? 'over' : 'press';
  const own = thisWay(pushes, over);
  const last = own.at(-1);
  if (!last) {
    const before = pushes.length ? OTHER_WAY * Math.max(...pushes.map(sprangBackMm)) : elastic;
    return { state, pushMm: before, staysMm: 0, strainTimes: 1 };
  }
  const springs = Math.max(...own.map(sprangBackMm));
  const stayed = own.filter((p) => Math.abs(p.beforeMm - p.afterMm) > STAYS_MM).length;
  if (stayed === 0) {
    const { pushMm, strainTimes } = pushForSet(left, BEGAN_BY_THEN * springs);
    return { state, pushMm: Math.max(pushMm, springs + left), staysMm: left, strainTimes };
  }
  // The first that left something began before it yielded: what stayed of it says little of the next.
  const beyondMm = left * (stayed > 1 ? beyondTimes(last) : 1);
  return { state, pushMm: springs + beyondMm, staysMm: left, strainTimes: (springs + beyondMm) / (elastic ?? springs) };
}
