import { DestroyRef, inject, Injectable, signal } from '@angular/core';
import { routes, type LiveEvent } from '@iron-patch/contract/wire';
import { Subject } from 'rxjs';
import { SCREEN_ID } from './api';

/**
 * News from the server of what other screens stored. `back` tells that the line was down and is there again, so that
 * anything may have been missed.
 */
@Injectable({ providedIn: 'root' })
export class Live {
  readonly online = signal(true);
  readonly news = new Subject<LiveEvent>();
  readonly back = new Subject<void>();
  private source: EventSource | null = null;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.disconnect());
    // A browser opens six lines to one server in all: a page that nobody looks at gives its own back.
    addEventListener('pagehide', () => this.disconnect());
    addEventListener('pageshow', (e) => e.persisted && this.connect());
    document.addEventListener('visibilitychange', () => (document.visibilityState === 'hidden' ? this.disconnect() : this.connect()));
  }

  private disconnect(): void {
    this.source?.close();
    this.source = null;
  }

  connect(): void {
    if (this.source || typeof EventSource === 'undefined') return;
    const source = new EventSource(routes.live);
    source.addEventListener('hello', () => {
      this.online.set(true);
      this.back.next();
    });
    source.addEventListener('stored', (e: MessageEvent<string>) => {
      const event = JSON.parse(e.data) as LiveEvent;
      if (event.screen !== SCREEN_ID) this.news.next(event);
    });
    source.onerror = () => {
      this.online.set(false);
      // A browser gives up on some failures: start again ourselves.
      if (source.readyState === EventSource.CLOSED) {
        this.source = null;
        setTimeout(() => this.connect(), 1000);
      }
    };
    this.source = source;
  }
}
