import { routes } from '@iron-patch/contract';
import { TestBed } from '@angular/core/testing';
import { choiceKey } from '@iron-patch/core';
import { drawnPin, testChoice, testReading, testSheet } from '@iron-patch/core/testing';
import { FakeServer, problem, response } from '../../testing/fake-server';
import { typedReading } from '../../testing/typed-reading';
import { breathe, openSheet, press, show, words } from '../../testing/open-sheet';
import { Live } from '../data';
import { Trouble } from '../sheet/trouble';
import type { SheetStore } from './sheet-store';

let server: FakeServer;
let store: InstanceType<typeof SheetStore>;
beforeEach(async () => {
  server = new FakeServer();
  store = await openSheet(server);
});

const fitKey = choiceKey.fit('barrel');
const keep = { schoolId: 'grease', hole: 'keep', truedMm: null };
describe('an open sheet', () => {
  it('is worked out by core', () => {
    expect(store.repair()!.fits[0]!.figures!.upper.value).toBeCloseTo(40.049, 3);
    expect(store.next()!.id).toBe('decide');
    expect(store.picture()!.mates).toHaveLength(1);
    expect(store.unit()).toBe('mm');
  });

  it('comes by itself when the server was away as it was opened', async () => {
    server.sheet = testSheet({ job: { ...server.sheet.job, id: 'later' } });
    server.down = true;
    await store.open('later');
    expect(store.sheet()).toBeNull();
    server.down = false;
    TestBed.inject(Live).back.next();
    await breathe();
    expect(store.sheet()!.job.id).toBe('later');
  });

  it('tells when there is no such job', async () => {
    await store.open('nothing');
    expect(store.missing()).toBe(true);
  });
});

describe('a reading', () => {
  it('counts at once, before the server has it', async () => {
    server.down = true;
    store.takeReading(typedReading('40.10'), 40.1);
    expect(store.repair()!.fits[0]!.figures!.hole.value).toBeLessThan(40.16);
    await breathe();
    expect(store.sheet()!.readings).toHaveLength(15);
    expect(store.shown()!.readings).toHaveLength(16);
  });

  it('is not counted twice when the server has it', async () => {
    store.takeReading(typedReading('40.10'), 40.1);
    await breathe();
    expect(store.shown()!.readings).toHaveLength(16);
    expect(store.sheet()!.readings).toHaveLength(16);
  });

  it('is worked out once, not again when the server acknowledges it or sends the same sheet', async () => {
    store.takeReading(typedReading('40.10'), 40.1);
    const worked = store.repair();
    await breathe();
    expect(store.sheet()!.readings).toHaveLength(16);
    expect(store.repair()).toBe(worked);
    server.sheet = JSON.parse(JSON.stringify(store.sheet())) as typeof server.sheet;
    await store.refresh();
    expect(store.repair()).toBe(worked);
  });

  it('leaves the places that it does not touch as they were worked out', () => {
    const before = store.repair()!.places;
    store.takeReading(typedReading('40.10'), 40.1);
    const after = store.repair()!.places;
    const same = after.filter((f, i) => f.shape === before[i]!.shape).map((f) => f.place.id);
    expect(same).toEqual(before.map((f) => f.place.id).filter((id) => id !== 'barrel'));
    const [barrel, was] = [after, before].map((all) => all.find((f) => f.place.id === 'barrel')!.shape!.sections);
    expect(barrel!.filter((s, i) => s === was![i])).toHaveLength(was!.length - 1);
  });

  it('stays on the screen when a sheet that was asked for before comes after it was acknowledged', async () => {
    const older = server.sheet;
    store.takeReading(typedReading('40.10'), 40.1);
    await breathe();
    server.sheet = older;
    await store.refresh();
    expect(store.sheet()!.readings).toHaveLength(16);
    await store.open('job');
    expect(store.sheet()!.readings).toHaveLength(16);
  });

  it('is taken back by a withdrawal, never by deleting', async () => {
    store.takeReading(typedReading('40.10'), 40.1);
    await breathe();
    expect(store.undo()!.what).toBe('reading 40.10');
    await store.undoLast();
    await breathe();
    const sent = server.readings().map((r) => r.input);
    expect(sent.map((s) => s.withdrawn)).toEqual([false, true]);
    expect(sent[1]!.supersedesId).toBe(sent[0]!.id);
    expect(store.repair()!.fits[0]!.figures!.hole.value).toBeCloseTo(40.16, 9);
  });
});

