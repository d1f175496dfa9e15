import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import { routes, type FloorJob } from '@iron-patch/contract/wire';
import { Api } from './api';

/** The jobs of the floor as the server works them out. */
export const FloorStore = signalStore(
  { providedIn: 'root' },
  withState({ jobs: null as readonly FloorJob[] | null, failed: false }),
  withMethods((store, api = inject(Api)) => ({
    async load(): Promise<void> {
      try {
        patchState(store, { jobs: await api.get<FloorJob[]>(routes.floor), failed: false });
      } catch {
        patchState(store, { failed: true });
      }
    },
  })),
);
