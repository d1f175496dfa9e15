import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { DecimalMarks } from '../data/decimal-marks';
import { FIELD_STYLES } from './field-styles';
import { FormField } from './form-field';

/** A labelled line or paragraph of text, with what is wrong with it below. */
@Component({
  selector: 'ip-text',
  imports: [NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (label()) {
      <label [for]="id" [class.must]="required()">{{ label() }}</label>
    }
    @if (rows() > 0) {
      <textarea
        nz-input
        [rows]="rows()"
        [id]="id"
        [name]="name()"
        [value]="text()"
        [placeholder]="placeholder()"
        [attr.data-field]="where()"
        [attr.aria-required]="required() || null"
        [attr.aria-invalid]="bad()"
        [attr.aria-describedby]="id + '-said'"
        (input)="typed($event)"
        (blur)="leave()"
      ></textarea>
    } @else {
      <input
        nz-input
        autocomplete="off"
        [class.fig]="holdsFigures()"
        [id]="id"
        [name]="name()"
        [value]="text()"
        [placeholder]="placeholder()"
        [attr.list]="list() || null"
        [attr.aria-label]="label() ? null : spoken()"
        [attr.inputmode]="inputmode()"
        [attr.data-field]="where()"
        [attr.aria-required]="required() || null"
        [attr.aria-invalid]="bad()"
        [attr.aria-describedby]="id + '-said'"
        (input)="typed($event)"
        (blur)="leave()"
      />
    }
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ problem() }}</p>
  `,
  styles: FIELD_STYLES,
})
export class TextField extends FormField<string> {
  private readonly marks = inject(DecimalMarks);
  /** Read out where no label is shown. */
  readonly spoken = input('');
  readonly value = input<string>('');
  /** 0 for one line. */
  readonly rows = input(0);
  readonly placeholder = input('');
  readonly inputmode = input<'text' | 'numeric' | 'decimal'>('text');
  /** It holds figures, in whatever mark the shop writes. */
  readonly figures = input(false);
  /** Id of a datalist to choose from while typing. */
  readonly list = input('');
  readonly valueChange = output<string>();
  protected readonly holdsFigures = computed(() => this.figures() || this.inputmode() === 'decimal');
  protected readonly text = computed(() => (this.inForm() ? (this.held() ?? '') : this.value()));

  protected typed(event: Event): void {
    const text = this.holdsFigures() ? this.marks.typed(event) : (event.target as HTMLInputElement | HTMLTextAreaElement).value;
    this.hand(text);
    this.valueChange.emit(text);
  }
}
