import { TestBed } from '@angular/core/testing';
import type { ReadingInput } from '@iron-patch/contract';
import { BASE } from '../../testing/base';
import { FakeServer, problem, response } from '../../testing/fake-server';
import { breathe } from '../../testing/open-sheet';
import { Leaving } from './leaving';
import { Live } from './live';
import { newId } from './new-id';
import { Outbox } from './outbox';

let server: FakeServer;
const fresh = (): Outbox => {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE] });
  return TestBed.inject(Outbox);
};
const reading = (text: string, takenAt = new Date().toISOString()): ReadingInput => ({
  id: newId(),
  purpose: 'found',
  placeId: newId(),
  segmentId: null,
  quantity: 'size' as const,
  stationMm: 5,
  clockDeg: 0,
  text,
  unit: 'mm',
  instrumentId: 'mic',
  partTempC: null,
  dial: null,
  takenAt,
  supersedesId: null,
  withdrawn: false,
  confirmed: false,
});
const texts = (): unknown[] => server.readings().map((r) => r.input.text);

beforeEach(() => {
  localStorage.clear();
  server = new FakeServer();
});

it('sends a reading under its own id as key and forgets it when it is stored', async () => {
  const outbox = fresh();
  const seen: string[] = [];
  outbox.acknowledged.subscribe((r) => seen.push(r.text));
  const input = reading('40.16');
  outbox.add('job', input, 40.16);
  expect(outbox.waiting()).toBe(1);
  await breathe();
  expect(server.changes()[0]!.headers['Idempotency-Key']).toBe(input.id);
  expect(seen).toEqual(['40.16']);
  expect(outbox.waiting()).toBe(0);
  expect(localStorage).toHaveLength(0);
});

it('sends what an earlier version kept by the names of today', async () => {
  const { placeId, ...input } = reading('40.3');
  const kept = { jobId: 'job', personId: 'tomas', input: { ...input, featureId: placeId }, valueMm: 40.3, refused: null };
  localStorage.setItem(`iron-patch.outbox.${input.id}`, JSON.stringify(kept));
  fresh();
  await breathe();
  expect(server.readings()[0]!.input).toEqual({ ...input, placeId });
});

it('keeps what was not acknowledged in the browser, in order, over a reload', async () => {
  server.down = true;
  const first = fresh();
  first.add('job', reading('40.1', '2026-11-25T10:00:00Z'), 40.1);
  first.add('job', reading('40.2', '2026-11-25T10:00:01Z'), 40.2);
  await breathe();
  expect(localStorage).toHaveLength(2);

  server.down = false;
  server.asked.length = 0;
  const reloaded = fresh();
  expect(reloaded.waiting()).toBe(2);
  await breathe();
  expect(texts()).toEqual(['40.1', '40.2']);
  expect(reloaded.waiting()).toBe(0);
});

it('tries again when the line comes back, with the same key', async () => {
  const outbox = fresh();
  server.replies.push('silence');
  outbox.add('job', reading('40.3'), 40.3);
  await breathe();
  expect(outbox.waiting()).toBe(1);
  TestBed.inject(Live).back.next();
  await breathe();
  const keys = server.changes().map((a) => a.headers['Idempotency-Key']);
  expect(keys).toHaveLength(2);
  expect(keys[0]).toBe(keys[1]);
  expect(outbox.waiting()).toBe(0);
});

it('puts a refused reading aside with its reason and sends the rest', async () => {
  const outbox = fresh();
  server.replies.push(problem(422, { problems: [{ code: 'implausible', path: 'text', message: 'Did you mean 40.3?' }] }));
  outbox.add('job', reading('403'), 403);
  outbox.add('job', reading('40.4'), 40.4);
  await breathe();
  expect(outbox.refused().map((i) => i.refused![0]!.message)).toEqual(['Did you mean 40.3?']);
  expect(outbox.waiting()).toBe(0);
  expect(texts()).toEqual(['403', '40.4']);

  outbox.insist(outbox.refused()[0]!.input.id);
  await breathe();
  expect((server.changes().at(-1)!.body as ReadingInput).confirmed).toBe(true);
  expect(outbox.refused()).toEqual([]);
});

it('leaves a refused reading out when somebody says so', async () => {
  const outbox = fresh();
  server.replies.push(problem(403));
  outbox.add('job', reading('40.4'), 40.4);
  await breathe();
  expect(outbox.refused()[0]!.refused![0]!.message).toBe('No. Because.');
  outbox.drop(outbox.refused()[0]!.input.id);
  expect(outbox.items()).toEqual([]);
  expect(localStorage).toHaveLength(0);
});

it('waits and keeps a reading when the server itself broke', async () => {
  const outbox = fresh();
  server.replies.push(problem(500));
  outbox.add('job', reading('40.4'), 40.4);
  await breathe();
  expect(outbox.waiting()).toBe(1);
  expect(outbox.refused()).toEqual([]);
});

it('says so when the browser has no room', () => {
  server.down = true;
  const outbox = fresh();
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  outbox.add('job', reading('40.4'), 40.4);
  expect(outbox.full()).toBe(true);
  expect(outbox.waiting()).toBe(1);
  full.mockRestore();
});

