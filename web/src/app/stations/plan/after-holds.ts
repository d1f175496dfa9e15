import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import type { AfterChoice, AfterHoldId } from '@iron-patch/core';
import { StateMark } from '../../mark';
import { about } from './about';

/** How else the work can be held on the mill, or beside its axis: how near that comes, and how long it takes to set up. */
@Component({
  selector: 'ip-after-holds',
  imports: [StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>Ways to hold it here</h3>
    <ul>
      @for (c of choices(); track c.id) {
        <li [class.on]="c.id === chosen()">
          <button type="button" [attr.aria-pressed]="c.id === chosen()" (click)="picked.emit(c.id)">
            <ip-state [state]="c.cannot || c.tooMuch ? 'out' : 'fits'" [size]="15" />
            <span>
              <b>{{ c.name }}</b>
              <small class="quiet">{{ c.cannot || c.about }}</small>
            </span>
            <span class="off fig">
              {{ c.off }}
              @if (c.tooMuch) {
                <em>more than the drawing allows</em>
              }
            </span>
            <span class="fig">{{ time(c.minutes) }}</span>
          </button>
        </li>
      }
    </ul>
  `,
  styles: `
    h3 {
      margin: 12px 0 4px;
      font: 600 16px var(--label);
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      border-bottom: 1px solid var(--hairline);
    }
    li.on {
      background: var(--blue-soft);
    }
    button {
      all: unset;
      display: grid;
      grid-template-columns: 20px 1fr minmax(0, 300px) 60px;
      gap: 10px;
      align-items: center;
      width: 100%;
      box-sizing: border-box;
      min-height: 44px;
      padding: 2px 8px;
      cursor: pointer;
    }
    button:focus-visible {
      outline: 3px solid var(--accent);
    }
    b {
      display: block;
      font: 600 17px var(--label);
    }
    small {
      font-size: 14px;
    }
    .off,
    .fig {
      font-size: 15px;
      text-align: right;
    }
    em {
      display: block;
      font-style: normal;
      color: var(--out);
    }
    @media (max-width: 700px) {
      button {
        grid-template-columns: 20px 1fr 60px;
      }
      .off {
        grid-column: 2 / 4;
        grid-row: 2;
        text-align: left;
      }
    }
  `,
})
export class AfterHolds {
  readonly choices = input.required<readonly AfterChoice[]>();
  readonly chosen = input.required<AfterHoldId>();
  readonly picked = output<AfterHoldId>();
  protected readonly time = about;
}
