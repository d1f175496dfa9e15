import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { momentsIn } from '@iron-patch/contract/wire';
import { USUAL_HOURS, type WorkHours } from '@iron-patch/core/making/run-order';
import type { RunJob } from '@iron-patch/core/repair/order';
import type { Machine, RunChoice, ToDoAct } from '@iron-patch/core';
import { testShop } from '@iron-patch/core/testing';
import { BASE } from '../../testing/base';
import { FakeServer } from '../../testing/fake-server';
import { press, show, type as typeIn, words } from '../../testing/open-sheet';
import { SessionStore, ShopStore } from '../data';
import type { OrderMessage, OrderQuestion } from '../workers/order-message';
import { dayAxis } from './day-axis';
import { NextThree } from './next-three';
import { MomentWords, promiseWords, spanWords } from './order-words';
import { RunOrder } from './run-order';

/** Workers on this thread: they answer once they are let. */
class HereWorker {
  static all: HereWorker[] = [];
  onmessage: ((e: { data: OrderMessage }) => void) | null = null;
  asked!: OrderQuestion;
  ended = false;
  constructor() {
    HereWorker.all.push(this);
  }
  postMessage(question: OrderQuestion): void {
    // A worker takes no function.
    if (Object.values(question.inputs).some((v) => typeof v === 'function')) throw new Error('cannot be cloned');
    this.asked = question;
  }
  terminate(): void {
    this.ended = true;
  }
  static last(forMs: (ms: number) => boolean): HereWorker {
    return HereWorker.all.filter((w) => w.asked && forMs(w.asked.forMs)).at(-1)!;
  }
}
jest.mock('../workers/order.worker-factory', () => ({ newWorker: () => new HereWorker() }));

/** Every day from eight to four, so that the test does not hang on the day it runs. */
const HOURS: WorkHours = {
  ...USUAL_HOURS,
  handsOnPercent: 100,
  week: [1, 2, 3, 4, 5, 6, 7].map((weekday) => ({ weekday, from: 0, to: 1440 })),
};
const said = (value: Partial<RunChoice>): RunChoice => ({
  ...{ state: 'open', startedAt: null, doneAt: null, personId: null, machineId: '', pinnedAt: null },
  ...value,
});
const act = (key: string, more: Partial<ToDoAct> = {}): ToDoAct => ({
  ...{
    key,
    act: 'turn',
    name: `turn ${key}`,
    at: 'lathe',
    machineId: '',
    hands: { low: 60, likely: 60, high: 60 },
    setupMin: 0,
    setup: '',
  },
  ...{ aloneMin: 0, after: [], dueOn: null, open: false, done: false, said: null, version: 0 },
  ...more,
});
const job = (number: number, acts: ToDoAct[], promisedOn: string | null = null): RunJob => ({
  ...{ id: `j${number}`, number, title: `Pin ${number}`, customerName: 'Ferry', promisedOn },
  toDo: { decided: number !== 2, urgency: { urgent: false, notBefore: null, why: '' }, urgencyVersion: 0, acts },
});
const machine = (id: string, name: string, kind: Machine['kind']): Machine => ({ ...testShop.machines[0], id, name, kind }) as Machine;

let server: FakeServer;
async function given(jobs: readonly RunJob[], more: Partial<FakeServer['runOrder']> = {}): Promise<void> {
  HereWorker.all = [];
  server = new FakeServer();
  server.runOrder = { jobs, order: null, hours: { ...HOURS, version: 1 }, calendar: { version: 0, madeAt: null }, ...more };
  server.shop = { ...testShop, machines: [machine('gap', 'Gap-bed lathe', 'lathe'), machine('mill', 'Knee mill', 'mill')] };
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE, provideRouter([])] });
  await TestBed.inject(ShopStore).load();
  TestBed.inject(SessionStore).choosePerson(server.shop.people[0]!.id);
}
async function page(jobs: readonly RunJob[], more: Partial<FakeServer['runOrder']> = {}): Promise<ComponentFixture<RunOrder>> {
  await given(jobs, more);
  const fixture = await show(RunOrder);
  await settled(fixture);
  return fixture;
}
const settled = async (fixture: ComponentFixture<unknown>): Promise<void> => {
  for (let k = 0; k < 3; k++) {
    await new Promise((r) => setTimeout(r, 5));
    await fixture.whenStable();
  }
};
const box = (fixture: ComponentFixture<unknown>, name: string): HTMLButtonElement =>
  [...(fixture.nativeElement as HTMLElement).querySelectorAll<HTMLButtonElement>('.box')].find((b) =>
    b.getAttribute('aria-label')!.includes(name),
  )!;
const runs = () => server.changes().filter((c) => decodeURIComponent(c.path).includes('/choices/run:'));

it('tells an empty shop so, and a server that is away', async () => {
  expect(words(await page([]))).toContain('Nothing is to be done');
  await given([]);
  server.down = true;
  expect(words(await show(RunOrder).then(async (f) => (await settled(f), f)))).toContain('The server does not answer');
});

