import { ChangeDetectionStrategy, Component, inject, input, linkedSignal } from '@angular/core';
import type { PlaceFinding } from '@iron-patch/core';
import { ShopStore } from '../../data';
import { shareUnchanged, SheetStore } from '../../sheet-data';
import { SpotRowView } from './spot-row';
import { spotGrid, type SpotGridModel } from './spot-rows';

/** The readings of a place by station and clock; every number can be touched, corrected, repeated. */
@Component({
  selector: 'ip-spot-grid',
  imports: [SpotRowView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <thead>
        <tr>
          <th>at {{ store.unit() }}</th>
          @for (c of model().clocks; track c) {
            <th>{{ c }}°</th>
          }
          @if (model().diameter) {
            <th>mean</th>
            <th>oval</th>
          } @else {
            <th>total</th>
          }
          <th><span class="sr-only">State</span></th>
        </tr>
      </thead>
      <tbody>
        @for (row of model().rows; track row.key) {
          <tr ipSpotRow [row]="row" (pick)="spot(row.key, $event)"></tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
      margin-top: 4px;
    }
    th {
      font-weight: 400;
      color: var(--quiet);
      font-size: 15px;
      text-align: right;
      padding: 2px 8px;
      white-space: nowrap;
    }
  `,
})
export class SpotGrid {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  readonly finding = input.required<PlaceFinding>();
  /** Rows that read as before stay the same objects, so that they are not drawn anew. */
  protected readonly model = linkedSignal<SpotGridModel, SpotGridModel>({
    source: () => {
      const finding = this.finding();
      const fit = this.store.repair()?.fits.find((x) => x.hole.place.id === finding.place.id);
      return spotGrid({
        finding,
        selected: this.store.selection(),
        unit: this.store.unit(),
        shop: this.shop.shop(),
        mostPlayMm: fit?.target?.mostPlayMm ?? null,
      });
    },
    computation: (fresh, before) => shareUnchanged(before?.value, fresh),
  });

  protected spot(stationMm: number, clockDeg: number): void {
    this.store.select({ spanId: this.finding().place.id, stationMm, clockDeg, quantity: this.model().quantity });
    document.getElementById('reading')?.focus();
  }
}
