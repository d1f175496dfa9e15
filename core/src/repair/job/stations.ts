import { countOf, inSentence } from '../../terms/words';
import { chosenPlan, chosenReturn, chosenRoute, signedCaution } from './choices';
import { handOverHolds } from './hand-over';
import type { BoreFinding } from './bore-finding';
import type { CutFinding } from './cut-finding';
import type { DiagnosisFinding } from './diagnosis-finding';
import type { PlaceFinding } from './place-finding';
import { inHand } from './in-state';
import type { PointOfNoReturn } from './no-return';
import { looseFragments } from './strip-records';
import type { FitFinding } from './fit-finding';
import type { PartFinding } from './part-finding';
import type { ProofFinding } from './proof-finding';
import { isDiameter } from '../../evidence/readings';
import { formatWithUnit, placeWithUnit } from '../../terms/quantity';
import type { JobSheet } from './records';
import type { MovedFigure } from './release';
import { STATIONS, type StationId, type StationStanding } from '../../terms/stations';
import { CAUTIONS, LICENSED_HAZARDS } from './cautions.data';

export interface StandingInputs {
  readonly sheet: JobSheet;
  readonly places: readonly PlaceFinding[];
  readonly noReturn: readonly PointOfNoReturn[];
  readonly diagnosis: DiagnosisFinding;
  readonly fits: readonly FitFinding[];
  readonly bores: readonly BoreFinding[];
  readonly part: PartFinding | null;
  readonly cuts: readonly CutFinding[];
  readonly proofs: readonly ProofFinding[];
  readonly moved: readonly MovedFigure[];
}

type Standing = Omit<StationStanding, 'id'>;
const done: Standing = { state: 'done', waitsFor: '' };
const notNeeded: Standing = { state: 'not-needed', waitsFor: '' };
const underWay = (waitsFor: string): Standing => ({ state: 'under-way', waitsFor });
const notYet = (waitsFor: string): Standing => ({ state: 'not-yet', waitsFor });
const out = (waitsFor: string): Standing => ({ state: 'out', waitsFor });

function receive({ sheet: { job } }: StandingInputs): Standing {
  if (!job.complaint.trim()) return underWay('what happened to it, in the customer’s words');
  return done;
}

function strip({ sheet, places, noReturn }: StandingInputs): Standing {
  const { components } = sheet;
  const held = noReturn.find((p) => p.state === 'held');
  if (held) return out(`the point of no return: ${inSentence(held.componentName)}`);
  if (components.length === 0) return notYet('the components that came apart');
  if (!components.some((c) => c.role === 'worn')) return underWay('the worn part');
  const undecided = components.find((c) => c.verdict === null);
  if (undecided) return underWay(`a verdict on ${inSentence(undecided.name)}`);
  // A hole waits for its shaft only where one is on record that could be in it.
  const round = places.filter((f) => isDiameter(f.place.kind));
  const lonely = round.find(
    (f) =>
      f.component.role === 'mate' &&
      f.place.matesPlaceId === null &&
      round.some((w) => w.component.role === 'worn' && w.place.side !== f.place.side),
  );
  if (places.length === 0) return underWay('the places to measure');
  return lonely ? underWay(`what ${inSentence(lonely.place.name)} fits together with`) : done;
}

function measure({ sheet, places: asFound }: StandingInputs): Standing {
  const places = asFound.flatMap((f) => [f, ...f.after]);
  if (places.length === 0) return notYet('the places to measure');
  const quarrel = places.find((f) => f.disputes.some((d) => d.believed === null));
  if (quarrel) return out(`two instruments disagree on ${inSentence(quarrel.place.name)}`);
  const odd = places.find((f) => f.standOut.suspects.length || f.standOut.repeats.length);
  if (odd) return out(`a reading of ${inSentence(odd.place.name)} that stands out: read it again, or say that it is right`);
  // As it was found a part cannot be read any more once an act has changed it.
  const readable = asFound.filter((f) => inHand(f) === f);
  const left = readable.reduce((s, f) => s + f.open.length, 0);
  if (left === 0) return done;
  const first = readable.find((f) => f.next)!;
  const waits = `${countOf(left, 'more reading')}, next ${inSentence(first.place.name)} at ${placeWithUnit(first.next!.stationMm, sheet.job.unit)}, ${first.next!.clockDeg}°`;
  return places.some((f) => f.readings.length) ? underWay(waits) : notYet(waits);
}

/** Nothing new is made where every verdict is in, none of them is a new part, and nobody drew one all the same. */
const makesNothing = ({ sheet: { components }, part }: StandingInputs): boolean =>
  part === null && components.length > 0 && components.every((c) => c.verdict !== null && c.verdict !== 'remake');

