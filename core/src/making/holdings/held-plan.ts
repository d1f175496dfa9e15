import { placeWithUnit } from '../../terms/quantity';
import { inSentence } from '../../terms/words';
import { good, type Outcome } from '../../terms/outcome';
import type { Lathe } from '../setups';
import { afterTurning } from './after-turning';
import { KEYS, withCame, type Act } from './act';
import { actsFor, type Cut } from './cut';
import { lacks } from './holding';
import { predictedRunOut, type PredictedRunOut } from './run-out';
import { doing, type SetUp } from './set-up';
import { inOrder, outOfOrder, type OutOfOrder } from './order';
import { turnAct } from './turning';
import { HELD_BY, WAYS, type WayId } from './ways';
import type { Work } from './work';

/** Something that somebody cuts in another holding than the way has it. */
export interface MovedCut {
  readonly id: string;
  /** Number of the set-up. */
  readonly to: number;
}

/** The acts of one set-up as somebody put them. */
export interface ActOrder {
  /** Number of the set-up. */
  readonly setUp: number;
  /** Keys of its acts. */
  readonly keys: readonly string[];
}

/** Orders of set-ups with one of them put anew; without keys it is the usual one again. */
export function ordersWith(orders: readonly ActOrder[], setUp: number, keys: readonly string[]): ActOrder[] {
  const others = orders.filter((o) => o.setUp !== setUp);
  return keys.length ? [...others, { setUp, keys }] : others;
}

/** What a person changed of a way. */
export interface ByHand {
  readonly moved?: readonly MovedCut[] | undefined;
  readonly order?: readonly ActOrder[] | undefined;
}

/** A run-out that the drawing asks for, and what the holdings give. */
export interface AskedRunOut {
  /** Of the relation that asks. */
  readonly id: string;
  readonly words: string;
  readonly wantedMm: number;
  /** Null where the holdings tell nothing of it. */
  readonly predicted: PredictedRunOut | null;
  readonly state: 'fits' | 'close' | 'out' | 'unknown';
}

/** One way to hold the part from beginning to end. */
export interface HeldPlan {
  readonly way: WayId;
  readonly setUps: readonly SetUp[];
  readonly asked: readonly AskedRunOut[];
  /** The worst that any two surfaces, turned or left as bought, run out to each other; null where there is but one, or nothing ties them. */
  readonly worst: PredictedRunOut | null;
  /** Why it cannot be done so on this lathe, or as it was changed. */
  readonly cannot: readonly string[];
  readonly outOfOrder: readonly OutOfOrder[];
  /** To set up all of it once, min. */
  readonly settingMin: number;
}

/** Kinds of a relation that an indicator shows while the part turns. */
const TURNING = ['run-out', 'face-run-out'] as const;

function askedRunOuts({ part }: Work, setUps: readonly SetUp[], lathe: Lathe): AskedRunOut[] {
  const nameOf = (id: string): string =>
    inSentence([...part.outside, ...part.bores.flatMap((b) => b.surfaces), ...part.features].find((x) => x.id === id)?.name ?? '');
  return part.features.flatMap((f): AskedRunOut[] => {
    if (f.kind !== 'relation' || !TURNING.some((k) => k === f.which)) return [];
    const predicted = predictedRunOut(f.of || f.on, f.to, setUps, lathe);
    const state = !predicted ? 'unknown' : predicted.mostMm <= f.mm + 1e-9 ? 'fits' : predicted.usualMm <= f.mm ? 'close' : 'out';
    return [{ id: f.id, words: `${nameOf(f.of || f.on)} to ${nameOf(f.to)}`, wantedMm: f.mm, predicted, state }];
  });
}

function worstOf({ part, asBought }: Work, setUps: readonly SetUp[], lathe: Lathe): PredictedRunOut | null {
  const surfaces = new Set([...part.outside, ...part.bores.flatMap((b) => b.surfaces)].map((s) => s.id));
  // All that stays of a bar is one round: what is held on stands for it.
  const heldOn = setUps.flatMap((s) => (s.locates.on === 'surface' && asBought.has(s.locates.id) ? [s.locates.id] : []));
  const bought = [...heldOn, ...asBought].slice(0, 1);
  // What is cut in one holding runs out alike to all else: two of each stand for the rest.
  const ids = [...bought, ...setUps.flatMap((s) => s.cuts.filter((id) => surfaces.has(id)).slice(0, 2))];
  const pairs = ids.flatMap((a, i) => ids.slice(i + 1).map((b) => predictedRunOut(a, b, setUps, lathe)));
  if (pairs.some((p) => p === null)) return null;
  return pairs.reduce((worst, p) => (worst === null || p!.mostMm > worst.mostMm ? p : worst), null);
}

