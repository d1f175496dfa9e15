import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { FLOOR_PAGE, type FloorJob } from '@iron-patch/contract/wire';
import { STATION_NAMES } from '@iron-patch/core/terms/stations';
import { NzInputModule } from 'ng-zorro-antd/input';
import { DayPipe, FloorStore, Live, ShopClock } from '../data';
import { StateMark } from '../mark';

/** What is typed is looked for once the hand rests; news is fetched in one go; standings that are behind are asked for again. */
const SOON_MS = { typed: 150, news: 300, behind: 2000 } as const;
/** Strips that fill a screen. */
const FIRST_DRAWN = 14;

/** Home: the jobs, where each stands, what it waits for and the one next move. */
@Component({
  selector: 'ip-floor',
  imports: [RouterLink, FormsModule, NzInputModule, StateMark, DayPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header class="head">
      <h1>Floor</h1>
      <input
        nz-input
        type="search"
        placeholder="Number, customer, machine, what it waits for"
        aria-label="Find a job"
        [ngModel]="search()"
        (ngModelChange)="look($event)"
      />
      @if (store.counts().returned) {
        <button type="button" class="plain" [attr.aria-pressed]="store.withReturned()" (click)="store.showReturned(!store.withReturned())">
          {{ store.withReturned() ? 'Put away what is finished' : 'Show what is put away, ' + store.counts().returned }}
        </button>
      }
      <a class="new" routerLink="/jobs/new">New job</a>
    </header>
    @if (store.failed()) {
      <p class="said bad" role="alert">The server does not answer. <button type="button" (click)="store.load()">Try again</button></p>
    }
    @if (store.counts().behind; as behind) {
      <p class="quiet" role="status">{{ behind === 1 ? 'One job is' : behind + ' jobs are' }} being worked out again.</p>
    }
    @if (store.jobs(); as jobs) {
      <div class="strips" role="list" aria-label="Jobs">
        @for (job of drawn(); track job.id) {
          <a class="strip" role="listitem" [routerLink]="['/jobs', job.id]" [class.done]="returned(job)">
            <span class="fig number">{{ job.number }}</span>
            <span class="what">
              <b>{{ job.title }}</b>
              <span class="quiet">{{ job.customerName }}{{ job.machine ? ', ' + job.machine : '' }}</span>
            </span>
            <span class="nine" role="img" [attr.aria-label]="standing(job)">
              @for (s of job.stations; track s.id) {
                <span class="cell" [class.here]="s.id === job.next?.id" aria-hidden="true"
                  ><ip-state [state]="s.state" [size]="15" /><i>{{ names[s.id] }}</i></span
                >
              }
            </span>
            <span class="next">
              @if (job.next; as n) {
                <b [class.wrong]="n.state === 'out'">{{ names[n.id] }}</b>
                <span>{{ n.waitsFor }}</span>
              } @else if (job.waiting) {
                <span class="quiet">Being worked out</span>
              } @else if (job.trouble) {
                <b class="wrong">Cannot be worked out</b>
                <span>Open it and take back what was done last; tell us.</span>
              } @else {
                <span class="quiet">{{ job.calledOff ? 'Called off' : 'Returned' }}</span>
              }
            </span>
            <span class="promise">
              @if (job.promisedOn) {
                <span class="fig" [class.wrong]="job.next && late(job)">{{ job.promisedOn | day: 'weekday' }}</span>
                @if (job.next && late(job)) {
                  <b class="wrong">late</b>
                }
              } @else {
                <span class="quiet">no date</span>
              }
            </span>
          </a>
        } @empty {
          <p class="empty">
            @if (store.find().trim()) {
              No job has “{{ store.find() }}” in it. <button type="button" (click)="look('')">Show all {{ store.counts().open }}</button>
            } @else if (store.counts().returned) {
              Nothing is open: everything is put away.
            } @else {
              No jobs yet. When somebody brings something broken, start with <a routerLink="/jobs/new">a new job</a>.
            }
          </p>
        }
      </div>
      @if (store.found() > jobs.length) {
        <p class="more">
          {{ jobs.length }} of {{ store.found() }}, the most urgent first.
          @if (jobs.length < most) {
            <button type="button" (click)="store.showMore()">Show more</button>
          } @else {
            Look for the others by a word of theirs.
          }
        </p>
      }
    } @else if (!store.failed()) {
      <p class="empty quiet" role="status">Fetching the jobs.</p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 16px 20px 32px;
    }
    .head {
      display: flex;
      gap: 16px;
      align-items: center;
      margin-bottom: 14px;
    }
    h1 {
      font-size: 24px;
      margin-right: 8px;
    }
    .head input {
      max-width: 460px;
    }
    .new {
      margin-left: auto;
      background: var(--accent);
      color: var(--on-accent);
      font: 600 16px var(--label);
      padding: 0 20px;
      line-height: 44px;
      text-decoration: none;
      border-radius: 2px;
      white-space: nowrap;
    }
    .strips {
      border-top: 1px solid var(--hairline);
    }
    .strip {
      display: grid;
      grid-template-columns: 66px minmax(180px, 1.15fr) 351px minmax(180px, 1.1fr) 104px;
      gap: 16px;
      align-items: center;
      background: var(--sheet);
      border-bottom: 1px solid var(--hairline);
      padding: 9px 12px;
      min-height: 64px;
      color: var(--ink);
      text-decoration: none;
    }
    .strip:hover {
      background: var(--field);
      box-shadow: inset 4px 0 0 var(--blue);
    }
    .number {
      font-size: 19px;
      font-weight: 700;
    }
    .what,
    .next {
      display: flex;
      flex-direction: column;
      min-width: 0;
    }
    .what b {
      font: 600 18px/1.25 var(--label);
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .what .quiet {
      font-size: 15px;
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .next b {
      font: 600 15px var(--label);
      color: var(--accent);
    }
    .next span {
      font-size: 15px;
      line-height: 1.25;
      display: -webkit-box;
      -webkit-line-clamp: 2;
      -webkit-box-orient: vertical;
      overflow: hidden;
    }
    .wrong,
    .next b.wrong {
      color: var(--out);
    }
    .nine {
      display: grid;
      grid-template-columns: repeat(9, 39px);
    }
    .cell {
      display: flex;
      flex-direction: column;
      align-items: center;
      gap: 2px;
      padding: 3px 0;
      border-bottom: 3px solid transparent;
    }
    .cell.here {
      border-color: var(--accent);
    }
    .cell i {
      font: 400 11px var(--label);
      color: var(--quiet);
    }
    .cell.here i {
      color: var(--ink);
      font-weight: 600;
    }
    .promise {
      display: flex;
      flex-direction: column;
      align-items: flex-end;
      font-size: 15px;
    }
    .done {
      opacity: 0.75;
    }
    .empty {
      padding: 32px 12px;
    }
    .more {
      padding: 14px 12px;
    }
    @media (max-width: 1100px) {
      .strip {
        grid-template-columns: 60px 1fr 1fr 96px;
      }
      .nine {
        display: none;
      }
    }
    @media (max-width: 600px) {
      :host {
        padding: 10px 8px 32px;
      }
      .head {
        flex-wrap: wrap;
      }
      .head input {
        flex: 1 1 100%;
        order: 2;
      }
      .strip {
        grid-template-columns: 56px minmax(0, 1fr) auto;
        gap: 4px 10px;
      }
      .next {
        grid-column: 2 / -1;
        grid-row: 2;
      }
    }
  `,
})
export class Floor {
  protected readonly store = inject(FloorStore);
  private readonly clock = inject(ShopClock);
  protected readonly names = STATION_NAMES;
  protected readonly most = FLOOR_PAGE.most;
  protected readonly search = signal(this.store.find());
  /** The first screenful is drawn first, the rest once it stands. */
  private readonly drawnUpTo = signal(FIRST_DRAWN);
  protected readonly drawn = computed(() => this.store.jobs()!.slice(0, this.drawnUpTo()));
  private typing: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    const live = inject(Live);
    void this.store.load();
    const changed = new Set<string>();
    let soon: ReturnType<typeof setTimeout> | undefined;
    const fetchSoon = (): void => {
      soon ??= setTimeout(() => {
        soon = undefined;
        const ids = [...changed];
        changed.clear();
        void (ids.includes('') ? this.store.load() : this.store.freshen(ids));
      }, SOON_MS.news);
    };
    // What is no job’s, a house rule say, may have moved any of them.
    const heard = (jobId: string | null): void => {
      changed.add(jobId ?? '');
      fetchSoon();
    };
    const subscriptions = [live.news.subscribe((e) => heard(e.jobId)), live.back.subscribe(() => heard(null))];
    let again: ReturnType<typeof setTimeout> | undefined;
    effect(() => {
      clearTimeout(again);
      if (this.store.counts().behind > 0) again = setTimeout(() => void this.store.load(), SOON_MS.behind);
    });
    let rest: number | undefined;
    effect(() => {
      if ((this.store.jobs()?.length ?? 0) > this.drawnUpTo())
        rest ??= requestAnimationFrame(() => setTimeout(() => this.drawnUpTo.set(FLOOR_PAGE.most)));
    });
    inject(DestroyRef).onDestroy(() => {
      for (const timer of [soon, again, this.typing]) clearTimeout(timer);
      if (rest !== undefined) cancelAnimationFrame(rest);
      subscriptions.forEach((s) => s.unsubscribe());
    });
  }

  protected look(words: string): void {
    this.search.set(words);
    clearTimeout(this.typing);
    this.typing = setTimeout(() => void this.store.look(words), words ? SOON_MS.typed : 0);
  }

  protected returned(job: FloorJob): boolean {
    return !job.next && !job.trouble && !job.waiting;
  }

  protected late(job: FloorJob): boolean {
    return job.promisedOn !== null && job.promisedOn < this.clock.today();
  }

  protected standing(job: FloorJob): string {
    if (job.trouble) return 'cannot be worked out';
    if (job.waiting) return 'being worked out';
    const needed = job.stations.filter((s) => s.state !== 'not-needed');
    const done = needed.filter((s) => s.state === 'done').length;
    return job.next
      ? `${done} of ${needed.length} stations done, at ${STATION_NAMES[job.next.id]}`
      : job.calledOff
        ? 'called off'
        : 'all stations done';
  }
}
