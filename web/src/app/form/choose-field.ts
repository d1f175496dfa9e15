import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FIELD_STYLES } from './field-styles';
import { FormField } from './form-field';

/** Something to choose: its stored word and how it is shown. */
export type Option = readonly [value: string, words: string];

/**
 * One of several, as the system's own list: big under a finger on a tablet, and read out by every screen reader. In a form it holds null
 * where the word of what is chosen is empty and `empty` says so.
 */
@Component({
  selector: 'ip-choose',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (label()) {
      <label [for]="id">{{ label() }}</label>
    }
    <select
      [attr.aria-label]="label() ? null : spoken()"
      [id]="id"
      [name]="name()"
      [attr.data-field]="where()"
      [attr.aria-invalid]="bad()"
      [attr.aria-describedby]="id + '-said'"
      (change)="chosen($event)"
    >
      @for (o of options(); track o[0]) {
        <option [value]="o[0]" [selected]="o[0] === now()">{{ o[1] }}</option>
      }
    </select>
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ problem() }}</p>
  `,
  styles: FIELD_STYLES,
})
export class ChooseField extends FormField<string | null> {
  readonly options = input.required<readonly Option[]>();
  /** Read out where no label is shown. */
  readonly spoken = input('');
  readonly value = input<string>('');
  /** True where the empty choice is stored as null. */
  readonly orNull = input(false);
  readonly valueChange = output<string>();
  protected readonly now = computed(() => (this.inForm() ? (this.held() ?? '') : this.value()));

  protected chosen(event: Event): void {
    const value = (event.target as HTMLSelectElement).value;
    this.hand(value === '' && this.orNull() ? null : value);
    this.valueChange.emit(value);
  }
}
