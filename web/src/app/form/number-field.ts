import { ChangeDetectionStrategy, Component, effect, inject, input, signal, untracked } from '@angular/core';
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
    <label [for]="id" [class.must]="required()">{{ label() }}</label>
    <input
      nz-input
      class="fig"
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
  protected readonly text = signal('');
  private readonly unread = signal('');
  private lastGiven: number | null | undefined;
  protected readonly wrong = (): string => this.unread() || this.problem();

  constructor() {
    super();
    effect(() => {
      const value = this.held() ?? null;
      untracked(() => {
        if (value === this.lastGiven || (value === null && this.unread())) return;
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
    if (text.trim() !== '' && !parsed.ok) return this.setUnread(parsed.problems[0]!.message);
    this.unread.set('');
    this.lastGiven = parsed.ok ? parsed.value.value : null;
    this.hand(this.lastGiven);
  }

  private setUnread(message: string): void {
    if (message === this.unread()) return;
    this.unread.set(message);
    if (message) this.control?.markAsDirty();
    this.lookAgain();
  }
}
