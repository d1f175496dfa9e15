import { capital, inSentence } from '../../terms/words';
import { ACTS } from './acts.data';
import { CAUTIONS, LICENSED_HAZARDS } from './cautions.data';
import { chosenRoute, signedCaution, type ReturnChoice } from './choices';
import { goodPieces, pieceName, type ItemFinding, type PieceFinding } from './item-finding';
import type { AssembledCheck } from './assembled';
import type { JobSheet } from './records';
import { acts, looseFragments } from './strip-records';
import type { StationId } from '../../terms/stations';

/** What stands between a job and its hand-over. */
export interface HandOverHold {
  readonly code: 'loose' | 'licensed' | 'unproved' | 'undone' | 'found' | 'made';
  readonly message: string;
  /** The station where it is put right. */
  readonly station: StationId;
  /** Field of the hand-over that lets it pass with a reason or otherwise; null where only putting it right does. */
  readonly passedBy: 'beforeUse' | 'unproved' | 'undone' | null;
}

/** Dimensions of a piece that nobody proved and passed, named by item and piece where there are several. */
function unprovedOf({ proofs }: PieceFinding, where: string): HandOverHold[] {
  return proofs.flatMap((p): HandOverHold[] => {
    if (p.signed?.passed || (!p.dimension.mustProve && !p.readings.length)) return [];
    const tried = p.gauged ? 'is not tried with a gauge' : 'is not measured';
    const why = p.signed ? 'was failed' : p.readings.length ? 'is measured, but nobody passed it' : tried;
    const name = capital(where ? `${where}: ${inSentence(p.name)}` : p.name);
    return [{ code: 'unproved', message: `${name} ${why}.`, station: 'prove', passedBy: 'unproved' }];
  });
}

/** What was taken up and is not finished: bought and not here, an act left, nothing said of how it was tried. */
function unfinishedOf({ item, part }: ItemFinding): HandOverHold[] {
  const hold = (message: string, station: StationId): HandOverHold => ({ code: 'undone', message, station, passedBy: 'undone' });
  if (item.proposed) return [];
  if (item.kind === 'buy') return item.here ? [] : [hold(`${item.name} is bought and not here yet.`, 'cut')];
  const next = item.steps.find((s) => !s.done);
  if (next) return [hold(`${item.name}: ${inSentence(next.what)} is neither done nor taken off.`, 'cut')];
  if (item.kind === 'make') return part ? [] : [hold(`${item.name}: nothing of it is drawn, so nothing says that it was made.`, 'draw')];
  const [bare] = part?.unlimited ?? [];
  if (bare) return [hold(`${item.name}: the ${bare.dimension.label} has no limits yet, so nobody can prove it.`, 'draw')];
  return part || item.tried.trim() ? [] : [hold(`${item.name}: nothing says how it was tried.`, 'prove')];
}

/** What was tried of the assembled machine and was no good, and what nothing goes out without. */
function untriedOf({ what, state, holds }: AssembledCheck): HandOverHold[] {
  if (state !== 'failed' && state !== 'out' && !(holds && state === 'open')) return [];
  const message = `${what}: ${state === 'open' ? 'not tried yet' : 'it was not good'}.`;
  return [{ code: 'undone', message, station: 'prove', passedBy: holds ? 'beforeUse' : 'undone' }];
}

/**
 * Everything that holds a hand-over: loose pieces, licensed matters without name and licence, dimensions of what was made that
 * nobody proved and passed, planned acts that were neither done nor called off, what was tried and was no good, findings and work that are not on record.
 */
export function handOverHolds(sheet: JobSheet, items: readonly ItemFinding[], assembled: readonly AssembledCheck[]): HandOverHold[] {
  const loose = looseFragments(sheet).map((f): HandOverHold => {
    const message = `Account first for what is loose: ${inSentence(f.value.what)}.`;
    return { code: 'loose', message, station: 'strip', passedBy: null };
  });
  const licensed = LICENSED_HAZARDS.filter((h) => sheet.job.hazards.includes(h) && !signedCaution(sheet, h)).map((h): HandOverHold => {
    const message = `${CAUTIONS[h].what} Name and licence of who decided are missing.`;
    return { code: 'licensed', message, station: 'prove', passedBy: 'beforeUse' };
  });
  const unproved = items.flatMap((i) => goodPieces(i).flatMap((p) => unprovedOf(p, pieceName(i, p.piece, items))));
  const undone = acts(sheet)
    .filter((a) => a.value.state === 'planned')
    .map((a): HandOverHold => {
      const component = sheet.components.find((c) => c.id === a.value.componentId);
      const on = component ? inSentence(component.name) : 'a component that was taken off';
      const message = `${ACTS[a.value.kind].name}: ${on} is planned, and neither done nor called off.`;
      return { code: 'undone', message, station: 'strip', passedBy: 'undone' };
    });
  const unfinished = [...items.flatMap(unfinishedOf), ...assembled.flatMap(untriedOf)];
  const route = chosenRoute(sheet);
  const onRecord: HandOverHold[] = [
    ...(route?.cause.trim()
      ? []
      : [{ code: 'found', message: 'What was found is not on record.', station: 'decide', passedBy: null } as const]),
    ...(route?.route.trim()
      ? []
      : [{ code: 'made', message: 'What was done is not on record.', station: 'decide', passedBy: null } as const]),
  ];
  return [...loose, ...licensed, ...unproved, ...unfinished, ...undone, ...onRecord];
}

/** What still holds this hand-over back, after the reasons that it gives: empty when it may go. The same in browser and server. */
export function stillHeld(holds: readonly HandOverHold[], given: ReturnChoice): HandOverHold[] {
  const missing = holds.filter((h) => {
    if (h.passedBy === null) return true;
    if (h.passedBy === 'beforeUse') return given.outcome !== 'not-passed';
    return given[h.passedBy].trim() === '';
  });
  const bare = given.outcome === 'not-passed' && given.beforeUse.trim() === '';
  return bare
    ? [...missing, { code: 'licensed', message: 'Say what must be done before it is used.', station: 'return', passedBy: 'beforeUse' }]
    : missing;
}
