import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import { choiceKey, orderSizes, SOFT_KINDS, softParts, type Item, type SoftKind, type SoftPartChoice } from '@iron-patch/core';
import { newId } from '../../data';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';
import { ChooseField, FormFrame, inValue, LengthInput, NumberField, RecordForm, TextField, type Option } from '../../form';

const KIND_WORDS: Readonly<Record<SoftKind, string>> = {
  'o-ring': 'O-ring',
  'lip-seal': 'Lip seal',
  wiper: 'Wiper',
  gasket: 'Gasket',
  'retaining-ring': 'Retaining ring',
  'split-pin': 'Split pin',
  bolt: 'Bolt or screw',
  bearing: 'Bearing',
  other: 'Other',
};
/** What is measured of the old one to find its size in the tables, by kind. */
const ASKS: Readonly<Record<SoftKind, readonly [first: string, second: string]>> = {
  'o-ring': ['Inside', 'Section'],
  'lip-seal': ['Shaft', 'Housing'],
  wiper: ['Rod', 'Housing'],
  gasket: ['', ''],
  'retaining-ring': ['Shaft', 'Bore'],
  'split-pin': ['Bolt or pin', ''],
  bolt: ['Over the thread', 'Pitch'],
  bearing: ['Bore', 'Outside'],
  other: ['', ''],
};

/** One more for the list as its form has it, with what was measured of the old one. */
interface OrderFields {
  readonly what: SoftKind;
  readonly componentId: string | null;
  readonly first: number | null;
  readonly second: number | null;
  readonly size: string;
  readonly count: number | null;
}
const NOTHING: OrderFields = { what: 'o-ring', componentId: null, first: null, second: null, size: '', count: 1 };
const SCHEMA = choiceInput(choiceKey.soft('any'))!;
const softOf = ({ what, componentId, size, count }: OrderFields): unknown => ({
  ...{ componentId, what, size, count },
  ordered: false,
  removed: false,
});

/** Soft parts and fasteners that are replaced, each by the size under which it is ordered. */
@Component({
  selector: 'ip-to-order',
  imports: [ChooseField, FormFrame, LengthInput, NumberField, ReactiveFormsModule, StateMark, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (items().length) {
      <table class="plain">
        <thead>
          <tr>
            <th>What</th>
            <th>Size to order</th>
            <th class="num">how many</th>
            <th>Belongs to</th>
            <th>Ordered</th>
            <th><span class="sr-only">Remove</span></th>
          </tr>
        </thead>
        <tbody>
          @for (i of items(); track i.id) {
            <tr>
              <td>
                <b>{{ kinds[i.value.what] }}</b>
              </td>
              <td class="fig">{{ i.value.size }}</td>
              <td class="num">{{ i.value.count }}</td>
              <td>{{ nameOf(i.value.componentId) }}</td>
              <td>
                <button type="button" class="plain" (click)="put(i, { ordered: !i.value.ordered })">
                  <ip-state [state]="i.value.ordered ? 'fits' : 'unknown'" [size]="15" /> {{ i.value.ordered ? 'ordered' : 'not yet' }}
                </button>
              </td>
              <td class="right">
                <button type="button" class="plain" [attr.aria-label]="'Remove ' + i.value.size" (click)="put(i, { removed: true })">
                  Remove
                </button>
              </td>
            </tr>
          }
        </tbody>
      </table>
    } @else {
      <p class="quiet">Nothing yet. Whatever soft was disturbed is replaced: list it with its size before it is thrown away.</p>
    }
    <form ip-form [formGroup]="form.group" [of]="form" save="Put on the list" [closable]="false" [next]="false">
      <div class="grid4">
        <ip-choose label="What" name="softKind" [options]="options" formControlName="what" />
        @if (asks()[0]) {
          <ip-length [label]="asks()[0] + ', measured'" [unit]="store.unit()" [optional]="true" formControlName="first" />
        }
        @if (asks()[1]) {
          <ip-length [label]="asks()[1] + ', measured'" [unit]="store.unit()" [optional]="true" formControlName="second" />
        }
        <ip-choose label="Belongs to" name="softOf" [options]="components()" [orNull]="true" formControlName="componentId" />
      </div>
      @if (sizes().length) {
        <div class="row" role="group" aria-label="Sizes from the tables">
          @for (s of sizes(); track s.name) {
            <button
              type="button"
              class="size"
              [attr.aria-pressed]="form.value().size === s.name"
              [class.on]="form.value().size === s.name"
              (click)="form.set({ size: s.name })"
            >
              <b>{{ s.name }}</b> {{ s.words }}
            </button>
          }
        </div>
      }
      <div class="grid4">
        <ip-text label="Size to order" name="softSize" formControlName="size" />
        <ip-number label="How many" name="softCount" formControlName="count" />
      </div>
    </form>
  `,
  styles: `
    :host {
      display: grid;
      gap: 14px;
    }
    .size {
      color: var(--ink);
      border-color: var(--hairline);
      font: 400 15px var(--label);
    }
    .size b {
      font-family: var(--figures);
    }
    .size.on {
      background: var(--blue-soft);
      border: 2px solid var(--blue);
    }
    .right {
      text-align: right;
    }
    td {
      vertical-align: middle !important;
    }
  `,
})
export class ToOrder {
  protected readonly store = inject(SheetStore);
  protected readonly kinds = KIND_WORDS;
  protected readonly options: readonly Option[] = SOFT_KINDS.map((k) => [k, KIND_WORDS[k]] as const);
  protected readonly items = computed(() => {
    const sheet = this.store.sheet();
    return sheet ? softParts(sheet) : [];
  });
  protected readonly components = computed<readonly Option[]>(() => [
    ['', 'the whole thing'],
    ...(this.store.sheet()?.components ?? []).map((c) => [c.id, c.name] as const),
  ]);
  private readonly key = signal(newId());
  protected readonly form = new RecordForm<OrderFields>({
    keptAs: () => `to-order:${this.store.sheet()!.job.id}`,
    start: NOTHING,
    check: (v) => inValue(check(SCHEMA, { value: softOf(v), reason: '' })),
    rests: { key: this.key },
    save: (v) => this.store.putChoice(choiceKey.soft(this.key()), 'the list', softOf(v)),
    next: ({ what, componentId }) => {
      this.key.set(newId());
      return { ...NOTHING, what, componentId };
    },
  });
  protected readonly asks = computed(() => ASKS[this.form.value().what]);
  protected readonly sizes = computed(() => {
    const { what, first, second } = this.form.value();
    return orderSizes(what, first, second, this.store.unit());
  });

  constructor() {
    // What was measured of one kind says nothing of another.
    const { what } = this.form.group.controls;
    let before: SoftKind = NOTHING.what;
    what!.valueChanges.pipe(takeUntilDestroyed()).subscribe((now: SoftKind) => {
      if (now !== before) this.form.set({ first: null, second: null, size: '' });
      before = now;
    });
  }

  protected nameOf(id: string | null): string {
    return this.store.sheet()?.components.find((c) => c.id === id)?.name ?? '–';
  }

  protected put(i: Item<SoftPartChoice>, change: Partial<SoftPartChoice>): void {
    void this.store.putChoice(i.key, i.value.size, { ...i.value, ...change }).catch(this.store.bug);
  }
}
