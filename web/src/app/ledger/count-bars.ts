import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { scaleLinear } from 'd3-scale';

/** So many jobs of a kind, and how many of them came back. */
export interface Bar {
  readonly name: string;
  readonly jobs: number;
  readonly cameBack: number;
}

/** Counts as bars on one scale, what came back at their beginning; the numbers beside them. */
@Component({
  selector: 'ip-count-bars',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <caption class="sr-only">
        {{
          caption()
        }}
      </caption>
      <thead class="sr-only">
        <tr>
          <th scope="col">What</th>
          <th scope="col">Jobs</th>
        </tr>
      </thead>
      <tbody>
        @for (b of bars(); track b.name) {
          <tr>
            <th scope="row">{{ b.name }}</th>
            <td>
              <span class="fig">{{ b.jobs }}</span>{{ b.cameBack ? ', ' + b.cameBack + ' came back' : '' }}
              <svg aria-hidden="true" width="100%" height="10" preserveAspectRatio="none">
                <rect class="all" height="10" [attr.width]="wide()(b.jobs) + '%'" />
                <rect class="back" height="10" [attr.width]="wide()(b.cameBack) + '%'" />
              </svg>
            </td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    table {
      border-collapse: collapse;
      width: 100%;
    }
    th {
      text-align: left;
      font: 400 15px/1.25 var(--label);
      padding: 3px 12px 3px 0;
      width: 52%;
      vertical-align: top;
    }
    td {
      font-size: 15px;
      padding: 3px 0;
    }
    svg {
      display: block;
    }
    .all {
      fill: var(--blue-mid);
    }
    .back {
      fill: var(--out);
    }
  `,
})
export class CountBars {
  readonly bars = input.required<readonly Bar[]>();
  readonly caption = input.required<string>();
  protected readonly wide = computed(() => scaleLinear([0, Math.max(1, ...this.bars().map((b) => b.jobs))], [0, 100]));
}
