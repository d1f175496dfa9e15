import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, untracked } from '@angular/core';
import {
  formatLength,
  otherUnit,
  parseLength,
  showValue,
  type Figure,
  type LengthUnit,
  type Outcome,
  type Problem,
} from '@iron-patch/core';
import {
  findThread,
  startText,
  sumInWords,
  textInUnit,
  workSum,
  type Sum,
  type SumField,
  type SumResult,
  type SumTable,
} from '@iron-patch/core/sums';
import { OpenJob, ShopStore, SumsDesk } from '../data';
import { StateMark } from '../mark';
import { ChooseField, TextField } from '../form';
import { SendToJob } from './send-to-job';
import { TakeMetal } from './take-metal';
import { SumPicture } from './sum-picture';

const ROW = 'row';

/** One bench calculation: what it asks on the left with its picture, what it says on the right with the working in words. */
@Component({
  selector: 'ip-sum-bench',
  imports: [ChooseField, TextField, SumPicture, SendToJob, TakeMetal, StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './sum-bench.html',
  styleUrl: './sum-bench.less',
})
export class SumBench {
  private readonly shop = inject(ShopStore);
  private readonly open = inject(OpenJob);
  private readonly desk = inject(SumsDesk);
  readonly sum = input.required<Sum>();
  protected readonly unit = computed<LengthUnit>(() => this.open.unit());
  protected readonly fields = computed(() => this.sum().fields(this.shop.shop()));
  /** The row of a table is picked in the table. */
  protected readonly shown = computed(() => this.fields().filter((f) => f.id !== ROW));
  private readonly kept = computed(() => this.desk.typed()[this.sum().id]);
  /** What stands in each field: what was typed here before, or where the sum starts. */
  protected readonly texts = computed<Readonly<Record<string, string>>>(() => {
    const typed = this.kept();
    const unit = this.unit();
    return Object.fromEntries(
      this.fields().map((f) => {
        const own = typed?.texts[f.id];
        return [f.id, own === undefined ? startText(f, unit) : textInUnit(f, own, typed!.unit, unit)];
      }),
    );
  });
  private readonly outcome = computed(() => workSum(this.sum(), this.texts(), this.shop.shop(), this.unit()));
  protected readonly problems = computed<readonly Problem[]>(() => {
    const o = this.outcome();
    return o.ok ? [] : o.problems;
  });
  /** Problems that belong to no single field. */
  protected readonly loose = computed(() => this.problems().filter((p) => !this.fields().some((f) => f.id === p.path)));
  /** The last good result of this sum stays while a number is being typed. */
  private readonly lastGood = linkedSignal<{ id: string; outcome: Outcome<SumResult> }, { id: string; result: SumResult | null }>({
    source: () => ({ id: this.sum().id, outcome: this.outcome() }),
    computation: ({ id, outcome }, before) => ({
      id,
      result: outcome.ok ? outcome.value : before?.value.id === id ? before.value.result : null,
    }),
  });
  protected readonly result = computed(() => this.lastGood().result);
  protected readonly words = computed(() => {
    const r = this.result();
    return r ? sumInWords(this.sum(), r, this.unit()) : '';
  });

  constructor() {
    // The unit of what was typed is kept with it, so that a switch rewrites and never reinterprets.
    effect(() => {
      const unit = this.unit();
      const typed = this.kept();
      if (typed && typed.unit !== unit) untracked(() => this.desk.type(this.sum().id, { unit, texts: this.texts() }));
    });
  }

  protected type(id: string, text: string): void {
    // Another size has other rows: the first is worked again until one is chosen.
    const row: Record<string, string> = id === ROW ? {} : { [ROW]: '1' };
    this.desk.type(this.sum().id, { unit: this.unit(), texts: { ...this.texts(), ...row, [id]: text } });
  }

  protected pick(t: SumTable, at: number): void {
    if (t.chosen) this.type(t.chosen.field, String(at + 1));
  }

  protected unitOf(f: SumField): string {
    return f.kind === 'length' || f.kind === 'lengths' ? this.unit() : f.kind === 'number' ? f.unit : '';
  }

  protected label(f: SumField): string {
    const unit = this.unitOf(f);
    return unit ? `${f.label}, ${unit}` : f.label;
  }

  /** Under a field: the size in the other unit, or the thread that was understood. */
  protected echo(f: SumField): string {
    const text = this.texts()[f.id] ?? '';
    if (f.kind === 'length') {
      const parsed = parseLength(text, { unit: this.unit(), allowNegative: true, allowZero: true });
      const other = otherUnit(this.unit());
      return parsed.ok ? `${formatLength(parsed.value.valueMm, other)} ${other}` : '';
    }
    return f.kind === 'thread' ? (findThread(text)?.name ?? '') : '';
  }

  protected value(f: Figure): string {
    return f.measure === 'length' ? formatLength(f.value, this.unit()) : showValue(f, this.unit());
  }

  protected other(f: Figure): string {
    if (f.measure !== 'length') return '';
    const unit = otherUnit(this.unit());
    return `${formatLength(f.value, unit)} ${unit}`;
  }

  protected how({ origin }: Figure): string {
    switch (origin.kind) {
      case 'worked':
        return origin.how;
      case 'sum':
        return origin.terms
          .map(({ sign, figure }, i) => `${sign < 0 ? '- ' : i ? '+ ' : ''}${figure.label} ${this.value(figure)}`)
          .join(' ');
      case 'rule':
        return origin.rule;
      case 'table':
        return origin.source;
      case 'typed':
      case 'reading':
        return '';
    }
  }

  protected cell(c: string | number): string {
    return typeof c === 'string' ? c : formatLength(c, this.unit());
  }

  protected numeric(t: SumTable, column: number): boolean {
    return t.rows.some((r) => typeof r[column] === 'number');
  }
}
