import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { FLOOR_PAGE, type FloorJob } from '@iron-patch/contract/wire';
import { STATION_NAMES } from '@iron-patch/core/terms/stations';
import { NzInputModule } from 'ng-zorro-antd/input';
import { DayPipe, FloorStore, Live, ShopClock } from '../data';
import { StateMark } from '../mark';
import { NextThree } from '../run-order/next-three';

/** What is typed is looked for once the hand rests; news is fetched in one go; standings that are behind are asked for again. */
const SOON_MS = { typed: 150, news: 300, behind: 2000 } as const;
/** Strips that fill a screen. */
const FIRST_DRAWN = 14;

/** Home: the jobs, where each stands, what it waits for and the one next move. */
@Component({
  selector: 'ip-floor',
  imports: [RouterLink, FormsModule, NzInputModule, StateMark, DayPipe, NextThree],
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
    @defer (on idle) {
      <ip-next-three />
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
  styleUrl: './floor.less',
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
