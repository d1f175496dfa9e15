import type { LengthUnit } from '../../terms/quantity';
import { candidatesBetween, type Candidate } from './candidates';
import { FOREIGN_SHARE, NEAR_SHARE, NONE_SHARE, NONE_SHARE_WORN, TWIN_SHARE } from './judgement.data';
import { likelihood, type NominalEvidence } from './likelihood';

/** A place of the machine with what was measured of it. */
export interface MachinePlace extends NominalEvidence {
  readonly id: string;
  /** Places that were probably drawn to the same size: its mate, another stretch of the same turned size. */
  readonly twinIds: readonly string[];
  /** Places of the same part that only lie near in size: weighed, but no witness to call anything told. */
  readonly nearIds?: readonly string[];
}

export interface Weighed {
  readonly candidate: Candidate;
  readonly probability: number;
}

/** What all places of a machine together say. */
export interface MachineBelief {
  /** Probability that the machine was drawn in inch, all evidence in. */
  readonly inch: number;
  /** Candidates of each place, most probable first; empty where nothing was measured. */
  readonly byPlace: ReadonlyMap<string, readonly Weighed[]>;
  /** Probability that a place was made to none of the listed sizes: a regrind, a maker's own decimal. The candidates share the rest. */
  readonly noneOf: ReadonlyMap<string, number>;
}

/** Something else of the machine that tells its system: a thread's pitch, a key's width. */
export interface UnitWitness {
  readonly unit: LengthUnit;
  /** How many times likelier it is on a machine of that system. */
  readonly times: number;
}

/** How far evidence may stand from a candidate to be looked at, mm. */
const SEARCH_MM = 3;
const UNITS = ['in', 'mm'] as const;
/** Steps in which sizes of no list are tried, and how far from what was read, mm: a land lies close to what was drawn. */
const UNLISTED = { land: { stepMm: 0.01, reachMm: 0.25 }, worn: { stepMm: 0.05, reachMm: SEARCH_MM } } as const;

interface Scored {
  readonly place: MachinePlace;
  readonly scored: readonly { readonly candidate: Candidate; readonly likelihood: number }[];
  readonly evidence: Readonly<Record<LengthUnit, number>>;
  /** Likelihood of sizes that were asked for already, by size and unit. */
  readonly known: Map<number, number>;
}

/** A size and its unit as one number: tenths of a micrometre, inch sizes half a step off. */
const sizeKey = (c: Candidate): number => Math.round(c.sizeMm * 1e4) + (c.unit === 'in' ? 0.5 : 0);

function likelihoodOf(c: Candidate, s: Scored): number {
  const key = sizeKey(c);
  const there = s.known.get(key);
  if (there !== undefined) return there;
  const fresh = likelihood(c, s.place);
  s.known.set(key, fresh);
  return fresh;
}

/** Scores of evidence that was weighed before: typing at one place leaves the others' evidence as it was. */
const keptScores = new Map<string, Omit<Scored, 'place'>>();
const MOST_KEPT = 400;

function score(place: MachinePlace): Scored {
  const { side, use, land, worn } = place;
  const key = JSON.stringify([side, use, land, worn]);
  const there = keptScores.get(key);
  if (there) return { ...there, place };
  const fresh = weigh(place);
  if (keptScores.size >= MOST_KEPT) keptScores.clear();
  keptScores.set(key, fresh);
  return fresh;
}

function weigh(place: MachinePlace): Scored {
  const seen = place.land?.sizeMm ?? place.worn?.sizeMm;
  const candidates = seen === undefined ? [] : candidatesBetween(seen - SEARCH_MM, seen + SEARCH_MM, place.use, place.side);
  const evidence = { mm: 0, in: 0 };
  const known = new Map<number, number>();
  const scored = candidates.map((candidate) => {
    const l = likelihood(candidate, place);
    known.set(sizeKey(candidate), l);
    evidence[candidate.unit] += candidate.weight * l;
    return { candidate, likelihood: l };
  });
  return { place, scored, evidence, known };
}

const foreign = (f: MachinePlace): number => FOREIGN_SHARE[f.use ?? 'any'];
/** Likelihood of a place's evidence when the machine is of that unit. */
const under = (s: Scored, unit: LengthUnit): number =>
  (1 - foreign(s.place)) * s.evidence[unit] + foreign(s.place) * s.evidence[unit === 'in' ? 'mm' : 'in'];

