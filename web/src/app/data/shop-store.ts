import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import { ownTimeZone, routes, type ShopResource } from '@iron-patch/contract/wire';
import { NO_SHOP } from '@iron-patch/core/repair/shop';
import { Api } from './api';
import { DecimalMarks } from './decimal-marks';
import { Told } from './told';

/** Where a gauge is looked for until the server says. */
const USUAL_GAUGE_PORT = 8463;

/** What the shop has; loaded once a visit and again when asked. */
export const ShopStore = signalStore(
  { providedIn: 'root' },
  withState({ shop: NO_SHOP, timeZone: ownTimeZone(), gaugePort: USUAL_GAUGE_PORT, loaded: false }),
  withMethods((store, api = inject(Api), told = inject(Told), marks = inject(DecimalMarks)) => {
    const load = async (): Promise<void> => {
      const got = await api.get<ShopResource>(routes.shop);
      if (!marks.adopt(got.shop.card.decimalMark, !store.loaded()))
        told.offer('The shop writes decimals in another way now.', {
          word: 'Load the page anew',
          act: () => Promise.resolve(location.reload()),
        });
      patchState(store, { ...got, loaded: true });
    };
    return {
      load,
      /** What somebody who works here, or did, is called; `unknown` for nobody that is known. */
      personName: (id: string | null | undefined, unknown = ''): string => store.shop().people.find((p) => p.id === id)?.name ?? unknown,
      /** Stores a record of the shop over the version that was opened, 0 for a new one, and shows the shop as it is then. */
      async save<R>(path: string, input: object, version: number): Promise<R> {
        const stored = await api.put<R>(path, input, version);
        await load().catch(told.bug);
        return stored;
      },
    };
  }),
);
