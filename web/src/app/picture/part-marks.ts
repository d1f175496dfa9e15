import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { PlacedMark } from '@iron-patch/core';

/** What is milled, drilled and threaded, as if each lay towards who looks. Scales are the picture's own. */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- a group of the picture's drawing
  selector: 'g[ipPartMarks]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (k of marks(); track $index) {
      @switch (k.mark.kind) {
        @case ('circle') {
          <svg:ellipse
            [attr.cx]="x()(k.mark.atMm)"
            [attr.cy]="centre()"
            [attr.rx]="x()(k.mark.radiusMm) - x()(0)"
            [attr.ry]="px()(k.mark.radiusMm)"
            fill="var(--layout)"
            class="scribe thin"
          />
        }
        @case ('box') {
          <svg:rect
            [attr.x]="x()(k.mark.fromMm)"
            [attr.y]="centre() - px()(k.mark.halfMm)"
            [attr.width]="x()(k.mark.toMm) - x()(k.mark.fromMm)"
            [attr.height]="2 * px()(k.mark.halfMm)"
            [attr.rx]="k.mark.rounded ? px()(k.mark.halfMm) : 0"
            fill="none"
            class="scribe thin"
          />
        }
        @case ('thread') {
          <svg:path [attr.d]="twice(k.mark.fromMm, k.mark.toMm, k.mark.rootMm / 2)" fill="none" class="scribe thin" />
        }
        @case ('texture') {
          <svg:path [attr.d]="twice(k.mark.fromMm, k.mark.toMm, k.radiusMm)" fill="none" class="seal" />
        }
      }
    }
  `,
  styles: `
    .scribe {
      stroke: var(--scribe);
      stroke-width: 1.2;
      stroke-linejoin: round;
    }
    .seal {
      stroke: var(--brass);
      stroke-width: 3;
    }
  `,
})
export class PartMarks {
  readonly marks = input.required<readonly PlacedMark[]>();
  readonly x = input.required<(mm: number) => number>();
  readonly px = input.required<(radiusMm: number) => number>();
  readonly centre = input.required<number>();

  /** The same line above and below the centre line. */
  protected twice(fromMm: number, toMm: number, radiusMm: number): string {
    return [-1, 1].map((s) => `M${this.x()(fromMm)} ${this.centre() + s * this.px()(radiusMm)} H${this.x()(toMm)}`).join(' ');
  }
}
