import { computed, DestroyRef, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import { momentsIn, routes, wallTime, type RunOrderPage } from '@iron-patch/contract/wire';
import { hoursOf, spansOf, USUAL_HOURS, worktimeOf } from '@iron-patch/core/making/run-order';
import {
  laidPlan,
  minuteOf,
  shopProblem,
  workedBetween,
  type PlacedAct,
  type PlanRow,
  type RunJob,
  type RunOrder,
  type RunOrderRecord,
  type ShopOrderInputs,
} from '@iron-patch/core/repair/order';
import type { RunChoice, SpentChoice, ToDoAct } from '@iron-patch/core';
import { Api, Live, newId, ShopStore, Told } from '../data';

/** Of an act of which nobody said anything. */
export const NOTHING_SAID: RunChoice = { state: 'open', startedAt: null, doneAt: null, personId: null, machineId: '', pinnedAt: null };

const nowMinute = (): number => Math.floor(Date.now() / 60_000);

/** What all open jobs still take, in the order that is in force, by the clock as it is now. */
export const RunOrderStore = signalStore(
  { providedIn: 'root' },
  withState({ page: null as RunOrderPage | null, failed: false, now: nowMinute() }),
  withComputed((store, shop = inject(ShopStore)) => {
    const moments = computed(() => momentsIn(shop.timeZone()));
    const dayOf = (minute: number): string => wallTime(new Date(minute * 60_000), shop.timeZone()).day;
    const today = computed(() => dayOf(store.now()));
    const hours = computed(() => store.page()?.hours ?? USUAL_HOURS);
    const inputs = computed((): ShopOrderInputs | null => {
      const page = store.page();
      if (!page || !shop.loaded()) return null;
      const { machines, people } = shop.shop();
      return {
        jobs: page.jobs,
        shop: { machines, people },
        hours: hours(),
        stored: page.order,
        now: store.now(),
        today: today(),
        momentOf: moments(),
      };
    });
    const problem = computed(() => {
      const given = inputs();
      return given && shopProblem(given);
    });
    /** Without the chances of promises, which take longer. */
    const timed = computed(() => {
      const p = problem();
      return p && laidPlan(p, p.order, store.page()!.order, 0);
    });
    const plan = computed(() => {
      const p = problem();
      return p && laidPlan(p, p.order, store.page()!.order);
    });
    return { moments, today, hours, inputs, problem, timed, plan };
  }),
  withMethods((store, api = inject(Api), told = inject(Told), shop = inject(ShopStore)) => {
    let asked = 0;
    let shown = 0;
    const load = async (): Promise<void> => {
      const mine = ++asked;
      const answer = await api
        .get<RunOrderPage>(routes.runOrder)
        .then((page) => ({ page, failed: false, now: nowMinute() }), told.or({ failed: true }));
      // What was asked for later is shown already.
      if (mine < shown) return;
      shown = mine;
      patchState(store, answer);
    };
    async function say(job: RunJob, act: ToDoAct, value: RunChoice): Promise<void> {
      await api.put(routes.choice(job.id, encodeURIComponent(`run:${act.key}`)), { value, reason: '' }, act.version);
      await load();
    }
    /** Minutes at the part since it was begun, by the hours of whoever was at it. */
    function workedMin(startedAt: string, personId: string | null): number {
      const hours = store.hours();
      const from = minuteOf(startedAt);
      const work = worktimeOf(
        spansOf(hours, hoursOf(hours, personId ?? ''), wallTime(new Date(from * 60_000), shop.timeZone()).day, store.moments()),
      );
      return (workedBetween(work, from, Date.now() / 60_000) * hours.handsOnPercent) / 100;
    }
    return {
      load,

      /** The clock goes on. */
      tick(): void {
        patchState(store, { now: nowMinute() });
      },

      /** Says something of an act, and shows the order as it is then. */
      say,

      /** Somebody begins an act now. */
      async begin({ job, act, machineId }: PlanRow, personId: string): Promise<void> {
        const said = { ...(act.said ?? NOTHING_SAID), state: 'started' as const, startedAt: new Date().toISOString(), personId, machineId };
        await say(job, act, said);
      },

      /**
       * An act is done, or what was waited for is here; the hours that somebody was at it go on record as spent, for the next estimates.
       *
       * @returns those minutes; 0 where nobody said when it was begun
       */
      async finish({ job, act, personId }: PlanRow): Promise<number> {
        const said = act.said ?? NOTHING_SAID;
        const minutes = said.startedAt && act.act ? Math.round(workedMin(said.startedAt, personId)) : 0;
        await say(job, act, { ...said, state: 'done', doneAt: new Date().toISOString() });
        if (act.act && minutes > 0) {
          const spent: SpentChoice = { act: act.act, itemId: null, minutes, day: store.today(), remark: '', removed: false };
          await api.put(routes.choice(job.id, `spent:${newId()}`), { value: spent, reason: '' }, 0);
        }
        return minutes;
      },

      /**
       * Puts an order in force over the one that it was made from; whatever somebody else put in force meanwhile stands.
       *
       * @param over version of that one; 0 where there was none
       * @returns the version that is in force now
       */
      async store(placed: readonly PlacedAct[], over: number): Promise<number> {
        const order: RunOrder = { placed };
        const { version } = await api.put<RunOrderRecord>(routes.runOrder, order, over);
        await load();
        return version;
      },
    };
  }),
);

/** Changes of others that come one after another are fetched once: soon on a page of its own, later where it stands beside other things, ms. */
export const RUN_ORDER_SOON = { page: 400, beside: 3000 } as const;
const MINUTE_MS = 60_000;

/** Fetches the run order, and keeps it as it is now for as long as the component that asks is there. To be called where one is made. */
export function watchRunOrder(soonMs: number): void {
  const store = inject(RunOrderStore);
  const live = inject(Live);
  let soon: ReturnType<typeof setTimeout> | undefined;
  const again = (): void => {
    clearTimeout(soon);
    soon = setTimeout(() => void store.load(), soonMs);
  };
  const subscriptions = [live.news.subscribe(again), live.back.subscribe(again)];
  const ticks = setInterval(() => store.tick(), MINUTE_MS);
  inject(DestroyRef).onDestroy(() => {
    clearTimeout(soon);
    clearInterval(ticks);
    subscriptions.forEach((s) => s.unsubscribe());
  });
  void store.load();
}
