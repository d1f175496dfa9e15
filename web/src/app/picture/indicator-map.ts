import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatLength, formatPlace, type IndicatorFinding, type LengthUnit } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';

const WIDTH = 720;
const HEIGHT = 170;
const LEFT = 70;
const RIGHT = 20;
const TOP = 24;
const BOTTOM = 36;
const DIAL_R = 15;

/** The bow of a shaft along its axis, a clock with the high spot over each station, and where to press. */
@Component({
  selector: 'ip-indicator-map',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 720 170" role="img" [attr.aria-label]="spoken()">
      <line class="zero" [attr.x1]="left" [attr.x2]="right" [attr.y1]="zero()" [attr.y2]="zero()" />
      @for (t of ticks(); track t.y) {
        <text class="fig" [attr.x]="left - 8" [attr.y]="t.y + 4" text-anchor="end">{{ t.text }}</text>
      }
      <path [attr.d]="path()" />
      @for (s of stations(); track s.x) {
        <line class="stem" [attr.x1]="s.x" [attr.x2]="s.x" [attr.y1]="zero()" [attr.y2]="s.y" />
        <circle class="dial" [attr.cx]="s.x" [attr.cy]="s.y - 22" [attr.r]="dialR" />
        <line class="hand" [attr.x1]="s.x" [attr.y1]="s.y - 22" [attr.x2]="s.hx" [attr.y2]="s.hy" />
        <text class="fig" [attr.x]="s.x" [attr.y]="height - 20" text-anchor="middle">{{ s.at }}</text>
        <text class="fig strong" [attr.x]="s.x" [attr.y]="height - 5" text-anchor="middle">{{ s.total }}</text>
      }
      @if (press(); as p) {
        <path class="press" [attr.d]="'M' + (p - 9) + ' 4 L' + (p + 9) + ' 4 L' + p + ' 20 Z'" />
        <text class="word" [attr.x]="p + 14" y="15">press here, high spot up</text>
      }
    </svg>
    <p class="quiet">Under each station where it lies and the total reading; the hand points to its high spot, 0° to the right.</p>
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
    .strong {
      font-weight: 700;
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
  protected readonly left = LEFT;
  protected readonly right = WIDTH - RIGHT;
  protected readonly height = HEIGHT;
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
      .range([LEFT + DIAL_R, WIDTH - RIGHT - DIAL_R]);
  });
  private readonly y = computed(() => {
    const high = Math.max(...this.bows().map(Math.abs), 0.005);
    return scaleLinear()
      .domain([Math.min(0, ...this.bows()), high])
      .range([HEIGHT - BOTTOM, TOP + 2 * DIAL_R + 8]);
  });
  protected readonly zero = computed(() => this.y()(0));
  protected readonly ticks = computed(() =>
    this.y()
      .ticks(3)
      .map((mm) => ({ y: this.y()(mm), text: formatLength(mm, this.unit()) })),
  );
  protected readonly stations = computed(() =>
    this.map().map((s, i) => {
      const [x, y] = [this.x()(s.stationMm), this.y()(this.bows()[i]!)];
      const t = (s.highDeg * Math.PI) / 180;
      return {
        x,
        y,
        hx: x + DIAL_R * Math.cos(t),
        hy: y - 22 - DIAL_R * Math.sin(t),
        at: formatPlace(s.stationMm, this.unit()),
        total: formatLength(s.totalMm, this.unit()),
      };
    }),
  );
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
