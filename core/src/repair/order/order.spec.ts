import { OrderSearch, USUAL_HOURS, USUAL_PERSON, type WorkHours } from '../../making/run-order';
import { wrongWith } from '../../making/run-order/testing-checker';
import { seededRandom } from '../../evidence/proof';
import { testShop } from '../job/testing';
import type { Machine } from '../../making/setups';
import type { RunChoice, ToDo, ToDoAct } from '../job';
import { helpsFor } from './helps';
import { laidPlan, nextOf, placedOf } from './plan-rows';
import { readyChance, readyIf } from './ready';
import { isoOf, minuteOf, shopProblem, workedBetween, type RunJob, type RunOrder, type ShopOrderInputs } from './shop-order';

/** A Thursday; UTC is the shop's clock. */
const TODAY = '2026-11-26';
const utc = (day: string, minute: number): number => Date.parse(`${day}T00:00:00Z`) / 60_000 + minute;
const at = (day: string, time: string): string => `${day}T${time}:00.000Z`;
const NOW = utc(TODAY, 8 * 60);

const said = (value: Partial<RunChoice>): RunChoice => ({
  ...{ state: 'open', startedAt: null, doneAt: null, personId: null, machineId: '', pinnedAt: null },
  ...value,
});
const act = (key: string, more: Partial<ToDoAct> = {}): ToDoAct => ({
  ...{ key, act: 'turn', name: key, at: 'lathe', machineId: '', hands: { low: 60, likely: 60, high: 60 }, setupMin: 0, setup: '' },
  ...{ aloneMin: 0, after: [], dueOn: null, open: false, done: false, said: null, version: 0 },
  ...more,
});
const job = (number: number, acts: ToDoAct[], promisedOn: string | null = null, urgency: Partial<ToDo['urgency']> = {}): RunJob => ({
  ...{ id: `j${number}`, number, title: `Job ${number}`, customerName: 'Ferry', promisedOn },
  toDo: { decided: true, urgency: { urgent: false, notBefore: null, why: '', ...urgency }, urgencyVersion: 0, acts },
});
const machine = (id: string, kind: Machine['kind']): Machine => ({ ...testShop.machines[0]!, id, name: id, kind });
const person = (id: string, gone = false) => ({ id, name: id, role: '', gone, access: 'machinist' as const, version: 1 });
/** All of the time at the part, so that minutes stay minutes. */
const HOURS: WorkHours = { ...USUAL_HOURS, handsOnPercent: 100 };
const inputs = (jobs: RunJob[], more: Partial<ShopOrderInputs> = {}): ShopOrderInputs => ({
  jobs,
  shop: {
    machines: [machine('one', 'lathe'), machine('two', 'lathe'), machine('mill', 'mill')],
    people: [person('tomas'), person('ines')],
  },
  hours: HOURS,
  stored: null,
  now: NOW,
  today: TODAY,
  momentOf: utc,
  ...more,
});
const planOf = (given: ShopOrderInputs) => {
  const shop = shopProblem(given);
  const plan = laidPlan(shop, shop.order, given.stored);
  expect(wrongWith(shop.problem, shop.order, plan.at)).toEqual([]);
  const row = (key: string) => plan.rows.find((r) => `${r.job.number}/${r.act.key}` === key)!;
  return { shop, plan, row, begins: (key: string): string => isoOf(row(key).begin).slice(5, 16) };
};

