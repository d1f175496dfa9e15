import { Location } from '@angular/common';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed, toObservable } from '@angular/core/rxjs-interop';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { routes, SEARCH, type SearchHit, type SearchResource } from '@iron-patch/contract/wire';
import { formatLength, STATION_NAMES } from '@iron-patch/core';
import { lookUp } from '@iron-patch/core/book/look-up';
import { NzInputModule } from 'ng-zorro-antd/input';
import { debounceTime, distinctUntilChanged, from, switchMap } from 'rxjs';
import { DecimalMarks, Api, OpenJob, ShopStore, Told } from '../data';
import { LookedUp } from '../sums/looked-up';
import { inTheShop } from './in-the-shop';

/** What is typed is looked for once the hand rests. */
const RESTS_MS = 150;
const MOST_ENTRIES = 4;
const KINDS: Readonly<Record<SearchHit['kind'], string>> = {
  job: 'Job',
  component: 'Piece',
  place: 'Place',
  size: 'Size read',
  note: 'Note',
  lesson: 'Lesson',
};

/** Jobs, places, sizes, notes, lessons, what the shop has and what its book says: found by what one remembers of them. */
@Component({
  selector: 'ip-find',
  imports: [FormsModule, RouterLink, NzInputModule, LookedUp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <h1>Find</h1>
      <input
        #box
        nz-input
        type="search"
        aria-label="What to find"
        placeholder="A word, a number of a job, or a size such as 25.01 or 1 3/16"
        [maxlength]="longest"
        [ngModel]="text()"
        (ngModelChange)="text.set($event)"
      />
    </header>
    <p class="sr-only" role="status">{{ said() }}</p>
    @if (answer(); as a) {
      @if (a.hits.length) {
        <section>
          <h2>In the jobs</h2>
          @if (a.alike) {
            <p class="quiet">Nothing is written so. This is spelt alike:</p>
          }
          <ul>
            @for (h of a.hits; track $index) {
              <li>
                <a [routerLink]="['/jobs', h.jobId, h.station]" [queryParams]="h.placeId ? { place: h.placeId } : {}">
                  <span class="fig number">{{ h.number }}</span>
                  <span class="kind">{{ kinds[h.kind] }}</span>
                  <span class="what">
                    <b>
                      @if (h.valueMm !== null) {
                        <span class="fig">{{ size(h) }}</span> {{ h.unit }},
                      }
                      {{ h.kind === 'job' ? h.title : h.words }}</b
                    >
                    <span class="quiet">{{ h.kind === 'job' ? ofJob(h) : h.title + ', ' + ofJob(h) }}</span>
                  </span>
                  <span class="station">{{ stations[h.station] }}</span>
                </a>
              </li>
            }
          </ul>
          @if (a.hits.length >= most) {
            <p class="quiet">These are the first {{ a.hits.length }}. One word more finds fewer.</p>
          }
        </section>
      }
      @if (things().length) {
        <section>
          <h2>In the shop</h2>
          <ul>
            @for (t of things(); track $index) {
              <li class="of-shop">
                <a [routerLink]="t.page">
                  <span class="kind">{{ t.what }}</span>
                  <span class="what"
                    ><b>{{ t.words }}</b></span
                  >
                </a>
              </li>
            }
          </ul>
        </section>
      }
      @if (entries().length) {
        <section>
          <h2>In the book</h2>
          <ip-looked-up [entries]="entries()" />
        </section>
      }
      @if (!a.hits.length && !things().length && !entries().length && text().trim()) {
        <p class="empty">
          Nothing has “{{ text().trim() }}” in it: no job, note, lesson or size, nothing in the shop, nothing in its book.
        </p>
      }
    }
    @if (!text().trim()) {
      <p class="empty quiet">
        A customer, a machine, what somebody wrote at a station, a lesson; a size finds the places where it was read, as closely as it is
        typed: 25 finds 24.5 to 25.5, 25.01 finds 25.005 to 25.015.
      </p>
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 16px 20px 32px;
      max-width: 1100px;
    }
    header {
      display: flex;
      gap: 16px;
      align-items: center;
      margin-bottom: 12px;
    }
    h1 {
      font-size: 24px;
    }
    input {
      max-width: 620px;
      font-size: 20px;
    }
    section {
      margin-top: 18px;
    }
    h2 {
      margin-bottom: 4px;
    }
    ul {
      border-top: 1px solid var(--hairline);
    }
    li a {
      display: flex;
      gap: 16px;
      align-items: center;
      min-height: 56px;
      padding: 6px 12px;
      background: var(--sheet);
      border-bottom: 1px solid var(--hairline);
      color: var(--ink);
      text-decoration: none;
    }
    li a:hover {
      box-shadow: inset 4px 0 0 var(--blue);
    }
    .number {
      font-size: 18px;
      font-weight: 700;
      flex: 0 0 58px;
    }
    .kind {
      font: 600 15px var(--label);
      color: var(--accent);
      flex: 0 0 84px;
    }
    .of-shop .kind {
      flex-basis: 158px;
    }
    .what {
      display: flex;
      flex-direction: column;
      min-width: 0;
      flex: 1;
    }
    .what b {
      font: 600 17px/1.3 var(--label);
      display: -webkit-box;
      -webkit-line-clamp: 2;
      -webkit-box-orient: vertical;
      overflow: hidden;
      overflow-wrap: anywhere;
    }
    .what .quiet {
      font-size: 15px;
    }
    .station {
      font: 600 15px var(--label);
      color: var(--quiet);
    }
    ip-looked-up {
      padding: 8px 0;
    }
    .empty {
      padding: 28px 0;
      max-width: 640px;
    }
    @media (max-width: 600px) {
      .station {
        display: none;
      }
      li a {
        flex-wrap: wrap;
        gap: 2px 12px;
      }
      .what {
        flex-basis: 100%;
      }
    }
  `,
})
export class Find {
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  private readonly shop = inject(ShopStore);
  private readonly open = inject(OpenJob);
  private readonly marks = inject(DecimalMarks);
  private readonly location = inject(Location);
  private readonly box = viewChild.required<ElementRef<HTMLInputElement>>('box');
  /** From the address: what is looked for. */
  readonly for = input<string>();
  protected readonly text = linkedSignal(() => this.for() ?? '');
  protected readonly answer = signal<SearchResource | null>(null);
  protected readonly kinds = KINDS;
  protected readonly stations = STATION_NAMES;
  protected readonly longest = SEARCH.length;
  protected readonly most = SEARCH.most;
  private readonly asked = computed(() => this.marks.read(this.text().trim()));
  protected readonly things = computed(() => inTheShop(this.shop.shop(), this.asked(), this.open.unit()));
  protected readonly entries = computed(() => (this.asked() ? lookUp(this.asked(), this.open.unit(), MOST_ENTRIES) : []));
  protected readonly said = computed(() => {
    const found = (this.answer()?.hits.length ?? 0) + this.things().length + this.entries().length;
    return this.asked() && this.answer() ? (found === 1 ? 'One thing found.' : `${found} things found.`) : '';
  });

  constructor() {
    toObservable(this.asked)
      .pipe(
        debounceTime(RESTS_MS),
        distinctUntilChanged(),
        switchMap((text) => from(this.ask(text))),
        takeUntilDestroyed(),
      )
      .subscribe((answer) => answer && this.answer.set(answer));
    // The address names what is looked for: it can be kept, sent and gone back to.
    effect(() => {
      const text = this.text().trim();
      untracked(() => this.location.replaceState('/find', text ? `for=${encodeURIComponent(text)}` : ''));
    });
    afterNextRender(() => this.box().nativeElement.focus());
  }

  protected ofJob({ customerName, machine }: SearchHit): string {
    return [customerName, machine].filter(Boolean).join(', ');
  }

  protected size({ valueMm, unit }: SearchHit): string {
    return formatLength(valueMm!, unit);
  }

  private async ask(text: string): Promise<SearchResource | null> {
    if (!text) return { hits: [], alike: false };
    try {
      return await this.api.get<SearchResource>(`${routes.search}?for=${encodeURIComponent(text)}`);
    } catch (e) {
      this.told.wrong(e);
      return null;
    }
  }
}
