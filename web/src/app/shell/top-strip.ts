import { ChangeDetectionStrategy, Component, computed, HostListener, inject, signal } from '@angular/core';
import { Router, RouterLink, RouterLinkActive } from '@angular/router';
import { countOf } from '@iron-patch/core/terms/words';
import { otherUnit } from '@iron-patch/core/terms/quantity';
import { STATIONS } from '@iron-patch/core/terms/stations';
import { Live, OpenJob, Outbox, SessionStore, ShopClock, ShopStore, SignIn, SumsDesk } from '../data';
import { KeyHelp } from './key-help';

/** What lies over the page has the keys to itself. */
const behindDialog = (): boolean => document.querySelector('nz-modal-container, ip-sign-in') !== null;
/** Keys that no text has in it, for while somebody types. */
const FUNCTION_KEYS: Readonly<Record<string, string>> = { F1: '?', F4: 'u', F8: 'f', F9: '=' };
/** A length never has an equals sign in it: on the reading line the key is free. */
const onReadingLine = (target: EventTarget | null): boolean => target instanceof HTMLElement && target.id === 'reading';
const typingIn = (target: EventTarget | null): boolean => target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);

/** What ends a number or a word. */
const ENDS_TYPING = ['Enter', 'Tab', 'Escape'];
/** A key that comes within this of the last one in a field belongs to what is typed, though the field be gone, ms. */
const STILL_TYPING_MS = 1000;

