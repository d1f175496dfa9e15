import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Problem } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';

let counter = 0;

/** A labelled line or paragraph of text, with what is wrong with it below. */
@Component({
  selector: 'ip-text',
  imports: [NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ label() }}</label>
    @if (rows() > 0) {
      <textarea
        nz-input
        [rows]="rows()"
        [id]="id"
        [name]="name()"
        [value]="value()"
        [attr.aria-invalid]="problem() ? 'true' : null"
        [attr.aria-describedby]="id + '-said'"
        (input)="typed($event)"
      ></textarea>
    } @else {
      <input
        nz-input
        autocomplete="off"
        [id]="id"
        [name]="name()"
        [value]="value()"
        [placeholder]="placeholder()"
        [attr.list]="list() || null"
        [attr.inputmode]="inputmode()"
        [attr.aria-invalid]="problem() ? 'true' : null"
        [attr.aria-describedby]="id + '-said'"
        (input)="typed($event)"
      />
    }
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ problem() }}</p>
  `,
  styles: ':host { display: block; } label { display: block; font-size: 15px; margin-bottom: 2px; } .problem:empty { display: none; }',
})
export class TextField {
  protected readonly id = `text-${++counter}`;
  readonly label = input.required<string>();
  readonly name = input.required<string>();
  readonly value = input.required<string>();
  /** 0 for one line. */
  readonly rows = input(0);
  readonly placeholder = input('');
  readonly inputmode = input<'text' | 'numeric' | 'decimal'>('text');
  /** Id of a datalist to choose from while typing. */
  readonly list = input('');
  readonly path = input('');
  readonly problems = input<readonly Problem[]>([]);
  readonly valueChange = output<string>();
  protected readonly problem = computed(() => this.problems().find((p) => p.path === this.path())?.message ?? '');

  protected typed(event: Event): void {
    this.valueChange.emit((event.target as HTMLInputElement | HTMLTextAreaElement).value);
  }
}
