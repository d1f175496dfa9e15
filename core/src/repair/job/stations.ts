import { countOf, inSentence } from '../../terms/words';
import { chosenReturn, chosenRoute, signedCaution } from './choices';
import { heldAssembled, wrongAssembled, type AssembledCheck } from './assembled';
import type { HandOverHold } from './hand-over';
import type { BoreFinding } from './bore-finding';
import { consideredRoutes } from './considered';
import type { DiagnosisFinding } from './diagnosis-finding';
import type { PlaceFinding } from './place-finding';
import { inHand } from './in-state';
import type { PointOfNoReturn } from './no-return';
import { quoteWaits } from './quote';
import { looseFragments } from './strip-records';
import type { FitFinding } from './fit-finding';
import type { ItemFinding } from './item-finding';
import { done, notYet, out, overItems, underWay, type Standing } from './item-stations';
import { isDiameter } from '../../evidence/readings';
import { placeWithUnit } from '../../terms/quantity';
import type { JobSheet } from './records';
import { STATIONS, type StationId, type StationStanding } from '../../terms/stations';
import { CAUTIONS, LICENSED_HAZARDS } from './cautions.data';

export interface StandingInputs {
  readonly sheet: JobSheet;
  readonly places: readonly PlaceFinding[];
  readonly noReturn: readonly PointOfNoReturn[];
  readonly diagnosis: DiagnosisFinding;
  readonly fits: readonly FitFinding[];
  readonly bores: readonly BoreFinding[];
  readonly items: readonly ItemFinding[];
  readonly assembled: readonly AssembledCheck[];
  readonly holds: readonly HandOverHold[];
}

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
      !round.some((w) => w.place.matesPlaceId === f.place.id) &&
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

function decide({ sheet, places, fits, bores, diagnosis }: StandingInputs): Standing {
  const mates = [...fits.map((f) => ({ place: f.hole, choice: f.choice })), ...bores.map((b) => ({ place: b.shaft, choice: b.choice }))];
  const reused = new Set(fits.flatMap((f) => (f.staysWith ? [f.hole] : [])));
  const open = mates.find((m) => m.choice === null && !reused.has(m.place));
  const route = chosenRoute(sheet);
  const awaited = places.some((f) => f.component.role === 'mate' && isDiameter(f.place.kind));
  if (mates.length === 0 && awaited) return notYet('a measured mate');
  if (mates.length === 0 && !places.some((f) => f.readings.length)) return notYet('what was measured');
  if (open) {
    const waitsFor = `the fit of ${inSentence(open.place.place.name)}`;
    return mates.some((m) => m.choice) || route ? underWay(waitsFor) : notYet(waitsFor);
  }
  if (diagnosis.keptAlive) return underWay('what is done against the cause: like for like keeps it alive');
  const chosen = consideredRoutes(sheet).find((r) => r.value.state === 'chosen');
  const at = sheet.choices.find((c) => c.key === chosen?.key)?.at ?? '';
  const waits = quoteWaits(sheet, chosen ? { id: chosen.id, at } : null);
  if (waits) return underWay(waits);
  return route ? done : underWay('the cause and the route');
}

function prove(inputs: StandingInputs): Standing {
  const { job } = inputs.sheet;
  const parts = overItems('prove', inputs);
  const wrong = wrongAssembled(inputs.assembled);
  if (wrong) return out(`${inSentence(wrong.what)}: it was not good`);
  const held = heldAssembled(inputs.assembled);
  if (held && ['done', 'not-needed'].includes(parts.state)) return underWay(inSentence(held.what));
  const hazard = LICENSED_HAZARDS.find((h) => job.hazards.includes(h) && !signedCaution(inputs.sheet, h));
  if (!hazard || !['done', 'not-needed'].includes(parts.state)) return parts;
  return underWay(`a licensed person: ${CAUTIONS[hazard].what.toLowerCase().replace(/\.$/, '')}`);
}

function returned({ sheet, holds }: StandingInputs): Standing {
  const loose = looseFragments(sheet);
  if (loose.length) return out(`a loose piece to account for: ${inSentence(loose[0]!.value.what)}`);
  if (chosenReturn(sheet)) return done;
  const licensed = holds.find((h) => h.code === 'licensed');
  return notYet(licensed ? licensed.message.replace(/\.$/, '').toLowerCase() : 'the report and the hand-over');
}

const RULES: Readonly<Record<StationId, (i: StandingInputs) => Standing>> = {
  receive,
  strip,
  measure,
  decide,
  draw: (i) => overItems('draw', i),
  plan: (i) => overItems('plan', i),
  cut: (i) => overItems('cut', i),
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
