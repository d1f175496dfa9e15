import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { outsideSlips } from '@iron-patch/core';
import { routes } from '@iron-patch/contract';
import { SheetStore } from '../sheet-data';

/** The slip that goes along with parts to another shop, wherever something of the job goes there. */
@Component({
  selector: 'ip-outside-link',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (address(); as to) {
      <a [href]="to" target="_blank">Slip for the outside shop, PDF</a>
    }
  `,
})
export class OutsideLink {
  private readonly store = inject(SheetStore);
  protected readonly address = computed(() => {
    const [sheet, repair] = [this.store.sheet(), this.store.repair()];
    return sheet && repair && outsideSlips(repair.items, String).length ? routes.outsideSlip(sheet.job.id) : null;
  });
}
