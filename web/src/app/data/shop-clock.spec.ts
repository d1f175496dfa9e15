import { TestBed } from '@angular/core/testing';
import { BASE } from '../../testing/base';
import { FakeServer } from '../../testing/fake-server';
import { ShopClock } from './shop-clock';
import { ShopStore } from './shop-store';

let clock: ShopClock;
let shop: InstanceType<typeof ShopStore>;
let server: FakeServer;
beforeEach(async () => {
  jest.useFakeTimers({ now: new Date('2026-12-04T22:59:30Z'), doNotFake: ['queueMicrotask', 'nextTick'] });
  server = new FakeServer();
  server.timeZone = 'Europe/Oslo';
  TestBed.configureTestingModule({ providers: [...BASE] });
  shop = TestBed.inject(ShopStore);
  await shop.load();
  clock = TestBed.inject(ShopClock);
});
afterEach(() => {
  TestBed.resetTestingModule();
  jest.useRealTimers();
});

it('moves on at the midnight of the shop, whatever the screen’s', async () => {
  expect(clock.today()).toBe('2026-12-04');
  jest.advanceTimersByTime(60_000);
  expect(clock.today()).toBe('2026-12-05');
  server.timeZone = 'America/New_York';
  await shop.load();
  expect(clock.today()).toBe('2026-12-04');
});

it('tells moments by the shop’s calendar and clock', () => {
  expect(clock.words('2026-12-31T23:30:00Z')).toBe('1 Jan 00:30');
  expect(clock.words('2026-12-31T23:30:00Z', true)).toBe('1 Jan 2027, 00:30');
  expect(clock.dayOf('2026-12-31T22:59:59Z')).toBe('2026-12-31');
});
