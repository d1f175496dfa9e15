import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLength, formatPlace, madeSizeMm, type PlaceFinding, type ProfileKind } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { SheetStore } from '../sheet-data';
import { ChartFrame, ownWidth, type ChartBox, type Numbers, type Tick } from '../show';

const KIND_WORDS: Readonly<Record<ProfileKind, string>> = {
  straight: 'straight',
  taper: 'taper',
  step: 'step',
  barrel: 'barrel',
  hourglass: 'hourglass',
  'bell-mouth': 'bell-mouth',
  'not known': 'not known',
};

/** As wide as it is meant to be. */
const BOX: ChartBox = { width: 720, height: 150, left: 84, right: 16, bottom: 28 };
const TOP = 16;
const LEAST_PX = 300;
const NICE = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000];

/** Size along the axis, drawn far larger across than along, with the scale said: smallest to largest a bar, the means a line, the believed original beside it. */
@Component({
  selector: 'ip-profile-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChartFrame],
  template: `
    <ip-chart [box]="box()" [xs]="xs()" [ys]="ticks()" [spoken]="spoken()" [numbers]="numbers()" [meaning]="meaning()">
      @if (originalY(); as y) {
        <svg:line class="original" [attr.x1]="box().left" [attr.x2]="right()" [attr.y1]="y" [attr.y2]="y" />
        <svg:text class="word" [attr.x]="right()" [attr.y]="y - 5" text-anchor="end">made to {{ originalText() }}</svg:text>
      }
      @for (b of bars(); track b.x) {
        <svg:line class="bar" [attr.x1]="b.x" [attr.x2]="b.x" [attr.y1]="b.low" [attr.y2]="b.high" />
      }
      <svg:path [attr.d]="path()" />
      @for (b of bars(); track b.x) {
        <svg:circle [attr.cx]="b.x" [attr.cy]="b.mean" r="4" />
      }
    </ip-chart>
  `,
  styles: `
    :host {
      display: block;
    }
    .word {
      font: 400 13px var(--label);
      fill: var(--quiet);
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
  readonly finding = input.required<PlaceFinding>();
  private readonly width = ownWidth(BOX.width, LEAST_PX);
  protected readonly box = computed((): ChartBox => ({ ...BOX, width: this.width() }));
  protected readonly right = computed(() => this.box().width - BOX.right);
  private readonly sections = computed(() => this.finding().shape?.sections ?? []);
  private readonly original = computed(() => madeSizeMm(this.finding(), this.store.repair()?.places ?? []));
  private readonly x = computed(() => {
    const { startMm, lengthMm } = this.finding().place;
    const at = this.sections().map((s) => s.stationMm);
    return scaleLinear()
      .domain([Math.min(startMm, ...at), Math.max(startMm + lengthMm, ...at)])
      .range([BOX.left, this.right()]);
  });
  private readonly y = computed(() => {
    const original = this.original();
    const sizes = this.sections().flatMap((s) => [s.smallestMm, s.largestMm]);
    const all = original === null ? sizes : [...sizes, original];
    const [low, high] = [Math.min(...all), Math.max(...all)];
    const room = Math.max((high - low) * 0.12, 0.002);
    return scaleLinear()
      .domain([low - room, high + room])
      .range([BOX.height - BOX.bottom, TOP]);
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
      .map((mm) => ({ at: this.y()(mm), text: formatLength(mm, this.store.unit()) })),
  );
  protected readonly bars = computed(() =>
    this.sections().map((s) => ({
      x: this.x()(s.stationMm),
      low: this.y()(s.smallestMm),
      high: this.y()(s.largestMm),
      mean: this.y()(s.meanMm),
    })),
  );
  protected readonly xs = computed<readonly Tick[]>(() =>
    this.sections().map((s) => ({ at: this.x()(s.stationMm), text: formatPlace(s.stationMm, this.store.unit()) })),
  );
  protected readonly meaning = computed(() => `Station, ${this.store.unit()}; across drawn ${this.times()} times larger than along.`);
  protected readonly numbers = computed<Numbers>(() => {
    const show = (mm: number): string => formatLength(mm, this.store.unit());
    return {
      caption: `Sizes of ${this.finding().place.name}, ${this.store.unit()}`,
      head: ['Station', 'smallest', 'mean', 'largest'],
      rows: this.sections().map((s) => [formatPlace(s.stationMm, this.store.unit()), ...[s.smallestMm, s.meanMm, s.largestMm].map(show)]),
    };
  });
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
    return `Size along the axis, ${KIND_WORDS[kind]}. ${sizes.join('; ')}`;
  });
}
