import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { inBookWords, lookUp, TABLES } from '@iron-patch/core/book/look-up';
import { SUMS, sumOfId, type Sum } from '@iron-patch/core/sums';
import { DecimalMarks, OpenJob, SumsDesk, type SumsView } from '../data';
import { BookTableView } from './book-table';
import { LookedUp } from './looked-up';
import { SumBench } from './sum-bench';

const GROUP_WORDS: Readonly<Record<Sum['group'], string>> = {
  'Sizes and fits': 'Sizes and fits',
  Threads: 'Threads',
  'Keys, rings, seals': 'Keys, rings, seals',
  'Setting out': 'Setting out',
  Cutting: 'Cutting',
  'Stock and strength': 'Stock and strength',
};
const GROUPS = [...new Set(SUMS.map((s) => s.group))].map((name) => ({ name, sums: SUMS.filter((s) => s.group === name) }));

const MOST_ENTRIES = 12;

/** The bench: its calculations and tables down the left, one question on top that finds them and looks sizes up. */
@Component({
  selector: 'ip-sums',
  imports: [SumBench, LookedUp, BookTableView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav class="no-print" aria-label="Sums and tables">
      <label for="ask-book">Look up, or find a sum</label>
      <input
        id="ask-book"
        cdkFocusInitial
        class="text"
        type="search"
        autocomplete="off"
        placeholder="3/8 24, 25 H7/p6, 6204, press"
        [value]="desk.asked()"
        (input)="desk.ask(marks.typed($event))"
        (keydown.enter)="first()"
        (keydown.escape)="clear($event)"
      />
      <div class="list">
        @for (g of groups(); track g.name) {
          <h2>{{ groupWords[g.name] }}</h2>
          @for (s of g.sums; track s.id) {
            <button
              type="button"
              [class.on]="isOn('sum', s.id)"
              [attr.aria-current]="isOn('sum', s.id) ? 'true' : null"
              (click)="lay({ kind: 'sum', id: s.id })"
            >
              {{ s.title }}
            </button>
          }
        }
        @if (tables().length) {
          <h2>Tables</h2>
          @for (t of tables(); track t.id) {
            <button
              type="button"
              [class.on]="isOn('table', t.id)"
              [attr.aria-current]="isOn('table', t.id) ? 'true' : null"
              (click)="lay({ kind: 'table', id: t.id })"
            >
              {{ t.title }}
            </button>
          }
        }
      </div>
    </nav>
    <div
      class="work"
      [attr.tabindex]="desk.asked().trim() ? 0 : null"
      [attr.role]="desk.asked().trim() ? 'region' : null"
      aria-label="What the book says"
    >
      @if (desk.asked().trim()) {
        <ip-looked-up [entries]="entries()" />
      } @else if (table(); as t) {
        <ip-book-table [table]="t" />
      } @else {
        <ip-sum-bench [sum]="sum()" />
      }
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 250px minmax(0, 1fr);
      height: 100%;
      min-height: 0;
      background: var(--ground);
    }
    nav {
      display: flex;
      flex-direction: column;
      min-height: 0;
      padding: 14px 0 0 14px;
      border-right: 1px solid var(--hairline);
    }
    nav label {
      font-size: 15px;
      margin-bottom: 2px;
    }
    nav input {
      width: calc(100% - 14px);
      flex: none;
    }
    .list {
      overflow: auto;
      margin-top: 8px;
      padding-bottom: 20px;
    }
    h2 {
      font-size: 14px;
      color: var(--quiet);
      margin: 12px 0 2px;
    }
    .list button {
      display: block;
      width: 100%;
      text-align: left;
      border: 0;
      border-radius: 0;
      color: var(--ink);
      font-weight: 400;
      min-height: 40px;
      padding: 4px 10px;
    }
    .list button.on {
      background: var(--blue-soft);
      font-weight: 600;
      box-shadow: inset 4px 0 0 var(--blue);
    }
    .work {
      min-height: 0;
      overflow: auto;
    }
    @media (max-width: 900px) {
      :host {
        grid-template-columns: 200px minmax(0, 1fr);
      }
    }
    /* A telephone: the list above, short; the sum below as wide as the screen. */
    @media (max-width: 600px) {
      :host {
        grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
      }
      nav {
        max-height: 30vh;
        border-right: 0;
        border-bottom: 1px solid var(--hairline);
      }
    }
    @media print {
      :host {
        display: block;
      }
    }
  `,
})
export class Sums {
  protected readonly groupWords = GROUP_WORDS;
  protected readonly desk = inject(SumsDesk);
  protected readonly marks = inject(DecimalMarks);
  private readonly open = inject(OpenJob);
  /** Told when something is laid on the bench, so that a page can keep its address. */
  readonly laid = output<SumsView>();

  private readonly words = computed(() => this.desk.asked().toLowerCase().split(/\s+/).filter(Boolean));
  /** As typed, or in the book's own words for what people call it. */
  private readonly has = (text: string): boolean => {
    const lower = text.toLowerCase();
    return [this.words(), inBookWords(this.words())].some((list) => list.every((w) => lower.includes(w)));
  };
  protected readonly groups = computed(() =>
    GROUPS.map((g) => ({ name: g.name, sums: g.sums.filter((s) => this.has(`${s.title} ${s.about} ${GROUP_WORDS[g.name]}`)) })).filter(
      (g) => g.sums.length,
    ),
  );
  protected readonly tables = computed(() => TABLES.filter((t) => this.has(`${t.title} table ${t.source}`)));
  protected readonly entries = computed(() => lookUp(this.desk.asked(), this.open.unit(), MOST_ENTRIES));
  protected readonly table = computed(() =>
    this.desk.view().kind === 'table' ? TABLES.find((t) => t.id === this.desk.view().id) : undefined,
  );
  protected readonly sum = computed<Sum>(() => sumOfId(this.desk.view().id) ?? SUMS[0]!);

  protected isOn(kind: SumsView['kind'], id: string): boolean {
    const view = this.desk.view();
    return !this.desk.asked().trim() && view.kind === kind && view.id === id;
  }

  protected lay(view: SumsView): void {
    this.desk.lay(view);
    this.laid.emit(view);
  }

  /** Enter goes to the first sum or table that is left, when the book itself has no answer. */
  protected first(): void {
    if (this.entries().length) return;
    const sum = this.groups()[0]?.sums[0];
    const table = this.tables()[0];
    if (sum) this.lay({ kind: 'sum', id: sum.id });
    else if (table) this.lay({ kind: 'table', id: table.id });
  }

  /** Escape clears the question first; only an empty one lets it through to close the bench. */
  protected clear(event: Event): void {
    if (!this.desk.asked()) return;
    event.stopPropagation();
    this.desk.ask('');
  }
}
