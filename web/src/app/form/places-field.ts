import { ChangeDetectionStrategy, Component, effect, inject, input, output, signal, untracked } from '@angular/core';
import { formatPlace, fromUnit, parseNumberList, type LengthUnit } from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { DecimalMarks } from '../data/decimal-marks';
import { FIELD_STYLES } from './field-styles';
import { FormField } from './form-field';
import { UNREADABLE } from './problem-validator';

const same = (p: readonly number[], q: readonly number[] | undefined): boolean => q?.length === p.length && p.every((x, i) => x === q[i]);

/** A list of numbers, `20, 40, 60`: of places along a part, which it holds in mm, or of plain ones where no unit is said. */
@Component({
  selector: 'ip-places',
  imports: [NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id">{{ unit() ? label() + ', ' + unit() : label() }}</label>
    <input
      nz-input
      class="fig"
      autocomplete="off"
      [id]="id"
      [name]="name()"
      [value]="text()"
      [placeholder]="placeholder()"
      [attr.data-field]="where()"
      [attr.aria-invalid]="wrong() ? 'true' : null"
      [attr.aria-describedby]="id + '-said'"
      (input)="typed($event)"
      (blur)="leave()"
    />
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ wrong() }}</p>
  `,
  styles: FIELD_STYLES,
})
export class PlacesField extends FormField<readonly number[]> {
  private readonly marks = inject(DecimalMarks);
  readonly unit = input<LengthUnit | null>(null);
  readonly placeholder = input('');
  readonly placesChange = output();
  protected readonly text = signal('');
  private readonly unread = signal('');
  private lastGiven: readonly number[] | undefined;
  protected readonly wrong = (): string => this.unread() || this.problem();

  constructor() {
    super();
    effect(() => {
      const value = this.held() ?? [];
      const unit = this.unit();
      untracked(() => {
        if (same(value, this.lastGiven)) return;
        this.lastGiven = value;
        this.text.set(value.map((v) => (unit ? formatPlace(v, unit) : String(v))).join(', '));
        this.unread.set('');
      });
    });
  }

  override ngAfterContentInit(): void {
    super.ngAfterContentInit();
    this.own(() => (this.unread() ? { [UNREADABLE]: this.unread() } : null));
  }

  protected typed(event: Event): void {
    const text = this.marks.typed(event);
    this.text.set(text);
    const parsed = parseNumberList(text);
    this.unread.set(parsed.ok ? '' : parsed.problems[0]!.message);
    if (!parsed.ok) {
      this.control?.markAsDirty();
      return this.lookAgain();
    }
    this.lastGiven = parsed.value.map((v) => this.inMm(v));
    this.hand(this.lastGiven);
    this.placesChange.emit();
  }

  private inMm(v: number): number {
    const unit = this.unit();
    return unit ? fromUnit(v, unit) : v;
  }
}
