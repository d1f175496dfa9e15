import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, ratesInput, routes, type RatesInput } from '@iron-patch/contract';
import { moneyWords, PRICED_FAMILIES, type Family, type RatesChange, type RatesRecord } from '@iron-patch/core';
import { Api, SAME_VALUE, ShopStore, ShopTimePipe, Told } from '../data';
import { FormFrame, fromWhole, NumberField, RecordForm, TextField, toWhole } from '../form';

/** Rates as their form holds them: whole money, empty where there is none. */
type TypedRates = Omit<RatesInput, 'machineHourMinor' | 'kgMinor' | 'hourMinor' | 'minimumMinor'> & {
  readonly hourMinor: number | null;
  readonly minimumMinor: number | null;
  readonly machineHourMinor: Readonly<Record<string, number | null>>;
  readonly kgMinor: Readonly<Record<string, number | null>>;
};

const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  steel: 'Steel',
  stainless: 'Stainless',
  iron: 'Cast iron',
  copper: 'Bronze, brass, copper',
  aluminium: 'Aluminium',
  light: 'Titanium, magnesium',
  plastic: 'Plastic',
};

const minor = (whole: number | null): number => fromWhole(whole) ?? NaN;
const said = (rates: Readonly<Record<string, number | null>>): Record<string, number> =>
  Object.fromEntries(Object.entries(rates).flatMap(([id, whole]) => (whole === null ? [] : [[id, minor(whole)]])));

/** @param machines rates of before: a machine that has no field here keeps its own */
const inputOf = (
  { hourMinor, minimumMinor, machineHourMinor, kgMinor, ...more }: TypedRates,
  machines: Readonly<Record<string, number>>,
): RatesInput => ({
  ...more,
  hourMinor: minor(hourMinor),
  minimumMinor: minor(minimumMinor ?? 0),
  machineHourMinor: {
    ...Object.fromEntries(Object.entries(machines).filter(([id]) => !(id in machineHourMinor))),
    ...said(machineHourMinor),
  },
  kgMinor: said(kgMinor),
});

