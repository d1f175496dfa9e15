import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { routes, type LiveEvent } from '@iron-patch/contract/wire';
import { Subject } from 'rxjs';
import { SCREEN_ID, signInNeeded } from './http';
import { readStored, writeStored } from './stored';

const SEEN_KEY = 'iron-patch.line-seen';

/**
 * News from the server of what other screens stored. `back` tells that the line was down and is there again, so that
 * anything may have been missed.
 */
@Injectable({ providedIn: 'root' })
export class Live {
  readonly online = signal(true);
  /** The last moment at which the line is known to have been there, in this browser; empty while it is, or was never. */
  readonly lostAt = signal('');
  readonly news = new Subject<LiveEvent>();
  readonly back = new Subject<void>();
  private source: EventSource | null = null;
  private resting = false;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.disconnect());
    // A browser opens six lines to one server in all: a page that nobody looks at gives its own back.
    addEventListener('pagehide', () => this.disconnect());
    addEventListener('pageshow', (e) => e.persisted && this.connect());
    document.addEventListener('visibilitychange', () => (document.visibilityState === 'hidden' ? this.disconnect() : this.connect()));
  }

  private disconnect(): void {
    if (this.source && this.online()) this.seen();
    this.source?.close();
    this.source = null;
  }

  private seen(): void {
    writeStored(SEEN_KEY, new Date().toISOString());
  }

  /** A line that was there was lost now; one that never was, when it was last seen by whichever page. */
  private lost(now: boolean): void {
    if (now) this.seen();
    this.lostAt.set(readStored(SEEN_KEY, ''));
  }

  /** Nobody is let in: the line is given up until somebody is. */
  rest(): void {
    this.resting = true;
    this.disconnect();
    this.online.set(true);
  }

  /** Takes the line up again. */
  resume(): void {
    this.resting = false;
    this.connect();
  }

  connect(): void {
    if (this.resting || this.source || typeof EventSource === 'undefined') return;
    // Past the page's own worker: a line that never ends is not for it to hand on.
    const source = new EventSource(`${routes.live}?ngsw-bypass=true`);
    let greeted = false;
    source.addEventListener('hello', () => {
      greeted = true;
      this.online.set(true);
      this.lostAt.set('');
      this.seen();
      this.back.next();
    });
    source.addEventListener('stored', (e: MessageEvent<string>) => {
      const event = JSON.parse(e.data) as LiveEvent;
      if (event.screen !== SCREEN_ID) this.news.next(event);
    });
    source.onerror = () => {
      if (this.online()) this.lost(greeted);
      this.online.set(false);
      // A browser gives up on some failures: start again ourselves.
      if (source.readyState === EventSource.CLOSED) {
        this.source = null;
        // Perhaps nobody is let in any more.
        signInNeeded.next();
        setTimeout(() => this.connect(), 1000);
      }
    };
    this.source = source;
  }
}
