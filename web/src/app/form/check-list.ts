import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import type { Option } from './choose-field';
import { FormField } from './form-field';

/** Any number of several, each with its box; the form holds those that are ticked. */
@Component({
  selector: 'ip-checks',
  imports: [FormsModule, NzCheckboxModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset [attr.data-field]="where()" [attr.aria-describedby]="id + '-said'">
      <legend>{{ label() }}</legend>
      @for (o of options(); track o[0]) {
        <label
          nz-checkbox
          [name]="name() + '-' + o[0]"
          [ngModelOptions]="{ standalone: true }"
          [ngModel]="held()?.includes(o[0])"
          (ngModelChange)="tick(o[0], $event)"
          >{{ o[1] }}</label
        >
      }
    </fieldset>
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ problem() }}</p>
  `,
  styles:
    'fieldset { border: 0; padding: 0; margin: 0; display: flex; flex-wrap: wrap; gap: 0 18px; } legend { font: 600 15px var(--label); padding: 0; margin-bottom: 2px; } label { min-height: 40px; display: inline-flex; align-items: center; margin: 0; font: 400 16px var(--text); } .problem:empty { display: none; }',
})
export class CheckList extends FormField<readonly string[]> {
  readonly options = input.required<readonly Option[]>();
  readonly checksChange = output();

  protected tick(value: string, on: boolean): void {
    const before = this.held() ?? [];
    this.hand(on ? [...before, value] : before.filter((v) => v !== value));
    this.checksChange.emit();
  }
}