describe('all jobs as one problem', () => {
  it('nothing is begun on a machine that is out of order before the day on which it works again; another one takes what it can', () => {
    const out = { ...machine('one', 'lathe'), backOn: '2026-12-01' };
    const shop = { machines: [out, machine('two', 'lathe')], people: [person('tomas'), person('ines')] };
    const free = planOf(inputs([job(1, [act('a', { machineId: 'one' }), act('b'), act('c')])], { shop }));
    expect(free.begins('1/a')).toBe('12-01T08:00');
    expect([free.row('1/b'), free.row('1/c')].map((r) => [r.machineId, isoOf(r.begin).slice(0, 10)])).toEqual([
      ['two', TODAY],
      ['two', TODAY],
    ]);
    const over = { ...shop, machines: [{ ...out, backOn: TODAY }, machine('two', 'lathe')] };
    expect(planOf(inputs([job(1, [act('a', { machineId: 'one' })])], { shop: over })).begins('1/a')).toBe('11-26T08:00');
  });

  it('gives acts to machines of their kind and people who run them, and says which machine nobody has', () => {
    const hours = {
      ...HOURS,
      people: { ines: { ...USUAL_PERSON, machines: ['mill' as const] }, maud: { ...USUAL_PERSON, notAtIt: true } },
    };
    const shop = { machines: inputs([]).shop.machines, people: [person('tomas'), person('ines'), person('maud'), person('old', true)] };
    const acts = [act('a'), act('b', { at: 'mill' }), act('c', { at: 'bench' }), act('d', { at: 'hone' }), act('e', { machineId: 'two' })];
    const found = shopProblem(inputs([job(1, acts)], { hours, shop }));
    expect(found.people.map((p) => p.id)).toEqual(['tomas', 'ines']);
    expect(found.problem.acts.map((a) => [a.machines, a.people])).toEqual([
      [[0, 1], [0]],
      [[2], [0, 1]],
      [[], [0, 1]],
      [[], [0]],
      [[1], [0]],
    ]);
    expect(found.missing).toEqual([{ kind: 'hone', acts: 1 }]);
    expect(found.unmanned).toEqual([]);
  });

  it('says what nobody at work runs, of the machines that there are; anybody has it then, and whoever it is given to by name', () => {
    const bench = { ...USUAL_PERSON, machines: ['mill' as const] };
    const hours = { ...HOURS, people: { tomas: bench, ines: bench } };
    const given = act('b', { said: said({ personId: 'ines' }) });
    const found = shopProblem(inputs([job(1, [act('a'), given, act('c', { at: 'mill' }), act('d', { at: 'hone' })])], { hours }));
    expect(found.unmanned).toEqual([{ kind: 'lathe', acts: 1 }]);
    expect(found.missing).toEqual([{ kind: 'hone', acts: 1 }]);
    expect(found.problem.acts.map((a) => a.people)).toEqual([[0, 1], [1], [0, 1], [0, 1]]);
  });

  it('leaves out what is done, and stretches minutes by how much of the time is at the part', () => {
    const found = shopProblem(
      inputs([job(1, [act('a', { done: true }), act('b', { after: ['a'] })])], { hours: { ...HOURS, handsOnPercent: 75 } }),
    );
    expect(found.problem.acts).toHaveLength(1);
    expect(found.problem.acts[0]).toMatchObject({ after: [], handsMin: 80 });
    expect(shopProblem(inputs([job(1, [act('a', { done: true })])])).jobs).toEqual([]);
  });

  it('waits for what has a day, for a yes two days, for what nobody knows a week; what is overdue until tomorrow', () => {
    const wait = (key: string, more: Partial<ToDoAct>): ToDoAct =>
      act(key, { act: null, at: 'away', hands: { low: 0, likely: 0, high: 0 }, ...more });
    const { row } = planOf(
      inputs([
        job(1, [wait('dated', { dueOn: '2026-12-01' }), act('a', { after: ['dated'] })]),
        job(2, [wait('yes', { open: true }), act('a', { after: ['yes'] })]),
        job(3, [wait('open', { open: true })]),
        job(4, [wait('late', { dueOn: '2026-11-20' })]),
        job(5, [act('send', { at: 'bench' }), wait('plater', { aloneMin: 2 * 1440, after: ['send'] })]),
      ]),
    );
    expect(isoOf(row('1/dated').end)).toBe(at('2026-12-01', '08:00'));
    expect(isoOf(row('1/a').begin)).toBe(at('2026-12-01', '08:00'));
    expect(isoOf(row('2/yes').end)).toBe(at('2026-11-28', '08:00'));
    // Two days on it is Saturday.
    expect(isoOf(row('2/a').begin)).toBe(at('2026-11-30', '08:00'));
    expect(isoOf(row('3/open').end)).toBe(at('2026-12-03', '08:00'));
    expect(isoOf(row('4/late').end)).toBe(at('2026-11-27', '08:00'));
    expect(row('5/plater').end - row('5/send').handsEnd).toBe(2 * 1440);
  });

  it('goes on with what is under way, whatever it should have waited for, less what was worked on it', () => {
    const begun = said({ state: 'started', startedAt: at(TODAY, '08:00'), personId: 'ines', machineId: 'two' });
    const later = { now: utc(TODAY, 8 * 60 + 40) };
    const { row, begins } = planOf(inputs([job(1, [act('a'), act('b', { after: ['a'], said: begun })])], later));
    expect(row('1/b')).toMatchObject({ started: true, machineId: 'two', personId: 'ines' });
    expect([begins('1/b'), isoOf(row('1/b').end)]).toEqual(['11-26T08:00', at(TODAY, '09:00')]);
    // What took its whole time already takes a little more.
    const over = planOf(inputs([job(1, [act('b', { said: begun })])], { now: utc(TODAY, 11 * 60) }));
    expect(over.row('1/b').end - utc(TODAY, 11 * 60)).toBeCloseTo(9, 6);
  });

  it('counts what was worked on it the day before, but not the night', () => {
    const begun = said({ state: 'started', startedAt: at('2026-11-25', '16:00'), personId: 'ines', machineId: 'two' });
    const { row } = planOf(inputs([job(1, [act('a', { said: begun })])], { now: utc(TODAY, 8 * 60 + 10) }));
    // Half an hour on Wednesday, ten minutes today.
    expect(isoOf(row('1/a').end)).toBe(at(TODAY, '08:30'));
  });

  it('waits for what was ordered from when it was, and until tomorrow for what is overdue', () => {
    const ordered = (doneAt: string): ToDoAct => act('order', { at: 'bench', done: true, said: said({ state: 'done', doneAt }) });
    const wait = act('seals', { act: null, at: 'away', hands: { low: 0, likely: 0, high: 0 }, aloneMin: 4 * 1440, after: ['order'] });
    const { row } = planOf(
      inputs([job(1, [ordered(at('2026-11-24', '10:00')), wait]), job(2, [ordered(at('2026-11-20', '10:00')), wait])]),
    );
    expect([isoOf(row('1/seals').end), isoOf(row('2/seals').end)]).toEqual([at('2026-11-28', '10:00'), at('2026-11-27', '08:00')]);
  });

  it('holds what is pinned to its time, and puts the others round it', () => {
    const pinned = said({ pinnedAt: at(TODAY, '10:00'), personId: 'tomas', machineId: 'one' });
    const people = { shop: { machines: [machine('one', 'lathe')], people: [person('tomas')] } };
    const jobs = [job(1, [act('a', { said: pinned })]), job(2, [act('a')]), job(3, [act('a')])];
    const given = inputs(jobs, people);
    const shop = shopProblem(given);
    const search = new OrderSearch(shop.problem, shop.order, shop.held);
    search.go(() => search.rounds >= 100);
    const stored: RunOrder = { placed: placedOf(laidPlan(shop, search.best, null)) };
    const { begins } = planOf(inputs(jobs, { ...people, stored }));
    expect(begins('1/a')).toBe('11-26T10:00');
    expect([begins('2/a'), begins('3/a')].sort()).toEqual(['11-26T08:00', '11-26T09:00']);
  });

  it('keeps the order that was stored, with what came in since behind it, and tells what moved', () => {
    const jobs = [job(1, [act('a')]), job(2, [act('a')])];
    const shop = { machines: [machine('one', 'lathe')], people: [person('tomas')] };
    const place = (number: number, begins: string) => ({
      jobId: `j${number}`,
      key: 'a',
      machineId: 'one',
      personId: 'tomas',
      beginsAt: at(TODAY, begins),
    });
    const stored = { placed: [place(2, '08:00'), place(1, '09:00'), place(9, '10:00')] };
    const first = planOf(inputs(jobs, { shop, stored }));
    expect([first.begins('2/a'), first.begins('1/a')]).toEqual(['11-26T08:00', '11-26T09:00']);
    expect(first.plan.rows.map((r) => r.movedMin)).toEqual([0, 0]);
    const longer = [jobs[0]!, job(2, [act('a', { hands: { low: 90, likely: 90, high: 90 } })]), job(3, [act('a')], '2026-11-26')];
    const then = planOf(inputs(longer, { shop, stored }));
    expect([then.row('1/a').movedMin, then.row('3/a').movedMin]).toEqual([30, null]);
    expect(then.begins('3/a')).toBe('11-26T10:30');
  });

  it('can be done whatever is stored, of whichever shop', () => {
    const random = seededRandom(5);
    const below = (n: number): number => Math.floor(random() * n);
    for (let k = 0; k < 40; k++) {
      const jobs = Array.from({ length: 1 + below(6) }, (_, j) =>
        job(
          j,
          Array.from({ length: 1 + below(5) }, (_, a) =>
            act(`a${a}`, {
              at: (['lathe', 'mill', 'bench', 'hone', 'away'] as const)[below(5)]!,
              act: random() < 0.1 ? null : 'turn',
              hands: { low: 10, likely: 10 + below(90), high: 200 },
              after: a > 0 && random() < 0.7 ? [`a${below(a)}`] : [],
              said: random() < 0.2 ? said({ state: 'started', startedAt: at(TODAY, '07:00'), personId: 'ines' }) : null,
              done: random() < 0.2,
            }),
          ),
          random() < 0.7 ? '2026-11-30' : null,
        ),
      );
      const stored = {
        placed: Array.from({ length: 20 }, () => ({
          ...{
            jobId: `j${below(8)}`,
            key: `a${below(6)}`,
            machineId: ['one', 'mill', 'gone', ''][below(4)]!,
            personId: ['tomas', 'gone', null][below(3)]!,
          },
          beginsAt: at(TODAY, '09:00'),
        })),
      };
      planOf(inputs(jobs, { stored }));
    }
  });
});

