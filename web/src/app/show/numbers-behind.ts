import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** The numbers behind a picture. */
export interface Numbers {
  readonly caption: string;
  /** The first column names the row. */
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** The numbers of a picture as a table: opened by a touch, read by a screen reader, copied as a table. */
@Component({
  selector: 'ip-numbers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (numbers().rows.length) {
      <details>
        <summary>Numbers</summary>
        <div class="scroll" tabindex="0" role="region" [attr.aria-label]="numbers().caption">
          <table class="plain">
            <caption class="sr-only">
              {{
                numbers().caption
              }}
            </caption>
            <thead>
              <tr>
                @for (h of numbers().head; track $index) {
                  <th scope="col" [class.num]="!$first">{{ h }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (r of numbers().rows; track $index) {
                <tr>
                  @for (c of r; track $index) {
                    @if ($first) {
                      <th scope="row">{{ c }}</th>
                    } @else {
                      <td class="num">{{ c }}</td>
                    }
                  }
                </tr>
              }
            </tbody>
          </table>
        </div>
      </details>
    }
  `,
  styles: `
    summary {
      font: 600 15px/44px var(--label);
      color: var(--blue);
      cursor: pointer;
      width: max-content;
      padding-right: 16px;
    }
    table {
      width: auto;
      min-width: 260px;
    }
    tbody th {
      font: 400 16px var(--label);
      color: var(--ink);
      padding-right: 28px;
    }
  `,
})
export class NumbersBehind {
  readonly numbers = input.required<Numbers>();
}