/** Belief in each unit from all places but some, prior in; sums to 1. */
function unitBelief(
  all: readonly Scored[],
  without: ReadonlySet<string>,
  inchPrior: number,
  witnesses: readonly UnitWitness[],
): Record<LengthUnit, number> {
  const logs = { in: Math.log(inchPrior), mm: Math.log(1 - inchPrior) };
  for (const w of witnesses) logs[w.unit] += Math.log(w.times);
  for (const s of all)
    if (s.scored.length && !without.has(s.place.id)) for (const u of UNITS) logs[u] += Math.log(Math.max(under(s, u), 1e-300));
  const top = Math.max(logs.in, logs.mm);
  const [i, m] = [Math.exp(logs.in - top), Math.exp(logs.mm - top)];
  return { in: i / (i + m), mm: m / (i + m) };
}

/** How much better the twin's readings are explained when it was drawn to this size than when it was drawn to anything. */
function twinFactor(c: Candidate, twin: Scored, share: number): number {
  if (twin.scored.length === 0) return 1;
  const anything = (twin.evidence.in + twin.evidence.mm) / 2;
  return share * likelihoodOf(c, twin) + (1 - share) * anything;
}

/** Sizes that a place of no listed size may have been made to, mm, and how far apart they are tried. */
function unlistedSizes(own: Scored, twins: readonly Scored[]): { readonly sizesMm: readonly number[]; readonly stepMm: number } {
  const landMm = [own, ...twins].flatMap((s) => s.place.land?.sizeMm ?? []).at(0);
  const middleMm = landMm ?? own.place.worn!.sizeMm;
  const { stepMm, reachMm } = landMm === undefined ? UNLISTED.worn : UNLISTED.land;
  const steps = Math.round(reachMm / stepMm);
  const middle = Math.round(middleMm / stepMm);
  const sizesMm = Array.from({ length: 2 * steps + 1 }, (_, i) => (middle - steps + i) * stepMm);
  return { sizesMm: sizesMm.filter((mm) => mm > 0), stepMm };
}

/**
 * How likely what was read is where a place was made to a size that stands in no list: over all such sizes, its twins being of the same
 * one as likely as they are of the same listed one.
 */
function unlisted(own: Scored, twins: readonly (readonly [Scored, number])[], belief: Readonly<Record<LengthUnit, number>>): number {
  const read = twins.filter(([t]) => t.scored.length);
  if (read.length === 0) return 1;
  const { sizesMm, stepMm } = unlistedSizes(
    own,
    read.map(([t]) => t),
  );
  let sum = 0;
  for (const sizeMm of sizesMm)
    for (const unit of UNITS) {
      const c: Candidate = { sizeMm, unit, name: '', weight: 0, also: [] };
      sum += belief[unit] * read.reduce((p, [t, share]) => p * twinFactor(c, t, share), likelihoodOf(c, own));
    }
  return sum * stepMm;
}

/**
 * What was it? Joint over all places of a machine: each candidate's prior weight times the likelihood of the place's own
 * readings, of its twins' readings, and of the unit that all other places speak for.
 *
 * @param inchPrior probability that such a machine is inch before anything was measured, in (0, 1)
 */
export function recoverMachine(places: readonly MachinePlace[], inchPrior: number, witnesses: readonly UnitWitness[] = []): MachineBelief {
  const all = places.map(score);
  const byId = new Map(all.map((s) => [s.place.id, s]));
  const byPlace = new Map<string, readonly Weighed[]>();
  const noneOf = new Map<string, number>();
  for (const own of all) {
    const near = own.place.nearIds ?? [];
    const others = (ids: readonly string[], share: number): (readonly [Scored, number])[] =>
      ids.flatMap((id) => (byId.has(id) ? [[byId.get(id)!, share] as const] : []));
    const twins = [...others(own.place.twinIds, TWIN_SHARE), ...others(near, NEAR_SHARE)];
    const belief = unitBelief(all, new Set([own.place.id, ...own.place.twinIds, ...near]), inchPrior, witnesses);
    const outside = foreign(own.place);
    const weighed = own.scored.map(({ candidate, likelihood: l }) => {
      const other = candidate.unit === 'in' ? 'mm' : 'in';
      const unit = (1 - outside) * belief[candidate.unit] + outside * belief[other];
      return { candidate, score: unit * candidate.weight * l * twins.reduce((p, [t, share]) => p * twinFactor(candidate, t, share), 1) };
    });
    const listed = weighed.reduce((s, w) => s + w.score, 0);
    const share = own.place.land ? NONE_SHARE : NONE_SHARE_WORN;
    const none = own.scored.length ? (share / (2 * SEARCH_MM)) * unlisted(own, twins, belief) : 0;
    const total = listed + none;
    noneOf.set(own.place.id, total > 0 ? none / total : 0);
    byPlace.set(
      own.place.id,
      weighed
        .filter((w) => w.score > 0)
        .map((w) => ({ candidate: w.candidate, probability: w.score / total }))
        .sort((p, q) => q.probability - p.probability),
    );
  }
  return { inch: unitBelief(all, new Set(), inchPrior, witnesses).in, byPlace, noneOf };
}
