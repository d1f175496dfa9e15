import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { FIELD_STYLES } from '../form/field-styles';
import { newId } from '../data';

/** A line for a name or a secret; a secret can be shown while it is typed. */
@Component({
  selector: 'ip-secret',
  imports: [NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ label() }}</label>
    <span class="line">
      <input
        nz-input
        [id]="id"
        [name]="name()"
        [type]="type()"
        [autocomplete]="complete()"
        [attr.inputmode]="digits() ? 'numeric' : null"
        [class.fig]="digits()"
        [value]="value()"
        [attr.aria-invalid]="problem() ? 'true' : null"
        [attr.aria-describedby]="id + '-said'"
        autocapitalize="none"
        spellcheck="false"
        (input)="typed.emit($any($event.target).value)"
      />
      @if (secret()) {
        <button type="button" class="plain" [attr.aria-pressed]="shown()" (click)="shown.set(!shown())">
          {{ shown() ? 'Hide' : 'Show' }}<span class="sr-only"> {{ label() }}</span>
        </button>
      }
    </span>
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ problem() }}</p>
  `,
  styles: [FIELD_STYLES, '.line { display: flex; gap: 4px; } input { min-height: 52px; font-size: 20px; }'],
})
export class SecretField {
  readonly label = input.required<string>();
  readonly name = input.required<string>();
  readonly value = input('');
  readonly secret = input(true);
  readonly digits = input(false);
  /** What a keeper of passwords is told that it is. */
  readonly complete = input('off');
  readonly problem = input('');
  readonly typed = output<string>();
  protected readonly id = `secret-${newId()}`;
  protected readonly shown = signal(false);
  protected readonly type = computed(() => (this.secret() && !this.shown() ? 'password' : 'text'));
}
