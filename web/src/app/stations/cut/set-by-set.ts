import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { formatLength, onCross, onDial, showValue, turnsWords, type PlanFinding, type PlannedSetUp, type Schedule } from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';

/** One number to stand at, large, with how the hand counts it. */
interface Step {
  readonly what: string;
  /** Which edge of the tool, where that matters; only beside the number that is in hand. */
  readonly note?: string;
  readonly value: string;
  /** Behind a length; empty where the value says it itself. */
  readonly unit: string;
  readonly dial: string;
}
interface Stage {
  readonly key: string;
  readonly name: string;
  readonly steps: readonly Step[];
  readonly words: readonly string[];
}

/** Everything of one set-up that is no diameter: its depths from zero, then what is cut into it, one number after another, large. */
@Component({
  selector: 'ip-set-by-set',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="tabs" role="group" aria-label="What is set in this set-up">
      @for (s of stages(); track s.key) {
        <button type="button" [class.on]="s === stage()" [attr.aria-pressed]="s === stage()" (click)="go(s.key)">{{ s.name }}</button>
      }
    </div>
    @if (stage(); as g) {
      @if (step(); as n) {
        <section class="now" aria-live="polite">
          <p class="what">
            {{ n.what }} <small>{{ at() + 1 }} of {{ g.steps.length }}</small>
          </p>
          <p class="huge fig">
            {{ n.value }} <small>{{ n.unit }}</small>
          </p>
          <p class="dial fig">{{ n.dial }}</p>
          @if (n.note) {
            <p class="note">{{ n.note }}</p>
          }
          <div class="row">
            <button type="button" [disabled]="at() === 0" (click)="at.set(at() - 1)">Back</button>
            <button type="button" class="next" [disabled]="at() + 1 >= g.steps.length" (click)="at.set(at() + 1)">Next number</button>
          </div>
        </section>
        <ol>
          @for (x of g.steps; track $index) {
            <li [class.on]="$index === at()">
              <button type="button" (click)="at.set($index)">
                <b class="fig">{{ x.value }}</b> <span class="quiet fig">{{ x.dial }}</span> {{ x.what }}
              </button>
            </li>
          }
        </ol>
      }
      @for (w of g.words; track w) {
        <p>{{ w }}</p>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      padding: 12px 26px 20px;
    }
    .tabs {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      margin: 8px 0;
    }
    .tabs .on {
      background: var(--blue-soft);
      border-bottom-width: 4px;
    }
    .now {
      background: var(--layout);
      color: var(--scribe);
      padding: 16px 26px;
    }
    .what {
      font: 600 24px var(--label);
    }
    .what small {
      font-size: 16px;
      color: var(--scribe-quiet);
      margin-left: 12px;
    }
    .huge {
      font-size: 104px;
      font-weight: 700;
      line-height: 1.1;
      color: var(--brass);
    }
    .huge small {
      font-size: 34px;
      font-weight: 400;
    }
    .dial {
      font-size: 38px;
      min-height: 48px;
    }
    .note {
      font-size: 20px;
    }
    .row button:first-child {
      color: var(--scribe);
      border-color: var(--scribe-quiet);
    }
    .row button:disabled {
      opacity: 0.45;
    }
    .row {
      display: flex;
      gap: 12px;
      margin-top: 8px;
    }
    ol {
      list-style: none;
      padding: 0;
      margin: 10px 0;
      columns: 2;
    }
    li {
      break-inside: avoid;
    }
    li button {
      all: unset;
      cursor: pointer;
      display: block;
      min-height: 44px;
      line-height: 44px;
      padding: 0 8px;
      font-size: 17px;
      width: 100%;
      box-sizing: border-box;
      overflow: hidden;
      white-space: nowrap;
      text-overflow: ellipsis;
    }
    li button:focus-visible {
      outline: 3px solid var(--accent);
    }
    li.on button {
      background: var(--blue-soft);
    }
    li b {
      font-size: 20px;
      margin-right: 8px;
    }
    @media (max-width: 900px) {
      ol {
        columns: 1;
      }
      .huge {
        font-size: 72px;
      }
    }
  `,
})
export class SetBySet {
  private readonly store = inject(SheetStore);
  readonly plan = input.required<PlanFinding>();
  readonly one = input.required<PlannedSetUp>();
  private readonly asked = signal('');
  protected readonly at = signal(0);

  protected readonly stages = computed((): readonly Stage[] => {
    const { ladder, dial, schedules } = this.one();
    const depths = ladder.map((r): Step => ({
      what: r.what,
      note: r.note,
      value: this.show(r.toolMm),
      unit: this.store.unit(),
      dial: dial && r.dial ? `${turnsWords(r.dial, dial)} ${dial.unit}` : '',
    }));
    const words = ['Wind every number from the same side: past it, go well back and come again.'];
    return [
      ...(depths.length ? [{ key: 'depths', name: 'Depths from zero', steps: depths, words }] : []),
      ...schedules.map((s) => ({ key: s.id, name: s.title, steps: this.stepsOf(s), words: s.words })),
    ];
  });
  protected readonly stage = computed(() => this.stages().find((s) => s.key === this.asked()) ?? this.stages()[0] ?? null);
  protected readonly step = computed(() => this.stage()?.steps[Math.min(this.at(), this.stage()!.steps.length - 1)] ?? null);

  protected go(key: string): void {
    this.asked.set(key);
    this.at.set(0);
  }

  /** The settings of a schedule, then its cuts one after another. */
  private stepsOf(s: Schedule): Step[] {
    const unit = this.store.unit();
    const lathe = this.plan().lathe;
    const { cuts } = s;
    const named = cuts?.on === 'compound' ? 'compound to' : cuts?.on === 'cross' ? 'cross slide to' : 'down to';
    return [
      ...s.settings.map(({ figure, on }): Step => {
        const length = figure.measure === 'length';
        const value = length ? this.show(figure.value) : showValue(figure, unit);
        return { what: figure.label, value, unit: length ? unit : '', dial: onDial({ figure, on }, lathe) };
      }),
      ...(cuts && cuts.toMm.length > 1
        ? cuts.toMm.map((mm, i): Step => ({
            what: `Cut ${i + 1} of ${cuts.toMm.length}, ${named}`,
            value: this.show(mm),
            unit,
            dial: cuts.on === 'cross' ? `${onCross(mm, lathe)} ${lathe.cross.unit}` : '',
          }))
        : []),
    ];
  }

  private show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }
}
