import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { ownWidth } from './own-width';
import { NumbersBehind, type Numbers } from './numbers-behind';

const WORD_PX = 13;
const LEAST_WORD_PX = 12;

/** A mark of an axis: where it lies in the picture, px, and what it says. */
export interface Tick {
  readonly at: number;
  readonly text: string;
  /** The line at nought stands out. */
  readonly zero?: boolean;
}

/** What a picture's axes lie in, px: its size, and the room left of and below what is drawn. */
export interface ChartBox {
  readonly width: number;
  readonly height: number;
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
}

/**
 * The frame of every chart: axes with their marks, what they mean, and behind it the numbers as a table. What is drawn is projected, as SVG
 * in the box's own px. D3 gives scales and shapes.
 */
@Component({
  selector: 'ip-chart',
  imports: [NumbersBehind],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" [attr.tabindex]="pushed() ? 0 : null">
      <svg
        [attr.viewBox]="'0 0 ' + box().width + ' ' + box().height"
        [style.min-width.px]="least()"
        [style.max-width.px]="widest()"
        role="img"
        [attr.aria-label]="spoken()"
      >
        @for (t of ys(); track t.at) {
          <line
            class="grid"
            [class.zero]="t.zero"
            [attr.x1]="box().left"
            [attr.x2]="box().width - box().right"
            [attr.y1]="t.at"
            [attr.y2]="t.at"
          />
          <text class="fig" [attr.x]="box().left - 8" [attr.y]="t.at + 4" text-anchor="end">{{ t.text }}</text>
        }
        @for (t of xs(); track t.at) {
          <text class="fig" [attr.x]="t.at" [attr.y]="foot()" text-anchor="middle">{{ t.text }}</text>
        }
        <ng-content />
      </svg>
    </div>
    @if (meaning()) {
      <p class="quiet">{{ meaning() }}</p>
    }
    <ip-numbers [numbers]="numbers()" />
  `,
  styles: `
    :host {
      display: block;
      margin-top: 12px;
    }
    svg {
      width: 100%;
      display: block;
    }
    .grid {
      stroke: var(--hairline);
    }
    .grid.zero {
      stroke: var(--ink);
    }
    .fig {
      font: 400 ${WORD_PX}px var(--figures);
      fill: var(--ink);
    }
    p {
      font-size: 14px;
    }
  `,
})
export class ChartFrame {
  readonly box = input.required<ChartBox>();
  readonly xs = input.required<readonly Tick[]>();
  readonly ys = input<readonly Tick[]>([]);
  readonly spoken = input.required<string>();
  /** What the axes mean, below the picture. */
  readonly meaning = input('');
  readonly numbers = input.required<Numbers>();
  readonly widest = input(820);
  /** Narrower than this its words would be smaller than 12 px: it is pushed sideways instead. */
  protected readonly least = computed(() => Math.ceil((this.box().width * LEAST_WORD_PX) / WORD_PX));
  private readonly width = ownWidth(Infinity, 0);
  protected readonly pushed = computed(() => this.width() < this.least());
  /** Marks along stand as far below what is drawn as there is room for. */
  protected readonly foot = computed(() => this.box().height - this.box().bottom + 20);
}
