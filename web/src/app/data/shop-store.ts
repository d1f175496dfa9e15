import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import { ownTimeZone, routes, type ShopResource } from '@iron-patch/contract/wire';
import { NO_SHOP } from '@iron-patch/core/shop';
import { Api } from './api';

/** What the shop has; loaded once a visit and again when asked. */
export const ShopStore = signalStore(
  { providedIn: 'root' },
  withState({ shop: NO_SHOP, timeZone: ownTimeZone(), loaded: false }),
  withMethods((store, api = inject(Api)) => ({
    async load(): Promise<void> {
      const { shop, timeZone } = await api.get<ShopResource>(routes.shop);
      patchState(store, { shop, timeZone, loaded: true });
    },
  })),
);
