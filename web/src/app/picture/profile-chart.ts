import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLength, formatPlace, madeSizeMm, type FeatureFinding } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { SheetStore } from '../sheet-data';

const WIDTH = 720;
const HEIGHT = 168;
const LEFT = 84;
const RIGHT = 16;
const TOP = 16;
const BOTTOM = 48;
const NICE = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000];

/** Size along the axis, drawn far larger across than along, with the scale said: smallest to largest a bar, the means a line, the believed original beside it. */
@Component({
  selector: 'ip-profile-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 720 168'" role="img" [attr.aria-label]="spoken()">
      @if (originalY(); as y) {
        <line class="original" [attr.x1]="left" [attr.x2]="right" [attr.y1]="y" [attr.y2]="y" />
        <text class="word" [attr.x]="right" [attr.y]="y - 5" text-anchor="end">made to {{ originalText() }}</text>
      }
      @for (t of ticks(); track t.y) {
        <line class="tick" [attr.x1]="left - 5" [attr.x2]="right" [attr.y1]="t.y" [attr.y2]="t.y" />
        <text class="fig" [attr.x]="left - 9" [attr.y]="t.y + 4" text-anchor="end">{{ t.text }}</text>
      }
      @for (b of bars(); track b.x) {
        <line class="bar" [attr.x1]="b.x" [attr.x2]="b.x" [attr.y1]="b.low" [attr.y2]="b.high" />
        <text class="fig" [attr.x]="b.x" [attr.y]="height - 28" text-anchor="middle">{{ b.text }}</text>
      }
      <path [attr.d]="path()" />
      @for (b of bars(); track b.x) {
        <circle [attr.cx]="b.x" [attr.cy]="b.mean" r="4" />
      }
      <text class="word" [attr.x]="left" [attr.y]="height - 7">
        station, {{ store.unit() }}; across drawn {{ times() }} times larger than along
      </text>
    </svg>
  `,
  styles: `
    svg {
      width: 100%;
      max-width: 820px;
      display: block;
      margin-top: 12px;
    }
    .fig {
      font: 400 12px var(--figures);
      fill: var(--ink);
    }
    .word {
      font: 400 13px var(--label);
      fill: var(--quiet);
    }
    .tick {
      stroke: var(--hairline);
    }
    .original {
      stroke: var(--accent);
      stroke-width: 1.6;
      stroke-dasharray: 8 3 2 3;
    }
    .bar {
      stroke: var(--blue-mid);
      stroke-width: 9;
    }
    path {
      fill: none;
      stroke: var(--blue);
      stroke-width: 2;
    }
    circle {
      fill: var(--blue);
    }
  `,
})
export class ProfileChart {
  protected readonly store = inject(SheetStore);
  readonly finding = input.required<FeatureFinding>();
  protected readonly left = LEFT;
  protected readonly right = WIDTH - RIGHT;
  protected readonly height = HEIGHT;
  private readonly sections = computed(() => this.finding().shape?.sections ?? []);
  private readonly original = computed(() => madeSizeMm(this.finding(), this.store.repair()?.features ?? []));
  private readonly x = computed(() => {
    const { startMm, lengthMm } = this.finding().feature;
    const at = this.sections().map((s) => s.stationMm);
    return scaleLinear()
      .domain([Math.min(startMm, ...at), Math.max(startMm + lengthMm, ...at)])
      .range([LEFT, WIDTH - RIGHT]);
  });
  private readonly y = computed(() => {
    const original = this.original();
    const sizes = this.sections().flatMap((s) => [s.smallestMm, s.largestMm]);
    const all = original === null ? sizes : [...sizes, original];
    const [low, high] = [Math.min(...all), Math.max(...all)];
    const room = Math.max((high - low) * 0.12, 0.002);
    return scaleLinear()
      .domain([low - room, high + room])
      .range([HEIGHT - BOTTOM, TOP]);
  });
  /** Across against along, said as a plain number: radius across, so half the diameter's scale. */
  protected readonly times = computed(() => {
    const across = Math.abs(this.y()(1) - this.y()(0)) * 2;
    const along = Math.abs(this.x()(1) - this.x()(0));
    const ratio = across / along;
    return NICE.filter((n) => n <= ratio).at(-1) ?? 1;
  });
  protected readonly ticks = computed(() =>
    this.y()
      .ticks(3)
      .map((mm) => ({ y: this.y()(mm), text: formatLength(mm, this.store.unit()) })),
  );
  protected readonly bars = computed(() =>
    this.sections().map((s) => ({
      x: this.x()(s.stationMm),
      low: this.y()(s.smallestMm),
      high: this.y()(s.largestMm),
      mean: this.y()(s.meanMm),
      text: formatPlace(s.stationMm, this.store.unit()),
    })),
  );
  protected readonly path = computed(
    () =>
      line<{ x: number; mean: number }>()
        .x((b) => b.x)
        .y((b) => b.mean)(this.bars()) ?? '',
  );
  protected readonly originalY = computed(() => {
    const mm = this.original();
    return mm === null ? null : this.y()(mm);
  });
  protected readonly originalText = computed(() => formatLength(this.original() ?? 0, this.store.unit()));
  protected readonly spoken = computed(() => {
    const kind = this.finding().shape?.profile?.kind ?? 'not known';
    const sizes = this.sections().map(
      (s) => `${formatPlace(s.stationMm, this.store.unit())}: ${formatLength(s.meanMm, this.store.unit())}`,
    );
    return `Size along the axis, ${kind}. ${sizes.join('; ')}`;
  });
}
