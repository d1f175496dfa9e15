import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import {
  along,
  countAgain,
  dialDecimals,
  formatWithUnit,
  LEAST_CHIP_MM,
  turnsOf,
  turnsWords,
  type CutFinding,
  type Dialled,
} from '@iron-patch/core';
import { LengthInput } from '../../form';
import { SheetStore } from '../../sheet-data';

/** What a mic tells of a size, 95 %, mm, where only the count of the dial is asked. */
const READ_MM = 0.004;

/** Two things that go wrong between two cuts: the count of turns is lost, or the piece comes out with a taper. */
@Component({
  selector: 'ip-second-thoughts',
  imports: [LengthInput],
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
    @if (cut().segment.segment.side === 'outside') {
      <details>
        <summary class="fold">Comes out with a taper?</summary>
        <p class="quiet">
          Measure it at both ends of one pass, a slender piece in the middle too: the tailstock is set over until both ends are alike.
        </p>
        <div class="row">
          <ip-length label="Near the headstock" [mm]="head()" [unit]="store.unit()" [allowZero]="false" (mmChange)="head.set($event)" />
          <ip-length
            label="In the middle, if it is slender"
            [mm]="middle()"
            [unit]="store.unit()"
            [allowZero]="false"
            (mmChange)="middle.set($event)"
          />
          <ip-length label="Near the tailstock" [mm]="tail()" [unit]="store.unit()" [allowZero]="false" (mmChange)="tail.set($event)" />
          <ip-length
            label="Between the two places"
            [mm]="apart()"
            [unit]="store.unit()"
            [allowZero]="false"
            (mmChange)="apart.set($event)"
          />
          <ip-length
            label="From chuck or centre to centre"
            [mm]="whole()"
            [unit]="store.unit()"
            [allowZero]="false"
            (mmChange)="length.set($event)"
          />
        </div>
        @for (s of shift(); track s) {
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
  protected readonly head = signal<number | null>(null);
  protected readonly middle = signal<number | null>(null);
  protected readonly tail = signal<number | null>(null);
  protected readonly apart = signal<number | null>(null);
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

  /** What to shift, and what the middle says: nothing before both ends are read. */
  protected readonly shift = computed((): readonly string[] => {
    const [head, tail, apart] = [this.head(), this.tail(), this.apart()];
    if (head === null || tail === null || apart === null || apart <= 0) return [];
    const show = (mm: number): string => formatWithUnit(Math.abs(mm), this.store.unit());
    const { shiftMm, bellyMm } = along(head, this.middle(), tail, apart, this.whole());
    const way = shiftMm > 0 ? 'towards the tool: the tailstock end is thick' : 'away from the tool: the tailstock end is thin';
    const taper =
      Math.abs(shiftMm) < 1e-6
        ? 'No taper: leave the tailstock where it is.'
        : `Set the tailstock over by ${show(shiftMm)} ${way}. Then one more pass, and measure again.`;
    if (bellyMm === null) return [taper];
    if (Math.abs(bellyMm) <= READ_MM) return [taper, 'No belly that a mic can tell.'];
    return [
      taper,
      bellyMm > 0
        ? `A belly of ${show(bellyMm)} in the middle: the tool pushes it away. A sharp tool, a lighter cut and spring passes, or a travelling rest; the tailstock does not cure it.`
        : `Hollow by ${show(bellyMm)} in the middle: worn ways, or a rest that presses. The tailstock does not cure it.`,
    ];
  });
}
