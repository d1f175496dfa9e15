import { ChangeDetectionStrategy, Component } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { FormField } from './form-field';

/** Yes or no. */
@Component({
  selector: 'ip-check',
  imports: [FormsModule, NzCheckboxModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<label
    nz-checkbox
    [name]="name()"
    [attr.data-field]="where()"
    [ngModelOptions]="{ standalone: true }"
    [ngModel]="held() ?? false"
    (ngModelChange)="hand($event)"
    >{{ label() }}</label
  >`,
  styles: 'label { min-height: 44px; display: inline-flex; align-items: center; margin: 0; font: 400 16px var(--text); }',
})
export class CheckBox extends FormField<boolean> {}
