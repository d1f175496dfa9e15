import { ChangeDetectionStrategy, Component, computed, effect, HostListener, inject, input, output, untracked } from '@angular/core';
import type { Spot } from '@iron-patch/core';
import { GaugeLink, type LinkState } from './gauge-link';

const STATE_WORDS: Readonly<Record<LinkState, string>> = {
  off: 'Not connected',
  dialling: 'Calling the gauge',
  on: 'Connected',
  lost: 'Line lost: calling again. Nothing that was taken is lost',
};

/** The gauge on the bench: what it shows now, and one key that takes it into the reading line. */
@Component({
  selector: 'ip-gauge-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="dark" aria-label="Gauge">
      <span class="state" [class.lost]="link.state() === 'lost'" role="status">{{ words[link.state()] }}</span>
      @if (link.state() === 'on') {
        <label>
          <span class="sr-only">Instrument of the gauge</span>
          <select (change)="pick($event)">
            @for (i of link.instruments(); track i.id) {
              <option [value]="i.id" [selected]="i.id === link.using()">{{ i.name }}</option>
            }
          </select>
        </label>
        <output class="live fig">{{ link.live() || '···' }}</output>
        <button type="button" class="take" (click)="link.send()">Take it, F2</button>
      } @else if (link.state() !== 'lost') {
        <label class="address"
          >Address of the gauge
          <input #address class="fig" name="gaugeAddress" [value]="link.address()" (keydown.enter)="link.connect(address.value)" />
        </label>
        <button type="button" class="take" (click)="link.connect(address.value)">Connect</button>
      }
      <span class="problem-line" aria-live="polite">{{ link.problem() }}</span>
      @if (link.state() !== 'off') {
        <button type="button" (click)="link.disconnect()">Disconnect</button>
      }
      <button type="button" (click)="closed.emit()">Put away</button>
    </section>
  `,
  styles: `
    section {
      background: var(--strip-soft);
      color: var(--on-strip);
      display: flex;
      align-items: center;
      gap: 14px;
      padding: 6px 16px;
      min-height: 58px;
    }
    .state {
      font: 600 15px var(--label);
      max-width: 190px;
    }
    .lost {
      background: var(--brass);
      color: var(--on-brass);
      padding: 4px 10px;
      border-radius: 2px;
    }
    .live {
      font-size: 32px;
      font-weight: 700;
      color: var(--brass);
      min-width: 190px;
      text-align: right;
    }
    select,
    input {
      background: var(--strip);
      color: var(--on-strip);
      border: 1px solid var(--strip-edge);
      width: 230px;
      min-height: 44px;
      padding: 0 8px;
      font-size: 15px;
    }
    .address {
      font: 400 15px var(--label);
      display: flex;
      gap: 10px;
      align-items: center;
    }
    .problem-line {
      flex: 1;
      font-size: 15px;
      color: var(--brass);
    }
    button {
      color: var(--strip-quiet);
      border-color: var(--strip-edge);
    }
    button:hover:not(:disabled) {
      background: var(--strip-soft);
    }
    .take {
      background: var(--brass);
      border-color: var(--brass);
      color: var(--ink);
    }
    .take:hover:not(:disabled) {
      background: var(--brass-soft);
    }
  `,
})
export class GaugePanel {
  protected readonly link = inject(GaugeLink);
  /** Where the reading line stands; null where nothing is asked for. */
  readonly spot = input.required<Spot | null>();
  readonly closed = output<void>();
  /** Name of the instrument that the gauge uses, for picking it from the crib. */
  readonly instrument = output<string>();
  protected readonly words = STATE_WORDS;
  private readonly using = computed(() => this.link.instruments().find((i) => i.id === this.link.using())?.name ?? '');

  constructor() {
    effect(() => {
      const spot = this.spot();
      if (spot && this.link.state() === 'on') untracked(() => this.link.at(spot.stationMm, spot.clockDeg));
    });
    effect(() => {
      const name = this.using();
      if (name) untracked(() => this.instrument.emit(name));
    });
  }

  @HostListener('document:keydown.f2', ['$event'])
  protected take(event: Event): void {
    event.preventDefault();
    this.link.send();
  }

  protected pick(event: Event): void {
    this.link.use((event.target as HTMLSelectElement).value);
  }
}
