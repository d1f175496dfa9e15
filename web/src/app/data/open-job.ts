import { computed, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { JobRecord, LengthUnit } from '@iron-patch/core';
import { SessionStore } from './session-store';
import { ShopStore } from './shop-store';

/** Of the job on the sheet, what the strip on top needs: it is there before the sheet's own code is loaded. */
export const OpenJob = signalStore(
  { providedIn: 'root' },
  withState<{ readonly job: JobRecord | null }>({ job: null }),
  withComputed((store, session = inject(SessionStore), shop = inject(ShopStore)) => ({
    /** The unit that this screen prefers, else the job's, else the shop's. */
    unit: computed<LengthUnit>(() => session.unitFor(store.job()?.id) ?? store.job()?.unit ?? shop.shop().card.unit),
  })),
  withMethods((store) => ({
    set(job: JobRecord | null): void {
      patchState(store, { job });
    },
  })),
);
