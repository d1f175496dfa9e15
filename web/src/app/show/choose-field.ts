import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Problem } from '@iron-patch/core';

let counter = 0;

/** Something to choose: its stored word and how it is shown. */
export type Option = readonly [value: string, words: string];

/**
 * One of several, as the system's own list: big under a finger on a tablet, and read out by every screen reader.
 */
@Component({
  selector: 'ip-choose',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ label() }}</label>
    <select
      [id]="id"
      [name]="name()"
      [attr.aria-invalid]="problem() ? 'true' : null"
      [attr.aria-describedby]="id + '-said'"
      (change)="chosen($event)"
    >
      @for (o of options(); track o[0]) {
        <option [value]="o[0]" [selected]="o[0] === value()">{{ o[1] }}</option>
      }
    </select>
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ problem() }}</p>
  `,
  styles: ':host { display: block; } label { display: block; font-size: 15px; margin-bottom: 2px; } .problem:empty { display: none; }',
})
export class ChooseField {
  protected readonly id = `choose-${++counter}`;
  readonly label = input.required<string>();
  readonly name = input.required<string>();
  readonly value = input.required<string>();
  readonly options = input.required<readonly Option[]>();
  readonly path = input('');
  readonly problems = input<readonly Problem[]>([]);
  readonly valueChange = output<string>();
  protected readonly problem = computed(() => this.problems().find((p) => p.path === this.path())?.message ?? '');

  protected chosen(event: Event): void {
    this.valueChange.emit((event.target as HTMLSelectElement).value);
  }
}
