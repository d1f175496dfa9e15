import {
  chanceBy,
  chancesOf,
  dayAfter,
  hoursOf,
  offOn,
  OrderSearch,
  spansOf,
  weekdayOf,
  worktimeOf,
  type Chances,
  type MomentOf,
  type Order,
  type OrderProblem,
  type Span,
  type WorkHours,
} from '../../making/run-order';
import { SAFE_SHARE, type LaidPlan } from './plan-rows';
import type { ShopProblem } from './shop-order';
import type { IsoDay } from '../../terms/calendar';

/** Something that would help a promise, with what it comes to. */
export type Help = {
  readonly jobId: string;
  /** The chance of the promise as it is, and with it. */
  readonly chance: number;
  readonly then: number;
} & (
  | { readonly kind: 'overtime'; readonly personId: string; readonly hoursADay: number; readonly until: IsoDay }
  /** Something that the job waits for, of which nobody knows how long: were it here now. */
  | { readonly kind: 'ask'; readonly what: string }
  | { readonly kind: 'first'; readonly makesLate: readonly string[] }
  | { readonly kind: 'later'; readonly end: number }
);

/** Promises that are looked at, the worst of them, and what an evening may be longer. */
const MOST_JOBS = 4;
const OVERTIME_MIN = 120;
/** Whatever lifts a chance by less does not help. */
const LEAST_LIFT = 0.1;
const ROUNDS = 160;
/** How much more the lateness of a job weighs that is put first. */
const FIRST = 50;

export interface HelpInputs {
  readonly hours: WorkHours;
  readonly today: IsoDay;
  readonly momentOf: MomentOf;
  /** The calendar day of a moment, min. */
  readonly dayOf: (minute: number) => IsoDay;
}

const better = (problem: OrderProblem, order: Order, held: number): Order => {
  const search = new OrderSearch(problem, order, held);
  search.go(() => search.rounds >= ROUNDS);
  return search.best;
};

/** Spans of extra hours after somebody's day, on the days they work, up to a day. */
function evenings({ hours, today, momentOf }: HelpInputs, personId: string, until: IsoDay) {
  const person = hoursOf(hours, personId);
  const week = person.week ?? hours.week;
  const spans: Span[] = [];
  for (let day = today; day <= until; day = dayAfter(day, 1)) {
    const ends = week.filter((s) => s.weekday === weekdayOf(day)).map((s) => s.to);
    if (!ends.length || offOn(day, hours, person)) continue;
    const end = Math.max(...ends);
    spans.push({ from: momentOf(day, end), to: momentOf(day, end + OVERTIME_MIN) });
  }
  return spans;
}

/**
 * What would help the promises that are not safe: two hours more an evening by whoever it helps most, that job before all others, or a later
 * day. Each is played through: the order is looked for again, and the chance counted.
 */
export function helpsFor(shop: ShopProblem, order: Order, { promises }: LaidPlan, inputs: HelpInputs): Help[] {
  const { problem, acts, jobs, people, held } = shop;
  const spans = acts.map((a) => a.left);
  const chancesIn = (changed: OrderProblem, how: Order): Chances => chancesOf(changed, how, spans, 200);
  return promises
    .filter((p) => p.due < Infinity && p.chance < SAFE_SHARE)
    .slice(0, MOST_JOBS)
    .flatMap(({ job, due, chance, safeEnd }): Help[] => {
      const j = jobs.indexOf(job);
      const until = inputs.dayOf(due);
      const longer = people.map((p, k): Help => {
        const extra = evenings(inputs, p.id, until);
        const usual = spansOf(inputs.hours, hoursOf(inputs.hours, p.id), inputs.today, inputs.momentOf);
        const changed: OrderProblem = {
          ...problem,
          people: problem.people.map((old, i) => (i === k ? { work: worktimeOf([...usual, ...extra]) } : old)),
        };
        const then = chanceBy(chancesIn(changed, better(changed, order, held)), j, due);
        return { jobId: job.id, chance, then, kind: 'overtime', personId: p.id, hoursADay: OVERTIME_MIN / 60, until };
      });
      const first: OrderProblem = { ...problem, jobs: problem.jobs.map((x, i) => (i === j ? { ...x, weight: x.weight * FIRST } : x)) };
      const firstly = chancesIn(problem, better(first, order, held));
      const makesLate = promises
        .filter((o) => o.job !== job && o.due < Infinity && o.chance >= SAFE_SHARE)
        .filter((o) => chanceBy(firstly, jobs.indexOf(o.job), o.due) < SAFE_SHARE)
        .map((o) => o.job.id);
      const waits = acts.flatMap((a, i) => (a.job === job && a.act.open ? [{ i, what: a.act.name }] : []));
      const asked = waits.map(({ i, what }): Help => {
        const here: OrderProblem = { ...problem, acts: problem.acts.map((a, k) => (k === i ? { ...a, notBefore: problem.now } : a)) };
        return { jobId: job.id, chance, then: chanceBy(chancesIn(here, better(here, order, held)), j, due), kind: 'ask', what };
      });
      const options: Help[] = [
        ...asked,
        ...longer.sort((a, b) => b.then - a.then).slice(0, 1),
        { jobId: job.id, chance, then: chanceBy(firstly, j, due), kind: 'first', makesLate },
      ];
      const later: Help[] = safeEnd === null ? [] : [{ jobId: job.id, chance, then: SAFE_SHARE, kind: 'later', end: safeEnd }];
      return [...options.filter((o) => o.then - chance >= LEAST_LIFT), ...later];
    });
}
