import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  HostListener,
  inject,
  input,
  signal,
} from '@angular/core';
import { formatPlace } from '@iron-patch/core';
import { SheetStore } from '../sheet-data';
import { Axis, LANE_NAME_PX } from './axis';
import { PlacePicker } from './place-picker';

/** Nobody touches finer than this, mm. */
const STEP_MM = 0.5;

/** Lies over the picture while a form asks for a place: a line follows the hand and says where it stands. */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- a group of the picture's drawing
  selector: 'g[ipTouchLayer]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg:rect
      [attr.x]="left"
      y="0"
      [attr.width]="axis.widthPx() - left"
      [attr.height]="heightPx()"
      class="over"
      (pointermove)="overMm.set(placeOf($event))"
      (click)="picker.answer(placeOf($event))"
    />
    <svg:text x="18" y="88" class="said">{{ picker.words() }}</svg:text>
    @if (overMm() !== null) {
      <svg:line [attr.x1]="px()" [attr.x2]="px()" y1="0" [attr.y2]="heightPx()" class="line" />
      <svg:text [attr.x]="px() + 8" y="34" class="said fig">{{ told() }}</svg:text>
    }
  `,
  styles: `
    .over {
      fill: transparent;
      cursor: crosshair;
    }
    .line {
      stroke: var(--brass);
      stroke-width: 1.6;
      pointer-events: none;
    }
    .said {
      font: 700 16px var(--figures);
      fill: var(--brass);
      pointer-events: none;
      paint-order: stroke;
      stroke: var(--layout);
      stroke-width: 4px;
    }
  `,
})
export class TouchLayer {
  protected readonly axis = inject(Axis);
  protected readonly picker = inject(PlacePicker);
  private readonly store = inject(SheetStore);
  readonly heightPx = input.required<number>();
  protected readonly left = LANE_NAME_PX;
  protected readonly overMm = signal<number | null>(null);
  protected readonly px = computed(() => this.axis.scale()(this.overMm() ?? 0));
  protected readonly told = computed(() => `${formatPlace(this.overMm() ?? 0, this.store.unit())} ${this.store.unit()}`);

  constructor() {
    const host = inject<ElementRef<SVGElement>>(ElementRef).nativeElement;
    // The form that asks may have scrolled the picture away.
    afterNextRender(() => host.ownerSVGElement?.scrollIntoView?.({ block: 'nearest' }));
  }

  @HostListener('document:keydown.escape')
  protected leave(): void {
    this.picker.cancel();
  }

  protected placeOf(event: MouseEvent): number {
    const drawing = (event.target as SVGElement).ownerSVGElement!.getBoundingClientRect();
    const atMm = this.axis.scale().invert(((event.clientX - drawing.left) / (drawing.width || 1)) * this.axis.widthPx());
    const [from, to] = this.axis.scale().domain() as [number, number];
    return Math.round(Math.min(Math.max(atMm, from), to) / STEP_MM) * STEP_MM;
  }
}