it('lays acts on lanes of their machines, benches and what is away, with promises and what is not decided', async () => {
  const jobs = [
    job(1, [act('a'), act('b', { at: 'mill', after: ['a'] }), act('c', { at: 'bench', after: ['b'] })], '2020-01-01'),
    job(2, [act('x', { act: null, at: 'away', name: 'bush on its way', open: true, hands: { low: 0, likely: 0, high: 0 } })]),
    job(3, [act('h', { at: 'hone' })]),
  ];
  const fixture = await page(jobs);
  const text = words(fixture);
  expect(text).toMatch(/3 jobs open, 4 acts left/);
  for (const lane of ['Gap-bed lathe', 'Knee mill', 'Bench', 'Away, waiting']) expect(text).toContain(lane);
  expect(text).toMatch(/late, in time in 0 of 10/);
  expect(text).toContain('By their items, as no way is chosen yet: 2');
  expect(text).toContain('1 act for a hone');
  await press(fixture, 'By person');
  expect(words(fixture)).not.toContain('Gap-bed lathe');
});

it('tells what an act that is put elsewhere costs before it is, and keeps it', async () => {
  const fixture = await page([job(1, [act('a')]), job(4, [act('a')], '2020-01-01')]);
  box(fixture, '1 turn a').click();
  await settled(fixture);
  await typeIn(fixture, '#reading', 'nonsense');
  expect(words(fixture)).toContain('A time, or a day and a time');
  await typeIn(fixture, '#reading', 'tomorrow 9:30');
  expect(words(fixture)).toMatch(/9:30 to 10:30; nobody’s promise is later for it/);
  await press(fixture, 'Enter, pin it there');
  await settled(fixture);
  const [kept] = runs();
  expect(decodeURIComponent(kept!.path)).toBe('/api/jobs/j1/choices/run:a');
  expect(kept!.body).toMatchObject({
    value: { state: 'open', personId: expect.any(String), machineId: 'gap', pinnedAt: expect.stringMatching(/T09:30/) },
  });
});

it('lets a pinned act go, begins one, and takes what is done with its minutes', async () => {
  const pinnedAt = new Date(Date.now() + 3_600_000).toISOString();
  const person = 'tomas';
  const fixture = await page([job(1, [act('a', { said: said({ pinnedAt, personId: person, machineId: 'gap' }), version: 2 })])]);
  box(fixture, '1 turn a').click();
  await settled(fixture);
  await press(fixture, 'Let it go');
  await settled(fixture);
  expect(runs()[0]).toMatchObject({ headers: { 'If-Match': '"v2"' }, body: { value: { pinnedAt: null, personId: null, machineId: '' } } });
  await press(fixture, 'Begin it now');
  await settled(fixture);
  expect(runs()[1]!.body).toMatchObject({ value: { state: 'started', startedAt: expect.any(String), machineId: 'gap' } });

  const startedAt = new Date(Date.now() - 45 * 60_000).toISOString();
  const under = await page([
    job(1, [act('a', { said: said({ state: 'started', startedAt, personId: person, machineId: 'gap' }), version: 3 })]),
  ]);
  box(under, 'under way').click();
  await settled(under);
  await press(under, 'It is done');
  await settled(under);
  expect(runs()[0]!.body).toMatchObject({ value: { state: 'done', startedAt, doneAt: expect.any(String) } });
  const spent = server.changes().find((c) => decodeURIComponent(c.path).includes('/choices/spent:'));
  expect(spent!.body).toMatchObject({ value: { act: 'turn', itemId: null } });
  expect(Math.abs((spent!.body as { value: { minutes: number } }).value.minutes - 45)).toBeLessThanOrEqual(1);
});

it('puts in order what its worker found, over the order that was seen; a stopped one changes nothing', async () => {
  const stored = { placed: [], version: 4, personId: 'tomas', at: '2026-11-26T08:00:00Z' };
  const fixture = await page([job(1, [act('a')]), job(3, [act('a')])], { order: stored });
  await press(fixture, 'Put it in order');
  const worker = HereWorker.last((ms) => ms > 0);
  worker.onmessage!({ data: { kind: 'progress', share: 0.42 } });
  await settled(fixture);
  expect(words(fixture)).toContain('Looking, 42 %');
  await press(fixture, 'Stop');
  expect([worker.ended, server.changes()]).toEqual([true, []]);
  await press(fixture, 'Put it in order');
  const placed = [{ jobId: 'j3', key: 'a', machineId: 'gap', personId: 'tomas', beginsAt: '2026-11-26T09:00:00.000Z' }];
  HereWorker.last((ms) => ms > 0).onmessage!({ data: { kind: 'order', placed, better: true } });
  await settled(fixture);
  expect(server.changes()[0]).toMatchObject({ method: 'PUT', path: '/api/run-order', headers: { 'If-Match': '"v4"' }, body: { placed } });
});

