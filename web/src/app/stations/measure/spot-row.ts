import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { StateMark } from '../../mark';
import type { SpotRow } from './spot-rows';

/** A station of the grid; drawn anew only when something in it changed. */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- a row of a table
  selector: 'tr[ipSpotRow]',
  imports: [StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <th scope="row">{{ row().place }}</th>
    @for (cell of row().cells; track cell.key) {
      <td>
        <button
          type="button"
          class="cell fig"
          [class.on]="cell.on"
          [class.next]="cell.next"
          [class.narrow]="row().cells.length > 6"
          [attr.aria-label]="cell.spoken"
          (click)="pick.emit(cell.key)"
        >
          {{ cell.text }}
        </button>
      </td>
    }
    <td class="fig strong">{{ row().sum }}</td>
    @if (row().oval !== null) {
      <td class="fig">{{ row().oval }}</td>
    }
    <td><ip-state [state]="row().state" /></td>
  `,
  styles: `
    /* Its own picture: a number that changes paints this row alone. */
    :host {
      position: relative;
      isolation: isolate;
    }
    th {
      font-weight: 600;
      color: var(--ink);
      font-size: 15px;
      text-align: right;
      padding: 2px 8px;
      white-space: nowrap;
    }
    td {
      text-align: right;
      padding: 1px 6px;
      font-size: 17px;
      white-space: nowrap;
    }
    .strong {
      font-weight: 700;
    }
    .cell {
      border: 2px solid transparent;
      color: var(--ink);
      min-height: 36px;
      min-width: 74px;
      padding: 0 6px;
      text-align: right;
      font: 400 17px var(--figures);
    }
    .cell.narrow {
      min-width: 60px;
      font-size: 15px;
    }
    .cell.on {
      border-color: var(--blue);
      background: var(--blue-soft);
    }
    .cell.next {
      color: var(--accent);
      font-family: var(--label);
      font-weight: 600;
    }
  `,
})
export class SpotRowView {
  readonly row = input.required<SpotRow>();
  /** The clock angle that was touched. */
  readonly pick = output<number>();
}