/** Places, shop temperature, unit, the line to the server, and who is at the bench. Holds the keys that work everywhere. */
@Component({
  selector: 'ip-top-strip',
  imports: [RouterLink, RouterLinkActive, KeyHelp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header class="dark">
      <a class="name" routerLink="/">Iron Patch</a>
      <nav aria-label="Places">
        <a routerLink="/" routerLinkActive="on" [routerLinkActiveOptions]="{ exact: true }" ariaCurrentWhenActive="page">Floor</a>
        @if (open.job(); as job) {
          <a [routerLink]="['/jobs', job.id]" routerLinkActive="on">Job {{ job.number }}</a>
        }
        <a routerLink="/run-order" routerLinkActive="on">Run order</a>
        <a routerLink="/find" routerLinkActive="on" title="Key f">Find</a>
        <a routerLink="/sums" routerLinkActive="on" title="Key =">Sums</a>
        <a routerLink="/crib" routerLinkActive="on">Crib</a>
        <a routerLink="/rack" routerLinkActive="on">Rack</a>
        <a routerLink="/ledger" routerLinkActive="on">Ledger</a>
        <a routerLink="/house-rules" routerLinkActive="on">House rules</a>
        <a routerLink="/shop" routerLinkActive="on">Shop</a>
      </nav>
      <span class="push" role="status">
        @if (outbox.waiting(); as n) {
          <span class="warn">{{ countOf(n, 'reading') }} kept here, not yet on the server</span>
        } @else if (!live.online()) {
          <span class="warn">No line to the server{{ since() }}</span>
        }
      </span>
      @if (open.job(); as job) {
        <span class="temp">Shop {{ job.shopTempC }} °C</span>
      }
      <button type="button" (click)="switchUnit()" [attr.aria-label]="'Unit ' + unit() + ', switch to the other'" title="Key u">
        {{ unit() }}
      </button>
      <button type="button" (click)="help.set(true)" aria-label="Keys, and how this screen looks" title="Key ?">?</button>
      @if (signIn.byPassword()) {
        <button type="button" class="who" aria-haspopup="dialog" title="Who is at the bench" (click)="signIn.asked.set(true)">
          {{ me() || 'Who is it?' }}
        </button>
      } @else {
        <label>
          <span class="sr-only">Who is at the bench</span>
          <select [value]="session.personId()" (change)="choose($event)" [class.ask]="!session.personId()">
            <option value="" disabled [selected]="!session.personId()">Who is it?</option>
            <option value="no" disabled>No passwords here: pick a name</option>
            @for (p of people(); track p.id) {
              <option [value]="p.id" [selected]="p.id === session.personId()">{{ p.name }}</option>
            }
          </select>
        </label>
      }
    </header>
    @if (help()) {
      @defer (on immediate) {
        <ip-key-help (closed)="help.set(false)" />
      }
    }
  `,
  styles: `
    header {
      height: 44px;
      background: var(--strip);
      color: var(--on-strip);
      display: flex;
      align-items: center;
      gap: 14px;
      padding: 0 8px 0 16px;
      font: 400 15px var(--label);
    }
    .name {
      font: 600 20px var(--label);
      color: var(--on-strip);
      text-decoration: none;
      white-space: nowrap;
    }
    nav {
      display: flex;
      gap: 20px;
      margin-left: 12px;
    }
    nav a {
      color: var(--strip-quiet);
      text-decoration: none;
      line-height: 40px;
      border-bottom: 2px solid transparent;
      white-space: nowrap;
      font-size: 16px;
    }
    nav a.on {
      color: var(--on-strip);
      font-weight: 600;
      border-color: var(--brass);
    }
    .push {
      margin-left: auto;
    }
    .warn {
      background: var(--brass);
      color: var(--on-brass);
      padding: 3px 10px;
      border-radius: 2px;
      font-weight: 600;
      white-space: nowrap;
    }
    .temp {
      white-space: nowrap;
    }
    button {
      color: var(--on-strip);
      border: 1px solid transparent;
      padding: 0 10px;
      min-width: 44px;
    }
    button:hover {
      background: var(--strip-soft);
      border-color: var(--strip-edge);
    }
    button:hover:not(:disabled) {
      background: var(--strip-soft);
    }
    select {
      background: var(--strip);
      color: var(--on-strip);
      border-color: transparent;
      font: 600 15px var(--label);
      width: 150px;
      min-height: 40px;
    }
    .who {
      max-width: 150px;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
      border-color: var(--strip-edge);
    }
    select.ask {
      border-color: var(--brass);
      color: var(--brass);
    }
    option {
      background: var(--field);
      color: var(--ink);
    }
    @media (max-width: 1080px) {
      .temp {
        display: none;
      }
    }
    /* The places are pushed sideways in their own room; who is at the bench stays in sight. */
    @media (max-width: 800px) {
      .name {
        display: none;
      }
      header {
        gap: 6px;
        padding-left: 8px;
      }
      nav {
        margin-left: 0;
        flex: 1 1 0;
        min-width: 0;
        overflow-x: auto;
        scrollbar-width: none;
        gap: 14px;
      }
      .push {
        margin-left: 0;
      }
      select {
        width: 104px;
      }
    }
    @media (max-width: 480px) {
      .warn {
        max-width: 110px;
        overflow: hidden;
        text-overflow: ellipsis;
        display: inline-block;
      }
    }
    @media print {
      header {
        display: none;
      }
    }
  `,
})
export class TopStrip {
  protected readonly countOf = countOf;
  protected readonly shop = inject(ShopStore);
  protected readonly session = inject(SessionStore);
  protected readonly signIn = inject(SignIn);
  protected readonly me = computed(() => this.shop.personName(this.session.personId()));
  protected readonly open = inject(OpenJob);
  protected readonly outbox = inject(Outbox);
  protected readonly live = inject(Live);
  private readonly sums = inject(SumsDesk);
  private readonly clock = inject(ShopClock);
  /** What is shown is as it was then. */
  protected readonly since = computed(() => (this.live.lostAt() ? `, all is as of ${this.clock.words(this.live.lostAt())}` : ''));
  private readonly router = inject(Router);
  /** Those who work here; whoever is chosen already stays to be seen. */
  protected readonly people = computed(() => this.shop.shop().people.filter((p) => !p.gone || p.id === this.session.personId()));
  protected readonly help = signal(false);
  protected readonly unit = computed(() => this.open.unit());

  protected switchUnit(): void {
    this.session.chooseUnit(otherUnit(this.unit()), this.open.job()?.id);
  }

  protected choose(event: Event): void {
    this.session.choosePerson((event.target as HTMLSelectElement).value);
    void this.outbox.flush();
  }

  /** When the last key went into a field, by the clock of events, ms; before all time once what was typed is ended. */
  private typedAt = -Infinity;

  /** Whether a key is the rest of what somebody types, whose field went from under the hand: it leads nowhere. */
  private restOfTyping(event: KeyboardEvent): boolean {
    if (!typingIn(event.target)) return event.timeStamp - this.typedAt < STILL_TYPING_MS;
    this.typedAt = ENDS_TYPING.includes(event.key) ? -Infinity : event.timeStamp;
    return false;
  }

  /** 1 to 9 stations, = sums, u unit, f find, ? keys, 0 floor; while somebody types by their function keys; never behind a dialog. */
  @HostListener('document:keydown', ['$event'])
  protected key(event: KeyboardEvent): void {
    const rest = this.restOfTyping(event);
    if (behindDialog()) return;
    const asLetter = event.ctrlKey || event.metaKey || event.altKey ? undefined : FUNCTION_KEYS[event.key];
    const key = asLetter ?? event.key;
    if (asLetter || (event.altKey && /^[0-9]$/.test(key))) event.preventDefault();
    else if (key === '=' && onReadingLine(event.target)) return this.openSums(event);
    else if (event.ctrlKey || event.metaKey || event.altKey || typingIn(event.target) || (rest && !asLetter)) return;
    if (key === '=') return this.openSums(event);
    if (this.sums.open()) return key === 'u' ? this.switchUnit() : undefined;
    if (key === '?') this.help.set(true);
    else if (key === 'u') this.switchUnit();
    else if (key === 'f') this.find(event);
    else if (key === '0') void this.router.navigate(['/']);
    else this.toStation(key);
  }

  /** Over what one is doing, so that nothing half typed is lost; on the bench's own page there is nothing to open. */
  private openSums(event: KeyboardEvent): void {
    event.preventDefault();
    if (!this.router.url.startsWith('/sums')) this.sums.setOpen(!this.sums.open());
    else document.getElementById('ask-book')?.focus();
  }

  private find(event: Event): void {
    event.preventDefault();
    void this.router.navigate(['/find']);
  }

  private toStation(key: string): void {
    const station = /^[1-9]$/.test(key) ? STATIONS[Number(key) - 1] : undefined;
    const job = this.open.job();
    if (station && job && this.router.url.startsWith('/jobs/') && !this.router.url.startsWith('/jobs/new'))
      void this.router.navigate(['/jobs', job.id, station]);
  }
}
