import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Problem } from '@iron-patch/core';

let counter = 0;

/**
 * A label, its control, and what is wrong with it. The control inside takes `[id]="f.id"`, `[attr.aria-invalid]="f.bad()"` and
 * `[attr.aria-describedby]="f.id + '-said'"` from the template reference `#f`.
 */
@Component({
  selector: 'ip-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ label() }}</label>
    <ng-content />
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ problem() }}</p>
  `,
  styles: `
    :host {
      display: block;
    }
    label {
      display: block;
      font-size: 15px;
      margin-bottom: 2px;
    }
    .problem:empty {
      display: none;
    }
  `,
})
export class Field {
  readonly id = `field-${++counter}`;
  readonly label = input.required<string>();
  readonly path = input('');
  readonly problems = input<readonly Problem[]>([]);
  readonly problem = computed(() => this.problems().find((p) => p.path === this.path())?.message ?? '');
  readonly bad = computed(() => (this.problem() ? 'true' : null));
}
