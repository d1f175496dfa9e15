import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { ConsideredStock, LengthUnit } from '@iron-patch/core';
import { ChooseField, FormField, LengthInput, MATERIAL_OPTIONS, NumberField, TextField, fromWhole, toWhole } from '../../form';

/** Bars that a route cuts up: by their mass, or at a price that somebody said. */
@Component({
  selector: 'ip-stock-field',
  imports: [ChooseField, LengthInput, NumberField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (s of bars(); track $index; let i = $index) {
      <div class="bar" role="group" [attr.aria-label]="'Stock ' + (i + 1)">
        <ip-text
          [label]="i ? '' : 'Stock'"
          [spoken]="'Stock, ' + (i + 1)"
          [name]="'stockWhat' + i"
          [value]="s.what"
          [path]="i + '.what'"
          [problems]="told()"
          (valueChange)="change(i, { what: $event })"
        />
        <ip-choose
          [label]="i ? '' : 'Material'"
          [spoken]="'Material, ' + (i + 1)"
          [name]="'stockMaterial' + i"
          [options]="materials"
          [value]="s.materialId"
          (valueChange)="change(i, { materialId: $event })"
        />
        <ip-length
          [label]="i ? '' : 'Diameter'"
          [spoken]="'Diameter, ' + (i + 1)"
          [mm]="s.diameterMm || null"
          [unit]="unit()"
          [path]="i + '.diameterMm'"
          [problems]="told()"
          (mmChange)="change(i, { diameterMm: $event ?? 0 })"
        />
        <ip-length
          [label]="i ? '' : 'Length of one'"
          [spoken]="'Length of one, ' + (i + 1)"
          [mm]="s.lengthMm || null"
          [unit]="unit()"
          [path]="i + '.lengthMm'"
          [problems]="told()"
          (mmChange)="change(i, { lengthMm: $event ?? 0 })"
        />
        <ip-number
          [label]="i ? '' : 'Pieces'"
          [spoken]="'Pieces, ' + (i + 1)"
          [name]="'stockPieces' + i"
          [value]="s.pieces"
          [path]="i + '.pieces'"
          [problems]="told()"
          (valueChange)="change(i, { pieces: $any($event) })"
        />
        <ip-number
          [label]="i ? '' : 'Price of all'"
          [spoken]="'Price of all, ' + (i + 1)"
          [name]="'stockPrice' + i"
          placeholder="by its mass"
          [value]="whole(s.priceMinor)"
          [path]="i + '.priceMinor'"
          [problems]="told()"
          (valueChange)="change(i, { priceMinor: minor($event) })"
        />
        <button type="button" class="plain" [attr.aria-label]="'Remove stock ' + (i + 1)" (click)="remove(i)">Remove</button>
      </div>
    }
    <button type="button" (click)="add()">Add stock</button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      justify-items: start;
    }
    .bar {
      display: grid;
      grid-template-columns: minmax(80px, 1fr) minmax(130px, 1.4fr) 112px 112px 70px 104px auto;
      gap: 6px 12px;
      align-items: start;
      width: 100%;
    }
    .bar:first-child button {
      margin-top: 22px;
    }
    @media (max-width: 1100px) {
      .bar {
        grid-template-columns: 1fr 1fr 1fr;
      }
    }
  `,
})
export class StockField extends FormField<readonly ConsideredStock[]> {
  readonly unit = input.required<LengthUnit>();
  protected readonly materials = MATERIAL_OPTIONS;
  protected readonly whole = toWhole;
  protected readonly minor = fromWhole;
  protected readonly bars = computed(() => this.held() ?? []);

  protected add(): void {
    this.hand([...this.bars(), { what: 'bar', materialId: 'unknown', diameterMm: 0, lengthMm: 0, pieces: 1, priceMinor: null }]);
  }

  protected change(i: number, change: Partial<ConsideredStock>): void {
    this.hand(this.bars().map((s, k) => (k === i ? { ...s, ...change } : s)));
  }

  protected remove(i: number): void {
    this.hand(this.bars().filter((_, k) => k !== i));
  }
}
