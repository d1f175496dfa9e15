import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatLength, formatPlace, type IndicatorFinding, type LengthUnit } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { ChartFrame, ownWidth, type ChartBox, type Numbers, type Tick } from '../show';

/** As wide as it is meant to be. */
const BOX: ChartBox = { width: 720, height: 176, left: 70, right: 20, bottom: 40 };
const TOP = 24;
const MEANING =
  'Under each station where it lies and the total reading; the hand points to its high spot, 0° on top, clockwise seen from the right end.';
const DIAL_R = 15;
const LEAST_PX = 300;

/** The bow of a shaft along its axis, a clock with the high spot over each station, and where to press. */
@Component({
  selector: 'ip-indicator-map',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChartFrame],
  template: `
    <ip-chart [box]="box()" [xs]="xs()" [ys]="ticks()" [spoken]="spoken()" [numbers]="numbers()" [meaning]="meaning">
      <svg:line class="zero" [attr.x1]="box().left" [attr.x2]="right()" [attr.y1]="zero()" [attr.y2]="zero()" />
      <svg:path [attr.d]="path()" />
      @for (s of stations(); track s.x) {
        <svg:line class="stem" [attr.x1]="s.x" [attr.x2]="s.x" [attr.y1]="zero()" [attr.y2]="s.y" />
        <svg:circle class="dial" [attr.cx]="s.x" [attr.cy]="s.y - 22" [attr.r]="dialR" />
        <svg:line class="hand" [attr.x1]="s.x" [attr.y1]="s.y - 22" [attr.x2]="s.hx" [attr.y2]="s.hy" />
        <svg:text class="total" [attr.x]="s.x" [attr.y]="box().height - 2" text-anchor="middle">{{ s.total }}</svg:text>
      }
      @if (press(); as p) {
        <svg:path class="press" [attr.d]="'M' + (p - 9) + ' 4 L' + (p + 9) + ' 4 L' + p + ' 20 Z'" />
        <svg:text class="word" [attr.x]="p + 14" y="15">press here, high spot up</svg:text>
      }
    </ip-chart>
  `,
  styles: `
    :host {
      display: block;
    }
    .total {
      font: 700 13px var(--figures);
      fill: var(--ink);
    }
    .word {
      font: 600 13px var(--label);
      fill: var(--accent);
    }
    .zero {
      stroke: var(--accent);
      stroke-dasharray: 8 3 2 3;
    }
    .stem {
      stroke: var(--hairline);
    }
    path {
      fill: none;
      stroke: var(--blue);
      stroke-width: 2.5;
    }
    .press {
      fill: var(--accent);
      stroke: none;
    }
    .dial {
      fill: var(--sheet);
      stroke: var(--blue);
      stroke-width: 1.5;
    }
    .hand {
      stroke: var(--blue);
      stroke-width: 2.5;
    }
  `,
})
export class IndicatorMap {
  readonly finding = input.required<IndicatorFinding>();
  readonly unit = input.required<LengthUnit>();
  private readonly width = ownWidth(BOX.width, LEAST_PX);
  protected readonly box = computed((): ChartBox => ({ ...BOX, width: this.width() }));
  protected readonly meaning = MEANING;
  protected readonly right = computed(() => this.box().width - BOX.right);
  protected readonly dialR = DIAL_R;
  private readonly map = computed(() => [...this.finding().map].sort((p, q) => p.stationMm - q.stationMm));
  /** Bow in the plane of the bend; without a bend the eccentricity. */
  private readonly bows = computed(() => {
    const plane = this.finding().bend?.planeDeg;
    return this.map().map((s) => {
      if (plane === undefined) return s.eccentricMm;
      const t = (plane * Math.PI) / 180;
      return s.x * Math.cos(t) + s.y * Math.sin(t);
    });
  });
  private readonly x = computed(() => {
    const at = this.map().map((s) => s.stationMm);
    return scaleLinear()
      .domain([Math.min(...at), Math.max(...at)])
      .range([BOX.left + DIAL_R, this.right() - DIAL_R]);
  });
  private readonly y = computed(() => {
    const high = Math.max(...this.bows().map(Math.abs), 0.005);
    return scaleLinear()
      .domain([Math.min(0, ...this.bows()), high])
      .range([BOX.height - BOX.bottom, TOP + 2 * DIAL_R + 8]);
  });
  protected readonly zero = computed(() => this.y()(0));
  protected readonly ticks = computed(() =>
    this.y()
      .ticks(3)
      .map((mm) => ({ at: this.y()(mm), text: formatLength(mm, this.unit()) })),
  );
  protected readonly stations = computed(() =>
    this.map().map((s, i) => {
      const [x, y] = [this.x()(s.stationMm), this.y()(this.bows()[i]!)];
      const t = (s.highDeg * Math.PI) / 180;
      return {
        x,
        y,
        hx: x + DIAL_R * Math.sin(t),
        hy: y - 22 - DIAL_R * Math.cos(t),
        total: formatLength(s.totalMm, this.unit()),
      };
    }),
  );
  protected readonly xs = computed<readonly Tick[]>(() =>
    this.map().map((s) => ({ at: this.x()(s.stationMm), text: formatPlace(s.stationMm, this.unit()) })),
  );
  protected readonly numbers = computed<Numbers>(() => ({
    caption: `Indicator readings along the part, ${this.unit()}`,
    head: ['Station', 'total', 'off the axis', 'high spot, °'],
    rows: this.map().map((s) => [
      formatPlace(s.stationMm, this.unit()),
      ...[s.totalMm, s.eccentricMm].map((mm) => formatLength(mm, this.unit())),
      String(Math.round(s.highDeg)),
    ]),
  }));
  protected readonly path = computed(
    () =>
      line<{ x: number; y: number }>()
        .x((s) => s.x)
        .y((s) => s.y)(this.stations()) ?? '',
  );
  protected readonly press = computed(() => {
    const bend = this.finding().bend;
    return bend ? this.x()(bend.highAtMm) : null;
  });
  protected readonly spoken = computed(() =>
    this.map()
      .map(
        (s) =>
          `at ${formatPlace(s.stationMm, this.unit())} total ${formatLength(s.totalMm, this.unit())}, high along ${Math.round(s.highDeg)}°`,
      )
      .join('; '),
  );
}
