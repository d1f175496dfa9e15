import { QUANTITIES } from '../../evidence/readings';
import { placeWithUnit, type LengthUnit } from '../../terms/quantity';
import { countOf } from '../../terms/words';
import { ACTS } from './acts.data';
import { chosenStrip } from './choices';
import type { PlaceFinding } from './place-finding';
import type { JobSheet } from './records';
import { acts, type ActChoice, type Item } from './strip-records';

/** Something that an act would take with it. */
export interface AtStake {
  readonly what: string;
  readonly onRecord: boolean;
  /** The place to go to and measure; null for what is told in words. */
  readonly placeId: string | null;
}

/** An act that destroys evidence, and whether it may go ahead. */
export interface PointOfNoReturn {
  readonly act: Item<ActChoice>;
  readonly componentName: string;
  readonly atStake: readonly AtStake[];
  readonly missing: readonly AtStake[];
  /** `held` while something is missing and nobody overrode it; `overridden` with a reason that is kept; `clear`; `done`. */
  readonly state: 'held' | 'overridden' | 'clear' | 'done';
}

const SHOWN_SPOTS = 4;

function ofPlace(f: PlaceFinding, unit: LengthUnit): AtStake {
  const { place, open, readings } = f;
  const kinds = [...new Set(f.planned.map((s) => QUANTITIES[s.quantity].name))].join(', ');
  if (open.length === 0 && readings.length > 0)
    return {
      what: `${place.name}: ${kinds}, ${countOf(readings.length, 'reading')}`,
      onRecord: true,
      placeId: place.id,
    };
  const spots = open.slice(0, SHOWN_SPOTS).map((s) => `${placeWithUnit(s.stationMm, unit)} ${s.clockDeg}°`);
  const more = open.length > SHOWN_SPOTS ? ` and ${open.length - SHOWN_SPOTS} more` : '';
  return { what: `${place.name}: ${kinds} at ${spots.join(', ')}${more}`, onRecord: false, placeId: place.id };
}

function asFound(sheet: JobSheet, componentId: string): AtStake[] {
  const strip = chosenStrip(sheet, componentId);
  const component = sheet.components.find((c) => c.id === componentId);
  const faced = Boolean(strip?.faced.trim()) || Boolean(component?.asFound.trim());
  const play = strip !== null && (strip.noPlay || strip.endPlayMm !== null || strip.sidePlayMm !== null || strip.shims.length > 0);
  return [
    { what: 'Which way it faced, and its match marks', onRecord: faced, placeId: null },
    { what: 'As-found play, or its shim packs', onRecord: play, placeId: null },
    { what: 'A photograph of it as it was', onRecord: sheet.photos.length > 0, placeId: null },
  ];
}

/** What an act on a component would take with it, and what of that is not on record yet. */
export function atStake(
  sheet: JobSheet,
  { componentId, placeId }: Pick<ActChoice, 'componentId' | 'placeId'>,
  places: readonly PlaceFinding[],
): AtStake[] {
  const own = places.filter((f) => f.component.id === componentId && (!placeId || f.place.id === placeId));
  const sizes = own.map((f) => ofPlace(f, sheet.job.unit));
  const none: AtStake[] = own.length ? [] : [{ what: 'Any size of it: it has no places to measure yet', onRecord: false, placeId: null }];
  return [...sizes, ...none, ...asFound(sheet, componentId)];
}

/** Every act that destroys evidence, planned or done, with what it takes. */
export function pointsOfNoReturn(sheet: JobSheet, places: readonly PlaceFinding[]): PointOfNoReturn[] {
  return acts(sheet).map((act) => {
    const { componentId, state, override } = act.value;
    const stake = atStake(sheet, act.value, places);
    const missing = stake.filter((s) => !s.onRecord);
    return {
      act,
      componentName: sheet.components.find((c) => c.id === componentId)?.name ?? 'a component that was taken off',
      atStake: stake,
      missing,
      state: state === 'done' ? 'done' : missing.length === 0 ? 'clear' : override.trim() ? 'overridden' : 'held',
    };
  });
}

/**
 * Why an act may not be recorded as done; null when it may. The same check in the browser and on the server.
 */
export function holdsBack(sheet: JobSheet, act: ActChoice, places: readonly PlaceFinding[]): string | null {
  if (act.state !== 'done' || act.removed || act.override.trim()) return null;
  const missing = atStake(sheet, act, places).filter((s) => !s.onRecord);
  if (missing.length === 0) return null;
  const first = missing
    .slice(0, 2)
    .map((m) => m.what)
    .join('; ');
  const more = missing.length > 2 ? `; and ${missing.length - 2} more` : '';
  return `${ACTS[act.kind].name} would take with it what is not on record: ${first}${more}. Record it, or say why it goes ahead.`;
}
