import { formatLength, type LengthUnit } from '../../terms/quantity';
import { INCH_TO_TELL, MOST_LIKELY, TOLD } from './judgement.data';
import type { Candidate } from './candidates';
import type { NominalEvidence } from './likelihood';
import { recoverMachine, type MachineBelief, type MachinePlace, type UnitWitness, type Weighed } from './machine';
import { bandFor, madeBands, type MadeBand } from './made';
import { K95, type Side } from '../readings';

/** A candidate with what the evidence makes of it. */
export interface RankedNominal {
  readonly sizeMm: number;
  readonly unit: LengthUnit;
  readonly name: string;
  readonly probability: number;
  /** What speaks for it; empty far down the list. */
  readonly reasons: readonly string[];
}

/** The one reading more that would tell the first two apart best, and what it should show for each. */
export interface DecidingReading {
  readonly what: 'land' | 'finer' | 'pitch';
  readonly text: string;
  readonly ifFirstMm: number;
  readonly ifSecondMm: number;
}

export interface RecoveredNominal {
  /** Most probable first; their probabilities and that of none sum to 1. */
  readonly ranked: readonly RankedNominal[];
  /** Probability that it was made to none of them. */
  readonly none: number;
  /** False when the evidence cannot tell the first two apart. */
  readonly canTell: boolean;
  readonly note: string;
  /** Null when it is told already. */
  readonly deciding: DecidingReading | null;
}

/** An outside mic in a careful hand, k = 1, mm: what a deciding reading would be taken with. */
const FINE_MM = 0.002;
/** Two sizes nearer than this many of its uncertainties need something else than a finer reading. */
const SEPARABLE = 4;
/** Candidates further down the list are not explained. */
const MOST_REASONED = 8;

const show = (mm: number, unit: LengthUnit): string => formatLength(mm, unit, unit === 'mm' ? 3 : 4);

/** Where an unworn place of that candidate would lie, mm: in the likeliest band that the least worn place leaves, and not beyond that place. */
const madeMiddle = (w: Weighed, e: NominalEvidence): number => {
  const bands = madeBands(w.candidate.sizeMm, w.candidate.unit, e.side, e.use ?? 'any');
  const seen = e.worn?.sizeMm;
  const left = ({ lowMm, highMm }: MadeBand): readonly [number, number] =>
    seen === undefined ? [lowMm, highMm] : e.side === 'outside' ? [Math.max(lowMm, seen), highMm] : [lowMm, Math.min(highMm, seen)];
  const [low, high] = bands.map(left).find(([from, to]) => from <= to) ?? [bands[0]!.lowMm, bands[0]!.highMm];
  return (low + high) / 2;
};

/**
 * What a worn place means if it was made to one of those bands: only what lies beyond all of them is sure to be wear, or to stand where
 * nothing was made.
 */
function wornWords(
  { sizeMm, uMm }: NonNullable<NominalEvidence['worn']>,
  side: Side,
  bands: readonly MadeBand[],
  unit: LengthUnit,
): string {
  const off = (mm: number): string => `${show(mm, unit)} ${unit}`;
  const beyond = bands.map((b) => ({ words: b.words, under: b.lowMm - sizeMm, over: sizeMm - b.highMm }));
  const within = beyond.find((b) => b.under <= K95 * uMm && b.over <= K95 * uMm);
  if (within) return `its least worn place is still within ${within.words}`;
  const least = (by: 'under' | 'over'): number => Math.min(...beyond.map((b) => (b[by] > 0 ? b[by] : Infinity)));
  const [gone, grown] = side === 'outside' ? (['under', 'over'] as const) : (['over', 'under'] as const);
  if (beyond.some((b) => b[gone] > 0)) return `means at least ${off(least(gone))} of wear`;
  return `worn place stands ${off(least(grown))} on the wrong side of it: deposit, burr, or made so?`;
}

function reasonsFor(
  w: Weighed,
  f: MachinePlace,
  twins: readonly MachinePlace[],
  belief: MachineBelief,
  reader: LengthUnit | null,
): string[] {
  const { candidate: c } = w;
  const bands = madeBands(c.sizeMm, c.unit, f.side, f.use ?? 'any');
  const band = bandFor(bands, f.land?.sizeMm ?? null);
  const said: string[] = [];
  const against = (landMm: number, b: typeof band): string => {
    const off = landMm > b.highMm ? landMm - b.highMm : landMm < b.lowMm ? b.lowMm - landMm : 0;
    const where = off === 0 ? `inside ${b.words}` : `${show(off, c.unit)} ${landMm > b.highMm ? 'over' : 'under'} ${b.words}`;
    return `${show(landMm, c.unit)} is ${where} (${show(b.lowMm, c.unit)} to ${show(b.highMm, c.unit)})`;
  };
  if (f.land) said.push(`unworn land ${against(f.land.sizeMm, band)}`);
  const twin = twins.find((t) => t.land);
  if (!f.land && twin) {
    const own = bandFor(madeBands(c.sizeMm, c.unit, twin.side, twin.use ?? 'any'), twin.land!.sizeMm);
    said.push(`the unworn land that belongs to it ${against(twin.land!.sizeMm, own)}`);
  }
  if (f.worn) said.push(wornWords(f.worn, f.side, f.land ? [band] : bands, reader ?? c.unit));
  for (const also of c.also) said.push(`also ${also}`);
  const unit = c.unit === 'in' ? belief.inch : 1 - belief.inch;
  if (unit > INCH_TO_TELL) said.push(`all places together speak for ${c.unit === 'in' ? 'inch' : 'metric'}`);
  else if (unit < 1 - INCH_TO_TELL) said.push(`all places together speak against ${c.unit === 'in' ? 'inch' : 'metric'}`);
  return said;
}

