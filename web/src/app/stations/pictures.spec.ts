import { depthLadder, newPart } from '@iron-patch/core';
import { testShop } from '@iron-patch/core/testing';
import type { PlayMessage } from '../workers/play-message';
import { FakeServer } from '../../testing/fake-server';
import { openSheet, press, show, words } from '../../testing/open-sheet';
import { SheetStore } from '../sheet-data';
import { TestBed } from '@angular/core/testing';
import { DialPicture } from './cut/dial-picture';
import { LadderPicture } from './plan/ladder-picture';
import { PlayChart } from './prove/play-chart';

class FakeWorker {
  static last: FakeWorker;
  onmessage: ((e: { data: PlayMessage }) => void) | null = null;
  onerror: (() => void) | null = null;
  sent: unknown;
  ended = false;
  constructor() {
    FakeWorker.last = this;
  }
  postMessage(data: unknown): void {
    this.sent = data;
  }
  terminate(): void {
    this.ended = true;
  }
}
jest.mock('../workers/play.worker-factory', () => ({ newWorker: () => new FakeWorker() }));

beforeEach(() => openSheet(new FakeServer()));

describe('the unrolled dial', () => {
  const dial = { unit: 'in', perTurn: 0.2, perLine: 0.001 };

  it('shows where it stood and where it goes, in its own lines', async () => {
    const fixture = await show(DialPicture, { dial, from: 0.2315, to: 0.2379 });
    expect(fixture.nativeElement.querySelector('svg').getAttribute('aria-label')).toBe('Dial, from 0.2315 to 0.2379');
    expect(words(fixture)).toContain('0.23 0.24');
    const [from, to] = [...fixture.nativeElement.querySelectorAll('path')].map((p: Element) =>
      Number(/M([\d.]+)/.exec(p.getAttribute('d')!)![1]),
    );
    expect(to!).toBeGreaterThan(from!);
  });

  it('thins its lines out for a long way in', async () => {
    const lines = (await show(DialPicture, { dial, from: 0, to: 0.9 })).nativeElement.querySelectorAll('line').length as number;
    expect(lines).toBeGreaterThan(10);
    expect(lines).toBeLessThan(120);
  });
});

it('the ladder tells readout number, turns and what it is, stop by stop', async () => {
  const pin = newPart('headed-pin', 'Pin', 40, 120);
  const rungs = depthLadder(pin, {
    fromFarEnd: true,
    partingMm: 3,
    touched: 'left',
    dial: testShop.lathes[0]!.carriage,
    partOff: true,
    toLength: false,
    cuts: [...pin.outside, ...pin.features].map((x) => x.id),
  });
  const text = words(await show(LadderPicture, { rungs, dial: testShop.lathes[0]!.carriage }));
  expect(text).toContain('111.600 , show its working 8 turns + 0.3925 Shoulder head to body');
  expect(text).toContain('123.000 , show its working 9 turns + 0.3425 Part off left edge touched');
});

describe('the play chart', () => {
  const inputs = { pinMm: 40.04, pinPlusMinusMm: 0.004, holeSmallestMm: 40.16, holeLargestMm: 40.31, holePlusMinusMm: 0.016 };
  const result = {
    draws: 4,
    meanMm: 0.19,
    lowMm: 0.12,
    highMm: 0.27,
    bindsShare: 0.012,
    bins: [
      { fromMm: -0.1, toMm: 0, count: 1 },
      { fromMm: 0, toMm: 0.3, count: 3 },
    ],
  };

  it('draws in a worker, tells its progress and then the play', async () => {
    const fixture = await show(PlayChart, { inputs });
    await press(fixture, 'Draw 400,000 plays');
    expect(FakeWorker.last.sent).toMatchObject({ ...inputs, draws: 400_000, seed: expect.any(Number) });
    FakeWorker.last.onmessage!({ data: { kind: 'progress', share: 0.5 } });
    await fixture.whenStable();
    expect(fixture.nativeElement.querySelector('progress').value).toBe(0.5);
    FakeWorker.last.onmessage!({ data: { kind: 'done', result } });
    await fixture.whenStable();
    expect(words(fixture)).toContain('0.120 to 0.270 in 95 of 100 places');
    expect(words(fixture)).toContain('it binds in 1.2 of 100');
    expect(fixture.nativeElement.querySelectorAll('rect.binds')).toHaveLength(1);
    expect(FakeWorker.last.ended).toBe(true);
  });

  it('can be stopped, and ends with its page', async () => {
    const fixture = await show(PlayChart, { inputs });
    await press(fixture, 'Draw 400,000 plays');
    const first = FakeWorker.last;
    await press(fixture, 'Stop');
    expect(first.ended).toBe(true);
    expect(fixture.nativeElement.querySelector('progress')).toBeNull();
    await press(fixture, 'Draw 400,000 plays');
    fixture.destroy();
    expect(FakeWorker.last.ended).toBe(true);
  });

  it('says so when the browser cannot', async () => {
    const fixture = await show(PlayChart, { inputs });
    await press(fixture, 'Draw 400,000 plays');
    FakeWorker.last.onerror!();
    expect(TestBed.inject(SheetStore).message()).toMatchObject({ bad: true });
  });
});
