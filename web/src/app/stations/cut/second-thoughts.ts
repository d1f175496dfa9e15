import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  alongWords,
  countAgain,
  dialDecimals,
  formatWithUnit,
  inSentence,
  LEAST_CHIP_MM,
  placeWithUnit,
  turnsOf,
  turnsWords,
  type AlongSpot,
  type CutFinding,
  type Dialled,
} from '@iron-patch/core';
import { ChooseField, LengthInput, type Option, startsAs } from '../../form';
import { SheetStore } from '../../sheet-data';

/** What a mic tells of a size, 95 %, mm, where only the count of the dial is asked. */
const READ_MM = 0.004;

/** Two things that go wrong between two cuts: the count of turns is lost, or the piece comes out with a taper. */
@Component({
  selector: 'ip-second-thoughts',
  imports: [ChooseField, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details>
      <summary class="fold">Lost count of the dial?</summary>
      <p class="quiet">Take a pass where the tool stands now, measure, and the count is found from the size.</p>
      <div class="row">
        <ip-length label="It measures now" [mm]="size()" [unit]="store.unit()" [allowZero]="false" (mmChange)="size.set($event)" />
        @if (count(); as c) {
          <p class="told fig" role="status">{{ c }}</p>
        }
      </div>
    </details>
    @if (cut().along; as a) {
      <details [open]="opens()">
        <summary class="fold">Comes out with a taper?</summary>
        <p class="quiet">
          {{ a.slender ? 'It is slender: read' : 'Read' }} it at these places after one and the same pass. The tailstock is set over until
          both ends are alike.
        </p>
        <div class="row">
          @for (s of a.spots; track s.stationMm; let i = $index) {
            <div class="spot">
              <span class="label">{{ ends[i] }}, at {{ place(s.stationMm) }}</span>
              @if (s.read; as r) {
                <b class="fig">{{ show(r.mm) }}</b>
                <button type="button" class="plain" [attr.aria-label]="'Withdraw ' + r.reading.text" (click)="store.withdraw(r.reading)">
                  Withdraw
                </button>
              } @else {
                <button type="button" [attr.aria-label]="'Read ' + inSentence(ends[i]!)" (click)="read(s)">Read</button>
              }
            </div>
          }
        </div>
        <div class="row top">
          <ip-choose
            label="The tailstock stands"
            name="tailstock"
            [options]="tails"
            [value]="tail()"
            (valueChange)="tail.set($event === 'left' ? 'left' : 'right')"
          />
          <ip-length
            label="From chuck or centre to centre"
            [mm]="whole()"
            [unit]="store.unit()"
            [allowZero]="false"
            (mmChange)="length.set($event)"
          />
        </div>
        @for (s of told(); track s) {
          <p class="told" role="status">{{ s }}</p>
        }
      </details>
    }
  `,
  styles: `
    summary {
      padding: 0 8px;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 10px 18px;
      align-items: end;
    }
    .row.top {
      align-items: start;
    }
    .spot {
      min-width: 220px;
      font-size: 20px;
    }
    .spot .label {
      display: block;
      font: 600 15px var(--label);
    }
    ip-choose {
      width: 220px;
    }
    .told {
      font-size: 22px;
      margin: 8px 0;
    }
  `,
})
export class SecondThoughts {
  protected readonly store = inject(SheetStore);
  readonly cut = input.required<CutFinding>();
  /** Whose dial it is. */
  readonly on = input.required<Dialled>();
  /** Length of the part, mm: what the work is held over unless somebody says otherwise. */
  readonly partMm = input.required<number>();
  protected readonly size = signal<number | null>(null);
  /** At which end of the part the tailstock stands in this set-up. */
  readonly tailAt = input.required<'left' | 'right'>();
  protected readonly tail = startsAs(() => this.tailAt());
  protected readonly tails: readonly Option[] = [
    ['left', 'at the zero end'],
    ['right', 'at the far end'],
  ];
  protected readonly inSentence = inSentence;
  protected readonly ends = ['Near the zero end', 'In the middle', 'Near the far end'] as const;
  protected readonly length = signal<number | null>(null);
  protected readonly whole = computed(() => this.length() ?? this.partMm());

  protected readonly count = computed(() => {
    const size = this.size();
    if (size === null) return '';
    const { cuts, segment } = this.cut();
    const on = this.on();
    const settings = { lathe: on, side: segment.segment.side, rises: on.rises, plusMinusMm: READ_MM, leastChipMm: LEAST_CHIP_MM.hss };
    const count = countAgain(cuts, size, settings);
    if (count === null)
      return cuts.length
        ? 'Nothing came off by that: wind in until a pass takes a chip, then measure.'
        : 'There is no size on record to count from yet.';
    const { cross } = on;
    const told = count >= 0 ? turnsWords(turnsOf(count, cross), cross) : count.toFixed(dialDecimals(cross));
    return `The dial counts ${told} ${cross.unit} from zero.`;
  });

  /** What is slender is read along before its last cuts; what is begun is in sight. */
  protected readonly opens = computed(() => {
    const { along, advice } = this.cut();
    return along !== null && (along.spots.some((s) => s.read) || (along.slender && advice.state === 'cut' && advice.cutsLeft <= 2));
  });
  protected readonly told = computed((): readonly string[] => {
    const { along } = this.cut();
    return along ? alongWords(along, this.tail(), this.whole(), this.store.unit()) : [];
  });

  protected show(mm: number): string {
    return formatWithUnit(mm, this.store.unit());
  }

  protected place(mm: number): string {
    return placeWithUnit(mm, this.store.unit());
  }

  protected read({ stationMm }: AlongSpot): void {
    this.store.select({ spanId: this.cut().segment.segment.id, stationMm, clockDeg: 0 });
    document.getElementById('reading')?.focus();
  }
}
