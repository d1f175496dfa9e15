import { inject } from '@angular/core';
import { patchState, signalStore, withMethods, withState } from '@ngrx/signals';
import {
  FLOOR_PAGE,
  MOST_FLOOR_ROWS,
  routes,
  type FloorCounts,
  type FloorJob,
  type FloorPage,
  type FloorRows,
  type PromisedJob,
} from '@iron-patch/contract/wire';
import { Api } from './api';
import { Told } from './told';

/** Something wrong first, then what is open, then what is handed back; each by promise and number, as the server has it. */
function urgency({ trouble, waiting, next, promisedOn, number }: FloorJob): string {
  const first = trouble || next?.state === 'out' ? 0 : next || waiting ? 1 : 2;
  return `${first}${promisedOn ?? '9999'}${String(number).padStart(9, '0')}`;
}

const FIRST: number = FLOOR_PAGE.first;
const NOTHING_YET: FloorCounts = { open: 0, returned: 0, behind: 0 };

/** The jobs of the floor as the server works them out: the most urgent of those that are looked for. */
export const FloorStore = signalStore(
  { providedIn: 'root' },
  withState({
    jobs: null as readonly FloorJob[] | null,
    /** How many there are in all of what is looked for. */
    found: 0,
    counts: NOTHING_YET,
    failed: false,
    find: '',
    withReturned: false,
    upTo: FIRST,
    promised: [] as readonly PromisedJob[],
  }),
  withMethods((store, api = inject(Api), told = inject(Told)) => {
    let asked = 0;

    async function load(): Promise<void> {
      const mine = ++asked;
      const query = new URLSearchParams({ upTo: String(store.upTo()) });
      if (store.find().trim()) query.set('find', store.find().trim());
      if (store.withReturned()) query.set('returned', '1');
      try {
        const { jobs, found, ...counts } = await api.get<FloorPage>(`${routes.floor}?${query}`);
        // What was asked for later has its answer, or will have.
        if (mine === asked) patchState(store, { jobs, found, counts, failed: false });
      } catch (e) {
        told.bug(e);
        if (mine === asked) patchState(store, { failed: true });
      }
    }

    return {
      load,

      /** Looks for jobs that have all these words, those that are handed back too. */
      async look(find: string): Promise<void> {
        patchState(store, { find, upTo: FLOOR_PAGE.first });
        await load();
      },

      async showReturned(withReturned: boolean): Promise<void> {
        patchState(store, { withReturned, upTo: FLOOR_PAGE.first });
        await load();
      },

      async showMore(): Promise<void> {
        patchState(store, { upTo: Math.min(store.upTo() + FLOOR_PAGE.first, FLOOR_PAGE.most) });
        await load();
      },

      /** Fetches the jobs that changed, and no others. */
      async freshen(ids: readonly string[]): Promise<void> {
        if (store.find().trim() || ids.length > MOST_FLOOR_ROWS || !store.jobs()) return load();
        const mine = asked;
        try {
          const { jobs, ...counts } = await api.get<FloorRows>(`${routes.floorRows}?ids=${ids.join(',')}`);
          if (mine !== asked) return load();
          const shown = jobs.filter((j) => j.next !== null || j.trouble || j.waiting || store.withReturned());
          const others = store.jobs()!.filter((j) => !ids.includes(j.id));
          const found = counts.open + (store.withReturned() ? counts.returned : 0);
          const sorted = [...others, ...shown].sort((p, q) => urgency(p).localeCompare(urgency(q)));
          patchState(store, { jobs: sorted.slice(0, store.upTo()), found, counts, failed: false });
        } catch (e) {
          told.bug(e);
          patchState(store, { failed: true });
        }
      },

      async loadPromised(): Promise<void> {
        patchState(store, { promised: await api.get<PromisedJob[]>(routes.promised).catch(told.or(store.promised())) });
      },
    };
  }),
);
