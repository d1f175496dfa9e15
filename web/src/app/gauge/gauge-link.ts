import { computed, inject, Injectable, signal } from '@angular/core';
import { Subject } from 'rxjs';
import { newId, ShopStore } from '../data';

/** Where the line to the gauge stands; `lost` while it is being dialled again. */
export type LinkState = 'off' | 'dialling' | 'on' | 'lost';

export interface GaugeInstrument {
  readonly id: string;
  readonly unit: string;
  readonly name: string;
}

/** Session and last number taken, kept through a reload so that no reading is doubled. */
interface Kept {
  readonly session: string;
  readonly last: number;
}

const KEPT = 'iron-patch.gauge';
const ADDRESS = 'iron-patch.gauge-address';
const LIVE_MS = 250;
const AGAIN_MS = 1000;

/** This machine, to itself: a page under HTTPS may call it in the clear. */
const LOOPBACK = /^(localhost|127(\.\d+){3}|\[::1\])$/;

function readKept(): Kept {
  try {
    const kept = JSON.parse(sessionStorage.getItem(KEPT) ?? '') as Kept;
    if (typeof kept.session === 'string' && Number.isInteger(kept.last)) return kept;
  } catch {
    // Nothing kept, or nothing readable: a new session.
  }
  return { session: newId(), last: 0 };
}

/** The line to a gauge by its protocol (docs/gauge-protocol.md): shows what it shows, takes each numbered reading once. */
@Injectable({ providedIn: 'root' })
export class GaugeLink {
  readonly state = signal<LinkState>('off');
  readonly live = signal('');
  readonly problem = signal('');
  readonly instruments = signal<readonly GaugeInstrument[]>([]);
  readonly using = signal('');
  private readonly shop = inject(ShopStore);
  private readonly said = signal(localStorage.getItem(ADDRESS));
  /** As somebody typed it, else on the machine that serves the page. */
  readonly address = computed(() => {
    const { hostname, protocol } = location;
    const scheme = protocol === 'https:' && !LOOPBACK.test(hostname) ? 'wss' : 'ws';
    return this.said() ?? `${scheme}://${hostname || '127.0.0.1'}:${this.shop.gaugePort()}`;
  });
  /** Readings that somebody took, as the gauge wrote them. */
  readonly readings = new Subject<string>();
  private socket: WebSocket | null = null;
  private wanted = false;
  private kept = readKept();
  private place = '';
  private polling: ReturnType<typeof setInterval> | undefined;

  connect(address: string): void {
    this.said.set(address.trim());
    localStorage.setItem(ADDRESS, address.trim());
    this.disconnect();
    this.wanted = true;
    this.dial('dialling');
  }

  disconnect(): void {
    this.wanted = false;
    this.socket?.close();
    this.socket = null;
    clearInterval(this.polling);
    this.state.set('off');
    this.live.set('');
  }

  use(id: string): void {
    this.say(`USE ${id}`);
  }

  /** Where the instrument is put; a real gauge is put there by hand. */
  at(stationMm: number, clockDeg: number): void {
    this.place = `AT ${stationMm} ${clockDeg}`;
    this.say(this.place);
  }

  /** Presses the gauge's data button. */
  send(): void {
    if (this.state() === 'on') this.say('SEND');
    else this.problem.set('The line to the gauge is down: nothing was taken.');
  }

  private dial(state: LinkState): void {
    this.state.set(state);
    let socket: WebSocket;
    try {
      socket = new WebSocket(this.address());
    } catch (e) {
      this.wanted = false;
      this.state.set('off');
      const insecure = e instanceof DOMException && e.name === 'SecurityError';
      this.problem.set(
        insecure
          ? 'This page came by HTTPS: a browser then calls a gauge only at a wss:// address, or on this very machine.'
          : `That is no address of a gauge, such as ws://127.0.0.1:${this.shop.gaugePort()}.`,
      );
      return;
    }
    this.socket = socket;
    socket.onopen = () => this.opened();
    socket.onmessage = (event: MessageEvent<string>) => this.hear(event.data);
    socket.onclose = () => this.closed(socket);
  }

  private opened(): void {
    this.state.set('on');
    this.problem.set('');
    this.say(`SESSION ${this.kept.session}`);
    this.say('LIST');
    if (this.using()) this.say(`USE ${this.using()}`);
    if (this.place) this.say(this.place);
    clearInterval(this.polling);
    this.polling = setInterval(() => this.say('LIVE'), LIVE_MS);
  }

  private closed(socket: WebSocket): void {
    if (socket !== this.socket) return;
    clearInterval(this.polling);
    this.live.set('');
    if (!this.wanted) return;
    this.state.set('lost');
    setTimeout(() => this.wanted && this.dial('lost'), AGAIN_MS);
  }

  private say(line: string): void {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send(line);
  }

  private hear(line: string): void {
    const [word, ...rest] = line.trim().split(' ');
    if (word === '~') this.live.set(rest.join(' '));
    else if (word === '=') this.take(Number(rest[0]), rest.slice(1).join(' '));
    else if (word === '!') this.problem.set(rest.join(' '));
    else if (word === 'USE') this.using.set(rest[0] ?? '');
    else if (word === 'SESSION') this.begin(Number(rest[1] ?? 0));
    else if (word === 'I')
      this.instruments.update((all) => [...all, { id: rest[0] ?? '', unit: rest[1] ?? '', name: rest.slice(2).join(' ') }]);
    else if (word === '.' && !this.using()) this.use(this.instruments()[0]?.id ?? '');
  }

  /** A gauge whose count is behind what was taken has started anew: its next reading is 1 again, and is none of the old ones. */
  private begin(count: number): void {
    this.instruments.set([]);
    if (count < this.kept.last) this.keep(count);
  }

  private keep(last: number): void {
    this.kept = { ...this.kept, last };
    sessionStorage.setItem(KEPT, JSON.stringify(this.kept));
  }

  /** Takes a numbered reading once; one that comes again after a lost line is only acknowledged. */
  private take(number: number, text: string): void {
    if (number > this.kept.last) {
      this.readings.next(text);
      this.keep(number);
      this.problem.set('');
    }
    this.say(`OK ${number}`);
  }
}
