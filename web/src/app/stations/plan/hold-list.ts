import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { StateMark } from '../../mark';
import { about } from './about';

/** A way to hold work there. */
interface Hold {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly gives: string;
  readonly minutes: number;
  readonly cannot: string;
  readonly tooMuch?: boolean;
}

/** Ways to hold the work for one thing that is done with it: how near each comes, and how long it takes to set up. */
@Component({
  selector: 'ip-hold-list',
  imports: [StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>{{ title() }}</h3>
    <ul>
      @for (c of choices(); track c.id) {
        <li [class.on]="c.id === chosen()">
          <button type="button" [attr.aria-pressed]="c.id === chosen()" (click)="picked.emit(c.id)">
            <ip-state [state]="c.cannot || c.tooMuch ? 'out' : 'fits'" [size]="15" />
            <span>
              <b>{{ c.name }}</b>
              <small class="quiet">{{ c.cannot || c.about }}</small>
            </span>
            <span class="gives fig">
              {{ c.gives }}
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
    .gives,
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
      .gives {
        grid-column: 2 / 4;
        grid-row: 2;
        text-align: left;
      }
    }
  `,
})
export class HoldList {
  readonly title = input('Ways to hold it here');
  readonly choices = input.required<readonly Hold[]>();
  /** Id of it; empty for none. */
  readonly chosen = input.required<string>();
  readonly picked = output<string>();
  protected readonly time = about;
}
