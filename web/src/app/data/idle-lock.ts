import { DestroyRef, inject, Injectable } from '@angular/core';
import { routes } from '@iron-patch/contract/wire';
import { Api } from './api';
import { SignIn } from './sign-in';
import { readStored, writeStored } from './stored';
import { Told } from './told';

/** The moment of the last touch or key on any page of this browser. */
const TOUCHED_KEY = 'iron-patch.touched';
const LOOK_MS = 15_000;
/** So often at most the server is told that somebody is here. */
const TELL_MS = 120_000;
const NOTED_MS = 5000;
const MIN_MS = 60_000;

/** Locks a screen that nobody touches for as long as the shop says, and tells the server while somebody does. */
@Injectable({ providedIn: 'root' })
export class IdleLock {
  private readonly signIn = inject(SignIn);
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  private noted = Date.now();
  private toldAt = 0;

  constructor() {
    const touched = (): void => this.touched();
    const kinds = ['pointerdown', 'keydown', 'wheel'] as const;
    for (const kind of kinds) addEventListener(kind, touched, { passive: true, capture: true });
    const look = setInterval(() => this.look(), LOOK_MS);
    inject(DestroyRef).onDestroy(() => {
      for (const kind of kinds) removeEventListener(kind, touched, { capture: true });
      clearInterval(look);
    });
  }

  private get guards(): number {
    const now = this.signIn.now();
    return now?.way === 'password' && !this.signIn.closed() ? now.lockAfterMin : 0;
  }

  private touched(): void {
    const now = Date.now();
    if (now - this.noted < NOTED_MS) return;
    this.noted = now;
    writeStored(TOUCHED_KEY, now);
    if (this.guards === 0 || now - this.toldAt < TELL_MS) return;
    this.toldAt = now;
    void this.api.post(routes.sessionSeen, {}).catch(this.told.bug);
  }

  private look(): void {
    const last = Math.max(this.noted, readStored<number>(TOUCHED_KEY, 0));
    if (this.guards > 0 && Date.now() - last > this.guards * MIN_MS) void this.signIn.lock().catch(this.told.bug);
  }
}
