import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { dayWords, parseDay, type Leaning } from '@iron-patch/core';
import { NzDatePickerModule } from 'ng-zorro-antd/date-picker';
import { NzInputModule } from 'ng-zorro-antd/input';
import { ShopClock } from '../data';
import { FIELD_STYLES } from './field-styles';
import { FormField } from './form-field';
import { UNREADABLE } from './problem-validator';

const pad = (n: number): string => String(n).padStart(2, '0');

/**
 * A day, typed as people write it or taken from the calendar beside it; what it holds is `2026-12-04`, or null for none. Typed first: days
 * of a calendar cannot be reached by keys.
 */
@Component({
  selector: 'ip-date',
  imports: [FormsModule, NzInputModule, NzDatePickerModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(keydown.escape)': 'shut($event)' },
  template: `
    <label [for]="id" [class.must]="required()">{{ label() }}</label>
    <span class="box">
      <input
        nz-input
        autocomplete="off"
        [placeholder]="placeholder()"
        [id]="id"
        [name]="name()"
        [value]="text()"
        [attr.data-field]="where()"
        [attr.aria-required]="required() || null"
        [attr.aria-invalid]="bad()"
        [attr.aria-describedby]="id + '-said'"
        (input)="typed($event)"
        (blur)="left()"
      />
      <button type="button" [attr.aria-label]="'Calendar for ' + label()" [attr.aria-expanded]="open()" (click)="open.set(!open())">
        <svg viewBox="0 0 20 20" width="20" height="20" aria-hidden="true">
          <path d="M3 5h14v12H3zM3 9h14M7 2v4M13 2v4M7 12h1M12 12h1" fill="none" stroke="currentColor" stroke-width="1.6" />
        </svg>
      </button>
    </span>
    @if (open()) {
      <div class="calendar">
        <nz-date-picker
          nzInline
          [nzShowToday]="true"
          [ngModelOptions]="{ standalone: true }"
          [ngModel]="date()"
          (ngModelChange)="picked($event)"
        />
      </div>
    }
    <p class="problem" [id]="id + '-said'" aria-live="polite">{{ problem() }}</p>
  `,
  styles: [
    FIELD_STYLES,
    `
      :host {
        position: relative;
      }
      .box {
        display: flex;
      }
      .box input {
        border-right: 0;
        flex: 1;
        min-width: 0;
      }
      .box button {
        border-color: var(--edge);
        padding: 0 12px;
        line-height: 0;
      }
      .calendar {
        position: absolute;
        z-index: 5;
        right: 0;
        background: var(--sheet);
        border: 1px solid var(--quiet);
      }
    `,
  ],
})
export class DateField extends FormField<string | null> {
  private readonly clock = inject(ShopClock);
  /** Which way a day without a year lies. */
  readonly leaning = input<Leaning>('to-come');
  /** What stands there while no day is given. */
  readonly placeholder = input('no date');
  protected readonly open = signal(false);
  protected readonly text = signal('');
  /** Why what stands there is no day; a form with one is not saved. */
  private unread = '';
  private lastGiven: string | null | undefined;
  protected readonly date = computed(() => {
    const day = this.held();
    return day ? new Date(`${day}T12:00:00`) : null;
  });

  constructor() {
    super();
    effect(() => {
      const day = this.held() ?? null;
      untracked(() => day !== this.lastGiven && this.write(day));
    });
  }

  override ngAfterContentInit(): void {
    super.ngAfterContentInit();
    this.own(() => (this.unread ? { [UNREADABLE]: this.unread } : null));
  }

  protected typed(event: Event): void {
    const text = (event.target as HTMLInputElement).value;
    this.text.set(text);
    this.control?.markAsDirty();
    if (text.trim() === '') return this.give(null);
    const parsed = parseDay(text, this.clock.today(), this.leaning());
    if (parsed.ok) return this.give(parsed.value);
    this.unread = parsed.problems[0]!.message;
    this.lookAgain();
  }

  /** What was understood is written out, so that it can be seen; half a date is told off only now. */
  protected left(): void {
    this.leave();
    if (!this.unread) this.write(this.held() ?? null);
  }

  protected picked(date: Date | null): void {
    this.open.set(false);
    const day = date && `${date.getFullYear()}-${pad(date.getMonth() + 1)}-${pad(date.getDate())}`;
    this.give(day);
    this.write(day);
  }

  protected shut(event: Event): void {
    if (!this.open()) return;
    event.stopPropagation();
    this.open.set(false);
  }

  private give(day: string | null): void {
    this.unread = '';
    this.lastGiven = day;
    this.hand(day);
  }

  private write(day: string | null): void {
    this.lastGiven = day;
    this.text.set(dayWords(day, 'whole'));
    if (!this.unread) return;
    this.unread = '';
    this.lookAgain();
  }
}
