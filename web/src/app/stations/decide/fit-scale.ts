import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { HOUSE_DEFAULT_SCHOOL, toUnit, type FitFinding } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { SheetStore } from '../../data';

const WIDTH = 820;
const LEFT = 190;
const RIGHT = 24;
const ROW = 24;
const TOP = 44;

/** All schools on one scale: the hole as measured, and where each school puts the pin. */
@Component({
  selector: 'ip-fit-scale',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width + ' ' + height()"
      width="100%"
      role="img"
      [attr.aria-label]="'Pin limits of ' + rows().length + ' fits against the measured hole'"
    >
      @for (t of ticks(); track t.x) {
        <line [attr.x1]="t.x" [attr.x2]="t.x" y1="18" [attr.y2]="height()" class="grid" />
        <text [attr.x]="t.x" y="12" text-anchor="middle" class="tick">{{ t.text }}</text>
      }
      <rect [attr.x]="hole().from" y="20" [attr.width]="hole().to - hole().from" [attr.height]="height() - 20" class="hole" />
      <text [attr.x]="left - 8" y="32" text-anchor="end" class="name">hole, smallest to largest</text>
      @for (r of rows(); track r.id; let i = $index) {
        <text [attr.x]="left - 8" [attr.y]="top + i * row + 17" text-anchor="end" class="name" [class.on]="r.on">{{ r.name }}</text>
        <rect
          [attr.x]="r.from"
          [attr.y]="top + i * row + 6"
          [attr.width]="Math.max(r.to - r.from, 3)"
          height="13"
          class="pin"
          [class.on]="r.on"
          [class.tight]="r.tight"
        />
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
      margin: 8px 0;
    }
    .grid {
      stroke: var(--hairline);
    }
    .tick {
      font: 400 12px var(--figures);
      fill: var(--quiet);
    }
    .hole {
      fill: var(--blue-soft);
      stroke: var(--blue);
      stroke-dasharray: 5 3;
    }
    .name {
      font: 400 14px var(--label);
      fill: var(--ink);
    }
    .name.on {
      font-weight: 600;
    }
    .pin {
      fill: #9aa5a0;
    }
    .pin.tight {
      fill: #d8a24a;
    }
    .pin.on {
      fill: var(--blue);
    }
  `,
})
export class FitScale {
  private readonly store = inject(SheetStore);
  readonly fit = input.required<FitFinding>();
  protected readonly Math = Math;
  protected readonly width = WIDTH;
  protected readonly left = LEFT;
  protected readonly row = ROW;
  protected readonly top = TOP;
  private readonly options = computed(() => this.fit().options.flatMap((o) => (o.kept.ok ? [{ ...o, t: o.kept.value }] : [])));
  protected readonly height = computed(() => TOP + this.options().length * ROW + 4);
  private readonly scale = computed(() => {
    const shape = this.fit().hole.shape!;
    const sizes = [shape.smallestMm, shape.largestMm, ...this.options().flatMap((o) => [o.t.lowerMm, o.t.upperMm])];
    const [low, high] = [Math.min(...sizes), Math.max(...sizes)];
    const room = (high - low) * 0.06 || 0.01;
    return scaleLinear()
      .domain([low - room, high + room])
      .range([LEFT, WIDTH - RIGHT]);
  });
  protected readonly hole = computed(() => {
    const shape = this.fit().hole.shape!;
    const from = this.scale()(shape.smallestMm);
    return { from, to: Math.max(this.scale()(shape.largestMm), from + 2) };
  });
  protected readonly rows = computed(() =>
    this.options().map((o) => ({
      id: o.id,
      name: o.name,
      from: this.scale()(o.t.lowerMm),
      to: this.scale()(o.t.upperMm),
      tight: o.t.clearanceMm < 0,
      on: (this.fit().choice?.schoolId ?? HOUSE_DEFAULT_SCHOOL) === o.id,
    })),
  );
  protected readonly ticks = computed(() => {
    const unit = this.store.unit();
    const scale = this.scale();
    const inUnit = scale.copy().domain(scale.domain().map((mm) => toUnit(mm, unit)));
    return inUnit.ticks(7).map((t) => ({ x: inUnit(t), text: t.toFixed(unit === 'mm' ? 2 : 3) }));
  });
}
