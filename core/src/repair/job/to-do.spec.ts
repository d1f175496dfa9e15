import { COST_ACTS, meanOf3 } from '../../making/costing';
import { choiceKey } from './choices';
import { newItem, type ItemChoice } from './items';
import { proposeRoute, type ConsideredChoice } from './considered';
import type { ChoiceRecord, JobSheet } from './records';
import { workOut } from './repair';
import { drawnPin, testChoice, testSheet, testShop } from './testing';
import type { ToDo } from './to-do';
import type { RunChoice, ToDoAct } from './to-do-act';

const toDo = (choices: readonly ChoiceRecord[] = [], more: Partial<JobSheet> = {}): ToDo =>
  workOut(testSheet({ choices, ...more }), testShop).toDo;
const named = (t: ToDo, key: string): ToDoAct => t.acts.find((a) => a.key === key)!;
const keys = (t: ToDo): string[] => t.acts.map((a) => a.key);
const item = (id: string, value: Partial<ItemChoice> & Pick<ItemChoice, 'kind' | 'name'>): ChoiceRecord =>
  testChoice(choiceKey.item(id), { ...newItem(value.kind, value.name, [], 5), ...value });
const WAY = '6f1d2c3b-4a5e-4f60-8a7b-9c0d1e2f3a4b';
const way = (value: Partial<ConsideredChoice>): ChoiceRecord => {
  const sheet = testSheet({});
  const proposed = proposeRoute(
    'new-rod',
    sheet.components.find((c) => c.role === 'worn')!,
    [],
    0,
    1,
  );
  return testChoice(choiceKey.considered(WAY), { ...proposed, state: 'chosen', why: 'it holds', ...value });
};
const said = (value: Partial<RunChoice>): RunChoice => ({
  ...{ state: 'open', startedAt: null, doneAt: null, personId: null, machineId: '', pinnedAt: null },
  ...value,
});

describe('a job without a chosen way', () => {
  it('takes what its items tell, one after another, and is put together at the end', () => {
    const t = toDo();
    expect(t.decided).toBe(false);
    expect(keys(t)[0]).toBe('job:open');
    expect(named(t, 'job:measure').after).toEqual(['job:open']);
    const making = t.acts.filter((a) => a.act === 'turn');
    expect(making.length).toBeGreaterThan(0);
    const last = named(t, 'job:assemble');
    expect(t.acts.at(-1)).toBe(last);
    expect(last.after).toContain(t.acts.filter((a) => a.key !== 'job:assemble' && !a.key.endsWith(':wait')).at(-1)!.key);
    expect(t.acts.every((a) => a.after.every((k) => keys(t).includes(k)))).toBe(true);
  });

  it('is planned set-up by set-up where its part is drawn, on the lathe of the plan', () => {
    const t = toDo([
      testChoice(choiceKey.part, drawnPin()),
      testChoice(choiceKey.fit('barrel'), { schoolId: 'grease', hole: 'keep', truedMm: null }),
    ]);
    const setUps = t.acts.filter((a) => a.key.includes('set-up'));
    expect(setUps.length).toBeGreaterThan(0);
    expect(setUps[0]).toMatchObject({ act: 'turn', machineId: testShop.lathes[0]!.id });
    expect(setUps[0]!.setupMin).toBeGreaterThan(0);
  });

  it('waits for what is bought: to its day, or for nobody knows how long; nothing that is here', () => {
    const t = toDo([
      item('b1', { kind: 'buy', name: 'Seals', leadDays: 3 }),
      item('b2', { kind: 'buy', name: 'Bush' }),
      item('b3', { kind: 'buy', name: 'Key steel', here: true }),
    ]);
    expect(named(t, 'b1:wait')).toMatchObject({
      act: null,
      at: 'away',
      open: false,
      dueOn: expect.stringMatching(/^\d{4}-\d\d-\d\d$/),
      after: [],
    });
    expect(named(t, 'b2:wait')).toMatchObject({ open: true, dueOn: null });
    expect(keys(t)).not.toContain('b3:wait');
    expect(named(t, 'job:assemble').after).toEqual(expect.arrayContaining(['b1:wait', 'b2:wait']));
  });

  it('does the steps of an item in their order, away for what is done elsewhere, and what is joined after what it joins', () => {
    const step = (what: string, act: 'press' | 'plate' | 'weld', done = false) => ({ what, act, done, moves: true, doneAt: null });
    const t = toDo([
      item('r', { kind: 'rework', name: 'Rod', steps: [step('weld up', 'weld', true), step('have it plated', 'plate')] }),
      item('j', { kind: 'join', name: 'Bush pressed in', steps: [step('press the bush in', 'press')], after: ['r'] }),
    ]);
    expect(named(t, 'r:step:0')).toMatchObject({ act: 'weld', done: true });
    expect(named(t, 'r:step:1')).toMatchObject({ act: null, aloneMin: 15 * 1440, after: ['r:step:0'] });
    expect(named(t, 'j:step:0')).toMatchObject({ act: 'press', at: 'press' });
    expect(named(t, 'j:step:0').after).toContain('r:step:1');
  });
});

