import { ChangeDetectionStrategy, Component, inject, input, output, signal, type OnInit } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { barInput, check, routes, type BarInput } from '@iron-patch/contract';
import { BAR_FINISHES, BAR_SHAPES, FINISH_WORDS, hasInner, SHAPES, type Bar, type LengthUnit } from '@iron-patch/core';
import { ShopStore } from '../data';
import { MetalHint } from '../show';
import {
  ChooseField,
  FormFrame,
  fromWhole,
  LengthInput,
  MATERIAL_OPTIONS,
  NumberField,
  RecordForm,
  TextField,
  toWhole,
  type Option,
} from '../form';

/** A bar as its form holds it: what it cost is in whole coins and parts. */
type TypedPrice = Omit<BarInput, 'priceMinor' | 'removed'> & { readonly price: number | null };

const START: TypedPrice = {
  shape: 'round',
  materialId: 'unknown',
  diameterMm: 20,
  innerMm: null,
  finish: 'not-said',
  lengthMm: 1000,
  pieces: 1,
  place: '',
  price: null,
  why: '',
};

const inputOf = ({ price, ...v }: TypedPrice): BarInput => ({
  ...v,
  // A shape that is not chosen yet has none.
  innerMm: BAR_SHAPES.includes(v.shape) && hasInner(v.shape) ? v.innerMm : null,
  priceMinor: fromWhole(price),
  removed: false,
});

/** A bar of the rack, changed or counted anew. */
@Component({
  selector: 'ip-bar-form',
  imports: [MetalHint, ReactiveFormsModule, FormFrame, TextField, ChooseField, LengthInput, NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save bar" (left)="closed.emit()">
      <div class="grid4">
        <ip-choose label="Shape" name="shape" [options]="shapes" formControlName="shape" />
        <ip-length [label]="first()" [unit]="unit()" [allowZero]="false" formControlName="diameterMm" />
        @if (second(); as s) {
          <ip-length [label]="s" [unit]="unit()" [allowZero]="false" formControlName="innerMm" />
        }
        <ip-length label="Length of one piece" [unit]="unit()" formControlName="lengthMm" />
        <ip-number label="Pieces" name="pieces" formControlName="pieces" />
        <ip-choose label="Material" name="material" [options]="materials" formControlName="materialId" />
        <ip-choose label="Skin" name="finish" [options]="finishes" formControlName="finish" />
        <ip-text label="Place" name="place" formControlName="place" />
        <ip-number label="Price of one piece" name="price" placeholder="not said" formControlName="price" />
        <ip-text label="Why, where the count is another" name="why" placeholder="counted, sawn, bought" formControlName="why" />
      </div>
      <ip-metal-hint [material]="form.value().materialId" />
    </form>
  `,
})
export class BarForm implements OnInit {
  private readonly shop = inject(ShopStore);
  readonly record = input.required<Bar>();
  readonly closed = output<void>();
  protected readonly materials = MATERIAL_OPTIONS;
  protected readonly shapes: readonly Option[] = BAR_SHAPES.map((s) => [s, SHAPES[s].words] as const);
  protected readonly finishes: readonly Option[] = BAR_FINISHES.map((f) => [f, FINISH_WORDS[f] || 'not said'] as const);
  protected readonly unit = (): LengthUnit => this.shop.shop().card.unit;
  private readonly version = signal(0);
  protected readonly form = new RecordForm<TypedPrice>({
    keptAs: () => `bar:${this.record().id}`,
    start: START,
    check: (v) => check(barInput, inputOf(v)),
    rests: { version: this.version },
    save: (v) => this.shop.save(routes.bar(this.record().id), inputOf(v), this.version()),
    close: () => this.closed.emit(),
    theirs: (current) => {
      this.version.set((current as Bar).version);
      return 'Somebody else counted this bar in the meantime. Save again to put yours over theirs, or throw yours away.';
    },
  });
  protected readonly first = (): string => SHAPES[this.form.value().shape].first;
  protected readonly second = (): string => SHAPES[this.form.value().shape].second;

  ngOnInit(): void {
    const { id: _, version, priceMinor, ...bar } = this.record();
    this.version.set(version);
    this.form.open({ ...bar, price: toWhole(priceMinor), why: '' });
  }
}
