import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal, untracked } from '@angular/core';
import { parseSignedNumber } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { DecimalMarks } from '../data/decimal-marks';
import { FIELD_STYLES } from './field-styles';
import { FormField } from './form-field';
import { UNREADABLE } from './problem-validator';

/** A plain number of a form, with a decimal point or comma; null when it is empty. What cannot be read is told and not passed on. */
@Component({
  selector: 'ip-number',
  imports: [NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (label()) {
      <label [for]="id" [class.must]="required()">{{ label() }}</label>
    }
    <input
      nz-input
      class="fig"
      [attr.aria-label]="label() ? null : spoken()"
      inputmode="decimal"
      autocomplete="off"
      [id]="id"
      [name]="name()"
      [value]="text()"
      [placeholder]="placeholder()"
      [attr.data-field]="where()"
      [attr.aria-required]="required() || null"
      [attr.aria-invalid]="wrong() ? 'true' : null"
      [attr.aria-describedby]="id + '-said'"
      (input)="typed($event)"
      (blur)="leave()"
    />
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ wrong() }}</p>
  `,
  styles: FIELD_STYLES,
})
export class NumberField extends FormField<number | null> {
  private readonly marks = inject(DecimalMarks);
  readonly placeholder = input('');
  /** Read out where no label is shown. */
  readonly spoken = input('');
  readonly value = input<number | null>(null);
  /** What cannot be read is handed on as NaN, which no check lets pass. */
  readonly valueChange = output<number | null>();
  protected readonly text = signal('');
  private readonly unread = signal('');
  private lastGiven: number | null | undefined;
  private readonly now = computed(() => (this.inForm() ? (this.held() ?? null) : this.value()));
  protected readonly wrong = (): string => this.unread() || this.problem();

  constructor() {
    super();
    effect(() => {
      const value = this.now();
      untracked(() => {
        if (Object.is(value, this.lastGiven) || (value === null && this.unread())) return;
        this.lastGiven = value;
        this.text.set(value === null ? '' : String(value));
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
    const parsed = parseSignedNumber(text);
    const unreadable = text.trim() !== '' && !parsed.ok;
    if (unreadable) {
      this.setUnread(parsed.problems[0]!.message);
      if (this.inForm()) return;
    } else this.unread.set('');
    this.lastGiven = parsed.ok ? parsed.value.value : unreadable ? NaN : null;
    this.hand(this.lastGiven);
    this.valueChange.emit(this.lastGiven);
  }

  private setUnread(message: string): void {
    if (message === this.unread()) return;
    this.unread.set(message);
    if (message) this.control?.markAsDirty();
    this.lookAgain();
  }
}