it('a sheet that was asked for before something was stored never puts back what was there before', async () => {
  const before = store.sheet()!.components[0]!;
  const real = globalThis.fetch;
  const held: (() => void)[] = [];
  const old = JSON.stringify(server.sheet);
  globalThis.fetch = ((path: string, init?: RequestInit) =>
    path === routes.sheet(server.sheet.job.id) && held.length === 0
      ? new Promise((resolve) => held.push(() => resolve(response(200, JSON.parse(old) as unknown))))
      : real(path, init)) as typeof fetch;
  const asked = store.refresh();
  const { id: _, jobId: __, version: ___, ...input } = before;
  const renamed = { ...before, name: 'Renamed', version: before.version + 1 };
  server.replies.push({ status: 200, body: renamed });
  await store.saveComponent(before, { ...input, name: 'Renamed' });
  server.sheet = { ...server.sheet, components: server.sheet.components.map((c) => (c.id === before.id ? renamed : c)) };
  held[0]!();
  await asked;
  expect(store.sheet()!.components[0]!.name).toBe('Renamed');
});

describe('what was removed', () => {
  it('comes back step by step, a place on the component that came back before it', async () => {
    const sheet = store.sheet()!;
    const barrel = sheet.places.find((f) => f.id === 'barrel')!;
    const part = sheet.components.find((c) => c.id === barrel.componentId)!;
    await store.removePlace(barrel);
    await store.removeComponent(part);
    expect(store.sheet()!.components.map((c) => c.id)).not.toContain(part.id);
    expect(store.undo()!.what).toBe(`removing ${part.name}`);
    server.replies.push({ status: 201, body: { ...part, id: 'part again', version: 1 } });
    await store.undoLast();
    server.replies.push({ status: 201, body: { ...barrel, id: 'barrel again', componentId: 'part again', version: 1 } });
    await store.undoLast();
    const [one, two] = server.changes().slice(-2);
    expect(one!.body).toMatchObject({ name: part.name, role: part.role, materialId: part.materialId });
    expect(two!.body).toMatchObject({ name: barrel.name, componentId: 'part again', stationsMm: barrel.stationsMm });
    expect(store.sheet()!.places.map((f) => f.id)).toContain('barrel again');
    expect(store.undo()).toBeNull();
  });

  it('is not there to be taken back where the server refused', async () => {
    const [place] = store.sheet()!.places;
    server.replies.push(problem(409));
    await expect(store.removePlace(place!)).rejects.toThrow();
    expect(store.undo()).toBeNull();
  });
});

