import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzRadioModule } from 'ng-zorro-antd/radio';
import type { Option } from './choose-field';
import { FormField } from './form-field';

/** One of two or three, all in sight, one touch: a side, a unit, yes or no. */
@Component({
  selector: 'ip-pick',
  imports: [FormsModule, NzRadioModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="label" [id]="id + '-label'">{{ label() }}</span>
    <nz-radio-group
      class="pick"
      nzButtonStyle="solid"
      role="radiogroup"
      [attr.data-field]="where()"
      [attr.aria-labelledby]="id + '-label'"
      [nzName]="id"
      [ngModelOptions]="{ standalone: true }"
      [ngModel]="now()"
      (ngModelChange)="pick($event)"
    >
      @for (o of options(); track o[0]) {
        <label nz-radio-button [nzValue]="o[0]">{{ o[1] }}</label>
      }
    </nz-radio-group>
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ problem() }}</p>
  `,
  styles:
    ':host { display: block; } .label { display: block; font: 600 15px/1.4 var(--label); margin-bottom: 2px; } .pick { display: flex; } .pick label { flex: 0 1 auto; } .problem:empty { display: none; }',
})
export class PickField extends FormField<string> {
  readonly options = input.required<readonly Option[]>();
  readonly valueChange = output<string>();
  protected readonly now = computed(() => this.held() ?? '');

  protected pick(value: string): void {
    if (value === this.held()) return;
    this.hand(value);
    this.valueChange.emit(value);
  }
}
