import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { dialDecimals, type Dial } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';

const WIDTH = 548;
const LEFT = 24;
/** Lines shown to each side of where the tool goes. */
const LINES_AROUND = 22;

/** The cross-slide dial unrolled: where it stood, and where it goes. */
@Component({
  selector: 'ip-dial-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 548 92" width="100%" role="img" [attr.aria-label]="'Dial, from ' + text(from()) + ' to ' + text(to())">
      <rect width="548" height="92" class="ground" />
      @for (l of lines(); track l.x) {
        <line
          [attr.x1]="l.x"
          [attr.x2]="l.x"
          y1="0"
          [attr.y2]="l.long ? 34 : l.middle ? 24 : 15"
          stroke="#f2f4ff"
          [attr.stroke-width]="l.long ? 2 : 1.2"
        />
        @if (l.text) {
          <text [attr.x]="l.x" y="55" text-anchor="middle">{{ l.text }}</text>
        }
      }
      <path [attr.d]="pointer(from())" fill="#9fabe6" />
      <path [attr.d]="pointer(to())" fill="#ffd98a" />
    </svg>
  `,
  styles:
    '.ground { fill: var(--layout-deep); } :host { display: block; } text { font: 400 16px var(--figures); fill: var(--scribe-text); }',
})
export class DialPicture {
  readonly dial = input.required<Dial>();
  readonly from = input.required<number>();
  readonly to = input.required<number>();
  private readonly scale = computed(() => {
    const { perLine } = this.dial();
    const reach = Math.max(LINES_AROUND * perLine, Math.abs(this.to() - this.from()) + 6 * perLine);
    return scaleLinear()
      .domain([this.to() - reach, this.to() + reach * 0.35])
      .range([LEFT, WIDTH - LEFT]);
  });
  protected readonly lines = computed(() => {
    const { perLine } = this.dial();
    const [low, high] = this.scale().domain() as [number, number];
    const every = Math.max(1, Math.ceil((high - low) / perLine / 70));
    const step = perLine * every;
    const first = Math.ceil(low / step);
    const last = Math.floor(high / step);
    return Array.from({ length: Math.max(last - first + 1, 0) }, (_, i) => {
      const n = first + i;
      const long = n % 10 === 0;
      return {
        x: this.scale()(n * step),
        long,
        middle: n % 5 === 0,
        text: long ? (n * step).toFixed(Math.max(dialDecimals(this.dial()) - 2, 0)) : '',
      };
    });
  });

  protected text(value: number): string {
    return value.toFixed(dialDecimals(this.dial()));
  }

  protected pointer(value: number): string {
    const x = Math.min(Math.max(this.scale()(value), LEFT), WIDTH - LEFT);
    return `M${x} 62 l10 22 h-20 Z`;
  }
}
