import { ChangeDetectionStrategy, Component, inject, input, output, signal, type OnInit } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, instrumentInput, routes, type InstrumentInput } from '@iron-patch/contract';
import { INSTRUMENT_KINDS, otherUnit, roundStart, type InstrumentRecord, type LengthUnit } from '@iron-patch/core';
import { newId, ShopStore } from '../data';
import { ChooseField, DateField, FormFrame, LengthInput, PickField, RecordForm, TextField, UNITS, type Option } from '../form';

/** The range that an instrument in that unit starts from. */
const rangeIn = (unit: LengthUnit): number => roundStart(unit, 25, 1);
const EMPTY: InstrumentInput = {
  name: '',
  kind: 'micrometer',
  unit: 'mm',
  uMm: null,
  repeatMm: null,
  resolutionMm: null,
  biasMm: 0,
  rangeLowMm: 0,
  rangeHighMm: 25,
  calibratedOn: null,
  dueOn: null,
};

/** What can be changed of an instrument. */
const inputOf = (i: InstrumentRecord): InstrumentInput => {
  const { name, kind, unit, uMm, repeatMm, resolutionMm, biasMm, rangeLowMm, rangeHighMm, calibratedOn, dueOn } = i;
  return { name, kind, unit, uMm, repeatMm, resolutionMm, biasMm, rangeLowMm, rangeHighMm, calibratedOn, dueOn };
};

/** An instrument's own record. */
@Component({
  selector: 'ip-instrument-form',
  imports: [ReactiveFormsModule, FormFrame, TextField, ChooseField, PickField, LengthInput, DateField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save instrument" (left)="closed.emit()">
      <div class="grid4">
        <ip-text label="Name" name="instrumentName" formControlName="name" />
        <ip-choose label="Kind" name="instrumentKind" [options]="kinds" formControlName="kind" />
        <ip-pick label="Shows" [options]="units" formControlName="unit" (valueChange)="setUnit($event)" />
        <ip-length label="Smallest step" [unit]="unit()" formControlName="resolutionMm" />
        <ip-length label="Range from" [unit]="unit()" formControlName="rangeLowMm" />
        <ip-length label="Range to" [unit]="unit()" formControlName="rangeHighMm" />
        <ip-length label="Uncertainty (k = 1)" [unit]="unit()" [decimals]="4" formControlName="uMm" />
        <ip-length label="Of it scatter (k = 1)" [unit]="unit()" [decimals]="4" formControlName="repeatMm" />
        <ip-length
          label="Reads too big by (at calibration)"
          [unit]="unit()"
          [decimals]="4"
          [allowNegative]="true"
          formControlName="biasMm"
        />
        <ip-date label="Calibrated on" name="calibratedOn" leaning="past" formControlName="calibratedOn" />
        <ip-date label="Due on" name="dueOn" formControlName="dueOn" />
      </div>
      <p class="quiet">Left empty, uncertainty is that of its kind in a skilled hand, half of it (by variance) scatter.</p>
    </form>
  `,
})
export class InstrumentForm implements OnInit {
  private readonly shop = inject(ShopStore);
  readonly record = input<InstrumentRecord | null>(null);
  readonly closed = output<void>();
  protected readonly kinds: readonly Option[] = Object.entries(INSTRUMENT_KINDS).map(([id, k]) => [id, k.name] as const);
  protected readonly units = UNITS;
  private readonly opened = signal<InstrumentRecord | null>(null);
  private readonly id = signal(newId());
  protected readonly form = new RecordForm<InstrumentInput>({
    keptAs: () => `instrument:${this.record()?.id ?? 'new'}`,
    start: EMPTY,
    untouched: () => this.from(),
    check: (v) => check(instrumentInput, v),
    rests: { opened: this.opened, id: this.id },
    save: (v) => this.shop.save(routes.instrument(this.opened()?.id ?? this.id()), v, this.opened()?.version ?? 0),
    close: () => this.closed.emit(),
    theirs: (current) => {
      this.opened.set(current as InstrumentRecord | null);
      void this.shop.load();
      return 'Somebody else changed this instrument in the meantime. Save again to put yours over theirs, or throw yours away.';
    },
  });
  protected readonly unit = (): InstrumentInput['unit'] => this.form.value().unit;

  /** What is on record; a new one is in the shop's own unit. */
  private from(): InstrumentInput {
    const record = this.record();
    const { unit } = this.shop.shop().card;
    return record ? inputOf(record) : { ...EMPTY, unit, rangeHighMm: rangeIn(unit) };
  }

  /** A range that nobody touched is round in the other unit too. */
  protected setUnit(unit: string): void {
    const next = unit as LengthUnit;
    if (this.form.value().rangeHighMm === rangeIn(otherUnit(next))) this.form.set({ rangeHighMm: rangeIn(next) });
  }

  ngOnInit(): void {
    this.opened.set(this.record());
  }
}
