import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { routes } from '@iron-patch/contract/wire';
import { Api, saveFile, ShopClock, Told } from '../data';
import { May } from '../sign-in/may';

const MB = 1_000_000;

/** Takes everything that is on record out as one file; tells how far it is, and can be ended. */
@Component({
  selector: 'ip-take-out',
  imports: [May],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="row">
      <button type="button" ipMay="shop" [disabled]="running()" (click)="take()">Take everything out</button>
      @if (running()) {
        <span role="status">{{ words() }}</span>
        <button type="button" class="plain" (click)="running()!.abort()">Stop</button>
      }
    </div>
    <p class="quiet">All jobs as files that can come in again, and every table as CSV.</p>
  `,
  styles: '.row { align-items: center; } p { margin-top: 4px; }',
})
export class TakeOut {
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  private readonly clock = inject(ShopClock);
  protected readonly running = signal<AbortController | null>(null);
  private readonly bytes = signal(0);
  protected readonly words = computed(() => (this.bytes() ? `${(this.bytes() / MB).toFixed(1)} MB so far` : 'Packing'));

  constructor() {
    inject(DestroyRef).onDestroy(() => this.running()?.abort());
  }

  protected async take(): Promise<void> {
    const ends = new AbortController();
    this.running.set(ends);
    this.bytes.set(0);
    await this.told.doing(async () => {
      const file = await this.api.file(routes.everything, ends.signal, (n) => this.bytes.set(n));
      if (file) saveFile(file, `iron-patch-${this.clock.today()}.zip`);
    });
    this.running.set(null);
  }
}
