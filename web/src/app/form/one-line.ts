import { ChangeDetectionStrategy, Component, inject, input, model, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { NzInputModule } from 'ng-zorro-antd/input';
import { DecimalMarks } from '../data/decimal-marks';

/** A record in one line, as a person writes it on a tag: what was understood stands below, what was not is told off only when it is put down. */
@Component({
  selector: 'ip-one-line',
  imports: [FormsModule, NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); put()">
      <label [for]="name()">{{ label() }}</label>
      <div class="row">
        <input
          nz-input
          class="fig"
          autocomplete="off"
          [id]="name()"
          [name]="name()"
          [placeholder]="example()"
          [attr.aria-invalid]="told() ? 'true' : null"
          [attr.aria-describedby]="name() + '-said'"
          [ngModel]="text()"
          (ngModelChange)="text.set(marks.read($event)); tried.set(false)"
        />
        <button type="submit" [class.next]="first()" [disabled]="busy() || !text().trim()">{{ act() }}</button>
      </div>
      <p [id]="name() + '-said'" aria-live="polite" [class.problem]="told()">{{ told() || understood() }}</p>
    </form>
  `,
  styles:
    '.row { flex-wrap: nowrap; } input { flex: 1; font-size: 18px; } label { font: 600 15px var(--label); } p { min-height: 24px; font-size: 16px; } button { white-space: nowrap; } @media (max-width: 480px) { .row { flex-wrap: wrap; } }',
})
export class OneLine {
  protected readonly marks = inject(DecimalMarks);
  /** Id of the field. */
  readonly name = input.required<string>();
  readonly label = input.required<string>();
  readonly act = input.required<string>();
  readonly example = input('');
  /** It is the one next thing here. */
  readonly first = input(false);
  readonly busy = input(false);
  /** What is wrong with what stands there, and what was understood of it. */
  readonly problem = input('');
  readonly understood = input('');
  readonly text = model.required<string>();
  /** What stands there is right and is wanted. */
  readonly wanted = output<void>();
  protected readonly tried = signal(false);
  protected readonly told = (): string => (this.tried() && this.text().trim() ? this.problem() : '');

  protected put(): void {
    this.tried.set(true);
    if (this.busy() || !this.text().trim() || this.problem()) return;
    this.tried.set(false);
    this.wanted.emit();
  }
}