/** What stands in the way on this lathe. */
function notOnThis(way: WayId, { lathe, lengthMm, barMm, unit }: Work): string[] {
  return [
    ...HELD_BY[way].map((k) => lacks(k, lathe)).filter(Boolean),
    ...(WAYS[way].cutsOff || lengthMm <= lathe.centresMm
      ? []
      : [`It is ${placeWithUnit(lengthMm, unit)} long and ${lathe.name} takes ${placeWithUnit(lathe.centresMm, unit)} between centres.`]),
    ...(way === 'mandrel' && lengthMm > 6 * barMm ? ['It is too long for its thickness to be turned on a mandrel.'] : []),
  ];
}

/** Cuts that somebody moved, put where they said. */
function withMoves(setUps: readonly SetUp[], cuts: readonly Cut[], moved: readonly MovedCut[]): SetUp[] {
  const goes = new Map(
    moved.filter((m) => setUps.some((s) => s.number === m.to) && cuts.some((c) => c.id === m.id)).map((m) => [m.id, m.to]),
  );
  return setUps.map((s): SetUp => {
    const came = cuts.filter((c) => goes.get(c.id) === s.number && !s.cuts.includes(c.id));
    const left = cuts.filter((c) => s.cuts.includes(c.id) && goes.has(c.id) && goes.get(c.id) !== s.number).map((c) => c.id);
    if (!came.length && !left.length) return s;
    // An act of which anything stays, stays; what is no part of it any more is said.
    const stays = s.acts.flatMap((a): Act[] => {
      const rest = a.cuts.filter((id) => !left.includes(id));
      if (a.cuts.length === rest.length) return [a];
      if (!rest.length && a.key !== KEYS.edges) return [];
      const gone = cuts.filter((c) => a.cuts.includes(c.id) && left.includes(c.id)).map((c) => inSentence(c.name));
      return [{ ...a, cuts: rest, words: `${a.words}, but for ${gone.join(', ')}` }];
    });
    const acts = withCame(
      stays,
      came.flatMap((c) => (c.acts.length ? actsFor(c) : [turnAct(c)])),
    );
    return { ...s, ...doing(acts, [...s.cuts.filter((id) => !left.includes(id)), ...came.map((c) => c.id)]) };
  });
}

/** Where a holding is on what is not cut before it. */
const heldTooSoon = (setUps: readonly SetUp[], cuts: readonly Cut[]): string[] =>
  setUps.flatMap((s) => {
    const { locates } = s;
    if (locates.on !== 'surface') return [];
    const cutIn = setUps.find((o) => o.cuts.includes(locates.id));
    const name = inSentence(cuts.find((c) => c.id === locates.id)?.name ?? '');
    return cutIn && cutIn.number >= s.number ? [`Set-up ${s.number} holds on ${name}, which is not cut before it.`] : [];
  });

/** A centre holds up what stands far out, but not while its end is bored. */
const boredStandingOut = (setUps: readonly SetUp[], { cuts, unit }: Work): string[] =>
  setUps
    .filter((s) => s.support !== 'none' && s.cuts.some((id) => cuts.some((c) => c.id === id && c.side === 'inside' && c.by === 'lathe')))
    .map(
      (s) =>
        `In set-up ${s.number} it stands ${placeWithUnit(s.overhangMm, unit)} out while it is bored, and no centre can hold its end then: the fixed steady can.`,
    );

/** A way worked out for this part and lathe; why not, where the part cannot be held so at all. */
export function heldPlan(way: WayId, work: Work, { moved = [], order = [] }: ByHand = {}): Outcome<HeldPlan> {
  const turning = WAYS[way].plan(work);
  if (!turning.ok) return turning;
  const numbered = [...turning.value, ...afterTurning(work)].map((s, i): SetUp => ({ ...s, number: i + 1 }));
  const setUps = withMoves(numbered, work.cuts, moved).map((s) => inOrder(s, order.find((o) => o.setUp === s.number)?.keys ?? []));
  return good({
    way,
    setUps,
    asked: askedRunOuts(work, setUps, work.lathe),
    worst: worstOf(work, setUps, work.lathe),
    cannot: [...notOnThis(way, work), ...heldTooSoon(setUps, work.cuts), ...boredStandingOut(setUps, work)],
    outOfOrder: outOfOrder(setUps, work),
    settingMin: setUps.reduce((sum, s) => sum + s.settingMin, 0),
  });
}