describe('with another page of the same browser', () => {
  const elsewhere = (item: object | null, id: string): void => {
    const key = `iron-patch.outbox.${id}`;
    if (item) localStorage.setItem(key, JSON.stringify(item));
    else localStorage.removeItem(key);
    dispatchEvent(new StorageEvent('storage', { key, newValue: item && JSON.stringify(item) }));
  };
  const soon = (): Promise<void> => new Promise((r) => setTimeout(r, 450));

  it('sees at once what was typed there, and sends it where that page does not', async () => {
    const outbox = fresh();
    const [second, first] = [reading('40.2', '2026-11-25T10:00:01Z'), reading('40.1', '2026-11-25T10:00:00Z')];
    for (const input of [second, first]) elsewhere({ jobId: 'job', personId: 'tomas', input, valueMm: 40, refused: null }, input.id);
    expect(outbox.waiting()).toBe(2);
    expect(texts()).toEqual([]);
    await soon();
    await breathe();
    expect(texts()).toEqual(['40.1', '40.2']);
    expect(server.readings().map((r) => r.personId)).toEqual(['tomas', 'tomas']);
    expect(localStorage).toHaveLength(0);
  });

  it('does not send what the other page had stored', async () => {
    const outbox = fresh();
    const input = reading('40.1');
    elsewhere({ jobId: 'job', personId: 'tomas', input, valueMm: 40, refused: null }, input.id);
    elsewhere(null, input.id);
    expect(outbox.waiting()).toBe(0);
    await soon();
    expect(texts()).toEqual([]);
  });

  it('keeps its own that the browser had no room for', () => {
    server.down = true;
    const outbox = fresh();
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    outbox.add('job', reading('40.4'), 40.4);
    full.mockRestore();
    const input = reading('40.1', '2026-11-25T10:00:00Z');
    elsewhere({ jobId: 'job', personId: 'tomas', input, valueMm: 40, refused: null }, input.id);
    expect(outbox.items().map((i) => i.input.text)).toEqual(['40.1', '40.4']);
  });
});

it('asks before the page is left while a reading is kept nowhere else', async () => {
  const outbox = fresh();
  TestBed.inject(Leaving);
  const leaves = (): boolean => {
    const event = new Event('beforeunload', { cancelable: true });
    dispatchEvent(event);
    return !event.defaultPrevented;
  };
  expect(leaves()).toBe(true);
  server.down = true;
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  outbox.add('job', reading('40.4'), 40.4);
  full.mockRestore();
  expect(leaves()).toBe(false);
  server.down = false;
  await outbox.flush();
  expect([outbox.waiting(), leaves()]).toEqual([0, true]);
});

describe('with many that wait', () => {
  const many = (count: number): Outbox => {
    server.down = true;
    const outbox = fresh();
    for (let i = 0; i < count; i++) outbox.add('job', reading(`40.${100 + i}`, new Date(1_800_000_000_000 + i).toISOString()), 40);
    return outbox;
  };

  it('sends them some at a time, in order, and each once', async () => {
    const outbox = many(60);
    await breathe();
    server.down = false;
    server.asked.length = 0;
    await outbox.flush();
    expect(server.changes().map((a) => a.path)).toEqual(['/api/readings', '/api/readings', '/api/readings']);
    expect(texts()).toEqual(Array.from({ length: 60 }, (_, i) => `40.${100 + i}`));
    expect([outbox.waiting(), localStorage.length]).toEqual([0, 0]);
  });

  it('puts aside the one that is refused, and no other', async () => {
    const outbox = many(3);
    await breathe();
    server.down = false;
    server.replies.push(problem(422, { problems: [{ code: 'implausible', path: 'text', message: 'Sure?' }] }));
    await outbox.flush();
    expect(outbox.refused().map((i) => i.input.text)).toEqual(['40.100']);
    expect(outbox.waiting()).toBe(0);
  });

  it('keeps those that were not answered, where the server could not go on', async () => {
    const outbox = many(3);
    await breathe();
    server.down = false;
    const answers = [{ status: 201, body: { ...outbox.items()[0]!.input, jobId: 'job' } }];
    const some = jest.spyOn(globalThis, 'fetch').mockResolvedValueOnce(response(200, { answers }));
    await outbox.flush();
    some.mockRestore();
    expect(outbox.items().map((i) => i.input.text)).toEqual(['40.101', '40.102']);
  });
});

it('waits for whoever took it where nobody is let in, sends those of others, and asks no more by itself', async () => {
  const outbox = fresh();
  const not = { status: 401, body: { type: '', title: 'They are not signed in on this screen.', detail: '', status: 401 } };
  // However often it is asked for while they are put in.
  server.replies.push(not, not, not, not);
  for (const text of ['40.1', '40.2', '40.3']) outbox.add('job', reading(text), 40);
  await breathe();
  expect([outbox.waiting(), outbox.refused(), outbox.items().map((i) => i.input.text)]).toEqual([1, [], ['40.1']]);
  const before = server.asked.length;
  await new Promise((r) => setTimeout(r, 1500));
  expect(server.asked).toHaveLength(before);
  server.replies.length = 0;
  await outbox.flush();
  expect(outbox.waiting()).toBe(0);
});
