import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import { ownTimeZone, routes, type ShopResource } from '@iron-patch/contract/wire';
import type { Shop } from '@iron-patch/core';
import { Api } from './api';

const NOTHING: Shop = { people: [], instruments: [], instrumentChecks: [], lathes: [], houseRules: [], rack: [], drillSets: [] };

/** What the shop has; loaded once a visit and again when asked. */
export const ShopStore = signalStore(
  { providedIn: 'root' },
  withState({ shop: NOTHING, timeZone: ownTimeZone(), loaded: false }),
  withMethods((store, api = inject(Api)) => ({
    async load(): Promise<void> {
      const { shop, timeZone } = await api.get<ShopResource>(routes.shop);
      patchState(store, { shop, timeZone, loaded: true });
    },
  })),
);
