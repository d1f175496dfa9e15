import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Primitive } from '@iron-patch/core';

/** Where a place of a scene, mm, lies in a picture. */
export interface Placing {
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
}

/** One of a scene's own millimetres each way, y up as scenes have it. */
export const TRUE_SIZE: Placing = { x: (mm) => mm, y: (mm) => -mm };

/** Lines that core made, as they are on every sheet: seen edges full, hidden ones dashed, cut metal hatched. */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- a group of a picture's drawing
  selector: 'g[ipSceneLines]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (p of lines(); track $index) {
      @switch (p.kind) {
        @case ('path') {
          <svg:path [attr.class]="p.style" [attr.d]="d(p)" />
        }
        @case ('area') {
          <svg:path [attr.class]="p.fill" [attr.d]="d(p)" [style.fill]="p.fill === 'section' ? 'url(#' + hatch() + ')' : null" />
        }
        @case ('circle') {
          <svg:ellipse [attr.class]="p.style" [attr.cx]="at().x(p.x)" [attr.cy]="at().y(p.y)" [attr.rx]="wide(p.r)" [attr.ry]="high(p.r)" />
        }
        @case ('text') {
          <svg:text [attr.x]="at().x(p.x)" [attr.y]="at().y(p.y)" [attr.font-size]="letters()" [attr.text-anchor]="p.anchor">
            {{ p.text }}
          </svg:text>
        }
      }
    }
  `,
  styles: `
    path,
    ellipse {
      fill: none;
      stroke: var(--scribe);
      vector-effect: non-scaling-stroke;
      stroke-width: 1.3px;
      stroke-linejoin: round;
    }
    .edge {
      stroke-width: 2px;
    }
    .hidden {
      stroke-dasharray: 5 4;
      stroke-width: 1px;
      opacity: 0.75;
    }
    .centre {
      stroke: var(--scribe-quiet);
      stroke-dasharray: 14 4 3 4;
      stroke-width: 1px;
    }
    .treated {
      stroke: var(--brass);
      stroke-width: 3px;
    }
    .section,
    .outside,
    .paper {
      stroke: none;
    }
    .outside {
      fill: var(--layout-soft);
    }
    .paper {
      fill: var(--layout);
    }
    text {
      fill: var(--scribe);
      font-family: var(--label);
      font-weight: 600;
    }
  `,
})
export class SceneLines {
  readonly lines = input.required<readonly Primitive[]>();
  readonly at = input<Placing>(TRUE_SIZE);
  /** Id of the pattern that cut metal is hatched with: the picture's own, as it knows its scale. */
  readonly hatch = input.required<string>();
  /** Height of letters, in the picture's units. */
  readonly letters = input(14);
  protected readonly wide = (mm: number): number => Math.abs(this.at().x(mm) - this.at().x(0));
  protected readonly high = (mm: number): number => Math.abs(this.at().y(mm) - this.at().y(0));
  private readonly letter = computed(() => {
    const { x, y } = this.at();
    return ([px, py]: readonly [number, number], i: number): string => `${i ? 'L' : 'M'}${x(px).toFixed(3)} ${y(py).toFixed(3)}`;
  });

  protected d(p: Extract<Primitive, { kind: 'path' | 'area' }>): string {
    const line = p.points.map(this.letter()).join(' ');
    return p.kind === 'path' && !p.closed ? line : `${line} Z`;
  }
}