describe('a choice', () => {
  it('is stored with its reason at the version that was read', async () => {
    await store.putChoice(fitKey, 'fit', keep, 'outdoors');
    expect(server.changes()[0]).toMatchObject({
      method: 'PUT',
      body: { value: keep, reason: 'outdoors' },
      headers: { 'If-None-Match': '*' },
    });
    expect(store.repair()!.fits[0]!.choice).toEqual(keep);
  });

  it('the first of its kind can be taken back too: nothing is chosen then', async () => {
    await store.putChoice(fitKey, 'fit', keep);
    expect(store.undo()!.what).toBe('fit');
    await store.undoLast();
    expect(server.changes().at(-1)).toMatchObject({ body: { value: null, reason: 'undone' } });
    expect(store.repair()!.fits[0]!.choice).toBeNull();
    expect(store.undo()).toBeNull();
  });

  it('that was one of many goes off its list when it is taken back', async () => {
    const fragment = { what: 'Key', where: 'bore', belongsTo: null, settled: '', removed: false };
    await store.putChoice('fragment:f1', 'a loose piece', fragment);
    expect(store.repair()!.stations.at(-1)!.state).toBe('out');
    await store.undoLast();
    expect(store.repair()!.stations.at(-1)!.state).not.toBe('out');
  });

  it('can be taken back to the one before', async () => {
    await store.putChoice(fitKey, 'fit', keep);
    await store.putChoice(fitKey, 'fit', { ...keep, hole: 'true' });
    expect(store.repair()!.fits[0]!.target!.upperMm).toBeGreaterThan(40.2);
    await store.undoLast();
    expect(store.repair()!.fits[0]!.choice).toEqual(keep);
    expect(server.changes().map((a) => a.headers['If-Match'] ?? '*')).toEqual(['*', expect.any(String), expect.any(String)]);
  });

  it('that another changed meanwhile becomes a question, and mine can be saved over theirs', async () => {
    server.replies.push(problem(412, { current: { version: 4 } }));
    expect(await store.putChoice(fitKey, 'fit', keep)).toBeNull();
    expect(store.conflict()!.what).toBe('fit');
    await store.keepMine();
    expect(server.changes().at(-1)!.headers['If-Match']).toBe('"v4"');
    expect(store.conflict()).toBeNull();
  });

  it('that another changed can be left as theirs', async () => {
    server.replies.push(problem(412, { current: { version: 4 } }));
    await store.putChoice(fitKey, 'fit', keep);
    store.takeTheirs();
    expect(store.conflict()).toBeNull();
    expect(server.changes()).toHaveLength(1);
  });

  it('that the server does not answer stays typed and is told', async () => {
    server.replies.push('silence');
    await expect(store.putChoice(fitKey, 'fit', keep)).rejects.toThrow();
    expect(store.message()).toMatchObject({ bad: true, text: expect.stringContaining('still here') });
  });

  it('that the server refuses is told in its words', async () => {
    server.replies.push(problem(422));
    await expect(store.putChoice(fitKey, 'fit', keep)).rejects.toThrow();
    expect(store.message()!.text).toBe('No. Because.');
    store.clearMessage();
    expect(store.message()).toBeNull();
  });
});

describe('a drawing that is not saved', () => {
  it('is worked with at once and survives leaving the page', async () => {
    store.draft(drawnPin());
    expect(store.repair()!.part!.segments[1]!.diameter.value).toBeCloseTo(40.0408, 3);
    expect(store.sheet()!.choices).toEqual([]);
    await store.open('nothing');
    await store.open('job');
    expect(store.draftPart()!.name).toBe('Hinge pin');
    store.draft(null);
    expect(store.repair()!.part).toBeNull();
  });

  it('remembers which saved version it started from, whatever comes in meanwhile', () => {
    server.sheet = testSheet({ choices: [{ ...testChoice(choiceKey.part, drawnPin()), version: 3 }] });
    return store.refresh().then(async () => {
      store.draft({ ...drawnPin(), name: 'Mine' });
      server.sheet = testSheet({ choices: [{ ...testChoice(choiceKey.part, drawnPin()), version: 4 }] });
      await store.refresh();
      store.draft({ ...drawnPin(), name: 'Mine still' });
      expect(store.draftFrom()).toBe(3);
    });
  });
});