it('does not put its order over one that somebody else put in force meanwhile', async () => {
  const stored = { placed: [], version: 4, personId: 'tomas', at: '2026-11-26T08:00:00Z' };
  const fixture = await page([job(1, [act('a')]), job(3, [act('a')])], { order: stored });
  await press(fixture, 'Put it in order');
  server.runOrder = { ...server.runOrder, order: { ...stored, version: 5 } };
  await fixture.componentInstance['store'].load();
  HereWorker.last((ms) => ms > 0).onmessage!({ data: { kind: 'order', placed: [], better: true } });
  await settled(fixture);
  expect(server.changes()[0]).toMatchObject({ path: '/api/run-order', headers: { 'If-Match': '"v4"' } });
});

it('tells what would help, as its worker plays it through', async () => {
  const fixture = await page([job(1, [act('a')], '2020-01-01')]);
  await new Promise((r) => setTimeout(r, 850));
  const helps = HereWorker.last((ms) => ms === 0);
  helps.onmessage!({
    data: {
      kind: 'helps',
      helps: [
        { jobId: 'j1', chance: 0, then: 0.9, kind: 'overtime', personId: server.shop.people[0]!.id, hoursADay: 2, until: '2026-12-04' },
        { jobId: 'j1', chance: 0, then: 0.7, kind: 'first', makesLate: [] },
        { jobId: 'j1', chance: 0, then: 1, kind: 'ask', what: 'bush on its way' },
      ],
    },
  });
  await settled(fixture);
  const text = words(fixture);
  expect(text).toMatch(/1 in time in 9 of 10 if .+ works 2 h longer each day until Fri 4 Dec/);
  expect(text).toContain('before all others, and no other promise suffers');
  expect(text).toContain('if it had this now: bush on its way');
});

it('makes an address for calendars, shown once', async () => {
  const fixture = await page([job(1, [act('a')])]);
  await press(fixture, 'Calendar');
  await press(fixture, 'Make an address');
  await settled(fixture);
  const [made] = server.changes();
  const { token } = made!.body as { token: string };
  expect([made!.path, token.length]).toEqual(['/api/run-order/calendar', 43]);
  expect(words(fixture)).toContain(`/calendar/${token}.ics`);
});

it('shows whoever is at the bench their next three, and lets them begin', async () => {
  const order = { placed: [], version: 1, personId: 'tomas', at: '2026-11-26T08:00:00Z' };
  await given([job(1, [act('a'), act('b', { after: ['a'] })]), job(3, [act('a')]), job(4, [act('a')])], { order });
  server.shop = { ...server.shop, people: [server.shop.people[0]!] };
  await TestBed.inject(ShopStore).load();
  const fixture = await show(NextThree);
  await settled(fixture);
  expect((fixture.nativeElement as HTMLElement).querySelectorAll('li')).toHaveLength(3);
  await press(fixture, 'Begin: turn a');
  await settled(fixture);
  expect(runs()[0]!.body).toMatchObject({ value: { state: 'started', personId: server.shop.people[0]!.id } });
});

describe('the axis', () => {
  const utc = momentsIn('UTC');
  const axis = dayAxis('2026-11-27', 2, USUAL_HOURS, utc);
  it('has working days side by side, the weekend and the nights left out', () => {
    expect(axis.days.map((d) => d.day)).toEqual(['2026-11-27', '2026-11-30']);
    expect(axis.shareOf(utc('2026-11-27', 480))).toBe(0);
    expect(axis.shareOf(utc('2026-11-28', 600))).toBeCloseTo(0.5, 9);
    expect(axis.shareOf(utc('2026-11-30', 480))).toBeCloseTo(0.5, 9);
    expect(axis.shareOf(utc('2026-12-24', 0))).toBeCloseTo(1, 9);
    expect(axis.days[0]!.rests).toHaveLength(1);
  });
  it('goes back and forth between moments and places', () => {
    for (let share = 0.01; share < 1; share += 0.07) expect(axis.shareOf(axis.momentAt(share))).toBeCloseTo(share, 9);
    expect(dayAxis('2026-11-27', 2, { ...USUAL_HOURS, week: [] }, utc).momentAt(0.5)).toBe(0);
  });
});

it('tells spans and promises in words', () => {
  expect([0, 59, 60, 130, 2900].map(spanWords)).toEqual(['0 min', '59 min', '1 h', '2 h 10 min', '2 days']);
  const row = { job: job(1, []), end: 100, due: 200, safeEnd: null };
  expect(promiseWords({ ...row, chance: 0.97 })).toBe('in time');
  expect(promiseWords({ ...row, chance: 0.72 })).toBe('in time in 7 of 10');
  expect(promiseWords({ ...row, end: 330, chance: 0.2 })).toBe('2 h 10 min late, in time in 2 of 10');
  expect(promiseWords({ ...row, due: Infinity, chance: 1 })).toBe('nothing promised');
  const at = new MomentWords('Europe/Oslo', '2026-11-27');
  const utcMin = (iso: string): number => Date.parse(iso) / 60_000;
  expect(at.span(utcMin('2026-11-27T09:00Z'), utcMin('2026-11-27T10:30Z'))).toBe('10:00 to 11:30');
  expect(at.span(utcMin('2026-11-28T09:00Z'), utcMin('2026-11-30T10:30Z'))).toBe('Sat 28 Nov 10:00 to Mon 30 Nov 11:30');
});
