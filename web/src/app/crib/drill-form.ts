import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, drillSetInput, routes, type DrillSetInput } from '@iron-patch/contract';
import { DRILL_KINDS, type DrillKind, type LengthUnit } from '@iron-patch/core';
import { newId, ShopStore } from '../data';
import { ChooseField, FormFrame, LengthInput, RecordForm, type Option } from '../form';
import { DRILL_WORDS, unitOfDrills } from './drill-words';

/** What a fresh row of a kind starts from. */
const STARTS: Readonly<Record<DrillKind, Pick<DrillSetInput, 'fromMm' | 'toMm' | 'stepMm'>>> = {
  fraction: { fromMm: 25.4 / 16, toMm: 12.7, stepMm: 25.4 / 64 },
  number: { fromMm: 0.0135 * 25.4, toMm: 0.228 * 25.4, stepMm: null },
  letter: { fromMm: 0.234 * 25.4, toMm: 0.413 * 25.4, stepMm: null },
  metric: { fromMm: 1, toMm: 13, stepMm: 0.5 },
};

/** One row of drills that hangs in the crib. */
@Component({
  selector: 'ip-drill-form',
  imports: [ReactiveFormsModule, FormFrame, ChooseField, LengthInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save drills" (left)="closed.emit()">
      <div class="grid4">
        <ip-choose label="Which drills" name="drillKind" [options]="kinds" formControlName="kind" (valueChange)="start($event)" />
        <ip-length label="Smallest" [unit]="unit()" formControlName="fromMm" />
        <ip-length label="Largest" [unit]="unit()" formControlName="toMm" />
        <ip-length label="Up by (empty: all that are sold)" [unit]="unit()" formControlName="stepMm" />
      </div>
    </form>
  `,
})
export class DrillForm {
  private readonly shop = inject(ShopStore);
  readonly closed = output<void>();
  protected readonly kinds: readonly Option[] = DRILL_KINDS.map((k) => [k, DRILL_WORDS[k]] as const);
  /** One id for what is being typed: pressed twice, it is stored once. */
  private readonly id = signal(newId());
  protected readonly form = new RecordForm<DrillSetInput>({
    keptAs: () => 'drills',
    start: { kind: 'metric', ...STARTS.metric, removed: false },
    check: (v) => check(drillSetInput, v),
    rests: { id: this.id },
    save: (v) => this.shop.save(routes.drillSet(this.id()), v, 0),
    close: () => this.closed.emit(),
  });
  protected readonly unit = (): LengthUnit => unitOfDrills(this.form.value().kind);

  /** Another kind starts from what is usual of it. */
  protected start(kind: string): void {
    this.form.set(STARTS[kind as DrillKind]);
  }
}
