import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { boundsOf, type Primitive } from '@iron-patch/core';

const MARGIN_SHARE = 0.04;
/** Least room round a picture, mm. */
const MARGIN_MM = 4;

/** Lines that core made, as they are on every sheet: seen edges full, hidden ones dashed, cut metal hatched. */
@Component({
  selector: 'ip-scene-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg [attr.viewBox]="box()" role="img" [attr.aria-label]="label()" preserveAspectRatio="xMidYMid meet">
      <defs>
        <pattern id="sceneCut" width="2" height="2" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0 V2" class="hatch" />
        </pattern>
      </defs>
      @for (p of lines(); track $index) {
        @switch (p.kind) {
          @case ('path') {
            <path [attr.class]="p.style" [attr.d]="d(p)" />
          }
          @case ('area') {
            <path class="area" [attr.fill]="p.fill === 'section' ? 'url(#sceneCut)' : 'var(--layout)'" [attr.d]="d(p)" />
          }
          @case ('circle') {
            <circle [attr.class]="p.style" [attr.cx]="p.x" [attr.cy]="-p.y" [attr.r]="p.r" />
          }
          @case ('text') {
            <text [attr.x]="p.x" [attr.y]="-p.y" [attr.font-size]="textMm()" [attr.text-anchor]="p.anchor">{{ p.text }}</text>
          }
        }
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
      background: var(--layout);
    }
    svg {
      display: block;
      width: 100%;
      height: 300px;
    }
    path,
    circle {
      fill: none;
      stroke: var(--scribe);
      vector-effect: non-scaling-stroke;
      stroke-width: 1.3px;
    }
    .edge {
      stroke-width: 2.2px;
    }
    .hidden {
      stroke-dasharray: 5 4;
      stroke-width: 1px;
      opacity: 0.75;
    }
    .centre {
      stroke-dasharray: 10 3 2 3;
      stroke-width: 1px;
    }
    .area {
      stroke: none;
    }
    .hatch {
      stroke-width: 0.6px;
      opacity: 0.6;
    }
    text {
      fill: var(--scribe);
      font-family: var(--label);
      font-weight: 600;
    }
  `,
})
export class ScenePicture {
  readonly lines = input.required<readonly Primitive[]>();
  /** What it shows, for who does not see it. */
  readonly label = input.required<string>();
  private readonly room = computed(() => boundsOf(this.lines()));
  protected readonly textMm = computed(() => (this.room().toY - this.room().fromY) * 0.055);
  protected readonly box = computed(() => {
    const { fromX, toX, fromY, toY } = this.room();
    const m = Math.max((toX - fromX) * MARGIN_SHARE, MARGIN_MM);
    return `${fromX - m} ${-toY - m} ${toX - fromX + 2 * m} ${toY - fromY + 2 * m}`;
  });

  protected d(p: Extract<Primitive, { kind: 'path' | 'area' }>): string {
    const line = p.points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(3)} ${(-y).toFixed(3)}`).join(' ');
    return p.kind === 'path' && !p.closed ? line : `${line} Z`;
  }
}
