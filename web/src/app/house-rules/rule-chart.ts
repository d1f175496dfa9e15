import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatLength, fromUnit, houseAllowanceMm, toUnit, type HouseRule, type LengthUnit } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';

const WIDTH = 400;
const HEIGHT = 240;
const LEFT = 58;
const BOTTOM = 30;
/** Pins and bushes of a repair shop. */
const MOST_MM = 100;

type Line = Pick<HouseRule, 'id' | 'name' | 'baseMm' | 'ratePerDiameter'>;

/** Every rule's allowance over the diameter: play above the line at nought, interference below it. */
@Component({
  selector: 'ip-rule-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" width="100%" role="img" [attr.aria-label]="spoken()">
      @for (t of ys(); track t.at) {
        <line [attr.x1]="left" [attr.x2]="width" [attr.y1]="t.at" [attr.y2]="t.at" [class.zero]="t.zero" class="grid" />
        <text [attr.x]="left - 6" [attr.y]="t.at + 4" text-anchor="end">{{ t.text }}</text>
      }
      @for (t of xs(); track t.at) {
        <text [attr.x]="t.at" [attr.y]="height - 8" text-anchor="middle">{{ t.text }}</text>
      }
      @for (l of lines(); track l.id) {
        <line [attr.x1]="l.x1" [attr.y1]="l.y1" [attr.x2]="l.x2" [attr.y2]="l.y2" class="rule" [class.on]="l.on" />
      }
      @if (old(); as l) {
        <line [attr.x1]="l.x1" [attr.y1]="l.y1" [attr.x2]="l.x2" [attr.y2]="l.y2" class="rule old" />
      }
    </svg>
    <p class="quiet">Allowance over diameter, {{ unit() }}; play above nought, interference below. Dashed: as it is now.</p>
  `,
  styles: `
    .grid {
      stroke: var(--hairline);
    }
    .grid.zero {
      stroke: var(--ink);
    }
    text {
      font: 400 13px var(--figures);
      fill: var(--quiet);
    }
    .rule {
      stroke: var(--edge);
      stroke-width: 1.6;
    }
    .rule.on {
      stroke: var(--blue);
      stroke-width: 3;
    }
    .rule.old {
      stroke: var(--blue);
      stroke-dasharray: 5 4;
    }
    p {
      font-size: 14px;
    }
  `,
})
export class RuleChart {
  readonly rules = input.required<readonly Line[]>();
  readonly draft = input<Line | null>(null);
  readonly unit = input.required<LengthUnit>();
  protected readonly width = WIDTH;
  protected readonly height = HEIGHT;
  protected readonly left = LEFT;

  private readonly shown = computed<readonly Line[]>(() => {
    const draft = this.draft();
    if (!draft) return this.rules();
    return [...this.rules().filter((r) => r.id !== draft.id), draft];
  });
  private readonly x = computed(() =>
    scaleLinear()
      .domain([0, toUnit(MOST_MM, this.unit())])
      .range([LEFT, WIDTH - 18]),
  );
  private readonly y = computed(() => {
    const ends = [...this.shown(), ...this.rules()]
      .flatMap((r) => [houseAllowanceMm(r, 0), houseAllowanceMm(r, MOST_MM)])
      .map((mm) => toUnit(mm, this.unit()));
    return scaleLinear()
      .domain([Math.min(0, ...ends), Math.max(0, ...ends)])
      .nice()
      .range([HEIGHT - BOTTOM, 10]);
  });
  protected readonly xs = computed(() =>
    this.x()
      .ticks(5)
      .map((v) => ({ at: this.x()(v), text: String(v) })),
  );
  protected readonly ys = computed(() =>
    this.y()
      .ticks(6)
      .map((v) => ({
        at: this.y()(v),
        zero: Math.abs(v) < 1e-12,
        text: formatLength(fromUnit(v, this.unit()), this.unit(), this.unit() === 'mm' ? 2 : 3),
      })),
  );
  protected readonly lines = computed(() => this.shown().map((r) => ({ id: r.id, on: r.id === this.draft()?.id, ...this.line(r) })));
  /** The rule in force, where the draft differs from it. */
  protected readonly old = computed(() => {
    const draft = this.draft();
    const now = this.rules().find((r) => r.id === draft?.id);
    return now && draft && (now.baseMm !== draft.baseMm || now.ratePerDiameter !== draft.ratePerDiameter) ? this.line(now) : null;
  });
  protected readonly spoken = computed(() => {
    const d = this.draft();
    return d ? `${d.name}: ${formatLength(houseAllowanceMm(d, 25), this.unit())} ${this.unit()} at 25 mm` : 'Allowances of all rules';
  });

  private line(r: Line): { x1: number; y1: number; x2: number; y2: number } {
    const at = (mm: number): number => this.y()(toUnit(houseAllowanceMm(r, mm), this.unit()));
    return { x1: this.x()(0), y1: at(0), x2: this.x()(toUnit(MOST_MM, this.unit())), y2: at(MOST_MM) };
  }
}
