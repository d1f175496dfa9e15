import { TestBed } from '@angular/core/testing';
import { routes } from '@iron-patch/contract';
import { BASE } from '../../testing/base';
import { FakeServer, problem, response } from '../../testing/fake-server';
import { ApiProblem, NoAnswer } from './answers';
import { Api } from './api';
import { PERSON_KEY, SCREEN_ID } from './http';
import { newId } from './new-id';
import { writeStored } from './stored';

let server: FakeServer;
let api: Api;
beforeEach(() => {
  localStorage.clear();
  writeStored(PERSON_KEY, 'ines');
  server = new FakeServer();
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: BASE });
  api = TestBed.inject(Api);
});

it('says who and which screen it is, with a key of its own for each record', async () => {
  await api.post('/api/x', { a: 1 });
  await api.post('/api/x', { a: 1 });
  const [one, two] = server.asked;
  expect(one!.headers).toMatchObject({ 'X-Person': 'ines', 'X-Screen': SCREEN_ID, 'Content-Type': 'application/json' });
  expect(one!.headers['Idempotency-Key']).not.toBe(two!.headers['Idempotency-Key']);
});

it('sends what another typed in their name', async () => {
  await api.post('/api/x', {}, 'key-1', 'tomas');
  expect(server.asked[0]!.headers).toMatchObject({ 'X-Person': 'tomas', 'Idempotency-Key': 'key-1' });
});

it('makes the first with If-None-Match and changes with If-Match', async () => {
  await api.put('/api/x', {}, 0);
  await api.put('/api/x', {}, 7);
  await api.delete('/api/x', 3);
  expect(server.asked.map((a) => a.headers['If-None-Match'] ?? a.headers['If-Match'])).toEqual(['*', '"v7"', '"v3"']);
});

it('sends a change again under its key while nobody knows what became of it, and another change under another', async () => {
  const keys = (): unknown[] => server.asked.map((a) => a.headers['Idempotency-Key']);
  server.replies.push('silence', problem(503), problem(412));
  await expect(api.put('/api/x', { a: 1 }, 7)).rejects.toBeInstanceOf(NoAnswer);
  await expect(api.put('/api/x', { a: 1 }, 7)).rejects.toBeInstanceOf(ApiProblem);
  await expect(api.put('/api/x', { a: 1 }, 7)).rejects.toBeInstanceOf(ApiProblem);
  await api.put('/api/x', { a: 1 }, 7);
  await api.put('/api/x', { a: 2 }, 7);
  const [first, second, third, after, other] = keys();
  expect([second, third]).toEqual([first, first]);
  expect(new Set([first, after, other]).size).toBe(3);
});

it('turns problem details into a problem, and silence into no answer', async () => {
  server.replies.push(problem(422, { problems: [{ code: 'x', path: 'title', message: 'No.' }] }));
  await expect(api.post('/api/x', {})).rejects.toMatchObject({ details: { status: 422, problems: [{ path: 'title' }] } });
  await expect(api.get(routes.job('nothing'))).rejects.toBeInstanceOf(ApiProblem);
  server.down = true;
  await expect(api.get(routes.shop)).rejects.toBeInstanceOf(NoAnswer);
});

it('takes what the page’s own worker says of a server that it cannot reach for no answer', async () => {
  const unreached = { ...response(504, 'Gateway Timeout'), headers: new Headers() };
  const asked = jest.spyOn(globalThis, 'fetch').mockResolvedValueOnce(unreached);
  await expect(api.get(routes.shop)).rejects.toBeInstanceOf(NoAnswer);
  asked.mockRestore();
  server.replies.push(problem(504));
  await expect(api.post('/api/x', {})).rejects.toBeInstanceOf(ApiProblem);
});

it('waits fifteen seconds for an answer, and two minutes where a picture is on its way', async () => {
  jest.useFakeTimers();
  const asked = jest.spyOn(globalThis, 'fetch').mockReturnValue(new Promise(() => undefined));
  const ended: string[] = [];
  void api.post('/api/x', {}).catch((e: unknown) => ended.push(e instanceof NoAnswer ? 'words' : 'no'));
  void api.postFile('/api/x', new Blob(['x'], { type: 'image/jpeg' }), newId()).catch(() => ended.push('picture'));
  await jest.advanceTimersByTimeAsync(14_900);
  expect(ended).toEqual([]);
  await jest.advanceTimersByTimeAsync(200);
  expect(ended).toEqual(['words']);
  await jest.advanceTimersByTimeAsync(105_000);
  expect(ended).toEqual(['words', 'picture']);
  asked.mockRestore();
  jest.useRealTimers();
});

it('makes ids that are UUIDs, with and without the browser’s help', () => {
  const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
  expect(newId()).toMatch(uuid);
  const own = Object.getOwnPropertyDescriptor(crypto, 'randomUUID');
  Object.defineProperty(crypto, 'randomUUID', { value: undefined, configurable: true });
  expect(newId()).toMatch(uuid);
  if (own) Object.defineProperty(crypto, 'randomUUID', own);
  else delete (crypto as { randomUUID?: unknown }).randomUUID;
});