function decide({ sheet, places, fits, bores, diagnosis }: StandingInputs): Standing {
  const mates = [...fits.map((f) => ({ place: f.hole, choice: f.choice })), ...bores.map((b) => ({ place: b.shaft, choice: b.choice }))];
  const open = mates.find((m) => m.choice === null);
  const route = chosenRoute(sheet);
  const awaited = places.some((f) => f.component.role === 'mate' && isDiameter(f.place.kind));
  if (mates.length === 0 && awaited) return notYet('a measured mate');
  if (mates.length === 0 && !places.some((f) => f.readings.length)) return notYet('what was measured');
  if (open) {
    const waitsFor = `the fit of ${inSentence(open.place.place.name)}`;
    return mates.some((m) => m.choice) || route ? underWay(waitsFor) : notYet(waitsFor);
  }
  if (diagnosis.keptAlive) return underWay('what is done against the cause: like for like keeps it alive');
  return route ? done : underWay('the cause and the route');
}

function draw(inputs: StandingInputs): Standing {
  const { part, fits } = inputs;
  if (makesNothing(inputs)) return notNeeded;
  if (!part) return notYet('the new part');
  if (part.problems.length) return out(part.problems[0]!.message);
  if (fits.some((f) => f.target) && !part.segments.some((s) => s.fits.length)) return underWay('which surface fits the mate');
  const [bare] = part.unlimited;
  if (bare) return underWay(`limits for the ${bare.dimension.label}`);
  return done;
}

function plan(inputs: StandingInputs): Standing {
  const { sheet, part } = inputs;
  if (makesNothing(inputs)) return notNeeded;
  if (!part) return notYet('a drawn part');
  return chosenPlan(sheet) ? done : notYet('lathe, bar and tool');
}

function cut(inputs: StandingInputs): Standing {
  const { sheet, cuts, proofs, moved } = inputs;
  if (makesNothing(inputs)) return notNeeded;
  if (moved.length) return out(`${moved.length} released number${moved.length > 1 ? 's' : ''} moved: accept or release again`);
  if (sheet.releases.length === 0) return notYet('the release for cutting');
  const under = cuts.find((c) => c.advice.state === 'under');
  if (under) return out(`${under.segment.segment.name} is ${under.segment.segment.side === 'inside' ? 'over' : 'under'} its limit`);
  const made = (c: CutFinding): boolean =>
    c.advice.state === 'in' || proofs.some((p) => p.dimension.dimension.key === c.segment.segment.id && p.readings.length > 0);
  const open = cuts.find((c) => !made(c));
  if (!open) return done;
  const left = open.cuts.length
    ? `${formatWithUnit(open.advice.leftMm, sheet.job.unit)} to come off ${inSentence(open.segment.segment.name)}`
    : `the first cut on ${inSentence(open.segment.segment.name)}`;
  return underWay(left);
}

function prove(inputs: StandingInputs): Standing {
  const { sheet, proofs } = inputs;
  const caution = LICENSED_HAZARDS.find((h) => sheet.job.hazards.includes(h) && !signedCaution(sheet, h));
  const licensed = caution && underWay(`a licensed person: ${CAUTIONS[caution].what.toLowerCase().replace(/\.$/, '')}`);
  if (makesNothing(inputs)) return licensed ?? notNeeded;
  if (proofs.length === 0 || proofs.every((p) => p.readings.length === 0)) return notYet('readings of the finished part');
  const due = proofs.filter((p) => p.dimension.mustProve);
  const failed = proofs.find((p) => p.verdict === 'out' && !p.signed?.passed);
  if (failed) return out(`${failed.name} is out of its limits`);
  const unmeasured = due.find((p) => p.readings.length === 0);
  if (unmeasured) return underWay(`readings of ${inSentence(unmeasured.name)}`);
  const unsigned = due.find((p) => !p.signed);
  if (unsigned) return underWay(`somebody to pass ${inSentence(unsigned.name)}`);
  return licensed ?? done;
}

function returned({ sheet, proofs }: StandingInputs): Standing {
  const loose = looseFragments(sheet);
  if (loose.length) return out(`a loose piece to account for: ${inSentence(loose[0]!.value.what)}`);
  if (chosenReturn(sheet)) return done;
  const licensed = handOverHolds(sheet, proofs).find((h) => h.code === 'licensed');
  return notYet(licensed ? licensed.message.replace(/\.$/, '').toLowerCase() : 'the report and the hand-over');
}

const RULES: Readonly<Record<StationId, (i: StandingInputs) => Standing>> = {
  receive,
  strip,
  measure,
  decide,
  draw,
  plan,
  cut,
  prove,
  return: returned,
};

/** Where each of the nine stations stands. */
export const standings = (inputs: StandingInputs): StationStanding[] => STATIONS.map((id) => ({ id, ...RULES[id](inputs) }));

/** The one next thing: the first station that is not done, something wrong before anything else; none once it is handed back. */
export function nextMove(all: readonly StationStanding[]): StationStanding | null {
  if (all.find((s) => s.id === 'return')?.state === 'done') return null;
  return all.find((s) => s.state === 'out') ?? all.find((s) => s.state !== 'done' && s.state !== 'not-needed') ?? null;
}