/** What an hour costs here, and everything else that a price is made of; every version is kept with who set it. */
@Component({
  selector: 'ip-rates-form',
  imports: [ReactiveFormsModule, FormFrame, TextField, NumberField, ShopTimePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="quiet">Ways to put something right, at Decide, are priced by these.</p>
    <form ip-form [formGroup]="form.group" [of]="form" save="Save rates" [closable]="false" [next]="false">
      <div class="grid4">
        <ip-number label="An hour of hands" name="hour" formControlName="hourMinor" />
        <ip-text label="Currency" name="currency" placeholder="crowns" formControlName="currency" />
        <ip-number label="Least for any job" name="least" formControlName="minimumMinor" />
        <ip-number label="Tax, %" name="tax" formControlName="taxPercent" />
        <ip-number label="On what is bought, %" name="markUp" formControlName="markUpPercent" />
        <ip-number label="Stock wasted, %" name="waste" formControlName="wastePercent" />
        <ip-number label="Consumables, % of hours" name="consumables" formControlName="consumablesPercent" />
      </div>
      <fieldset formGroupName="kgMinor">
        <legend>A kilogram of stock; empty where it is asked each time</legend>
        @for (f of families; track f) {
          <ip-number [label]="words[f]" [name]="'kg-' + f" [formControlName]="f" />
        }
      </fieldset>
      @if (machines.length) {
        <fieldset formGroupName="machineHourMinor">
          <legend>An hour of a machine on top of the hands; empty where it is in the hour</legend>
          @for (m of machines; track m.id) {
            <ip-number [label]="m.name" [name]="'machine-' + m.id" [formControlName]="m.id" />
          }
        </fieldset>
      }
    </form>
    @if (version() > 0) {
      <button type="button" class="plain" [attr.aria-expanded]="history() !== null" (click)="turn()">How they were before</button>
    }
    @if (history(); as all) {
      <table class="plain">
        <thead>
          <tr>
            <th scope="col">From</th>
            <th scope="col">By</th>
            <th scope="col" class="num">Hour</th>
            <th scope="col" class="num">Least</th>
            <th scope="col" class="num">On bought</th>
            <th scope="col" class="num">Tax</th>
          </tr>
        </thead>
        <tbody>
          @for (h of all; track h.version) {
            <tr>
              <td>{{ h.at | shopTime: 'year' }}</td>
              <td>{{ name(h.personId) }}</td>
              <td class="num">{{ money(h.rates.hourMinor, h.rates.currency) }}</td>
              <td class="num">{{ money(h.rates.minimumMinor, '') }}</td>
              <td class="num">{{ h.rates.markUpPercent }} %</td>
              <td class="num">{{ h.rates.taxPercent }} %</td>
            </tr>
          }
        </tbody>
      </table>
    }
  `,
  styles: `
    fieldset {
      border: 0;
      padding: 0;
      margin: 0;
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(170px, 1fr));
      gap: 8px 18px;
      align-items: end;
    }
    legend {
      font: 600 15px var(--label);
      padding: 0;
      margin-bottom: 4px;
    }
  `,
})
export class RatesForm {
  private readonly shop = inject(ShopStore);
  private readonly api = inject(Api);
  private readonly told = inject(Told);
  protected readonly families = PRICED_FAMILIES;
  protected readonly words = FAMILY_WORDS;
  protected readonly money = moneyWords;
  protected readonly machines = this.shop.shop().machines;
  protected readonly history = signal<readonly RatesChange[] | null>(null);
  private readonly now = computed<TypedRates>(() => this.typed(this.shop.shop().rates), SAME_VALUE);
  protected readonly version = linkedSignal(() => this.shop.shop().rates?.version ?? 0);
  protected readonly form = new RecordForm<TypedRates>({
    keptAs: () => 'rates',
    start: this.typed(null),
    untouched: this.now,
    groups: ['kgMinor', 'machineHourMinor'],
    check: (v) => check(ratesInput, this.input(v)),
    rests: { version: this.version },
    save: async (v) => {
      const stored = await this.shop.save<RatesRecord>(routes.rates, this.input(v), this.version());
      if (this.history()) await this.look();
      return stored;
    },
    theirs: (current) => {
      this.version.set((current as RatesRecord | null)?.version ?? 0);
      return 'Somebody else changed the rates in the meantime. Save again to put yours over theirs, or throw yours away.';
    },
  });

  private input(v: TypedRates): RatesInput {
    return inputOf(v, this.shop.shop().rates?.machineHourMinor ?? {});
  }

  private typed(rates: RatesRecord | null): TypedRates {
    const whole = (m: number | undefined): number | null => toWhole(m ?? null);
    return {
      currency: rates?.currency ?? '',
      hourMinor: whole(rates?.hourMinor),
      minimumMinor: whole(rates?.minimumMinor ?? 0),
      wastePercent: rates?.wastePercent ?? 10,
      markUpPercent: rates?.markUpPercent ?? 0,
      consumablesPercent: rates?.consumablesPercent ?? 0,
      taxPercent: rates?.taxPercent ?? 0,
      kgMinor: Object.fromEntries(PRICED_FAMILIES.map((f) => [f, whole(rates?.kgMinor[f])])),
      machineHourMinor: Object.fromEntries(this.machines.map((m) => [m.id, whole(rates?.machineHourMinor[m.id])])),
    };
  }

  protected name(personId: string | null): string {
    return personId === null ? 'With the shop' : this.shop.personName(personId, 'Somebody');
  }

  private async look(): Promise<void> {
    this.history.set(await this.api.get<RatesChange[]>(routes.ratesHistory));
  }

  protected turn(): void {
    if (this.history()) this.history.set(null);
    else void this.told.doing(() => this.look());
  }
}
