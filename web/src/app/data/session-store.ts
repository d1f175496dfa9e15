import { signalStore, withMethods, withState, patchState } from '@ngrx/signals';
import type { LengthUnit } from '@iron-patch/core';
import { PERSON_KEY } from './http';
import { readStored, writeStored } from './stored';

const UNITS_KEY = 'iron-patch.units';
/** Where no job is open: the bench, the floor, the crib. */
const NO_JOB = '';
/** Jobs of which the unit is remembered: the newest. */
const MOST_REMEMBERED = 50;

/** Who is at the bench, and the unit that this screen prefers for each job over the job's own; both kept in this browser. */
export const SessionStore = signalStore(
  { providedIn: 'root' },
  withState(() => ({
    personId: readStored<string>(PERSON_KEY, ''),
    units: readStored<Readonly<Record<string, LengthUnit>>>(UNITS_KEY, {}),
  })),
  withMethods((store) => ({
    choosePerson(personId: string): void {
      writeStored(PERSON_KEY, personId);
      patchState(store, { personId });
    },
    /** Prefers a unit on one job, or where none is open: no other job is touched. */
    chooseUnit(unit: LengthUnit, jobId: string = NO_JOB): void {
      const { [jobId]: _, ...others } = store.units();
      const units = Object.fromEntries([...Object.entries(others), [jobId, unit] as const].slice(-MOST_REMEMBERED));
      writeStored(UNITS_KEY, units);
      patchState(store, { units });
    },
    unitFor(jobId: string = NO_JOB): LengthUnit | null {
      return store.units()[jobId] ?? null;
    },
  })),
);
