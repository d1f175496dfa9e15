import { Clipboard } from '@angular/cdk/clipboard';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { routes } from '@iron-patch/contract/wire';
import { Api, newSecret, ShopTimePipe, Told } from '../data';
import { RunOrderStore } from './run-order-store';

/** The secret address at which calendars of people fetch what is promised and awaited; shown once, when it is made. */
@Component({
  selector: 'ip-calendar-link',
  imports: [ShopTimePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>In other calendars</h2>
    @if (made(); as address) {
      <p>
        Give this to a calendar that fetches others. It is shown once; whoever has it sees what is promised and awaited, and nothing else.
      </p>
      <p class="address fig" data-verbatim>{{ address }}</p>
      <button type="button" class="next" (click)="copy(address)">Copy the address</button>
    } @else if (now()?.madeAt; as at) {
      <p>An address was made {{ at | shopTime: 'year' }}. It is not shown again: another one ends it.</p>
    } @else {
      <p>Promises and what is awaited can stand in the calendar of a telephone, fetched from a secret address of this server.</p>
    }
    <div class="row">
      <button type="button" (click)="make()">{{ now()?.madeAt ? 'Make another address' : 'Make an address' }}</button>
      @if (now()?.madeAt) {
        <button type="button" (click)="end()">End it</button>
      }
    </div>
  `,
  styles: `
    .address {
      overflow-wrap: anywhere;
      background: var(--field);
      border: 1px solid var(--edge);
      padding: 6px 10px;
      margin: 6px 0;
    }
    .row {
      margin-top: 8px;
    }
  `,
})
export class CalendarLink {
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  private readonly store = inject(RunOrderStore);
  private readonly clipboard = inject(Clipboard);
  protected readonly made = signal<string | null>(null);
  protected readonly now = computed(() => this.store.page()?.calendar ?? null);

  private put(token: string | null): Promise<void> {
    return this.told.doing(async () => {
      await this.api.put(routes.calendar, { token }, this.now()?.version ?? 0);
      this.made.set(token && location.origin + routes.calendarFeed(token));
      await this.store.load();
    });
  }

  protected make(): Promise<void> {
    return this.put(newSecret());
  }

  protected async end(): Promise<void> {
    await this.put(null);
    if (!this.now()?.madeAt) this.told.say('The address leads nowhere any more.');
  }

  protected copy(address: string): void {
    if (this.clipboard.copy(address)) this.told.say('The address is copied.');
  }
}
