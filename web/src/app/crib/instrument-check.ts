import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { check, instrumentCheckInput, routes } from '@iron-patch/contract';
import { formatLength, parseLength, type InstrumentRecord, type Problem } from '@iron-patch/core';
import { Api, ApiProblem, keptDraft, newId, NO_ANSWER, ShopStore } from '../data';
import { DraftNote, LengthInput, TextField } from '../show';

/** A check against a ring, a gauge block or a setting piece: logged for ever, and what it finds is taken off from then on. */
@Component({
  selector: 'ip-instrument-check',
  imports: [TextField, LengthInput, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); save()" novalidate>
      <ip-draft-note [kept]="kept" />
      <ip-text
        label="Checked against"
        name="reference"
        placeholder="setting ring 25, gauge block"
        [value]="reference()"
        path="reference"
        [problems]="problems()"
        (valueChange)="reference.set($event)"
      />
      <ip-length
        label="Its size"
        [mm]="referenceMm()"
        [unit]="instrument().unit"
        [decimals]="4"
        [optional]="true"
        path="referenceMm"
        [problems]="problems()"
        (mmChange)="referenceMm.set($event)"
      />
      <ip-text
        label="It reads"
        name="checkReads"
        inputmode="decimal"
        [value]="text()"
        path="text"
        [problems]="problems()"
        (valueChange)="text.set($event)"
      />
      <ip-text
        label="Remark"
        name="checkRemark"
        [value]="remark()"
        path="remark"
        [problems]="problems()"
        (valueChange)="remark.set($event)"
      />
      <output class="fig">{{ off() }}</output>
      <button type="submit" class="next" [disabled]="busy()">Log the check</button>
    </form>
    @if (message()) {
      <p class="said bad" role="alert">{{ message() }}</p>
    }
  `,
  styles:
    'form { padding: 10px 0; display: grid; grid-template-columns: 1.4fr 1fr 1fr 1.2fr 120px auto; gap: 14px; align-items: start; } button { margin-top: 23px; } output { margin-top: 34px; font-weight: 700; }',
})
export class InstrumentCheck {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  readonly instrument = input.required<InstrumentRecord>();
  readonly closed = output<void>();
  protected readonly reference = signal('');
  protected readonly referenceMm = signal<number | null>(null);
  protected readonly text = signal('');
  protected readonly remark = signal('');
  protected readonly busy = signal(false);
  protected readonly message = signal('');
  private readonly attempted = signal(false);
  private readonly told = signal<readonly Problem[]>([]);
  private readonly key = signal(newId());
  protected readonly kept = keptDraft(() => `check:${this.instrument().id}`, {
    ...{ reference: this.reference, referenceMm: this.referenceMm, text: this.text, remark: this.remark, key: this.key },
  });
  private readonly input = computed(() => ({
    reference: this.reference(),
    referenceMm: this.referenceMm(),
    text: this.text(),
    unit: this.instrument().unit,
    remark: this.remark(),
  }));
  protected readonly problems = computed(() => {
    const checked = check(instrumentCheckInput, this.input());
    return this.attempted() ? [...(checked.ok ? [] : checked.problems), ...this.told()] : [];
  });
  /** What it reads too big, as soon as both are typed. */
  protected readonly off = computed(() => {
    const { unit } = this.instrument();
    const parsed = parseLength(this.text(), { unit });
    const reference = this.referenceMm();
    if (!parsed.ok || reference === null) return '';
    const mm = parsed.value.valueMm - reference;
    return `${mm >= 0 ? '+' : ''}${formatLength(mm, unit, unit === 'mm' ? 3 : 4)} ${unit}`;
  });

  protected async save(): Promise<void> {
    this.attempted.set(true);
    this.told.set([]);
    if (this.problems().length) return;
    this.busy.set(true);
    try {
      await this.api.post(routes.instrumentChecks(this.instrument().id), this.input(), this.key());
      this.kept.done();
      await this.shop.load();
      this.closed.emit();
    } catch (e) {
      this.message.set(e instanceof ApiProblem ? `${e.details.title} ${e.details.detail}` : NO_ANSWER);
      if (e instanceof ApiProblem) {
        this.told.set(e.details.problems ?? []);
        this.key.set(newId());
      }
    } finally {
      this.busy.set(false);
    }
  }
}
