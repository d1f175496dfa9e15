import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import { choiceKey, LASTS, LASTS_WORDS, ownRoute, type ConsideredChoice, type RouteFinding } from '@iron-patch/core';
import { newId } from '../../data';
import { ChooseField, FormFrame, inValue, NumberField, RecordForm, TextField, type Option, fromWhole, toWhole } from '../../form';
import { SheetStore } from '../../sheet-data';
import { ActsField } from './acts-field';
import { BoughtField } from './bought-field';
import { StockField } from './stock-field';

/** A route as its form has it: carriage in whole money. */
type RouteFields = Pick<
  ConsideredChoice,
  'name' | 'componentId' | 'acts' | 'stock' | 'bought' | 'lasts' | 'lastsWhy' | 'risk' | 'decides'
> & {
  readonly postageMinor: number | null;
};

const SCHEMA = choiceInput(choiceKey.considered('any'))!;

const fieldsOf = (c: ConsideredChoice): RouteFields => {
  const { name, componentId, acts, stock, bought, lasts, lastsWhy, risk, decides } = c;
  return { name, componentId, acts, stock, bought, lasts, lastsWhy, risk, decides, postageMinor: toWhole(c.postageMinor) };
};

/** One way to put it right: what is done, what it takes, how long it holds, what can go wrong. */
@Component({
  selector: 'ip-route-form',
  imports: [ReactiveFormsModule, FormFrame, TextField, NumberField, ChooseField, ActsField, StockField, BoughtField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save this way" (left)="closed.emit()">
      <div class="grid2">
        <ip-text label="What is done" name="routeName" formControlName="name" />
        <ip-choose label="On" name="routeOn" [options]="components()" [orNull]="true" formControlName="componentId" />
      </div>
      <h3>Hands</h3>
      <ip-acts-field [worked]="way()?.acts ?? []" formControlName="acts" />
      <h3>Stock</h3>
      <ip-stock-field [unit]="store.unit()" formControlName="stock" />
      <h3>Bought, and done elsewhere</h3>
      <ip-bought-field formControlName="bought" />
      <div class="grid4">
        <ip-number label="Carriage, both ways" name="routePostage" formControlName="postageMinor" />
        <ip-choose label="It holds" name="routeLasts" [options]="lasts" formControlName="lasts" />
        <ip-text label="Why so long" name="routeLastsWhy" formControlName="lastsWhy" />
        <ip-text label="Who else decides, or does it" name="routeDecides" formControlName="decides" />
      </div>
      <ip-text label="What can go wrong" name="routeRisk" [rows]="2" formControlName="risk" />
    </form>
  `,
  styles: 'h3 { margin: 6px 0 0; font-size: 17px; }',
})
export class RouteForm implements OnInit {
  protected readonly store = inject(SheetStore);
  /** Null for one of somebody's own. */
  readonly way = input<RouteFinding | null>(null);
  readonly closed = output<void>();
  protected readonly lasts: readonly Option[] = LASTS.map((l) => [l, LASTS_WORDS[l]] as const);
  protected readonly components = computed<readonly Option[]>(() => [
    ['', 'the whole thing'],
    ...this.store.sheet()!.components.map((c) => [c.id, c.name] as const),
  ]);
  private readonly key = signal(newId());
  /** The route as it was opened: its version goes with the save. */
  private readonly opened = signal<RouteFinding['route'] | null>(null);
  protected readonly form = new RecordForm<RouteFields>({
    keptAs: () => `considered:${this.store.sheet()!.job.id}:${this.way()?.route.id ?? 'new'}`,
    start: fieldsOf(ownRoute(null, 0)),
    check: (v) => inValue(check(SCHEMA, { value: this.choice(v), reason: '' })),
    rests: { opened: this.opened, key: this.key },
    save: (v) => this.save(v),
    close: () => this.closed.emit(),
  });

  ngOnInit(): void {
    const opened = this.way()?.route ?? null;
    this.opened.set(opened);
    const worn = this.store.sheet()!.components.find((c) => c.role === 'worn') ?? null;
    this.form.open(fieldsOf(opened?.value ?? ownRoute(worn, 0)));
  }

  private choice({ postageMinor, ...fields }: RouteFields): ConsideredChoice {
    const before = this.opened()?.value ?? ownRoute(null, this.store.repair()?.routes.length ?? 0);
    return { ...before, ...fields, postageMinor: fromWhole(postageMinor) ?? 0 };
  }

  private save(fields: RouteFields): Promise<unknown> {
    const opened = this.opened();
    const key = opened?.key ?? choiceKey.considered(this.key());
    return this.store.putChoice(key, fields.name, this.choice(fields), '', true, opened?.version ?? 0);
  }
}
