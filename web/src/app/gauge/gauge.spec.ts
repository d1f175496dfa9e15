import { TestBed } from '@angular/core/testing';
import { FakeServer } from '../../testing/fake-server';
import { breathe, openSheet, press, show, words } from '../../testing/open-sheet';
import { GaugeLink } from './gauge-link';
import { GaugePanel } from './gauge-panel';

/** A gauge at the other end of the line. */
class FakeSocket {
  static readonly OPEN = 1;
  static all: FakeSocket[] = [];
  readyState = 0;
  readonly said: string[] = [];
  onopen: () => void = () => undefined;
  onmessage: (event: { data: string }) => void = () => undefined;
  onclose: () => void = () => undefined;

  constructor(readonly url: string) {
    FakeSocket.all.push(this);
  }
  send(line: string): void {
    this.said.push(line);
  }
  close(): void {
    this.readyState = 3;
    this.onclose();
  }
  up(): void {
    this.readyState = 1;
    this.onopen();
  }
  says(...lines: string[]): void {
    for (const data of lines) this.onmessage({ data });
  }
}

let link: GaugeLink;
let taken: string[];
beforeEach(async () => {
  sessionStorage.clear();
  FakeSocket.all = [];
  (globalThis as unknown as { WebSocket: unknown }).WebSocket = FakeSocket;
  await openSheet(new FakeServer());
  link = TestBed.inject(GaugeLink);
  taken = [];
  link.readings.subscribe((text) => taken.push(text));
});
afterEach(() => link.disconnect());

const connected = (): FakeSocket => {
  link.connect('ws://127.0.0.1:8463');
  const socket = FakeSocket.all.at(-1)!;
  socket.up();
  socket.says('HELLO iron-patch-gauge 1', 'SESSION x 0', 'I tele mm Telescoping gauge and mic', 'I mic mm Outside mic 25 to 50', '.');
  return socket;
};

it('opens its session, lists the instruments and takes up the first', () => {
  const socket = connected();
  expect(socket.said.slice(0, 3)).toEqual([expect.stringMatching(/^SESSION [\w-]+$/), 'LIST', 'USE tele']);
  expect(link.state()).toBe('on');
  expect(link.instruments().map((i) => i.name)).toEqual(['Telescoping gauge and mic', 'Outside mic 25 to 50']);
});

it('takes a numbered reading once, however often it is sent, and acknowledges it each time', () => {
  const socket = connected();
  socket.says('= 1 30.062 mm', '= 1 30.062 mm', '= 2 30.064 mm');
  expect(taken).toEqual(['30.062 mm', '30.064 mm']);
  expect(socket.said.filter((s) => s.startsWith('OK'))).toEqual(['OK 1', 'OK 1', 'OK 2']);
});

it('calls again by itself when the line is lost, in the same session, and doubles nothing', async () => {
  const first = connected();
  first.says('= 1 30.062 mm');
  first.close();
  expect(link.state()).toBe('lost');
  link.send();
  expect(link.problem()).toContain('nothing was taken');
  await new Promise((r) => setTimeout(r, 1100));
  const second = FakeSocket.all.at(-1)!;
  expect(second).not.toBe(first);
  second.up();
  second.says('SESSION x 1', '= 1 30.062 mm');
  expect(second.said[0]).toBe(first.said[0]);
  expect(taken).toEqual(['30.062 mm']);
});

it('knows a gauge that has started anew, and takes its first reading', async () => {
  const first = connected();
  first.says('= 1 30.062 mm', '= 2 30.063 mm');
  first.close();
  await new Promise((r) => setTimeout(r, 1100));
  const second = FakeSocket.all.at(-1)!;
  second.up();
  second.says('SESSION x 0', '= 1 30.070 mm');
  expect(taken).toEqual(['30.062 mm', '30.063 mm', '30.070 mm']);
});

it('stays down when it was put down on purpose', async () => {
  connected();
  link.disconnect();
  await breathe();
  expect(link.state()).toBe('off');
  expect(FakeSocket.all).toHaveLength(1);
});

describe('the panel', () => {
  const spot = { stationMm: 20, clockDeg: 45, quantity: 'size' as const };

  it('shows what the gauge shows, puts it where the line stands, and sends by one touch', async () => {
    const socket = connected();
    const fixture = await show(GaugePanel, { spot });
    await fixture.whenStable();
    expect(socket.said).toContain('AT 20 45');
    socket.says('~ 30.061 mm');
    await fixture.whenStable();
    expect(words(fixture)).toContain('30.061 mm');
    await press(fixture, 'Take it, F2');
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'F2' }));
    expect(socket.said.filter((s) => s === 'SEND')).toHaveLength(2);
    socket.says('! It touches nothing there');
    await fixture.whenStable();
    expect(words(fixture)).toContain('It touches nothing there');
  });

  it('asks for the address while nothing is connected', async () => {
    const fixture = await show(GaugePanel, { spot: null });
    expect(words(fixture)).toContain('Not connected');
    await press(fixture, 'Connect');
    expect(FakeSocket.all.at(-1)!.url).toBe('ws://localhost:8463');
    expect(words(fixture)).toContain('Calling the gauge');
  });
});