describe('promises', () => {
  it('are due at the end of their working day; safe, shaky and hopeless ones stand apart, the worst first', () => {
    const spread = { low: 180, likely: 300, high: 600 };
    const shop = { machines: [machine('one', 'lathe')], people: [person('tomas')] };
    const jobs = [
      job(1, [act('a', { hands: spread })], '2026-11-27'),
      job(2, [act('a', { hands: spread })], '2026-11-27'),
      job(3, [act('a')], '2026-12-20'),
    ];
    const place = (number: number) => ({
      jobId: `j${number}`,
      key: 'a',
      machineId: 'one',
      personId: 'tomas',
      beginsAt: at(TODAY, '08:00'),
    });
    const { plan } = planOf(inputs(jobs, { shop, stored: { placed: [1, 2, 3].map(place) } }));
    expect(plan.promises.map((p) => p.job.number)).toEqual([2, 1, 3]);
    const [second, first, third] = plan.promises;
    expect(isoOf(first!.due)).toBe(at('2026-11-27', '16:30'));
    // Sunday, when nobody works, is due as it ends.
    expect(isoOf(third!.due)).toBe(at('2026-12-21', '00:00'));
    expect([first!.chance > 0.9, second!.chance > 0.4 && second!.chance < 0.95, third!.chance]).toEqual([true, true, 1]);
    expect(second!.safeEnd!).toBeGreaterThan(second!.end);
  });

  it('are helped by hours, by going first, by asking, by another day, each as it comes out', () => {
    const shop = { machines: [machine('one', 'lathe')], people: [person('tomas')] };
    const long = { low: 400, likely: 400, high: 400 };
    const wait = act('bush', { act: null, at: 'away', hands: { low: 0, likely: 0, high: 0 }, open: true, name: 'bush on its way' });
    const jobs = [
      job(1, [act('a', { hands: long })], '2026-12-30'),
      job(2, [act('a', { hands: { low: 200, likely: 200, high: 200 } })], TODAY),
      job(3, [wait, act('a', { after: ['bush'] })], '2026-11-27'),
    ];
    const place = (number: number) => ({
      jobId: `j${number}`,
      key: 'a',
      machineId: 'one',
      personId: 'tomas',
      beginsAt: at(TODAY, '08:00'),
    });
    const given = inputs(jobs, { shop, stored: { placed: [place(1), place(2)] } });
    const { shop: problem, plan } = planOf(given);
    const dayOf = (minute: number): string => isoOf(minute).slice(0, 10);
    const helps = helpsFor(problem, problem.order, plan, { ...given, dayOf });
    const of = (id: string) => helps.filter((h) => h.jobId === id);
    expect(of('j1')).toEqual([]);
    expect(of('j2').map((h) => h.kind)).toEqual(expect.arrayContaining(['first', 'later']));
    expect(of('j2').find((h) => h.kind === 'first')).toMatchObject({ then: 1, makesLate: [] });
    expect(of('j3').find((h) => h.kind === 'ask')).toMatchObject({ what: 'bush on its way', then: 1 });
    const later = of('j3').find((h) => h.kind === 'later');
    expect(later?.kind === 'later' && isoOf(later.end).slice(0, 10)).toBe('2026-12-03');
  });
});

