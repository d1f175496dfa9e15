import { ChangeDetectionStrategy, Component, computed, input, linkedSignal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { cellText, tableCsv, type BookTable } from '@iron-patch/core/book/look-up';
import { havingWords } from '@iron-patch/core/terms/words';

/** One table of the book in its own unit: filtered by typing, printed, taken away as CSV. */
@Component({
  selector: 'ip-book-table',
  imports: [FormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <header>
      <div>
        <h1>{{ table().title }}</h1>
        <p class="quiet">{{ table().source }}. Lengths in {{ table().unit }}.</p>
      </div>
      <input
        class="text no-print"
        type="search"
        placeholder="Show rows with"
        aria-label="Show rows with"
        [ngModel]="find()"
        (ngModelChange)="find.set($event)"
      />
      <a class="no-print" [href]="csv()" [download]="table().id + '.csv'">CSV</a>
      <button type="button" class="no-print" (click)="print()">Print</button>
    </header>
    <div class="scroll" tabindex="0" role="region" [attr.aria-label]="table().title">
      <table class="plain">
        <thead>
          <tr>
            @for (c of table().columns; track $index; let i = $index) {
              <th scope="col" [class.num]="numeric()[i]">{{ c }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (row of shown(); track $index) {
            <tr>
              @for (c of row; track $index; let i = $index) {
                <td [class.num]="numeric()[i]">{{ c }}</td>
              }
            </tr>
          } @empty {
            <tr>
              <td [attr.colspan]="table().columns.length">No row has “{{ find() }}” in it.</td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      height: 100%;
      min-height: 0;
      padding: 16px 20px;
    }
    header {
      display: flex;
      gap: 14px;
      align-items: center;
      margin-bottom: 10px;
    }
    header div {
      flex: 1;
    }
    h1 {
      font-size: 24px;
    }
    input {
      width: 220px;
    }
    .scroll {
      overflow: auto;
      background: var(--sheet);
      border: 1px solid var(--hairline);
      padding: 0 14px;
    }
    thead th {
      position: sticky;
      top: 0;
      background: var(--sheet);
      white-space: nowrap;
    }
    td {
      font-size: 15px;
    }
    @media print {
      .scroll {
        overflow: visible;
        border: 0;
      }
    }
  `,
})
export class BookTableView {
  readonly table = input.required<BookTable>();
  protected readonly find = linkedSignal<string, string>({ source: () => this.table().id, computation: () => '' });
  private readonly raw = computed(() => this.table().rows());
  /** A column is one of numbers when any of its cells is a length. */
  protected readonly numeric = computed(() => this.table().columns.map((_, i) => this.raw().some((r) => typeof r[i] === 'number')));
  private readonly rows = computed(() => this.raw().map((r) => r.map((c) => cellText(c, this.table().unit))));
  protected readonly shown = computed(() => {
    const has = havingWords(this.find());
    return this.rows().filter((r) => has(r.join(' ')));
  });
  protected readonly csv = computed(() => `data:text/csv;charset=utf-8,${encodeURIComponent(tableCsv(this.table()))}`);

  protected print(): void {
    window.print();
  }
}
