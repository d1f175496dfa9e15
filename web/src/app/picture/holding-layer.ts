import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { PictureModel } from '@iron-patch/core';
import { HoldingShown, SheetStore } from '../sheet-data';
import { Axis } from './axis';

/** How long a jaw or a centre is drawn, and how deep a jaw bites, px. */
const JAW_PX = 26;
const BITE_PX = 12;
/** How high a jaw stands, and how far from the part's end stock is gripped, px. */
const JAW_HIGH_PX = 18;
const STOCK_PX = 30;
const CENTRE_PX = 40;

/** In the picture: how the part is held in the set-up that is looked at, where its zero is, and what is cut there. */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- a group of the picture's drawing
  selector: 'g[ipHoldingLayer]',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (c of cut(); track $index) {
      <svg:path [attr.d]="c" class="cut" />
    }
    @for (h of held(); track $index) {
      <svg:path [attr.d]="h" class="holder" />
    }
    @if (zero(); as z) {
      <svg:line class="zero" [attr.x1]="z.x" [attr.x2]="z.x" y1="4" [attr.y2]="centre() * 2" />
      <svg:text class="word" [attr.x]="z.x + (z.right ? -6 : 6)" y="16" [attr.text-anchor]="z.right ? 'end' : 'start'">zero</svg:text>
    }
  `,
  styles: `
    .cut {
      fill: none;
      stroke: var(--brass);
      stroke-width: 4;
    }
    .holder {
      fill: var(--scribe);
      stroke: var(--layout);
      stroke-width: 1;
    }
    .zero {
      stroke: var(--brass);
      stroke-width: 1.4;
    }
    .word {
      font: 400 14px var(--label);
      fill: var(--brass);
    }
  `,
})
export class HoldingLayer {
  private readonly store = inject(SheetStore);
  private readonly axis = inject(Axis);
  private readonly shown = inject(HoldingShown);
  readonly model = input.required<PictureModel>();
  readonly centre = input.required<number>();
  /** From a radius in mm to px. */
  readonly px = input.required<(radiusMm: number) => number>();

  private readonly setUp = computed(() => this.shown.now()?.setUp ?? null);
  private readonly segments = computed(() => this.store.repair()?.part?.segments.map((s) => s.segment) ?? []);

  /** What is cut: surfaces as lines along their outline above and below, features over their stretch. */
  protected readonly cut = computed((): readonly string[] => {
    const s = this.setUp();
    if (!s) return [];
    const here = new Set(s.cuts);
    const both = (fromMm: number, toMm: number, leftMm: number, rightMm: number): string =>
      [-1, 1].map((side) => `M${this.x(fromMm)} ${this.y(side * leftMm)}L${this.x(toMm)} ${this.y(side * rightMm)}`).join('');
    const surfaces = this.segments().filter((q) => here.has(q.id));
    const features = this.model().cuts.filter((c) => here.has(c.id));
    return [
      ...surfaces.map((q) => both(q.fromMm, q.toMm, q.leftMm / 2, q.rightMm / 2)),
      ...features.map((c) => both(c.fromMm, c.toMm, c.radiusMm, c.radiusMm)),
    ];
  });

  /** Jaws on the stock or on the surface that is gripped, centres at both ends; nothing off the lathe. */
  protected readonly held = computed((): readonly string[] => {
    const s = this.setUp();
    const m = this.model();
    if (!s?.holding) return [];
    const centred = s.holding === 'centres' || s.holding === 'mandrel';
    const tail = centred || s.support !== 'none';
    const [left, right] = [this.x(m.fromMm), this.x(m.toMm)];
    const jaws = (edge: number, dir: 1 | -1, radiusPx: number): string[] =>
      [-1, 1].map((side) => {
        const near = this.centre() + side * radiusPx;
        const far = near + side * JAW_HIGH_PX;
        return `M${edge} ${near}H${edge + dir * JAW_PX}V${far}H${edge - dir * BITE_PX}V${near + side * JAW_HIGH_PX * 0.5}H${edge}Z`;
      });
    const centre = (edge: number, dir: 1 | -1): string =>
      `M${edge} ${this.centre()}L${edge + dir * CENTRE_PX} ${this.centre() - CENTRE_PX / 2}V${this.centre() + CENTRE_PX / 2}Z`;
    if (centred) return [centre(left, -1), centre(right, 1)];
    const chuckLeft = s.free !== 'near';
    const on = s.locates.on === 'surface' ? this.segments().find((q) => q.id === (s.locates as { readonly id: string }).id) : undefined;
    const radius = on?.side === 'outside' ? Math.max(on.leftMm, on.rightMm) / 2 : m.largestRadiusMm;
    // Jaws stand at the end that is not free; those on a finished surface reach as far as it.
    const edge = on ? this.x(chuckLeft ? on.fromMm : on.toMm) : chuckLeft ? left - STOCK_PX : right + STOCK_PX;
    return [...jaws(edge, chuckLeft ? 1 : -1, this.px()(radius)), ...(tail ? [chuckLeft ? centre(right, 1) : centre(left, -1)] : [])];
  });

  protected readonly zero = computed(() => {
    const s = this.setUp();
    const m = this.model();
    if (!s) return null;
    return s.fromFarEnd ? { x: this.x(m.toMm), right: true } : { x: this.x(m.fromMm), right: false };
  });

  private x(mm: number): number {
    return this.axis.scale()(mm);
  }

  private y(radiusMm: number): number {
    return this.centre() - Math.sign(radiusMm) * this.px()(Math.abs(radiusMm));
  }
}
