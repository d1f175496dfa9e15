import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLength, kindOf, type PictureModel, type PictureSpan } from '@iron-patch/core';
import { SheetStore } from '../sheet-data';
import { Axis } from './axis';

/** A size needs this much room, px. */
const SIZE_PX = 70;
/** A hand needs this much of what is cut, however narrow it is, px. */
const CUT_PX = 16;
/** Width of a letter of a size, px. */
const LETTER_PX = 9;

/** What can be touched of the part in the picture: its stretches, what is cut into it, and the sizes of a drawing, which are then asked for. */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- a group of the picture's drawing
  selector: 'g[ipTouchParts]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (s of model().spans; track s.id) {
      <svg:rect
        class="hit"
        [class.on]="s.id === store.selection().spanId"
        [attr.x]="x(s.fromMm)"
        [attr.y]="centre() - px()(s.radiusMm)"
        [attr.width]="Math.max(x(s.toMm) - x(s.fromMm), 2)"
        [attr.height]="2 * px()(s.radiusMm)"
        (click)="pick(s.id)"
      />
    }
    @for (c of model().cuts; track c.id) {
      <svg:rect
        class="hit"
        [class.on]="inHand(c.id)"
        [attr.x]="(x(c.fromMm) + x(c.toMm)) / 2 - cutPx(c) / 2"
        [attr.y]="centre() - px()(c.radiusMm)"
        [attr.width]="cutPx(c)"
        [attr.height]="2 * px()(c.radiusMm)"
        (click)="pickCut(c.id)"
      >
        <svg:title>{{ c.name }}</svg:title>
      </svg:rect>
    }
    @if (model().shows !== 'found') {
      @for (s of model().spans; track s.id) {
        @if (asked() === s.id + '.diameterMm') {
          <svg:rect
            class="box"
            rx="2"
            [attr.x]="x((s.fromMm + s.toMm) / 2) - boxPx(s) / 2"
            [attr.y]="sizeY(s) - 16"
            [attr.width]="boxPx(s)"
            height="21"
          />
        }
        <svg:text
          class="size"
          text-anchor="middle"
          [class.on]="asked() === s.id + '.diameterMm'"
          [attr.x]="x((s.fromMm + s.toMm) / 2)"
          [attr.y]="sizeY(s)"
          (click)="pick(s.id, 'diameterMm')"
        >
          {{ show(2 * s.radiusMm) }}
        </svg:text>
      }
    }
  `,
  styles: `
    .hit {
      fill: transparent;
      cursor: pointer;
    }
    .hit.on {
      stroke: var(--brass);
      stroke-width: 2;
    }
    .size {
      font: 700 15px var(--figures);
      fill: var(--brass);
      cursor: pointer;
      paint-order: stroke;
      stroke: var(--layout);
      stroke-width: 4px;
    }
    .size.on {
      fill: var(--on-brass);
      stroke: none;
    }
    .box {
      fill: var(--brass);
    }
  `,
})
export class TouchParts {
  protected readonly store = inject(SheetStore);
  private readonly axis = inject(Axis);
  protected readonly Math = Math;
  readonly model = input.required<PictureModel>();
  /** Where the centre line lies, px. */
  readonly centre = input.required<number>();
  /** From a radius in mm to px. */
  readonly px = input.required<(radiusMm: number) => number>();
  /** What the drawing is asked for; undefined for nothing by itself. */
  protected readonly asked = computed(() => this.store.selection().asked);

  protected x(mm: number): number {
    return this.axis.scale()(mm);
  }

  protected cutPx(c: PictureSpan): number {
    return Math.max(this.x(c.toMm) - this.x(c.fromMm), CUT_PX);
  }

  protected inHand(id: string): boolean {
    return this.model().shows === 'found' ? this.store.selection().spanId === id : (this.asked()?.startsWith(`${id}.`) ?? false);
  }

  protected show(mm: number): string {
    const unit = this.store.unit();
    return formatLength(mm, unit, unit === 'mm' ? 3 : 4);
  }

  protected boxPx(s: PictureSpan): number {
    return LETTER_PX * this.show(2 * s.radiusMm).length + 12;
  }

  /** Where the size of each stretch stands: within it, of a short one above it, of a second short one below, so that neighbours do not run together. */
  private readonly sizesY = computed(() => {
    const at = new Map<string, number>();
    let above = false;
    for (const s of this.model().spans) {
      const short = this.x(s.toMm) - this.x(s.fromMm) < SIZE_PX;
      above = short && !above;
      const edgePx = this.px()(s.radiusMm);
      at.set(s.id, !short ? this.centre() + 24 : above ? this.centre() - edgePx - 5 : this.centre() + edgePx + 16);
    }
    return at;
  });

  protected sizeY(s: PictureSpan): number {
    return this.sizesY().get(s.id)!;
  }

  protected pick(spanId: string, field?: string): void {
    this.store.select({ spanId, stationMm: null, clockDeg: null, ...(field ? { asked: `${spanId}.${field}` } : {}) });
  }

  /** What is cut into a surface is asked for by the first that its kind asks; of what came in it is the place. */
  protected pickCut(id: string): void {
    if (this.model().shows === 'found') return this.pick(id);
    const cut = this.store.repair()?.part?.part.features.find((f) => f.id === id);
    if (cut) this.store.select({ spanId: cut.on, stationMm: null, clockDeg: null, asked: `${id}.${kindOf(cut.kind).asks[0]}` });
  }
}
