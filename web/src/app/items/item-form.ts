import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import { chosenRoute, choiceKey, choiceOf, newItem, routesOf, newStep, type ItemChoice, type JobItem } from '@iron-patch/core';
import { newId } from '../data';
import { CheckBox, CheckList, ChooseField, FormFrame, inValue, NumberField, RecordForm, TextField, type Option } from '../form';
import { SheetStore } from '../sheet-data';
import { ITEM_TOLD } from './item-words';

/** An item as its form has it: steps one to a line. */
type ItemFields = Omit<ItemChoice, 'steps' | 'cuts' | 'position' | 'here' | 'tried' | 'off'> & { readonly steps: string };

const SCHEMA = choiceInput(choiceKey.item('any'))!;

const linesOf = (text: string): string[] =>
  text
    .split('\n')
    .map((l) => l.trim())
    .filter(Boolean);

/** What one item is: what is done, of which component, how many; what is bought where; what is done step by step. */
@Component({
  selector: 'ip-item-form',
  imports: [ReactiveFormsModule, FormFrame, TextField, NumberField, ChooseField, CheckBox, CheckList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save item" (left)="closed.emit()">
      <div class="grid3">
        <ip-choose label="What is done" name="itemKind" [options]="kinds" formControlName="kind" />
        <ip-text label="Name" name="itemName" formControlName="name" />
        <ip-number label="How many" name="itemQuantity" formControlName="quantity" />
      </div>
      @if (kind() === 'buy') {
        <div class="grid4">
          <ip-text label="Size to order" name="itemSize" formControlName="size" />
          <ip-text label="Where from" name="itemSource" formControlName="source" />
          <ip-number label="Days until it is here" name="itemLead" formControlName="leadDays" />
        </div>
      }
      @if (kind() !== 'buy') {
        <ip-text label="What is done, one step a line" name="itemSteps" [rows]="3" formControlName="steps" />
      }
      <ip-text label="Route it comes from" name="itemRoute" [placeholder]="jobRoute()" [list]="routesId" formControlName="route" />
      <datalist [id]="routesId">
        @for (r of routes(); track r) {
          <option [value]="r"></option>
        }
      </datalist>
      @if (kind() === 'make' || kind() === 'buy') {
        <ip-check label="It gives way on purpose: a shear pin, a soft key" name="itemGivesWay" formControlName="givesWay" />
      }
      @if (components().length) {
        <ip-checks label="Components that it replaces or changes" name="itemOf" [options]="components()" formControlName="componentIds" />
      }
      @if (others().length && kind() !== 'buy') {
        <ip-checks label="It waits for" name="itemAfter" [options]="others()" formControlName="after" />
      }
      <ng-content select="[foot]" ngProjectAs="[foot]" />
    </form>
  `,
})
export class ItemForm implements OnInit {
  private readonly store = inject(SheetStore);
  readonly item = input<JobItem | null>(null);
  readonly closed = output<void>();
  protected readonly kinds: readonly Option[] = Object.entries(ITEM_TOLD);
  protected readonly components = computed<readonly Option[]>(() => this.store.sheet()!.components.map((c) => [c.id, c.name] as const));
  protected readonly others = computed<readonly Option[]>(() =>
    (this.store.repair()?.items ?? []).filter((i) => i.item.id !== this.item()?.id).map((i) => [i.item.id, `${i.number} ${i.item.name}`]),
  );
  protected readonly routesId = 'item-routes';
  /** What the job goes by where the item has no route of its own. */
  protected readonly jobRoute = computed(() => chosenRoute(this.store.sheet()!)?.route ?? '');
  protected readonly routes = computed(() => routesOf(this.store.sheet()!));
  private readonly key = signal(newId());
  /** The item as it was opened: its version goes with the save. */
  private readonly opened = signal<JobItem | null>(null);
  protected readonly form = new RecordForm<ItemFields>({
    keptAs: () => `item:${this.store.sheet()!.job.id}:${this.item()?.id ?? 'new'}`,
    start: this.fieldsOf(newItem('make', '', [], 0)),
    check: (v) => inValue(check(SCHEMA, { value: this.choice(v), reason: '' })),
    rests: { opened: this.opened, key: this.key },
    save: (v) => this.save(v),
    close: () => this.closed.emit(),
  });
  protected readonly kind = computed(() => this.form.value().kind);

  ngOnInit(): void {
    const opened = this.item();
    this.opened.set(opened);
    this.form.open(this.fieldsOf(opened ? choiceOf(opened) : newItem('make', '', [], 0)));
  }

  private fieldsOf({ kind, name, quantity, componentIds, route, size, source, leadDays, after, givesWay, steps }: ItemChoice): ItemFields {
    return {
      kind,
      name,
      quantity,
      componentIds,
      route,
      size,
      source,
      leadDays,
      after,
      givesWay,
      steps: steps.map((s) => s.what).join('\n'),
    };
  }

  /** What was done stays done while its line stays. */
  private choice({ steps, kind, ...fields }: ItemFields): ItemChoice {
    const opened = this.opened();
    const before = opened ? choiceOf(opened) : newItem(kind, '', [], this.store.repair()?.items.length ?? 0);
    const known = new Map(before.steps.map((s) => [s.what, s]));
    return { ...before, ...fields, kind, steps: linesOf(steps).map((what) => known.get(what) ?? newStep(what, kind)) };
  }

  private async save(fields: ItemFields): Promise<unknown> {
    const choice = this.choice(fields);
    const id = this.opened()?.id ?? this.key();
    const saved = await this.store.putItem(this.opened() ?? { key: choiceKey.item(id), name: choice.name, version: 0 }, choice);
    if (saved && !this.opened()) this.store.seeItem(id);
    return saved;
  }
}
