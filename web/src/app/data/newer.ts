import { inject, Injectable, isDevMode } from '@angular/core';
import { SwUpdate } from '@angular/service-worker';
import { Live } from './live';
import { Told } from './told';

/**
 * A newer Iron Patch than the one on this screen. It is loaded when somebody says so, never under a hand that types: drafts and readings
 * stay either way. Whether there is one is asked whenever the line to the server comes back.
 */
@Injectable({ providedIn: 'root' })
export class Newer {
  constructor() {
    const updates = inject(SwUpdate, { optional: true });
    if (!updates?.isEnabled || isDevMode()) return;
    const told = inject(Told);
    updates.versionUpdates.subscribe((event) => {
      if (event.type === 'VERSION_READY') told.offer('A newer Iron Patch is here.', { word: 'Load it', act: () => this.load(updates) });
    });
    updates.unrecoverable.subscribe(() =>
      told.offer('Part of Iron Patch is missing in this browser.', { word: 'Load it anew', act: () => Promise.resolve(location.reload()) }),
    );
    const live = inject(Live);
    live.back.subscribe(() => void updates.checkForUpdate());
    // At a first visit everything was fetched before the worker was there: once more through it, so that it is known without the server.
    const { serviceWorker } = navigator;
    if (!serviceWorker.controller) serviceWorker.addEventListener('controllerchange', () => live.back.next(), { once: true });
  }

  private async load(updates: SwUpdate): Promise<void> {
    await updates.activateUpdate();
    location.reload();
  }
}
