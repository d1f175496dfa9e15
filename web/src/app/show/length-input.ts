import { ChangeDetectionStrategy, Component, computed, effect, input, output, signal, untracked } from '@angular/core';
import { formatLength, otherUnit, parseLength, type LengthUnit, type Problem } from '@iron-patch/core';

let counter = 0;

/**
 * A length as people type it, in either unit. What was typed stays as it was; the other unit is told beside it; a size that
 * cannot be read gets its reason and is not passed on.
 */
@Component({
  selector: 'ip-length',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (label()) {
      <label [for]="id">{{ label() }}</label>
    }
    <span class="box">
      <input
        class="text fig"
        inputmode="decimal"
        autocomplete="off"
        [id]="id"
        [value]="text()"
        [attr.aria-label]="label() ? null : spoken()"
        [attr.aria-invalid]="problem() ? 'true' : null"
        [attr.aria-describedby]="id + '-said'"
        (input)="typed($event)"
        (blur)="left()"
      />
      <span class="unit" aria-hidden="true">{{ unit() }}</span>
    </span>
    <p [id]="id + '-said'" [class.problem]="problem()" class="said-small">{{ problem() || other() }}</p>
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
    .box {
      position: relative;
      display: block;
    }
    input {
      padding-right: 38px;
    }
    .unit {
      position: absolute;
      right: 10px;
      top: 11px;
      color: var(--quiet);
      font-size: 15px;
      pointer-events: none;
    }
    .said-small {
      font-size: 14px;
      color: var(--quiet);
      min-height: 20px;
    }
    .said-small.problem {
      color: var(--out);
    }
  `,
})
export class LengthInput {
  protected readonly id = `length-${++counter}`;
  readonly label = input('');
  readonly spoken = input('Length');
  readonly mm = input.required<number | null>();
  readonly unit = input.required<LengthUnit>();
  readonly decimals = input<number | undefined>(undefined);
  readonly allowZero = input(true);
  readonly allowNegative = input(false);
  readonly optional = input(false);
  readonly path = input('');
  readonly problems = input<readonly Problem[]>([]);
  readonly mmChange = output<number | null>();
  protected readonly text = signal('');
  private readonly own = signal('');
  private lastGiven: number | null | undefined;
  protected readonly problem = computed(() => this.own() || (this.problems().find((p) => p.path === this.path())?.message ?? ''));
  protected readonly other = computed(() => {
    const mm = this.mm();
    if (mm === null || this.text() === '') return '';
    const unit = otherUnit(this.unit());
    return `${formatLength(mm, unit)} ${unit}`;
  });

  constructor() {
    effect(() => {
      const mm = this.mm();
      const unit = this.unit();
      untracked(() => {
        // What somebody just typed is not rewritten under the fingers.
        if (mm !== null && this.lastGiven === mm) return;
        this.lastGiven = mm;
        this.text.set(mm === null ? '' : trim(formatLength(mm, unit, this.decimals() ?? (unit === 'mm' ? 3 : 4))));
        this.own.set('');
      });
    });
  }

  protected typed(event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    this.text.set(text);
    if (text.trim() === '' && this.optional()) return this.give(null);
    const parsed = parseLength(text, { unit: this.unit(), allowZero: this.allowZero(), allowNegative: this.allowNegative() });
    this.own.set(parsed.ok ? '' : parsed.problems[0]!.message);
    if (parsed.ok) this.give(parsed.value.valueMm);
  }

  /** An emptied field takes its last good size back. */
  protected left(): void {
    if (this.text().trim() !== '' || this.optional()) return;
    const mm = this.mm();
    if (mm !== null) this.text.set(trim(formatLength(mm, this.unit(), this.decimals())));
    this.own.set('');
  }

  private give(mm: number | null): void {
    this.own.set('');
    this.lastGiven = mm;
    this.mmChange.emit(mm);
  }
}

const trim = (text: string): string => (text.includes('.') ? text.replace(/\.?0+$/, '') : text);
