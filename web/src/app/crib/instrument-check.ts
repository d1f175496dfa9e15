import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, instrumentCheckInput, routes } from '@iron-patch/contract';
import { formatLength, parseLength, type InstrumentRecord } from '@iron-patch/core';
import { Api, ApiProblem, newId, ShopStore } from '../data';
import { FormFrame, LengthInput, RecordForm, TextField } from '../form';

/** What is typed of a check; its unit is the instrument's. */
interface TypedCheck {
  readonly reference: string;
  readonly referenceMm: number | null;
  readonly text: string;
  readonly remark: string;
}

/** A check against a ring, a gauge block or a setting piece: logged for ever, and what it finds is taken off from then on. */
@Component({
  selector: 'ip-instrument-check',
  imports: [ReactiveFormsModule, FormFrame, TextField, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Log the check" (left)="closed.emit()">
      <div class="line">
        <ip-text label="Checked against" name="reference" placeholder="setting ring 25, gauge block" formControlName="reference" />
        <ip-length label="Its size" [unit]="instrument().unit" [decimals]="4" formControlName="referenceMm" />
        <ip-text label="It reads" name="checkReads" inputmode="decimal" formControlName="text" />
        <ip-text label="Remark" name="checkRemark" formControlName="remark" />
        <output class="fig" aria-label="It reads too big by">{{ off() }}</output>
      </div>
    </form>
  `,
  styles:
    '.line { display: grid; grid-template-columns: 1.4fr 1fr 1fr 1.2fr 120px; gap: 14px; align-items: start; } output { margin-top: 34px; font-weight: 700; } @media (max-width: 900px) { .line { grid-template-columns: 1fr 1fr; } output { margin-top: 0; } }',
})
export class InstrumentCheck {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  readonly instrument = input.required<InstrumentRecord>();
  readonly closed = output<void>();
  private readonly key = signal(newId());
  protected readonly form = new RecordForm<TypedCheck>({
    keptAs: () => `check:${this.instrument().id}`,
    start: { reference: '', referenceMm: null, text: '', remark: '' },
    // Whether it may be stored does not hang on the unit, which is told only once the form is made.
    check: (v) => check(instrumentCheckInput, { ...v, unit: 'mm' }),
    rests: { key: this.key },
    save: async (v) => {
      await this.log(v);
      await this.shop.load();
      return true;
    },
    close: () => this.closed.emit(),
  });
  /** What it reads too big, as soon as both are typed. */
  protected readonly off = computed(() => {
    const { unit } = this.instrument();
    const { text, referenceMm } = this.form.value();
    const parsed = parseLength(text, { unit });
    if (!parsed.ok || referenceMm === null) return '';
    const mm = parsed.value.valueMm - referenceMm;
    return `${mm >= 0 ? '+' : ''}${formatLength(mm, unit, unit === 'mm' ? 3 : 4)} ${unit}`;
  });

  /** What the server refuses is another check when it is changed. */
  private async log(v: TypedCheck): Promise<void> {
    try {
      await this.api.post(routes.instrumentChecks(this.instrument().id), { ...v, unit: this.instrument().unit }, this.key());
    } catch (e) {
      if (e instanceof ApiProblem) this.key.set(newId());
      throw e;
    }
  }
}
