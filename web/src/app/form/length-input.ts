import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked } from '@angular/core';
import { formatLength, otherUnit, parseLength, type LengthUnit } from '@iron-patch/core';
import { DecimalMarks } from '../data/decimal-marks';
import { FIELD_STYLES } from './field-styles';
import { FormField } from './form-field';
import { UNREADABLE } from './problem-validator';

/**
 * A length as people type it, in either unit; what it holds is mm. What was typed stays as it was; the other unit is told beside it; a
 * size that cannot be read gets its reason and is not passed on.
 */
@Component({
  selector: 'ip-length',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (label()) {
      <label [for]="id" [class.must]="required()">{{ label() }}</label>
    }
    <span class="box">
      <input
        class="text fig"
        inputmode="decimal"
        autocomplete="off"
        [id]="id"
        [value]="text()"
        [attr.data-field]="where()"
        [attr.aria-label]="label() ? null : spoken()"
        [attr.aria-required]="required() || null"
        [attr.aria-invalid]="wrong() ? 'true' : null"
        [attr.aria-describedby]="id + '-said'"
        (input)="typed($event)"
        (blur)="left()"
      />
      <span class="unit" aria-hidden="true">{{ unit() }}</span>
    </span>
    <p [id]="id + '-said'" [class.problem]="wrong()" class="said-small">{{ wrong() || other() }}</p>
  `,
  styles: [
    FIELD_STYLES,
    `
      .box {
        position: relative;
        display: block;
      }
      input {
        padding-right: 38px;
      }
      .unit {
        position: absolute;
        right: 10px;
        top: 11px;
        color: var(--quiet);
        font-size: 15px;
        pointer-events: none;
      }
      .said-small {
        font-size: 14px;
        color: var(--quiet);
        min-height: 20px;
      }
      .said-small.problem {
        color: var(--out);
      }
    `,
  ],
})
export class LengthInput extends FormField<number | null> {
  private readonly marks = inject(DecimalMarks);
  readonly spoken = input('Length');
  readonly mm = input<number | null>(null);
  readonly unit = input.required<LengthUnit>();
  readonly decimals = input<number | undefined>(undefined);
  readonly allowZero = input(true);
  readonly allowNegative = input(false);
  readonly optional = input(false);
  readonly mmChange = output<number | null>();
  protected readonly text = signal('');
  private readonly unread = signal('');
  private readonly now = computed(() => (this.inForm() ? (this.held() ?? null) : this.mm()));
  private lastGiven: number | null | undefined;
  private lastUnit: LengthUnit | undefined;
  protected readonly wrong = computed(() => this.unread() || this.problem());
  protected readonly other = computed(() => {
    const mm = this.now();
    if (mm === null || this.text() === '') return '';
    const unit = otherUnit(this.unit());
    return `${formatLength(mm, unit)} ${unit}`;
  });

  constructor() {
    super();
    effect(() => {
      const mm = this.now();
      const unit = this.unit();
      untracked(() => {
        // What somebody just typed is not rewritten under the fingers.
        if (mm !== null && this.lastGiven === mm && (this.lastUnit === unit || !this.inForm())) return;
        if (mm === null && this.unread()) return;
        this.lastGiven = mm;
        this.lastUnit = unit;
        this.text.set(mm === null ? '' : trim(formatLength(mm, unit, this.decimals() ?? (unit === 'mm' ? 3 : 4))));
        this.setUnread('');
      });
    });
  }

  override ngAfterContentInit(): void {
    super.ngAfterContentInit();
    this.own(() => (this.unread() ? { [UNREADABLE]: this.unread() } : null));
  }

  protected typed(event: Event): void {
    const text = this.marks.typed(event);
    this.text.set(text);
    if (text.trim() === '' && (this.optional() || this.inForm())) return this.give(null);
    const parsed = parseLength(text, { unit: this.unit(), allowZero: this.allowZero(), allowNegative: this.allowNegative() });
    if (parsed.ok) this.give(parsed.value.valueMm);
    else this.setUnread(parsed.problems[0]!.message);
  }

  /** An emptied field that no form holds takes its last good size back. */
  protected left(): void {
    this.leave();
    if (this.text().trim() !== '' || this.optional() || this.inForm()) return;
    const mm = this.mm();
    if (mm !== null) this.text.set(trim(formatLength(mm, this.unit(), this.decimals())));
    this.setUnread('');
  }

  private give(mm: number | null): void {
    this.unread.set('');
    this.lastGiven = mm;
    this.lastUnit = this.unit();
    this.hand(mm);
    this.mmChange.emit(mm);
  }

  private setUnread(message: string): void {
    if (message === this.unread()) return;
    this.unread.set(message);
    if (message) this.control?.markAsDirty();
    this.lookAgain();
  }
}

const trim = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);
