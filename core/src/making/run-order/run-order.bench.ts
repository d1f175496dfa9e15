import { firstOrder } from './first-order';
import { SHOP_COST, type OrderAct, type OrderProblem } from './problem';
import { OrderSearch } from './search';
import { timed } from './timed';
import { CLASSICAL_SHOPS, classicalProblem } from './testing-sets';
import { worktimeOf } from './worktime';

/** Prints how near the run order comes to proven optima in five seconds, and how long three hundred acts take. */
const FOR_MS = 5000;

function lookFor(problem: OrderProblem, ms: number): OrderSearch {
  const search = new OrderSearch(problem);
  const until = performance.now() + ms;
  search.go(() => performance.now() >= until);
  return search;
}

let sum = 0;
for (const shop of CLASSICAL_SHOPS) {
  const search = lookFor(classicalProblem(shop), FOR_MS);
  const over = 100 * (search.bestCost / shop.least - 1);
  sum += over;
  console.log(
    `  ${shop.name}: ${search.bestCost} against ${shop.least}, ${over.toFixed(2)} % over, ${search.rounds} rounds in ${FOR_MS / 1000} s`,
  );
}
console.log(`  on average ${(sum / CLASSICAL_SHOPS.length).toFixed(3)} % over the proven optimum`);

/** Sixty jobs of five acts on six machines, by four people of eight hours a day. */
const act = (job: number, k: number): OrderAct => ({
  ...{ job, handsMin: 15 + ((job * 37 + k * 53) % 120), setupMin: (job + k) % 30, setup: `s${(job + k) % 4}`, aloneMin: k === 0 ? 30 : 0 },
  ...{
    machines: [(job + k) % 6, (job + 2 * k + 1) % 6],
    people: [k % 4, (job + 1) % 4],
    after: k ? [job * 5 + k - 1] : [],
    notBefore: 0,
    pinned: false,
  },
});
const days = Array.from({ length: 120 }, (_, d) => [
  { from: d * 1440 + 480, to: d * 1440 + 720 },
  { from: d * 1440 + 750, to: d * 1440 + 990 },
]).flat();
const problem: OrderProblem = {
  acts: Array.from({ length: 60 }, (_, job) => Array.from({ length: 5 }, (__, k) => act(job, k))).flat(),
  jobs: Array.from({ length: 60 }, (_, job) => ({ due: 1440 * (2 + (job % 20)), weight: 1 })),
  machines: Array.from({ length: 6 }, () => ({ freeFrom: 0 })),
  people: Array.from({ length: 4 }, () => ({ work: worktimeOf(days) })),
  now: 0,
  cost: SHOP_COST,
};
const began = performance.now();
const first = firstOrder(problem);
const firstMs = performance.now() - began;
const search = lookFor(problem, 2000);
const again = performance.now();
for (let k = 0; k < 50; k++) timed(problem, search.best);
console.log(
  `  300 acts: a first order in ${firstMs.toFixed(0)} ms, timed again in ${((performance.now() - again) / 50).toFixed(2)} ms; its cost in 2 s from ${timed(problem, first).cost.toFixed(0)} to ${search.bestCost.toFixed(0)}`,
);
