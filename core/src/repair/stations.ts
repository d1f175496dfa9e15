import { chosenPlan, chosenReturn, chosenRoute, signedCaution } from './choices';
import { handOverHolds } from './hand-over';
import type { BoreFinding } from './bore-finding';
import type { CutFinding } from './cut-finding';
import type { DiagnosisFinding } from './diagnosis-finding';
import type { FeatureFinding } from './feature-finding';
import { inHand } from './in-state';
import type { PointOfNoReturn } from './no-return';
import { looseFragments } from './strip-records';
import type { FitFinding } from './fit-finding';
import type { PartFinding } from './part-finding';
import type { ProofFinding } from './proof-finding';
import { isDiameter } from '../readings';
import { formatWithUnit, placeWithUnit } from '../quantity';
import type { JobSheet } from './records';
import type { MovedFigure } from './release';
import { STATIONS, type StationId, type StationStanding } from '../stations';
import { CAUTIONS, LICENSED_HAZARDS } from './cautions.data';

export interface StandingInputs {
  readonly sheet: JobSheet;
  readonly features: readonly FeatureFinding[];
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
const underWay = (waitsFor: string): Standing => ({ state: 'under-way', waitsFor });
const notYet = (waitsFor: string): Standing => ({ state: 'not-yet', waitsFor });
const out = (waitsFor: string): Standing => ({ state: 'out', waitsFor });

function receive({ sheet: { job } }: StandingInputs): Standing {
  if (!job.complaint.trim()) return underWay('what happened to it, in the customer’s words');
  return job.promisedOn ? done : underWay('a promised date');
}

function strip({ sheet, features, noReturn }: StandingInputs): Standing {
  const { components } = sheet;
  const held = noReturn.find((p) => p.state === 'held');
  if (held) return out(`the point of no return: ${held.componentName.toLowerCase()}`);
  if (components.length === 0) return notYet('the components that came apart');
  if (!components.some((c) => c.role === 'worn')) return underWay('the worn part');
  if (!components.some((c) => c.role === 'mate')) return underWay('what the worn part runs in');
  const undecided = components.find((c) => c.verdict === null);
  if (undecided) return underWay(`a verdict on ${undecided.name.toLowerCase()}`);
  const lonely = features.find((f) => f.component.role === 'mate' && isDiameter(f.feature.kind) && f.feature.matesFeatureId === null);
  if (features.length === 0) return underWay('the places to measure');
  return lonely ? underWay(`what ${lonely.feature.name.toLowerCase()} fits together with`) : done;
}

function measure({ sheet, features: asFound }: StandingInputs): Standing {
  const features = asFound.flatMap((f) => [f, ...f.after]);
  if (features.length === 0) return notYet('the places to measure');
  const quarrel = features.find((f) => f.disputes.some((d) => d.believed === null));
  if (quarrel) return out(`two instruments disagree on ${quarrel.feature.name.toLowerCase()}`);
  const odd = features.find((f) => f.standOut.suspects.length || f.standOut.repeats.length);
  if (odd) return out(`a reading of ${odd.feature.name.toLowerCase()} that stands out: read it again, or say that it is right`);
  // As it was found a part cannot be read any more once an act has changed it.
  const readable = asFound.filter((f) => inHand(f) === f);
  const left = readable.reduce((s, f) => s + f.open.length, 0);
  if (left === 0) return done;
  const first = readable.find((f) => f.next)!;
  const waits = `${left} more reading${left > 1 ? 's' : ''}, next ${first.feature.name.toLowerCase()} at ${placeWithUnit(first.next!.stationMm, sheet.job.unit)}, ${first.next!.clockDeg}°`;
  return features.some((f) => f.readings.length) ? underWay(waits) : notYet(waits);
}

function decide({ sheet, fits, bores, diagnosis }: StandingInputs): Standing {
  const mates = [...fits.map((f) => ({ place: f.hole, choice: f.choice })), ...bores.map((b) => ({ place: b.shaft, choice: b.choice }))];
  const open = mates.find((m) => m.choice === null);
  const route = chosenRoute(sheet);
  if (mates.length === 0) return notYet('a measured mate');
  if (open) {
    const waitsFor = `the fit of ${open.place.feature.name.toLowerCase()}`;
    return mates.some((m) => m.choice) || route ? underWay(waitsFor) : notYet(waitsFor);
  }
  if (diagnosis.keptAlive) return underWay('what is done against the cause: like for like keeps it alive');
  return route ? done : underWay('the cause and the route');
}

function draw({ part, fits }: StandingInputs): Standing {
  if (!part) return notYet('the new part');
  if (part.problems.length) return out(part.problems[0]!.message);
  if (fits.some((f) => f.target) && !part.segments.some((s) => s.fits.length)) return underWay('which segment fits the mate');
  return done;
}

function plan({ sheet, part }: StandingInputs): Standing {
  if (!part) return notYet('a drawn part');
  return chosenPlan(sheet) ? done : notYet('lathe, bar and tool');
}

function cut({ sheet, cuts, proofs, moved }: StandingInputs): Standing {
  if (moved.length) return out(`${moved.length} released number${moved.length > 1 ? 's' : ''} moved: accept or release again`);
  if (sheet.releases.length === 0) return notYet('the release for cutting');
  const under = cuts.find((c) => c.advice.state === 'under');
  if (under) return out(`${under.segment.segment.name} is under its limit`);
  const made = (c: CutFinding): boolean =>
    c.advice.state === 'in' || proofs.some((p) => p.segment.segment.id === c.segment.segment.id && p.readings.length > 0);
  const open = cuts.find((c) => !made(c));
  if (!open) return done;
  const left = open.cuts.length
    ? `${formatWithUnit(open.advice.leftMm, sheet.job.unit)} to come off ${open.segment.segment.name.toLowerCase()}`
    : `the first cut on ${open.segment.segment.name.toLowerCase()}`;
  return underWay(left);
}

function prove({ sheet, proofs }: StandingInputs): Standing {
  if (proofs.length === 0 || proofs.every((p) => p.readings.length === 0)) return notYet('readings of the finished part');
  const failed = proofs.find((p) => p.verdict === 'out' && !p.signed?.passed);
  if (failed) return out(`${failed.segment.segment.name} is out of its limits`);
  const unmeasured = proofs.find((p) => p.readings.length === 0);
  if (unmeasured) return underWay(`readings of ${unmeasured.segment.segment.name.toLowerCase()}`);
  const unsigned = proofs.find((p) => !p.signed);
  if (unsigned) return underWay(`somebody to pass ${unsigned.segment.segment.name.toLowerCase()}`);
  const caution = LICENSED_HAZARDS.find((h) => sheet.job.hazards.includes(h) && !signedCaution(sheet, h));
  return caution ? underWay(`a licensed person: ${CAUTIONS[caution].what.toLowerCase().replace(/\.$/, '')}`) : done;
}

function returned({ sheet, proofs }: StandingInputs): Standing {
  const loose = looseFragments(sheet);
  if (loose.length) return out(`a loose piece to account for: ${loose[0]!.value.what.toLowerCase()}`);
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
  return all.find((s) => s.state === 'out') ?? all.find((s) => s.state !== 'done') ?? null;
}
