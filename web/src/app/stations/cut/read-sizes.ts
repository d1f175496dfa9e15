import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLength, sizeInHand, type SizeCut, type SizeCutState } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { StateMark } from '../../mark';
import { FigureButton } from '../../show';
import { TriedFit } from '../tried-fit';

const MARKS: Readonly<Record<SizeCutState, 'not-yet' | 'under-way' | 'done' | 'close' | 'out'>> = {
  'not-read': 'not-yet',
  'go-on': 'under-way',
  in: 'done',
  close: 'close',
  beyond: 'out',
};

/** Depths, widths and lengths of one set-up, read between two cuts: what it is, what it is to be, how far the slide still goes. */
@Component({
  selector: 'ip-read-sizes',
  imports: [StateMark, FigureButton, TriedFit],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (here().length) {
      <h2>Read between cuts</h2>
      <div class="sizes" role="group" aria-label="Sizes to read">
        @for (s of here(); track s.key) {
          <button type="button" [class.on]="s === now()" [attr.aria-pressed]="s === now()" (click)="take(s)">
            <ip-state [state]="mark(s)" [size]="13" /> {{ s.name }}
          </button>
        }
      </div>
      @if (now(); as s) {
        <section aria-live="polite">
          <div>
            <span class="label">Now</span><span class="huge fig">{{ s.nowMm === null ? '–' : show(s.nowMm) }}</span>
            <span class="band fig">{{ store.unit() }}</span>
          </div>
          <div>
            <span class="label">Wanted, cold</span><span class="huge fig">{{ show(s.wantedMm) }}</span>
            <span class="band fig">±{{ show((s.limits.upperMm - s.limits.lowerMm) / 2) }} {{ store.unit() }}</span>
          </div>
          <div>
            <span class="label">Still to go</span
            ><span class="huge fig off">
              @if (s.left; as left) {
                <ip-figure [figure]="left" [size]="52" [strong]="true" />
              } @else {
                –
              }
            </span>
          </div>
          <div class="wide">
            @if (s.dial) {
              <p class="dial fig">{{ s.dial }}</p>
            }
            @for (w of s.sentences; track w) {
              <p>{{ w }}</p>
            }
            @for (r of s.readings; track r.id) {
              <span class="read"
                ><b class="fig" data-verbatim>{{ r.text }}</b> {{ r.unit }}
                <button type="button" class="plain" [attr.aria-label]="'Withdraw ' + r.text" (click)="store.withdraw(r)">
                  Withdraw
                </button></span
              >
            }
            @if (s.tried; as t) {
              <ip-tried-fit [tried]="t" [segmentId]="s.key" />
            }
          </div>
        </section>
      } @else {
        <p class="quiet">Pick one to read it with the line below.</p>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 0 26px 20px;
    }
    .sizes {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      margin: 8px 0;
    }
    .sizes button {
      min-height: 44px;
    }
    .sizes .on {
      background: var(--blue-soft);
      border-bottom-width: 4px;
    }
    section {
      display: grid;
      grid-template-columns: 1fr 1.3fr 1.1fr;
      gap: 4px 20px;
    }
    .label {
      display: block;
      font-size: 16px;
    }
    .huge {
      font-size: 52px;
      line-height: 1.05;
      font-weight: 700;
    }
    .off {
      color: var(--accent);
    }
    .band {
      font-size: 20px;
      white-space: nowrap;
      color: var(--quiet);
      margin-left: 10px;
    }
    .wide {
      grid-column: 1 / -1;
      font-size: 18px;
    }
    .dial {
      font-size: 38px;
      font-weight: 700;
    }
    .read {
      margin-right: 24px;
      white-space: nowrap;
    }
    @media (max-width: 900px) {
      section {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class ReadSizes {
  protected readonly store = inject(SheetStore);
  /** Number of the set-up. */
  readonly setUp = input.required<number>();
  protected readonly here = computed(() => (this.store.repair()?.sizes ?? []).filter((s) => s.setUp === this.setUp()));
  protected readonly now = computed(() => {
    const repair = this.store.repair();
    const inHand = repair && sizeInHand(repair, this.store.selection().spanId);
    return inHand?.setUp === this.setUp() ? inHand : null;
  });

  protected take({ key }: SizeCut): void {
    this.store.select({ spanId: key, stationMm: null, clockDeg: null });
  }

  protected mark({ state }: SizeCut): (typeof MARKS)[SizeCutState] {
    return MARKS[state];
  }

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }
}
