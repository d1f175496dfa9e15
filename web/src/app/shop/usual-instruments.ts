import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { routes, type InstrumentInput } from '@iron-patch/contract';
import { countOf, usualInstruments, type UsualInstrument } from '@iron-patch/core';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { newId, ShopStore, Told } from '../data';

/** Instruments as most shops have them, to tick off. */
@Component({
  selector: 'ip-usual-instruments',
  imports: [FormsModule, RouterLink, NzCheckboxModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (have().length) {
      <p>
        In the crib: <b>{{ have().join(', ') }}</b>. <a routerLink="/crib">Open the crib</a>
      </p>
    }
    <div class="list" role="group" aria-label="Instruments that hang in the crib">
      @for (i of offered(); track i.name) {
        <label nz-checkbox [name]="i.name" [ngModel]="ticked().has(i.name)" (ngModelChange)="tick(i.name, $event)">
          {{ i.name }}
        </label>
      }
    </div>
    <button type="button" [class.next]="ticked().size" [disabled]="!ticked().size || busy()" (click)="take()">
      {{ ticked().size ? 'Hang up ' + count(ticked().size) : 'Tick what hangs here' }}
    </button>
  `,
  styles:
    '.list { display: grid; grid-template-columns: repeat(auto-fill, minmax(330px, 1fr)); margin-bottom: 12px; } label { min-height: 44px; display: flex; align-items: center; margin: 0; font: 400 16px var(--text); }',
})
export class UsualInstruments {
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  protected readonly have = computed(() => this.shop.shop().instruments.map((i) => i.name));
  protected readonly offered = computed(() => usualInstruments(this.shop.shop().card.unit).filter((i) => !this.have().includes(i.name)));
  protected readonly ticked = signal<ReadonlySet<string>>(new Set());
  protected readonly busy = signal(false);
  protected readonly count = (n: number): string => countOf(n, 'instrument');

  protected tick(name: string, on: boolean): void {
    this.ticked.update((t) => (on ? new Set([...t, name]) : new Set([...t].filter((n) => n !== name))));
  }

  /** Each is stored by itself: what one refuses, the others are there. */
  protected async take(): Promise<void> {
    this.busy.set(true);
    await this.told.doing(async () => {
      for (const i of this.offered().filter((o) => this.ticked().has(o.name))) {
        await this.shop.save(routes.instrument(newId()), recordOf(i), 0);
        this.tick(i.name, false);
      }
    });
    this.busy.set(false);
  }
}

/** Its record while nobody knows more of it. */
const recordOf = (i: UsualInstrument): InstrumentInput => ({
  ...i,
  uMm: null,
  repeatMm: null,
  resolutionMm: null,
  biasMm: 0,
  calibratedOn: null,
  dueOn: null,
});
