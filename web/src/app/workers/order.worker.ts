/// <reference lib="webworker" />
import { momentsIn, wallTime } from '@iron-patch/contract/wire';
import { OrderSearch, timed } from '@iron-patch/core/making/run-order';
import { helpsFor, laidPlan, placedOf, readyIf, shopProblem } from '@iron-patch/core/repair/order';
import type { OrderMessage, OrderQuestion } from './order-message';

/** Rounds of looking between two reports, ms. */
const STEP_MS = 60;
/** A better order is one that costs less by more than what rounding does. */
const LEAST_BETTER = 0.01;

/** Puts acts in order and reports between steps, or tells what would help; ending the worker cancels it. */
addEventListener('message', ({ data: { inputs, zone, forMs, ifChosen } }: MessageEvent<OrderQuestion>) => {
  const tell = (message: OrderMessage): void => postMessage(message);
  const momentOf = momentsIn(zone);
  const dayOf = (minute: number): string => wallTime(new Date(minute * 60_000), zone).day;
  if (ifChosen)
    return ifChosen.forEach(({ wayId, job }) => tell({ kind: 'ready', wayId, ready: readyIf({ ...inputs, momentOf }, job, dayOf) }));
  const shop = shopProblem({ ...inputs, momentOf });
  if (forMs === 0) {
    const plan = laidPlan(shop, shop.order, inputs.stored);
    return tell({ kind: 'helps', helps: helpsFor(shop, shop.order, plan, { ...inputs, momentOf, dayOf }) });
  }
  const before = timed(shop.problem, shop.order).cost;
  // From the order in force and from the rule's own: whichever leads further.
  const searches = [new OrderSearch(shop.problem, shop.order, shop.held), new OrderSearch(shop.problem, null, 0, 2)].slice(
    0,
    shop.held ? 1 : 2,
  );
  const began = performance.now();
  const work = (): void => {
    let more = false;
    for (const search of searches) {
      const until = performance.now() + STEP_MS / searches.length;
      more = search.go(() => performance.now() >= until) || more;
    }
    const share = (performance.now() - began) / forMs;
    if (more && share < 1) {
      tell({ kind: 'progress', share });
      return void setTimeout(work);
    }
    const best = searches.reduce((a, b) => (b.bestCost < a.bestCost ? b : a));
    tell({ kind: 'order', placed: placedOf(laidPlan(shop, best.best, inputs.stored)), better: best.bestCost < before - LEAST_BETTER });
  };
  work();
});
