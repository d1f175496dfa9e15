import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Mark } from '@iron-patch/core/sums';
import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { ownWidth } from '../show';

/** As wide as it is meant to be. */
const WIDTH = 470;
const LEAST_PX = 240;
const HEIGHT = 190;
const ROOM = 26;

const xs = (m: Mark): number[] =>
  m.kind === 'circle' ? [m.x - m.r, m.x + m.r] : m.kind === 'line' ? m.points.map((p) => p[0]) : [m.from[0], m.to[0]];
const ys = (m: Mark): number[] =>
  m.kind === 'circle' ? [m.y - m.r, m.y + m.r] : m.kind === 'line' ? m.points.map((p) => p[1]) : [m.from[1], m.to[1]];

interface Size {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly text: string;
  /** Runs up and down: its name stands beside it, not over it. */
  readonly upright: boolean;
  readonly tx: number;
  readonly ty: number;
}

/** A calculation's marks drawn to scale on layout blue, sizes named in brass. */
@Component({
  selector: 'ip-sum-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width() + ' ' + height" width="100%" role="img" [attr.aria-label]="'Picture: ' + spoken()">
      <rect [attr.width]="width()" [attr.height]="height" class="ground" />
      @for (l of lines(); track $index) {
        <path [attr.d]="l.d" [class]="l.style" />
      }
      @for (c of circles(); track $index) {
        <circle [attr.cx]="c.x" [attr.cy]="c.y" [attr.r]="c.r" [class]="c.style" />
      }
      @for (s of sizes(); track $index) {
        <line [attr.x1]="s.x1" [attr.y1]="s.y1" [attr.x2]="s.x2" [attr.y2]="s.y2" class="size" />
        <circle [attr.cx]="s.x1" [attr.cy]="s.y1" r="2.5" class="end" />
        <circle [attr.cx]="s.x2" [attr.cy]="s.y2" r="2.5" class="end" />
        <text [attr.x]="s.tx" [attr.y]="s.ty" [attr.text-anchor]="s.upright ? 'start' : 'middle'">{{ s.text }}</text>
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    .ground {
      fill: var(--layout);
    }
    path,
    circle {
      fill: none;
      stroke: var(--scribe);
      stroke-width: 2;
      stroke-linejoin: round;
    }
    .mate {
      stroke-width: 1.4;
      stroke: var(--scribe-mate);
    }
    .tool {
      stroke: var(--scribe-mate);
      stroke-dasharray: 2 3;
    }
    .hidden {
      stroke-dasharray: 6 4;
      stroke-width: 1.2;
    }
    .centre {
      stroke-dasharray: 12 3 3 3;
      stroke-width: 0.8;
    }
    .size,
    .end {
      stroke: var(--brass);
      stroke-width: 1.2;
    }
    .end {
      fill: var(--brass);
    }
    text {
      font: 600 15px var(--label);
      fill: var(--brass);
      paint-order: stroke;
      stroke: var(--layout);
      stroke-width: 4px;
    }
    @media print {
      .ground {
        fill: none;
      }
      path,
      circle,
      .size {
        stroke: #000;
      }
      text {
        fill: #000;
        stroke: #fff;
      }
    }
  `,
})
export class SumPicture {
  readonly marks = input.required<readonly Mark[]>();
  protected readonly width = ownWidth(WIDTH, LEAST_PX);
  protected readonly height = HEIGHT;

  /** One scale for both directions, the drawing in the middle. */
  private readonly place = computed(() => {
    const [x0, x1] = extent(this.marks().flatMap(xs)) as [number, number];
    const [y0, y1] = extent(this.marks().flatMap(ys)) as [number, number];
    const scale = Math.min((this.width() - 2 * ROOM) / Math.max(x1 - x0, 1e-6), (HEIGHT - 2 * ROOM) / Math.max(y1 - y0, 1e-6));
    const [mx, my] = [(x0 + x1) / 2, (y0 + y1) / 2];
    const x = scaleLinear()
      .domain([mx, mx + 1])
      .range([this.width() / 2, this.width() / 2 + scale]);
    const y = scaleLinear()
      .domain([my, my + 1])
      .range([HEIGHT / 2, HEIGHT / 2 - scale]);
    return { x, y, scale };
  });

  protected readonly circles = computed(() => {
    const { x, y, scale } = this.place();
    return this.marks().flatMap((m) =>
      m.kind === 'circle' ? [{ x: x(m.x), y: y(m.y), r: Math.max(m.r * scale, 0), style: m.style }] : [],
    );
  });

  protected readonly lines = computed(() => {
    const { x, y } = this.place();
    return this.marks().flatMap((m) =>
      m.kind === 'line'
        ? [{ d: `M${m.points.map((p) => `${x(p[0]).toFixed(1)},${y(p[1]).toFixed(1)}`).join('L')}${m.closed ? 'Z' : ''}`, style: m.style }]
        : [],
    );
  });

  protected readonly sizes = computed(() => {
    const { x, y } = this.place();
    return this.marks().flatMap((m): Size[] => {
      if (m.kind !== 'size') return [];
      const [x1, y1, x2, y2] = [x(m.from[0]), y(m.from[1]), x(m.to[0]), y(m.to[1])];
      const upright = Math.abs(y2 - y1) > Math.abs(x2 - x1);
      const [tx, ty] = upright ? [Math.max(x1, x2) + 8, (y1 + y2) / 2 + 5] : [(x1 + x2) / 2, (y1 + y2) / 2 - 6];
      return [{ x1, y1, x2, y2, text: m.text, upright, tx, ty }];
    });
  });

  protected readonly spoken = computed(
    () =>
      this.sizes()
        .map((s) => s.text)
        .join(', ') || 'the parts to scale',
  );
}
