import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { formatLength, otherUnit } from '@iron-patch/core';
import type { BookEntry, Cell } from '@iron-patch/core/book/look-up';
import { OpenJob } from '../data';

/** What the book says to a question: one card a thing, sizes in both units. */
@Component({
  selector: 'ip-looked-up',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (e of entries(); track e.title) {
      <article>
        <h2>{{ e.title }}</h2>
        <table class="plain">
          <tbody>
            @for (r of e.rows; track r[0]) {
              <tr>
                <th scope="row">{{ r[0] }}</th>
                @if (isSize(r[1])) {
                  <td class="num big">{{ size(r[1]) }}</td>
                  <td class="num quiet">{{ otherSize(r[1]) }}</td>
                } @else {
                  <td colspan="2" class="words">{{ r[1] }}</td>
                }
              </tr>
            }
          </tbody>
        </table>
        @if (e.words) {
          <p>{{ e.words }}</p>
        }
        <p class="quiet">{{ e.source }}</p>
      </article>
    } @empty {
      <p class="empty">
        The book has nothing by that name. Try a thread (3/8 24, M16x1.5), a fit (25 H7/p6, 1 RC4), a bearing (6204), an O-ring (-214), a
        key or ring for a size (key 25, ring 40), a drill (number 7) or a material (bronze).
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(360px, 1fr));
      gap: 16px;
      padding: 16px 20px;
      align-items: start;
    }
    article {
      background: var(--sheet);
      border: 1px solid var(--hairline);
      padding: 14px 16px;
    }
    h2 {
      font-size: 20px;
      margin-bottom: 4px;
    }
    th {
      font-weight: 400 !important;
      width: 45%;
    }
    .big {
      font-size: 18px;
    }
    .words {
      text-align: right;
    }
    p {
      font-size: 14px;
      margin-top: 8px;
    }
    .empty {
      font-size: 16px;
      grid-column: 1 / -1;
    }
  `,
})
export class LookedUp {
  private readonly open = inject(OpenJob);
  readonly entries = input.required<readonly BookEntry[]>();

  protected isSize(c: Cell): c is number {
    return typeof c === 'number';
  }
  protected size(c: Cell): string {
    return `${formatLength(c as number, this.open.unit())} ${this.open.unit()}`;
  }
  protected otherSize(c: Cell): string {
    const unit = otherUnit(this.open.unit());
    return `${formatLength(c as number, unit)} ${unit}`;
  }
}
