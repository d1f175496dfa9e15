import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLength, otherUnit, showValue, type Figure } from '@iron-patch/core';
import { StateMark } from '../mark';
import { SheetStore } from '../sheet-data';

/** A number that says where it came from: touch it and the Working column tells. */
@Component({
  selector: 'ip-figure',
  imports: [StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" class="fig" [class.on]="chosen()" (click)="store.show(figure())">
      <span class="sr-only">{{ figure().label }}: </span>
      <span [style.font-size.px]="size()" [style.font-weight]="strong() ? 700 : 400">{{ text() }}</span>
      @if (withOther()) {
        <small>{{ other() }}</small>
      }
      @if (doubts(); as d) {
        <span class="doubt" [title]="d"
          ><ip-state state="close" [size]="13" /><span class="sr-only">, in doubt: {{ d }}</span></span
        >
      }
      <span class="sr-only">, show its working</span>
    </button>
  `,
  styles: `
    :host {
      margin: 0 4px;
    }
    button {
      all: unset;
      cursor: pointer;
      font-family: var(--figures);
      display: inline-flex;
      gap: 8px;
      align-items: baseline;
      border-bottom: 1px dotted var(--quiet);
    }
    button:focus-visible {
      outline: 3px solid var(--accent);
      outline-offset: 2px;
    }
    button.on {
      background: var(--accent-soft);
      border-bottom: 2px solid var(--accent);
    }
    .doubt {
      align-self: center;
      line-height: 0;
    }
    small {
      font: 400 14px var(--figures);
      color: var(--quiet);
    }
  `,
})
export class FigureButton {
  protected readonly store = inject(SheetStore);
  readonly figure = input.required<Figure>();
  readonly size = input(16);
  readonly strong = input(false);
  readonly withOther = input(false);
  /** To the whole, where more would only look sure; its working has the rest. */
  readonly whole = input(false);
  protected readonly text = computed(() => {
    const f = this.figure();
    if (this.whole()) return String(Math.round(f.value));
    return f.measure === 'length' ? formatLength(f.value, this.store.unit()) : showValue(f, this.store.unit());
  });
  protected readonly other = computed(() => {
    const unit = otherUnit(this.store.unit());
    return `${formatLength(this.figure().value, unit)} ${unit}`;
  });
  /** What it rests on that is in doubt, such as an overdue instrument; empty for nothing. */
  protected readonly doubts = computed(() => (this.figure().flags ?? []).join('; '));
  protected readonly chosen = computed(() => this.store.figure()?.key === this.figure().key);
}
