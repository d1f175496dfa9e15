import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { check, choiceInput } from '@iron-patch/contract';
import {
  choiceKey,
  orderSizes,
  SOFT_KINDS,
  softParts,
  type Item,
  type Problem,
  type SoftKind,
  type SoftPartChoice,
} from '@iron-patch/core';
import { keptDraft, newId } from '../../data';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';
import { ChooseField, DraftNote, LengthInput, type Option, TextField } from '../../form';

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

/** Soft parts and fasteners that are replaced, each by the size under which it is ordered. */
@Component({
  selector: 'ip-to-order',
  imports: [ChooseField, TextField, LengthInput, StateMark, DraftNote],
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
    <ip-draft-note [kept]="kept" />
    <form (submit)="$event.preventDefault(); add()" novalidate>
      <div class="grid4">
        <ip-choose label="What" name="softKind" [options]="options" [value]="kind()" (valueChange)="setKind($event)" />
        @if (asks()[0]) {
          <ip-length
            [label]="asks()[0] + ', measured'"
            [mm]="first()"
            [unit]="store.unit()"
            [optional]="true"
            (mmChange)="first.set($event)"
          />
        }
        @if (asks()[1]) {
          <ip-length
            [label]="asks()[1] + ', measured'"
            [mm]="second()"
            [unit]="store.unit()"
            [optional]="true"
            (mmChange)="second.set($event)"
          />
        }
        <ip-choose label="Belongs to" name="softOf" [options]="components()" [value]="of()" (valueChange)="of.set($event)" />
      </div>
      @if (sizes().length) {
        <div class="row" role="group" aria-label="Sizes from the tables">
          @for (s of sizes(); track s.name) {
            <button
              type="button"
              class="size"
              [attr.aria-pressed]="size() === s.name"
              [class.on]="size() === s.name"
              (click)="size.set(s.name)"
            >
              <b>{{ s.name }}</b> {{ s.words }}
            </button>
          }
        </div>
      }
      <div class="grid4">
        <ip-text
          label="Size to order"
          name="softSize"
          [value]="size()"
          path="value.size"
          [problems]="problems()"
          (valueChange)="size.set($event)"
        />
        <ip-text
          label="How many"
          name="softCount"
          inputmode="numeric"
          [value]="count()"
          path="value.count"
          [problems]="problems()"
          (valueChange)="count.set($event)"
        />
        <button type="submit">Put on the list</button>
      </div>
    </form>
  `,
  styles: `
    :host {
      display: grid;
      gap: 14px;
    }
    form {
      display: grid;
      gap: 10px;
    }
    .grid4 {
      display: grid;
      grid-template-columns: repeat(4, 1fr);
      gap: 10px 18px;
      align-items: start;
    }
    .grid4 > button {
      margin-top: 23px;
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
  protected readonly kind = signal<SoftKind>('o-ring');
  protected readonly of = signal('');
  protected readonly first = signal<number | null>(null);
  protected readonly second = signal<number | null>(null);
  protected readonly size = signal('');
  protected readonly count = signal('1');
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly kept = keptDraft(() => `to-order:${this.store.sheet()!.job.id}`, {
    ...{ kind: this.kind, of: this.of, first: this.first, second: this.second, size: this.size, count: this.count },
  });
  protected readonly asks = computed(() => ASKS[this.kind()]);
  protected readonly sizes = computed(() => orderSizes(this.kind(), this.first(), this.second(), this.store.unit()));

  protected setKind(kind: string): void {
    this.kind.set(kind as SoftKind);
    this.first.set(null);
    this.second.set(null);
    this.size.set('');
  }

  protected nameOf(id: string | null): string {
    return this.store.sheet()?.components.find((c) => c.id === id)?.name ?? '–';
  }

  protected put(i: Item<SoftPartChoice>, change: Partial<SoftPartChoice>): void {
    void this.store.putChoice(i.key, i.value.size, { ...i.value, ...change }).catch(this.store.bug);
  }

  protected add(): void {
    const value = {
      componentId: this.of() || null,
      what: this.kind(),
      size: this.size(),
      count: Number(this.count()),
      ordered: false,
      removed: false,
    };
    const key = choiceKey.soft(newId());
    const checked = check(choiceInput(key)!, { value, reason: '' });
    this.problems.set(checked.ok ? [] : checked.problems);
    if (!checked.ok) return;
    void this.store
      .putChoice(key, 'the list', value)
      .then(() => {
        this.setKind(this.kind());
        this.kept.done();
      })
      .catch(this.store.bug);
  }
}
