import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** What is put on the cut in a set-up, a line for what is alike; nothing where nothing is said. */
@Component({
  selector: 'ip-on-the-cut',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (coolant().length) {
      <h3>On the cut</h3>
      <ul>
        @for (c of coolant(); track c) {
          <li>{{ c }}</li>
        }
      </ul>
    }
  `,
  styles: `
    h3 {
      margin: 12px 0 2px;
      font: 600 16px var(--label);
    }
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
      font-size: 15px;
    }
    li {
      padding: 2px 0;
    }
  `,
})
export class OnTheCut {
  readonly coolant = input.required<readonly string[]>();
}
