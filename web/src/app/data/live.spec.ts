import { BASE } from '../../testing/base';
import { TestBed } from '@angular/core/testing';
import { SCREEN_ID } from './http';
import { Live } from './live';

class FakeSource extends EventTarget {
  static readonly CLOSED = 2;
  static all: FakeSource[] = [];
  readyState = 1;
  onerror: (() => void) | null = null;
  constructor(readonly url: string) {
    super();
    FakeSource.all.push(this);
  }
  close(): void {
    this.readyState = 2;
  }
  tell(event: string, data: object = {}): void {
    this.dispatchEvent(new MessageEvent(event, { data: JSON.stringify(data) }));
  }
}

let live: Live;
beforeEach(() => {
  FakeSource.all = [];
  Object.assign(globalThis, { EventSource: FakeSource });
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({ providers: [...BASE] });
  live = TestBed.inject(Live);
  live.connect();
});
afterAll(() => {
  delete (globalThis as { EventSource?: unknown }).EventSource;
});

it('passes on what others stored and not its own', () => {
  const seen: (string | null)[] = [];
  live.news.subscribe((e) => seen.push(e.jobId));
  FakeSource.all[0]!.tell('stored', { jobId: 'a', table: 'jobs', row: 'r', screen: 'other' });
  FakeSource.all[0]!.tell('stored', { jobId: 'b', table: 'jobs', row: 'r', screen: SCREEN_ID });
  expect(seen).toEqual(['a']);
});

it('knows when the line is down and says when it is back', () => {
  let back = 0;
  live.back.subscribe(() => back++);
  FakeSource.all[0]!.onerror!();
  expect(live.online()).toBe(false);
  FakeSource.all[0]!.tell('hello');
  expect(live.online()).toBe(true);
  expect(back).toBe(1);
});

it('opens one line however often it is asked, and gives it back when nobody looks', () => {
  live.connect();
  expect(FakeSource.all).toHaveLength(1);
  dispatchEvent(new Event('pagehide'));
  expect(FakeSource.all[0]!.readyState).toBe(2);
  live.connect();
  expect(FakeSource.all).toHaveLength(2);
});

it('starts again by itself when the browser gave up', () => {
  jest.useFakeTimers();
  FakeSource.all[0]!.readyState = 2;
  FakeSource.all[0]!.onerror!();
  jest.advanceTimersByTime(1100);
  expect(FakeSource.all).toHaveLength(2);
  jest.useRealTimers();
});