describe('a job with a chosen way', () => {
  it('takes its acts one after another; what it orders comes meanwhile', () => {
    const t = toDo([way({})]);
    expect(t.decided).toBe(true);
    const key = (what: string): string => `${WAY}:${what}`;
    expect(named(t, key('saw:0')).after).toEqual([key('measure:0')]);
    expect(named(t, key('order:0')).after).toEqual([key('measure:0')]);
    expect(named(t, key('turn:0')).after).toEqual([key('saw:0')]);
    // The seals were never dated: nobody knows when they come.
    expect(named(t, key('wait:0'))).toMatchObject({ open: true, after: [key('order:0')] });
    expect(named(t, key('assemble:0')).after).toEqual([key('thread:0'), key('wait:0')]);
    expect(keys(t)).not.toContain('job:open');
  });

  it('knows how long what it ordered takes, from when it is ordered', () => {
    const seals = { what: 'set of seals', count: 1, costMinor: null, leadDays: 4, outside: false };
    expect(named(toDo([way({ bought: [seals] })]), `${WAY}:wait:0`)).toMatchObject({ open: false, aloneMin: 4 * 1440 });
    const acts = way({}).value as ConsideredChoice;
    const without = way({ bought: [seals], acts: acts.acts.filter((a) => a.act !== 'order') });
    expect(named(toDo([without]), `${WAY}:wait:0`)).toMatchObject({ after: [], dueOn: expect.any(String), aloneMin: 0 });
  });

  it('is away between sending and what follows', () => {
    const plated = { what: 'chrome', count: 1, costMinor: null, leadDays: 15, outside: true };
    const acts = (['open', 'send', 'assemble'] as const).map((act) => ({ act, what: '', times: 1, minutes: null, machineId: '' }));
    const t = toDo([way({ acts, bought: [plated] })]);
    expect(named(t, `${WAY}:wait:0`)).toMatchObject({ name: 'chrome', aloneMin: 15 * 1440, after: [`${WAY}:send:0`] });
    expect(named(t, `${WAY}:assemble:0`).after).toEqual([`${WAY}:wait:0`]);
  });

  it('waits once for what is ordered or sent twice', () => {
    const acts = (['order', 'order', 'send', 'send', 'assemble'] as const).map((act) => ({
      act,
      what: '',
      times: 1,
      minutes: null,
      machineId: '',
    }));
    const buy = (what: string, outside: boolean) => ({ what, count: 1, costMinor: null, leadDays: 2, outside });
    const all = keys(toDo([way({ acts, bought: [buy('seals', false), buy('chrome', true)] })]));
    expect(all.filter((k) => k.includes(':wait:'))).toHaveLength(2);
    expect(new Set(all).size).toBe(all.length);
  });

  it('takes the minutes that were said, and those of the estimate', () => {
    const minutes = { low: 10, likely: 20, high: 30 };
    const acts = (['open', 'assemble'] as const).map((act, k) => ({ act, what: '', times: 1, minutes: k ? minutes : null, machineId: '' }));
    const t = toDo([way({ acts, bought: [] })]);
    expect(named(t, `${WAY}:assemble:0`).hands).toEqual(minutes);
    expect(meanOf3(named(t, `${WAY}:open:0`).hands)).toBeGreaterThan(COST_ACTS.open.baseMin);
  });
});

describe('what is done', () => {
  it('is so as the stations show, or as somebody says; both are kept', () => {
    const done = toDo([testChoice(choiceKey.run('job:assemble'), said({ state: 'done', doneAt: '2026-11-27T10:00:00Z' }))]);
    expect(named(done, 'job:assemble')).toMatchObject({ done: true, version: 1, said: { state: 'done' } });
    const t = toDo();
    expect(named(t, 'job:assemble')).toMatchObject({ done: false, version: 0, said: null });
    const saw = t.acts.find((a) => a.act === 'saw')!;
    const sawn = toDo([testChoice(choiceKey.sawn(saw.key.split(':')[0]!), { blanks: 9, pieces: 9 })]);
    expect([saw.done, named(sawn, saw.key).done]).toEqual([false, true]);
  });

  it('leaves nothing of a job that is called off', () => {
    expect(toDo([testChoice(choiceKey.calledOff, { off: true, why: 'sold' })]).acts).toEqual([]);
  });

  it('tells how urgent it is', () => {
    expect(toDo().urgency).toEqual({ urgent: false, notBefore: null, why: '' });
    const urgent = { urgent: true, notBefore: '2026-12-01', why: 'the ferry lies still' };
    expect(toDo([testChoice(choiceKey.urgency, urgent)])).toMatchObject({ urgency: urgent, urgencyVersion: 1 });
  });
});
