import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, routes, shopSettingsInput, type ShopSettingsInput } from '@iron-patch/contract';
import type { ShopCardRecord } from '@iron-patch/core';
import { SAME_VALUE, ShopStore } from '../data';
import { FormFrame, PickField, RecordForm, TextField, UNITS, type Option } from '../form';

const MARKS: readonly Option[] = [
  ['.', 'point'],
  [',', 'comma'],
];

/** What the shop is called, how it writes decimals, and the unit that new jobs and instruments start in. */
@Component({
  selector: 'ip-shop-form',
  imports: [ReactiveFormsModule, FormFrame, TextField, PickField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" [save]="action()" [closable]="false" [next]="next()">
      <div class="grid2">
        <ip-text label="Name of the shop" name="shopName" formControlName="name" />
        <ip-pick label="Unit that jobs start in" [options]="units" formControlName="unit" />
        <ip-pick label="Decimal mark" [options]="marks" formControlName="decimalMark" />
      </div>
      <ip-text label="Warranty, on the report and the delivery note" name="warranty" [rows]="2" formControlName="warranty" />
    </form>
  `,
})
export class ShopForm {
  private readonly shop = inject(ShopStore);
  readonly action = input('Save the shop');
  readonly next = input(false);
  readonly saved = output<void>();
  protected readonly units = UNITS;
  protected readonly marks = MARKS;
  private readonly card = computed(() => this.shop.shop().card);
  private readonly now = computed<ShopSettingsInput>(() => {
    const { name, unit, decimalMark, warranty, walked } = this.card();
    return { name, unit, decimalMark, warranty, walked: [...walked] };
  }, SAME_VALUE);
  private readonly version = linkedSignal(() => this.card().version);
  protected readonly form = new RecordForm<ShopSettingsInput>({
    keptAs: () => 'shop-card',
    start: { name: '', unit: 'mm', decimalMark: '.', warranty: '', walked: [] },
    untouched: this.now,
    check: (v) => check(shopSettingsInput, v),
    rests: { version: this.version },
    save: (v) => this.shop.save(routes.shopCard, v, this.version()),
    close: () => this.saved.emit(),
    theirs: (current) => {
      this.version.set((current as ShopCardRecord).version);
      return 'Somebody else changed this in the meantime. Save again to put yours over theirs, or throw yours away.';
    },
  });
}
