import { signalStore, withMethods, withState, patchState } from '@ngrx/signals';
import type { LengthUnit } from '@iron-patch/core';
import { PERSON_KEY } from './api';
import { readStored, writeStored } from './stored';

const UNIT_KEY = 'iron-patch.unit';

/** Who is at the bench, and the unit this screen prefers over the job's; both kept in this browser. */
export const SessionStore = signalStore(
  { providedIn: 'root' },
  withState(() => ({
    personId: readStored<string>(PERSON_KEY, ''),
    unit: readStored<LengthUnit | null>(UNIT_KEY, null),
  })),
  withMethods((store) => ({
    choosePerson(personId: string): void {
      writeStored(PERSON_KEY, personId);
      patchState(store, { personId });
    },
    chooseUnit(unit: LengthUnit | null): void {
      writeStored(UNIT_KEY, unit);
      patchState(store, { unit });
    },
  })),
);
