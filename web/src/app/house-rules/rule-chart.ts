import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { formatLength, fromUnit, houseAllowanceMm, toUnit, type HouseRule, type LengthUnit } from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { ChartFrame, type ChartBox, type Numbers } from '../show';

const BOX: ChartBox = { width: 400, height: 240, left: 58, right: 0, bottom: 30 };
/** Pins and bushes of a repair shop. */
const MOST_MM = 100;

type Line = Pick<HouseRule, 'id' | 'name' | 'baseMm' | 'ratePerDiameter'>;

/** Every rule's allowance over the diameter: play above the line at nought, interference below it. */
@Component({
  selector: 'ip-rule-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [ChartFrame],
  template: `
    <ip-chart
      [box]="box"
      [xs]="xs()"
      [ys]="ys()"
      [spoken]="spoken()"
      [numbers]="numbers()"
      [meaning]="meaning()"
      [widest]="box.width * 1.4"
    >
      @for (l of lines(); track l.id) {
        <svg:line [attr.x1]="l.x1" [attr.y1]="l.y1" [attr.x2]="l.x2" [attr.y2]="l.y2" class="rule" [class.on]="l.on" />
      }
      @if (old(); as l) {
        <svg:line [attr.x1]="l.x1" [attr.y1]="l.y1" [attr.x2]="l.x2" [attr.y2]="l.y2" class="rule old" />
      }
    </ip-chart>
  `,
  styles: `
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
  `,
})
export class RuleChart {
  readonly rules = input.required<readonly Line[]>();
  readonly draft = input<Line | null>(null);
  readonly unit = input.required<LengthUnit>();
  protected readonly box = BOX;

  private readonly shown = computed<readonly Line[]>(() => {
    const draft = this.draft();
    if (!draft) return this.rules();
    return [...this.rules().filter((r) => r.id !== draft.id), draft];
  });
  private readonly x = computed(() =>
    scaleLinear()
      .domain([0, toUnit(MOST_MM, this.unit())])
      .range([BOX.left, BOX.width - 18]),
  );
  private readonly y = computed(() => {
    const ends = [...this.shown(), ...this.rules()]
      .flatMap((r) => [houseAllowanceMm(r, 0), houseAllowanceMm(r, MOST_MM)])
      .map((mm) => toUnit(mm, this.unit()));
    return scaleLinear()
      .domain([Math.min(0, ...ends), Math.max(0, ...ends)])
      .nice()
      .range([BOX.height - BOX.bottom, 10]);
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
  protected readonly meaning = computed(
    () => `Allowance over diameter, ${this.unit()}; play above nought, interference below. Dashed: as it is now.`,
  );
  protected readonly numbers = computed<Numbers>(() => {
    const at = this.x().ticks(2);
    const show = (r: Line, v: number): string => formatLength(houseAllowanceMm(r, fromUnit(v, this.unit())), this.unit());
    return {
      caption: `Allowances over diameter, ${this.unit()}`,
      head: ['Rule', ...at.map((v) => `at ${v}`)],
      rows: this.shown().map((r) => [r.name, ...at.map((v) => show(r, v))]),
    };
  });
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
