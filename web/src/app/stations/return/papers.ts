import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { routes } from '@iron-patch/contract';
import { SheetStore } from '../../sheet-data';

/** Papers of a job that is handed back. */
@Component({
  selector: 'ip-return-papers',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (p of papers(); track p.name) {
      <a [href]="p.at" [target]="p.target">{{ p.name }}</a>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 22px;
      margin: 8px 0;
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
    }
  `,
})
export class ReturnPapers {
  private readonly store = inject(SheetStore);
  protected readonly papers = computed(() => {
    const { id } = this.store.sheet()!.job;
    return [
      { name: 'Report for the customer, PDF', at: routes.report(id), target: '_blank' },
      { name: 'Delivery note, PDF', at: routes.deliveryNote(id), target: '_blank' },
      { name: 'Job slip, PDF', at: routes.slip(id), target: '_blank' },
      { name: 'Readings as CSV', at: routes.readingsCsv(id), target: null },
    ];
  });
}
