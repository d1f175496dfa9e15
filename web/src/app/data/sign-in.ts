import { computed, DestroyRef, inject, Injectable, signal } from '@angular/core';
import { routes, type SessionResource } from '@iron-patch/contract/wire';
import { may, type Access, type Act } from '@iron-patch/core/terms/access';
import { NoAnswer } from './answers';
import { Api } from './api';
import { signInNeeded } from './http';
import { Live } from './live';
import { SessionStore } from './session-store';
import { ShopStore } from './shop-store';
import { readStored, writeStored } from './stored';
import { Told } from './told';

const KEY = 'iron-patch.session';
/** What the page's own worker keeps of the shop, by the names that it gives its caches. */
const KEPT_OF_SHOP = /:data:/;

/**
 * Who may do what at this screen, as the server has it. What it said last is kept, so that a page that opens without a line goes on with
 * whoever was there; a screen that is locked needs the line to be unlocked.
 */
@Injectable({ providedIn: 'root' })
export class SignIn {
  private readonly api = inject(Api);
  private readonly session = inject(SessionStore);
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  private readonly live = inject(Live);
  private readonly last = signal<SessionResource | null>(readStored<SessionResource | null>(KEY, null));
  readonly now = this.last.asReadonly();
  /** Somebody wants to change who is at the bench, or their password. */
  readonly asked = signal(false);
  /** Nothing of the shop is to be used until somebody signs in. */
  readonly closed = computed(() => {
    const now = this.last();
    return now !== null && (now.state !== 'in' || now.borrowed);
  });
  readonly byPassword = computed(() => this.last()?.way === 'password');
  /** What whoever is at the bench may do; null while nobody is known. */
  readonly access = computed<Access | null>(() => this.shop.shop().people.find((p) => p.id === this.session.personId())?.access ?? null);

  constructor() {
    const needed = signInNeeded.subscribe(() => void this.load());
    const elsewhere = (e: StorageEvent): void => {
      if (e.key === KEY) void this.load();
    };
    addEventListener('storage', elsewhere);
    inject(DestroyRef).onDestroy(() => {
      needed.unsubscribe();
      removeEventListener('storage', elsewhere);
    });
  }

  /** True where whoever is at the bench may do that, as far as this screen knows: the server has the last word. */
  may(act: Act): boolean {
    const access = this.access();
    return access === null || may(access, act);
  }

  async load(): Promise<void> {
    const before = this.last();
    await this.api
      .get<SessionResource>(routes.session)
      // Somebody signed in or out while it was on its way: it is of before.
      .then((now) => this.last() === before && this.adopt(now))
      .catch(this.told.bug);
  }

  /** The name and the password of whoever comes to this screen. */
  async enter(name: string, password: string): Promise<void> {
    this.adopt(await this.api.post<SessionResource>(routes.session, { name, password }));
    this.asked.set(false);
  }

  async enterByPin(personId: string, pin: string): Promise<void> {
    this.adopt(await this.api.post<SessionResource>(routes.sessionPin, { personId, pin }));
    this.asked.set(false);
  }

  async makeFirst(name: string, password: string): Promise<void> {
    this.adopt(await this.api.post<SessionResource>(routes.sessionFirst, { name, password }));
    this.asked.set(false);
  }

  async changePassword(old: string, password: string): Promise<void> {
    this.adopt(await this.api.send<SessionResource>('PUT', routes.ownPassword, { old, password }));
  }

  async changePin(password: string, pin: string): Promise<void> {
    this.adopt(await this.api.send<SessionResource>('PUT', routes.ownPin, { password, pin }));
  }

  /** Locks the screen; one that has no line stays as it is: nobody could unlock it. */
  async lock(): Promise<void> {
    try {
      this.adopt(await this.api.post<SessionResource>(routes.sessionLock, {}));
    } catch (e) {
      if (!(e instanceof NoAnswer)) throw e;
    }
  }

  /** Signs whoever is at the bench out, here or wherever they are; what was kept to look at without a line goes with the last of them. */
  async leave(everywhere: boolean): Promise<void> {
    const now = everywhere
      ? await this.api.post<SessionResource>(routes.sessionOutEverywhere, {})
      : await this.api.send<SessionResource>('DELETE', routes.session, undefined);
    this.adopt(now);
    if (now.state === 'out' && typeof caches !== 'undefined')
      for (const name of await caches.keys()) if (KEPT_OF_SHOP.test(name)) await caches.delete(name);
  }

  private adopt(now: SessionResource): void {
    const before = this.last();
    this.last.set(now);
    if (JSON.stringify(readStored(KEY, null)) !== JSON.stringify(now)) writeStored(KEY, now);
    if (now.way === 'pick') return;
    if (now.personId !== null) this.session.choosePerson(now.personId);
    if (this.closed()) return this.live.rest();
    // Whoever was refused while nobody was here goes on.
    if (before === null || before.state !== 'in' || before.borrowed || before.personId !== now.personId || !this.shop.loaded()) {
      this.live.resume();
      this.live.back.next();
    }
  }
}
