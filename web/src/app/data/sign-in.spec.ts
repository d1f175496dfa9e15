import { TestBed } from '@angular/core/testing';
import { routes, type SessionResource } from '@iron-patch/contract';
import type { Access } from '@iron-patch/core/terms/access';
import { testShop } from '@iron-patch/core/testing';
import { BASE } from '../../testing/base';
import { FakeServer } from '../../testing/fake-server';
import { breathe } from '../../testing/open-sheet';
import { IdleLock } from './idle-lock';
import { Live } from './live';
import { SessionStore } from './session-store';
import { ShopStore } from './shop-store';
import { SignIn } from './sign-in';

let server: FakeServer;
const START: SessionResource = {
  way: 'password',
  state: 'in',
  personId: 'tomas',
  borrowed: false,
  here: [{ id: 'tomas', name: 'Tomas Quill', pin: true }],
  lockAfterMin: 30,
  first: null,
};
const LOCKED: SessionResource = { ...START, state: 'locked', personId: null };
const fresh = (): SignIn => {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE] });
  return TestBed.inject(SignIn);
};
beforeEach(() => {
  localStorage.clear();
  server = new FakeServer();
  server.session = START;
});

it('goes on as it was where there is no line, and is closed where nobody is let in', async () => {
  const signIn = fresh();
  expect([signIn.now(), signIn.closed()]).toEqual([null, false]);
  await signIn.load();
  expect([signIn.closed(), TestBed.inject(SessionStore).personId()]).toEqual([false, 'tomas']);
  server.down = true;
  const offline = fresh();
  await offline.load();
  expect([offline.now()?.state, offline.closed()]).toEqual(['in', false]);
  server.down = false;
  server.session = LOCKED;
  await offline.load();
  expect(offline.closed()).toBe(true);
  // Whoever was there is still who they were: what they typed is theirs.
  expect(TestBed.inject(SessionStore).personId()).toBe('tomas');
});

it('asks who is there as soon as anything is refused for it', async () => {
  const signIn = fresh();
  await signIn.load();
  server.session = LOCKED;
  server.replies.push({ status: 401, body: { type: '', title: 'This screen is locked.', status: 401, detail: '' } });
  await expect(TestBed.inject(ShopStore).save(routes.person('x'), {}, 0)).rejects.toThrow('This screen is locked.');
  await breathe();
  expect(signIn.closed()).toBe(true);
});

it('tells everything to fetch afresh once it is open again, and only then', async () => {
  server.session = LOCKED;
  const signIn = fresh();
  let back = 0;
  TestBed.inject(Live).back.subscribe(() => back++);
  await signIn.load();
  expect(back).toBe(0);
  server.replies.push({ status: 200, body: START });
  await signIn.enterByPin('tomas', '7291');
  expect([signIn.closed(), back]).toEqual([false, 1]);
  await signIn.load();
  expect(back).toBe(1);
});

it('a lock that no line carries leaves the screen as it is', async () => {
  const signIn = fresh();
  await signIn.load();
  server.down = true;
  await signIn.lock();
  expect(signIn.closed()).toBe(false);
});

it('an answer of before somebody signed in does not put it back', async () => {
  server.session = LOCKED;
  const signIn = fresh();
  await signIn.load();
  const late = signIn.load();
  server.replies.push({ status: 200, body: START });
  const entered = signIn.enter('Tomas Quill', 'lintel gravy osprey nine');
  await Promise.all([late, entered]);
  expect(signIn.closed()).toBe(false);
});

it('knows what whoever is there may do', async () => {
  const signIn = fresh();
  const as = async (access: Access): Promise<readonly boolean[]> => {
    server.shop = { ...testShop, people: [{ ...testShop.people[0]!, access }] };
    await TestBed.inject(ShopStore).load();
    return [signIn.may('look'), signIn.may('bench'), signIn.may('release'), signIn.may('shop')];
  };
  await signIn.load();
  expect(await as('owner')).toEqual([true, true, true, true]);
  expect(await as('apprentice')).toEqual([true, true, false, false]);
  expect(await as('reader')).toEqual([true, false, false, false]);
});

describe('a screen that nobody touches', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  const asked = (path: string): number => server.changes().filter((a) => a.path === path).length;

  it('locks after as long as the shop says, counted from the last touch', async () => {
    const signIn = fresh();
    await signIn.load();
    TestBed.inject(IdleLock);
    await jest.advanceTimersByTimeAsync(29 * 60_000);
    dispatchEvent(new Event('pointerdown'));
    await jest.advanceTimersByTimeAsync(29 * 60_000);
    expect(asked(routes.sessionLock)).toBe(0);
    expect(asked(routes.sessionSeen)).toBe(1);
    server.replies.push({ status: 200, body: LOCKED });
    await jest.advanceTimersByTimeAsync(2 * 60_000);
    expect([asked(routes.sessionLock), signIn.closed()]).toEqual([1, true]);
    // Locked it is left alone.
    await jest.advanceTimersByTimeAsync(60 * 60_000);
    expect(asked(routes.sessionLock)).toBe(1);
  });

  it('never locks where people are picked, or the shop says never', async () => {
    for (const session of [
      { ...START, way: 'pick' as const },
      { ...START, lockAfterMin: 0 },
    ]) {
      server.session = session;
      await fresh().load();
      TestBed.inject(IdleLock);
      await jest.advanceTimersByTimeAsync(2 * 60 * 60_000);
      expect(asked(routes.sessionLock)).toBe(0);
    }
  });
});
