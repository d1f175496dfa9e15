import { routes } from '@iron-patch/contract';
import { FakeServer, problem } from '../../testing/fake-server';
import { Api, ApiProblem, NoAnswer, PERSON_KEY, SCREEN_ID } from './api';
import { newId } from './new-id';
import { writeStored } from './stored';

let server: FakeServer;
let api: Api;
beforeEach(() => {
  localStorage.clear();
  writeStored(PERSON_KEY, 'ines');
  server = new FakeServer();
  api = new Api();
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

it('makes ids that are UUIDs, with and without the browser’s help', () => {
  const uuid = /^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/;
  expect(newId()).toMatch(uuid);
  const own = Object.getOwnPropertyDescriptor(crypto, 'randomUUID');
  Object.defineProperty(crypto, 'randomUUID', { value: undefined, configurable: true });
  expect(newId()).toMatch(uuid);
  if (own) Object.defineProperty(crypto, 'randomUUID', own);
  else delete (crypto as { randomUUID?: unknown }).randomUUID;
});
