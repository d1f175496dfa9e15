import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { HoldingShown } from '../sheet-data';
import { Axis } from './axis';

/** The lane that tells in which set-up each stretch is cut; touched, that set-up is looked at. */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- a group of the lanes' drawing
  selector: 'g[ipHoldingLane]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (h of held.along(); track h.id) {
      <svg:rect
        class="held"
        [class.on]="h.here"
        [attr.x]="x(h.fromMm)"
        [attr.width]="Math.max(x(h.toMm) - x(h.fromMm), 2)"
        [attr.y]="topPx() + 7"
        height="34"
        (click)="held.show(h.number)"
      />
      <svg:text [class.strong]="h.here" [attr.x]="(x(h.fromMm) + x(h.toMm)) / 2" [attr.y]="topPx() + 30" text-anchor="middle">
        {{ h.number }}
      </svg:text>
    }
  `,
  styles: `
    .held {
      fill: none;
      stroke: var(--hairline);
      stroke-width: 1.4;
      pointer-events: all;
      cursor: pointer;
    }
    .held.on {
      fill: var(--blue-soft);
      stroke: var(--blue);
    }
    text {
      font: 400 16px var(--figures);
      fill: var(--ink);
      pointer-events: none;
    }
    .strong {
      font-weight: 700;
    }
  `,
})
export class HoldingLane {
  protected readonly held = inject(HoldingShown);
  private readonly axis = inject(Axis);
  protected readonly Math = Math;
  readonly topPx = input.required<number>();

  protected x(mm: number): number {
    return this.axis.scale()(mm);
  }
}
