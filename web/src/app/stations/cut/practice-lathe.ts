import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import {
  advise,
  diameterForCrossDial,
  dialDecimals,
  formatLength,
  LEAST_CHIP_MM,
  normalDraws,
  seededRandom,
  skimmed,
  take,
  USUAL_PASSES,
  type CutRecord,
  type Draws,
  type Dialled,
  type LatheTemper,
  type SegmentFinding,
  type SimulatedWork,
} from '@iron-patch/core';
import { ChooseField, type Option } from '../../form';
import { SheetStore } from '../../sheet-data';

/** What a lathe may be like; what it is in truth is drawn within it. */
const LATHES = {
  stiff: { words: 'Stiff and true', lost: 0, spring: 0.02 },
  worn: { words: 'Worn screw: takes less than it is asked', lost: 0.25, spring: 0.02 },
  springy: { words: 'Springy: what it leaves comes back', lost: 0, spring: 0.3 },
} as const;
type LatheName = keyof typeof LATHES;

/** How much larger than wanted the practice piece begins, and the skim it was touched off on, mm on the diameter. */
const BEGINS_OVER_MM = 1.6;
const SKIM_MM = 0.3;
/** Of the micrometer that reads it, and of a hand on the dial, mm. */
const U_MM = 0.002;
const DIAL_SD_MM = 0.003;
const SHOP_C = 20;
const STEEL_PER_K = 11.5e-6;

/** A lathe to try one's hand on: dial in, it cuts, it is measured. Nothing of it is written to the job. */
@Component({
  selector: 'ip-practice-lathe',
  imports: [ChooseField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="quiet">
      A piece for {{ show(limits().lowerMm) }} to {{ show(limits().upperMm) }}, touched off and zeroed. Nothing here is written to the job.
    </p>
    <div class="row">
      <ip-choose label="This lathe is" name="practice-lathe" [options]="options" [value]="name()" (valueChange)="begin($event)" />
      <label
        >Dial, {{ on().cross.unit }} on {{ on().cross.reads }}
        <input
          class="text fig"
          name="practice-dial"
          inputmode="decimal"
          autocomplete="off"
          [value]="typed()"
          (input)="typed.set($any($event.target).value)"
          (keydown.enter)="cut(); $event.preventDefault()"
      /></label>
      <button type="button" class="next" [disabled]="dial() === null" (click)="cut()">Cut and measure</button>
      <button type="button" (click)="measureAgain()">Measure again</button>
      <button type="button" (click)="begin(name())">New piece</button>
    </div>
    @if (problem(); as p) {
      <p class="problem" role="alert">{{ p }}</p>
    }
    <p class="said" role="status">{{ says() }}</p>
    <ol>
      @for (c of cuts(); track $index) {
        <li class="fig">
          {{ c.dial.toFixed(decimals()) }} <b>{{ show(c.measuredMm) }}</b>
        </li>
      }
    </ol>
  `,
  styles: `
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 10px 18px;
      align-items: end;
    }
    ip-choose {
      min-width: 300px;
    }
    label {
      font: 600 15px var(--label);
      display: block;
    }
    input {
      display: block;
      width: 150px;
      font-size: 20px;
    }
    ol {
      padding: 0;
      list-style: none;
      display: flex;
      flex-wrap: wrap;
      gap: 4px 26px;
    }
    .said {
      margin: 12px 0;
    }
    .problem {
      color: var(--out);
    }
  `,
})
export class PracticeLathe {
  private readonly store = inject(SheetStore);
  readonly segment = input.required<SegmentFinding>();
  /** Whose dial it has. */
  readonly on = input.required<Dialled>();
  protected readonly options: readonly Option[] = Object.entries(LATHES).map(([id, l]) => [id, l.words] as const);
  protected readonly name = signal<LatheName>('stiff');
  protected readonly typed = signal('');
  protected readonly cuts = signal<readonly CutRecord[]>([]);
  protected readonly limits = computed(() => this.segment().limits);
  protected readonly decimals = computed(() => dialDecimals(this.on().cross));
  private work: SimulatedWork = { diameterMm: 0, zeroMm: 0, tempC: SHOP_C };
  private temper: LatheTemper = { lost: 0, spring: 0, dialMm: DIAL_SD_MM, leastChipMm: 0, warmKPerMm: 0 };
  private draws: Draws = { uniform: () => 0.5, normal: () => 0 };

  /** A bore is practised as the outside that mirrors it: the sums are the same. */
  private readonly begins = computed(() => (this.limits().lowerMm + this.limits().upperMm) / 2 + BEGINS_OVER_MM);

  protected readonly dial = computed(() => {
    const text = this.typed().trim().replace(',', '.');
    const value = Number(text);
    return text !== '' && Number.isFinite(value) ? value : null;
  });
  protected readonly problem = computed(() =>
    this.typed().trim() !== '' && this.dial() === null ? 'The dial is a number: as it is to stand, counted from zero inwards.' : '',
  );
  protected readonly advice = computed(() =>
    advise(this.cuts(), {
      lathe: this.on(),
      unit: this.store.unit(),
      limits: this.limits(),
      side: 'outside',
      rises: false,
      leastChipMm: LEAST_CHIP_MM.hss,
      roughMostMm: USUAL_PASSES.roughMostMm,
      finishMm: USUAL_PASSES.finishMm,
      part: { tempC: SHOP_C, shopC: SHOP_C, alphaPerK: STEEL_PER_K },
      plusMinusMm: 2 * U_MM,
      noDust: false,
    }),
  );
  protected readonly says = computed(() => {
    const { nextDial, sentences } = this.advice();
    return [...(nextDial === null ? [] : [`The coach would set ${nextDial.toFixed(this.decimals())}.`]), ...sentences].join(' ');
  });

  constructor() {
    effect(() => {
      this.begins();
      untracked(() => this.begin(this.name()));
    });
  }

  protected begin(name: string): void {
    const lathe = Object.hasOwn(LATHES, name) ? (name as LatheName) : 'stiff';
    this.name.set(lathe);
    const uniform = seededRandom(Math.floor(Math.random() * 2 ** 31));
    this.draws = { uniform, normal: normalDraws(uniform) };
    const share = 0.5 + 0.5 * uniform();
    const { lost, spring } = LATHES[lathe];
    this.temper = { ...this.temper, lost: lost * share, spring: spring * share, leastChipMm: LEAST_CHIP_MM.hss };
    this.work = skimmed(this.begins(), SKIM_MM, this.temper, SHOP_C);
    this.cuts.set([{ dial: 0, measuredMm: this.measured() }]);
    this.typed.set('');
  }

  protected cut(): void {
    const dial = this.dial();
    if (dial === null) return;
    this.work = take(this.work, diameterForCrossDial(dial, this.on()), this.temper, SHOP_C, this.draws);
    this.cuts.update((cuts) => [...cuts, { dial, measuredMm: this.measured() }]);
    this.typed.set('');
  }

  /** The same size read once more: the mic and the hand do not show it twice alike. */
  protected measureAgain(): void {
    this.cuts.update((cuts) => [...cuts, { dial: cuts.at(-1)!.dial, measuredMm: this.measured() }]);
  }

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  private measured(): number {
    return this.work.diameterMm + U_MM * this.draws.normal();
  }
}
