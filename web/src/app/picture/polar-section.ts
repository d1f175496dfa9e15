import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { diameterAt, formatLength, type LengthUnit, type Section } from '@iron-patch/core';

/** Width at which everything is written into it, px. */
const WHOLE_PX = 220;
const R = 62;
const CX = 110;
const CY = 96;
/** Share of the radius that the largest departure fills. */
const FILL = 0.2;
const NICE = [1, 2, 2.5, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000, 2000, 5000, 10_000];

/** One section seen along the axis, its departure from round exaggerated, the scale said. */
@Component({
  selector: 'ip-polar-section',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      viewBox="0 0 220 188"
      [class.small]="small()"
      [attr.width]="widthPx()"
      [attr.height]="widthPx() * 0.85"
      role="img"
      [attr.aria-label]="spoken()"
    >
      <circle [attr.cx]="cx" [attr.cy]="cy" [attr.r]="r" class="round" />
      <path [attr.d]="path()" class="shape" />
      @if (!small()) {
        @for (s of spokes; track s.deg) {
          <text [attr.x]="s.x" [attr.y]="s.y" text-anchor="middle" class="clock">{{ s.deg }}°</text>
        }
      }
      @if (section().longAxisDeg !== null) {
        <line [attr.x1]="end(1).x" [attr.y1]="end(1).y" [attr.x2]="end(-1).x" [attr.y2]="end(-1).y" class="axis" />
      }
      @if (section().ovalityKind !== 'unknown') {
        <text [attr.x]="cx" [attr.y]="cy - 3" text-anchor="middle" class="oval">
          {{ section().ovalityKind === 'at-least' ? '≥ ' : '' }}{{ oval() }}
        </text>
        @if (!small()) {
          <text [attr.x]="cx" [attr.y]="cy + 18" text-anchor="middle" class="sub">
            {{ section().longAxisDeg === null ? 'oval' : 'oval, along ' + Math.round(section().longAxisDeg!) + '°' }}
          </text>
        }
      } @else {
        <text [attr.x]="cx" [attr.y]="cy + 5" text-anchor="middle" class="sub">{{ small() ? '?' : 'oval not known' }}</text>
      }
    </svg>
    @if (times() !== 1) {
      <p class="scale">{{ small() ? times() + ' times' : 'shape drawn ' + times() + ' times larger' }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .round {
      fill: none;
      stroke: var(--hairline);
    }
    .shape {
      fill: var(--blue-soft);
      stroke: var(--blue);
      stroke-width: 2;
    }
    .axis {
      stroke: var(--accent);
      stroke-width: 1.4;
      stroke-dasharray: 8 3 2 3;
    }
    .clock {
      font: 400 13px var(--label);
      fill: var(--quiet);
    }
    .oval {
      font: 700 19px var(--figures);
      fill: var(--ink);
      paint-order: stroke;
      stroke: var(--blue-soft);
      stroke-width: 4px;
    }
    .sub {
      font: 400 13px var(--label);
      fill: var(--quiet);
      paint-order: stroke;
      stroke: var(--sheet);
      stroke-width: 3px;
    }
    .small .oval,
    .small .sub {
      font-size: 26px;
    }
    .small + .scale {
      text-align: center;
    }
    .scale {
      font: 400 13px var(--label);
      color: var(--quiet);
    }
  `,
})
export class PolarSection {
  readonly section = input.required<Section>();
  readonly unit = input.required<LengthUnit>();
  readonly widthPx = input(WHOLE_PX);
  /** Too small to be read: one number and the shape. */
  protected readonly small = computed(() => this.widthPx() < WHOLE_PX);
  protected readonly Math = Math;
  protected readonly r = R;
  protected readonly cx = CX;
  protected readonly cy = CY;
  protected readonly spokes = [0, 45, 90, 135].map((deg) => ({ deg, ...place(deg, R * 1.36) }));
  /** Exaggeration: the departure fills a fifth of the radius, rounded to a plain number. */
  protected readonly times = computed(() => {
    const s = this.section();
    const off = s.ovalityMm / 2;
    if (off < 1e-6) return 1;
    const wanted = (FILL * s.meanMm) / 2 / off;
    return NICE.filter((n) => n <= wanted).at(-1) ?? 1;
  });
  protected readonly path = computed(() => {
    const s = this.section();
    const points = Array.from({ length: 73 }, (_, i) => {
      const deg = i * 5;
      const off = (diameterAt(s, deg) - s.meanMm) / s.meanMm;
      const p = place(deg, R * (1 + off * this.times()));
      return `${i ? 'L' : 'M'}${p.x.toFixed(2)} ${p.y.toFixed(2)}`;
    });
    return points.join(' ') + ' Z';
  });
  protected readonly oval = computed(() => formatLength(this.section().ovalityMm, this.unit()));
  protected readonly spoken = computed(() => `Section at station ${this.section().stationMm} mm, ovality ${this.oval()} ${this.unit()}`);

  protected end(sign: 1 | -1): { x: number; y: number } {
    return place(this.section().longAxisDeg!, sign * R * 1.22);
  }
}

/** 0° lies on top and angles run clockwise, as seen from the right end of the part. */
function place(deg: number, radius: number): { x: number; y: number } {
  const t = (deg * Math.PI) / 180;
  return { x: CX + radius * Math.sin(t), y: CY - radius * Math.cos(t) };
}
