import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { rungFigure, turnsWords, type Dial, type Figure, type Rung } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { FigureButton } from '../../show';

const ROW = 30;
const RULE_WIDTH = 92;

/** The depth ladder: a rule from the zero face with every stop on it, readout number large, dial turns beside. */
@Component({
  selector: 'ip-ladder',
  imports: [FigureButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="ladder">
      <svg [attr.viewBox]="'0 0 92 ' + height()" [attr.height]="height()" width="92" aria-hidden="true">
        <line x1="20" x2="20" y1="6" [attr.y2]="height() - 6" class="rule" />
        <line x1="8" x2="32" y1="6" y2="6" class="zero" />
        @for (s of stops(); track $index) {
          <path [attr.d]="'M20 ' + s.at + ' H34 L70 ' + s.row + ' H92'" class="stop" />
          <line x1="12" x2="28" [attr.y1]="s.at" [attr.y2]="s.at" class="mark" />
        }
      </svg>
      <table>
        <thead class="sr-only">
          <tr>
            <th>Stop</th>
            <th>Tool at</th>
            <th>Dial</th>
          </tr>
        </thead>
        <tbody>
          @for (r of rungs(); track $index) {
            <tr>
              <td class="tool fig"><ip-figure [figure]="figure(r)" [size]="18" [strong]="true" /></td>
              <td class="dial fig">
                {{ turns(r) }}
              </td>
              <td>
                {{ r.what }}
                @if (r.note) {
                  <span class="quiet">{{ r.note }}</span>
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
    .ladder {
      display: flex;
      align-items: flex-start;
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
      margin-top: 8px;
      flex: 1;
    }
    td {
      height: 30px;
      padding: 0 12px 0 0;
      font-size: 15px;
      white-space: nowrap;
    }
    td:last-child {
      white-space: normal;
      line-height: 1.15;
      width: 100%;
    }
    .tool {
      font-size: 18px;
      font-weight: 700;
      text-align: right;
    }
    .dial {
      color: var(--quiet);
    }
    .rule {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .zero {
      stroke: var(--accent);
      stroke-width: 4;
    }
    .mark {
      stroke: var(--ink);
      stroke-width: 2;
    }
    .stop {
      fill: none;
      stroke: var(--blue);
      stroke-width: 1.2;
    }
  `,
})
export class LadderPicture {
  readonly rungs = input.required<readonly Rung[]>();
  readonly dial = input.required<Dial>();
  readonly setUp = input(1);
  protected readonly width = RULE_WIDTH;
  protected readonly height = computed(() => Math.max(this.rungs().length * ROW + 16, 60));
  protected readonly stops = computed(() => {
    const rungs = this.rungs();
    const most = Math.max(1, ...rungs.map((r) => r.depthMm));
    const scale = scaleLinear()
      .domain([0, most])
      .range([6, this.height() - 8]);
    return rungs.map((r, i) => ({ at: scale(r.depthMm), row: 8 + i * ROW + ROW / 2 }));
  });

  protected turns(r: Rung): string {
    return r.dial ? turnsWords(r.dial, this.dial()) : '';
  }

  protected figure(r: Rung): Figure {
    return rungFigure(r, this.setUp());
  }
}