function noteFor(land: 'own' | 'twin' | 'near' | 'none', canTell: boolean, ranked: readonly Weighed[], none: number): string {
  if (ranked.length === 0) return 'Nothing measured yet.';
  if (none > ranked[0]!.probability)
    return 'None of the listed sizes: a regrind, or the maker’s own. Type what it was where a drawing tells.';
  if (canTell) return land === 'own' ? 'The unworn land tells.' : 'The unworn land that belongs to it tells.';
  const [first, second] = ranked;
  const pair = second ? `${first!.candidate.name} and ${second.candidate.name}` : first!.candidate.name;
  if (land === 'near')
    return `A land near it in size speaks for ${first!.candidate.name}. If both were turned to one size, say so at Strip: then it tells.`;
  const sure = first!.probability >= MOST_LIKELY;
  if (land === 'none')
    return sure
      ? `Most likely ${first!.candidate.name}; without an unworn land it is not told: look for a place that never ran.`
      : `Without an unworn land ${pair} cannot be told apart: look for a place that never ran.`;
  return sure ? `Most likely ${first!.candidate.name}, not sure enough to call it told.` : `These readings cannot tell ${pair} apart.`;
}

function decidingFor(
  f: MachinePlace,
  ranked: readonly Weighed[],
  land: 'own' | 'twin' | 'near' | 'none',
  reader: LengthUnit | null,
): DecidingReading | null {
  const [first, second] = ranked;
  if (!first || !second) return null;
  const [ifFirstMm, ifSecondMm] = [madeMiddle(first, f), madeMiddle(second, f)];
  const ifIt = (mm: number, { unit, name }: Candidate): string => `${show(mm, reader ?? unit)} ${reader ?? unit} if ${name}`;
  const pair = `${ifIt(ifFirstMm, first.candidate)}, ${ifIt(ifSecondMm, second.candidate)}`;
  const apart = Math.abs(ifFirstMm - ifSecondMm);
  const differ = first.candidate.unit !== second.candidate.unit;
  const told = { ifFirstMm, ifSecondMm };
  if (land !== 'own' && apart > SEPARABLE * FINE_MM) return { what: 'land', ...told, text: `Measure a place that never ran: ${pair}.` };
  if (land === 'own' && f.land!.uMm > 2 * FINE_MM && apart > SEPARABLE * FINE_MM)
    return { what: 'finer', ...told, text: `Measure the unworn land again with a mic: ${pair}.` };
  return differ
    ? { what: 'pitch', ...told, text: 'Measure the pitch of any original thread of this machine: it tells inch from metric.' }
    : { what: 'land', ...told, text: `Measure the unworn land of what it runs in: ${pair}.` };
}

/**
 * What was each place of a machine? Ranked, with reasons, and with the reading that would decide.
 *
 * @param reader unit in which wear and the deciding reading are told; null: that of each candidate
 */
export function recoverNominals(
  places: readonly MachinePlace[],
  inchPrior: number,
  witnesses: readonly UnitWitness[] = [],
  reader: LengthUnit | null = null,
): { readonly inch: number; readonly byPlace: ReadonlyMap<string, RecoveredNominal> } {
  const belief = recoverMachine(places, inchPrior, witnesses);
  const byPlace = new Map<string, RecoveredNominal>();
  for (const f of places) {
    const weighed = belief.byPlace.get(f.id)!;
    const twins = f.twinIds.flatMap((id) => places.find((o) => o.id === id) ?? []);
    const hasLand = (ids: readonly string[]): boolean => places.some((o) => o.land && ids.includes(o.id));
    const land = f.land ? 'own' : hasLand(f.twinIds) ? 'twin' : hasLand(f.nearIds ?? []) ? 'near' : 'none';
    const none = belief.noneOf.get(f.id) ?? 0;
    const canTell = (land === 'own' || land === 'twin') && weighed.length > 0 && weighed[0]!.probability >= TOLD;
    byPlace.set(f.id, {
      ranked: weighed.map((w, i) => ({
        sizeMm: w.candidate.sizeMm,
        unit: w.candidate.unit,
        name:
          w.candidate.unit === 'mm'
            ? `${w.candidate.name} ${bandFor(madeBands(w.candidate.sizeMm, 'mm', f.side, f.use ?? 'any'), f.land?.sizeMm ?? null).words}`
            : w.candidate.name,
        probability: w.probability,
        reasons: i < MOST_REASONED ? reasonsFor(w, f, twins, belief, reader) : [],
      })),
      none,
      canTell,
      note: noteFor(land, canTell, weighed, none),
      deciding: canTell ? null : decidingFor(f, weighed, land, reader),
    });
  }
  return { inch: belief.inch, byPlace };
}