it('tells somebody what is next, what they are at first', () => {
  const begun = said({ state: 'started', startedAt: at(TODAY, '07:00'), personId: 'ines', machineId: 'two' });
  const { plan } = planOf(inputs([job(1, [act('a'), act('b', { after: ['a'] })]), job(2, [act('a', { said: begun })])]));
  expect(nextOf(plan, 'ines', 3)[0]).toMatchObject({ started: true });
  expect(nextOf(plan, 'tomas', 1)).toHaveLength(1);
  expect(nextOf(plan, 'nobody', 3)).toEqual([]);
});

it('counts minutes of work between two moments by somebody’s hours', () => {
  const given = inputs([job(1, [act('a')])]);
  const work = shopProblem(given).problem.people[0]!.work;
  // From eleven to one there is half an hour of lunch in it.
  expect(workedBetween(work, utc(TODAY, 660), utc(TODAY, 780))).toBe(90);
  expect(workedBetween(null, 5, 3)).toBe(0);
  expect(minuteOf(isoOf(NOW))).toBe(NOW);
});

describe('when a job would be ready', () => {
  const dayOf = (minute: number): string => isoOf(minute).slice(0, 10);
  const wide = { low: 120, likely: 300, high: 900 };
  const behind = job(1, [act('a', { hands: { low: 900, likely: 900, high: 900 }, machineId: 'one', said: said({ personId: 'tomas' }) })]);
  const one = inputs([behind], { shop: { machines: [machine('one', 'lathe')], people: [person('tomas')] } });

  it('is behind what stands in the order, and makes nobody wait', () => {
    // Fifteen hours from Thursday at eight, eight a day: Friday afternoon; five more end on Monday.
    const stored: RunOrder = { placed: placedOf(planOf(one).plan) };
    const given = { ...one, stored };
    const ready = readyIf(given, job(2, [act('x', { hands: { low: 300, likely: 300, high: 300 } })]), dayOf);
    expect(ready).toEqual({ days: [{ day: '2026-11-30', chance: 1 }], safe: '2026-11-30', open: [] });
    // Alone in the shop it is done today.
    expect(readyIf(inputs([]), job(2, [act('x')]), dayOf).safe).toBe(TODAY);
  });

  it('counts the same plays as the order once the job is in it', () => {
    const asked = job(2, [act('x', { hands: wide }), act('y', { hands: wide, after: ['x'], at: 'bench', act: 'assemble' })]);
    const ready = readyIf(one, asked, dayOf);
    for (const day of ['2026-11-27', '2026-11-30', '2026-12-01', '2026-12-02', '2026-12-04']) {
      const given = { ...one, jobs: [behind, { ...asked, promisedOn: day }] };
      const { promises } = laidPlan(shopProblem(given), shopProblem({ ...one, jobs: [behind, asked] }).order, null);
      expect([day, readyChance(ready, day)]).toEqual([day, expect.closeTo(promises.find((p) => p.job.id === 'j2')!.chance, 10)]);
    }
    expect(ready.days.map((d) => d.chance)).toEqual([...ready.days.map((d) => d.chance)].sort((a, b) => a - b));
    expect(ready.days.at(-1)!.chance).toBe(1);
    expect(readyChance(ready, ready.safe)).toBeGreaterThanOrEqual(0.8);
    expect(readyChance(ready, '2026-11-25')).toBe(0);
  });

  it('takes the place of the job as it stands now, says what it waits for, and is today where nothing is left', () => {
    const now = job(2, [act('x', { hands: { low: 6000, likely: 6000, high: 6000 } })]);
    const wait = act('w', { act: null, at: 'away', hands: { low: 0, likely: 0, high: 0 }, open: true, name: 'a gland' });
    const ready = readyIf(inputs([now]), job(2, [wait, act('x', { after: ['w'] })]), dayOf);
    expect([ready.open, ready.safe]).toEqual([['a gland'], '2026-12-03']);
    expect(readyIf(inputs([now]), job(2, [act('x', { done: true })]), dayOf)).toEqual({
      days: [{ day: TODAY, chance: 1 }],
      safe: TODAY,
      open: [],
    });
  });
});