describe('news of another screen', () => {
  it('of this job fetches its rows, of another nothing', async () => {
    const live = TestBed.inject(Live);
    const before = server.asked.length;
    live.news.next({ jobId: 'other', table: 'readings', row: 'r', screen: 'x' });
    await new Promise((r) => setTimeout(r, 120));
    expect(server.asked).toHaveLength(before);
    const added = testReading({ placeId: 'barrel', stationMm: 20, clockDeg: 0, valueMm: 40.29 });
    server.sheet = testSheet({ readings: [...server.sheet.readings, added] });
    live.news.next({ jobId: 'job', table: 'readings', row: added.id, screen: 'x' });
    await new Promise((r) => setTimeout(r, 120));
    expect(store.sheet()!.readings).toHaveLength(16);
    expect(server.asked.slice(before).map((a) => a.path.split('?')[0])).toEqual(['/api/jobs/job/rows']);
  });

  it('that does not say which row, or tells of many, fetches the sheet', async () => {
    const live = TestBed.inject(Live);
    for (const rows of [[null], Array.from({ length: 61 }, (_, i) => `r${i}`)]) {
      const before = server.asked.length;
      for (const row of rows) live.news.next({ jobId: 'job', table: 'readings', row, screen: 'x' });
      await new Promise((r) => setTimeout(r, 120));
      expect(server.asked.slice(before).map((a) => a.path)).toEqual(['/api/jobs/job/sheet']);
    }
  });

  it('is asked for again where no answer came', async () => {
    const live = TestBed.inject(Live);
    server.down = true;
    const added = testReading({ placeId: 'barrel', stationMm: 20, clockDeg: 0, valueMm: 40.29 });
    server.sheet = testSheet({ readings: [...server.sheet.readings, added] });
    live.news.next({ jobId: 'job', table: 'readings', row: added.id, screen: 'x' });
    await new Promise((r) => setTimeout(r, 120));
    expect(store.sheet()!.readings).toHaveLength(15);
    server.down = false;
    await new Promise((r) => setTimeout(r, 1100));
    expect(store.sheet()!.readings).toHaveLength(16);
  });

  it('after a gap fetches what may have been missed', async () => {
    const before = server.asked.length;
    TestBed.inject(Live).back.next();
    await breathe();
    expect(server.asked.slice(before).map((a) => a.path)).toContain('/api/jobs/job/sheet');
  });
});

describe('what a sheet is made of', () => {
  it('is added, changed and removed at the version that was opened', async () => {
    const component = store.sheet()!.components[0]!;
    const { parentId, name, role, materialId, axisOffsetMm, verdict, asFound } = component;
    const input = { parentId, name, role, materialId, axisOffsetMm, verdict, asFound };
    await store.addComponent({ ...input, name: 'Nut' }, 'key-1');
    expect(store.sheet()!.components.map((c) => c.name)).toContain('Nut');
    await store.saveComponent(component, { ...input, name: 'Pin, long' });
    expect(server.changes()[1]!.headers['If-Match']).toBe('"v1"');
    await store.removeComponent(component);
    expect(store.sheet()!.components.find((c) => c.id === component.id)).toBeUndefined();
  });

  it('is released, proved and noted', async () => {
    await store.release({});
    expect(store.sheet()!.releases).toHaveLength(1);
    await store.prove({ segmentId: 'body', passed: true, remark: '' });
    expect(store.sheet()!.proofs).toHaveLength(1);
    await store.addNote({ station: 'return', text: 'Greased.' });
    expect(store.sheet()!.notes.map((n) => n.text)).toEqual(['Greased.']);
  });
});

describe('a job that cannot be worked out', () => {
  beforeEach(async () => {
    server.sheet = testSheet({ choices: [testChoice(choiceKey.part, { segments: 7 })] });
    await store.refresh();
  });

  it('leaves the page standing, with its records and the way back', async () => {
    expect(store.repair()).toBeNull();
    expect(store.trouble()).not.toBe('');
    const fixture = await show(Trouble);
    expect(words(fixture)).toContain('cannot be worked out');
    expect(words(fixture)).toContain('Barrel bore');
    await press(fixture, 'Take back 40.19');
    await breathe();
    expect(server.changes()[0]!.body).toMatchObject({ withdrawn: true });
  });

  it('takes readings as before, and comes back by itself', async () => {
    store.takeReading(typedReading('40.10'), 40.1);
    await breathe();
    expect(server.changes()).toHaveLength(1);
    server.sheet = { ...server.sheet, choices: [] };
    await store.refresh();
    expect(store.trouble()).toBe('');
    expect(store.repair()).not.toBeNull();
  });
});
