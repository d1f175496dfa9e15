import { bad, good, type Outcome } from '../../terms/outcome';
import { THREADS } from './all-threads';
import { minorMm, type Thread } from './thread';

/** A thread with how near it is to what was measured. */
export interface ThreadMatch {
  readonly thread: Thread;
  /** Measured less expected: crest diameter and pitch, mm. */
  readonly diameterOffMm: number;
  readonly pitchOffMm: number;
  /** 0 is exact; over 1 it is not this thread. */
  readonly distance: number;
}

export interface ThreadAnswer {
  /** Threads that what was measured can be, nearest first, common before rare. */
  readonly matches: readonly ThreadMatch[];
  /** The two nearest when none matches. */
  readonly nearest: readonly ThreadMatch[];
  readonly words: string;
}

/** How far a pitch gauge or a length over some crests leads astray, as a share of the pitch. */
const PITCH_SHARE = 0.015;
/**
 * How far a crest lies from basic, mm: inward by allowance and tolerance (0.19 P^2/3 outside as 6g and 2A have it, 0.25 P^0.7
 * inside as 6H) and a little wear; outward hardly at all.
 */
const INWARD_MOST_MM = {
  outside: (pitchMm: number): number => 0.19 * pitchMm ** (2 / 3) + 0.07,
  inside: (pitchMm: number): number => 0.25 * pitchMm ** 0.7 + 0.04,
} as const;
const outwardMostMm = (pitchMm: number): number => 0.02 + 0.03 * pitchMm;

/** The crest that a caliper reaches: major of an outside thread, minor of an inside one. */
const crestMm = (t: Thread, side: 'outside' | 'inside'): number => (side === 'outside' ? t.majorMm : minorMm(t));

function matchOf(thread: Thread, side: 'outside' | 'inside', diameterMm: number, pitchMm: number): ThreadMatch {
  const diameterOffMm = diameterMm - crestMm(thread, side);
  const pitchOffMm = pitchMm - thread.pitchMm;
  const inward = side === 'outside' ? -diameterOffMm : diameterOffMm;
  const [most, least] = [INWARD_MOST_MM[side](thread.pitchMm), -outwardMostMm(thread.pitchMm)];
  const crest = (inward - (most + least) / 2) / ((most - least) / 2);
  return { thread, diameterOffMm, pitchOffMm, distance: Math.max(Math.abs(crest), Math.abs(pitchOffMm) / (PITCH_SHARE * thread.pitchMm)) };
}

const byPitch = [...THREADS].sort((a, b) => a.pitchMm - b.pitchMm);

/** Threads whose pitch is near enough that they can match at all. */
function nearPitch(pitchMm: number): Thread[] {
  const [least, most] = [pitchMm / (1 + PITCH_SHARE), pitchMm / (1 - PITCH_SHARE)];
  let [low, high] = [0, byPitch.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (byPitch[middle]!.pitchMm < least) low = middle + 1;
    else high = middle;
  }
  let end = low;
  while (end < byPitch.length && byPitch[end]!.pitchMm <= most) end++;
  return byPitch.slice(low, end);
}

function nearestTwo(all: readonly ThreadMatch[]): ThreadMatch[] {
  let [first, second] = [all[0]!, all[1]!];
  if (second.distance < first.distance) [first, second] = [second, first];
  for (const m of all.slice(2)) {
    if (m.distance < first.distance) [first, second] = [m, first];
    else if (m.distance < second.distance) second = m;
  }
  return [first, second];
}

/** Nearer by a quarter of what is allowed counts as equal; then the common one stands first. */
const order = (a: ThreadMatch, b: ThreadMatch): number =>
  Math.round(a.distance * 4) - Math.round(b.distance * 4) || Number(b.thread.common) - Number(a.thread.common) || a.distance - b.distance;

function wordsFor(matches: readonly ThreadMatch[], nearest: readonly ThreadMatch[]): string {
  const [best] = matches;
  if (!best)
    return `Not a standard pair. Nearest: ${nearest.map((n) => n.thread.name).join(' and ')}. Measure again, or it was made specially.`;
  const rare = best.thread.common ? '' : ' It is a rare one: be sure before ordering.';
  const angles = new Set(matches.map((m) => m.thread.form.angleDeg));
  const angle = angles.size > 1 ? ' Hold a profile gauge to it: the angle decides.' : '';
  return `${best.thread.name}${
    matches.length > 1
      ? `, or ${matches
          .slice(1, 4)
          .map((m) => m.thread.name)
          .join(', ')}`
      : ''
  }.${rare}${angle}`;
}

/**
 * Which thread is it? From the crest diameter and pitch as measured.
 *
 * @param side outside: major over the crests; inside: minor between the crests
 * @example identifyThread('outside', 9.46, 1.058) // 3/8-24 UNF
 */
export function identifyThread(side: 'outside' | 'inside', diameterMm: number, pitchMm: number): Outcome<ThreadAnswer> {
  if (!(diameterMm > 0)) return bad('diameter', 'Measure over the crests first.', 'diameterMm');
  if (!(pitchMm > 0 && pitchMm < diameterMm)) return bad('pitch', 'The pitch must lie between 0 and the diameter.', 'pitchMm');
  const matches = nearPitch(pitchMm)
    .map((t) => matchOf(t, side, diameterMm, pitchMm))
    .filter((m) => m.distance <= 1)
    .sort(order);
  const nearest = matches.length ? [] : nearestTwo(THREADS.map((t) => matchOf(t, side, diameterMm, pitchMm)));
  return good({ matches, nearest, words: wordsFor(matches, nearest) });
}

/** A rare thread counts as so much further off, as a share of the diameter. */
const RARE_COUNTS_AS = 0.05;

/** The nearest threads of the other system, for a conversion, with what changes. */
export function convertThread(t: Thread, how = 3): ThreadMatch[] {
  const other = t.unit === 'in' ? ['metric', 'trapezoidal'] : ['unified', 'acme'];
  const change = (m: ThreadMatch): number =>
    Math.abs(m.diameterOffMm) / t.majorMm + 0.25 * (Math.abs(m.pitchOffMm) / t.pitchMm) + (m.thread.common ? 0 : RARE_COUNTS_AS);
  return THREADS.filter((x) => other.includes(x.system) && x.form.angleDeg < 45 === t.form.angleDeg < 45)
    .map((x) => matchOf(x, 'outside', t.majorMm, t.pitchMm))
    .sort((a, b) => change(a) - change(b))
    .slice(0, how);
}

/** What changes when a thread becomes another one, in words. */
export function conversionWords(from: Thread, to: Thread): string {
  const percent = (a: number, b: number): string => `${b >= a ? '+' : '-'}${Math.abs((100 * (b - a)) / a).toFixed(1)} %`;
  const bigger =
    to.majorMm > from.majorMm ? 'Its hole must be opened or bushed.' : 'The old tapped hole is too big for it: bush or insert.';
  return `Diameter ${percent(from.majorMm, to.majorMm)}, pitch ${percent(from.pitchMm, to.pitchMm)}. ${bigger} Mate and spanner change too.`;
}
