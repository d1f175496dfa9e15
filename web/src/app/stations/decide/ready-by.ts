import { computed, DestroyRef, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { toDoIfChosen } from '@iron-patch/core';
import type { ReadyChances, RunJob, ShopOrderInputs } from '@iron-patch/core/repair/order';
import { ShopStore } from '../../data';
import { RunOrderStore } from '../../run-order/run-order-store';
import { SheetStore } from '../../sheet-data';
import type { OrderMessage, OrderQuestion } from '../../workers/order-message';
import { newWorker } from '../../workers/order.worker-factory';

/** By when the open job would be ready by each of its ways, were it chosen today: played through in a worker, as the run order stands. */
@Injectable()
export class ReadyBy {
  private readonly order = inject(RunOrderStore);
  private readonly sheets = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  readonly ways = signal<ReadonlyMap<string, ReadyChances>>(new Map());
  private worker: Worker | null = null;
  private readonly ifChosen = computed((): readonly { readonly wayId: string; readonly job: RunJob }[] | null => {
    const sheet = this.sheets.shown();
    const repair = this.sheets.repair();
    if (!sheet || !repair) return null;
    const { id, number, title, promisedOn } = sheet.job;
    const of = { sheet, shop: this.shop.shop(), routes: repair.routes, items: repair.items, stations: repair.stations };
    const at = new Date().toISOString();
    return repair.routes
      .filter((w) => w.route.value.state !== 'dropped')
      .map((way) => ({
        wayId: way.route.id,
        job: { id, number, title, customerName: sheet.customer.name, promisedOn, toDo: toDoIfChosen(of, way, at) },
      }));
  });

  constructor() {
    void this.order.load();
    effect(() => {
      const inputs = this.order.inputs();
      const ifChosen = this.ifChosen();
      if (inputs && ifChosen) untracked(() => this.ask(inputs, ifChosen));
    });
    inject(DestroyRef).onDestroy(() => this.worker?.terminate());
  }

  private ask({ momentOf: _, ...inputs }: ShopOrderInputs, ifChosen: OrderQuestion['ifChosen']): void {
    this.worker?.terminate();
    const worker = newWorker();
    this.worker = worker;
    worker.onmessage = ({ data }: MessageEvent<OrderMessage>) => {
      if (data.kind === 'ready') this.ways.update((ways) => new Map(ways).set(data.wayId, data.ready));
    };
    worker.postMessage({ inputs, zone: this.shop.timeZone(), forMs: 0, ifChosen } satisfies OrderQuestion);
  }
}
