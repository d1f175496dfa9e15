import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { check, barInput, routes } from '@iron-patch/contract';
import { materialName, parseBar, type Bar, type LengthUnit, type TypedBar } from '@iron-patch/core';
import { keptDraft, newId, ShopStore, Told } from '../data';
import { OneLine } from '../form';
import { barText } from './bar-words';

/** One line that puts a bar on the rack, written as on its tag; it says at once how it is understood. */
@Component({
  selector: 'ip-rack-line',
  imports: [OneLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ip-one-line
      name="rack-line"
      [label]="'A bar, a tube or an offcut, in ' + unitWords() + ' unless you say otherwise'"
      act="Put it on the rack"
      [first]="true"
      [example]="example()"
      [busy]="busy()"
      [problem]="problem()"
      [understood]="understood()"
      [(text)]="text"
      (wanted)="put()"
    />
  `,
})
export class RackLine {
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  readonly added = output<Bar>();
  /** In which sizes are typed without one; of the shop where nothing is said. */
  readonly typedIn = input<LengthUnit>();
  protected readonly unit = computed(() => this.typedIn() ?? this.shop.shop().card.unit);
  protected readonly unitWords = computed(() => (this.unit() === 'in' ? 'inches' : 'mm'));
  protected readonly example = computed(() => (this.unit() === 'in' ? '1 1/2 x 14 C45 black, bin 3' : '38 x 350 C45 black, bin 3'));
  protected readonly text = signal('');
  protected readonly busy = signal(false);
  private readonly id = signal(newId());
  private readonly kept = keptDraft(() => 'rack-line', { text: this.text }, { rests: { id: this.id } });
  private readonly parsed = computed(() => parseBar(this.text(), this.unit()));
  protected readonly problem = computed(() => {
    const p = this.parsed();
    if (!p.ok) return p.problems[0]!.message;
    const checked = check(barInput, inputOf(p.value));
    return checked.ok ? '' : checked.problems[0]!.message;
  });
  protected readonly understood = computed(() => {
    const p = this.parsed();
    return p.ok ? `Understood, in ${this.unitWords()}: ${barText(p.value, this.unit())}, ${materialName(p.value.materialId)}` : '';
  });

  protected async put(): Promise<void> {
    const p = this.parsed();
    if (!p.ok) return;
    this.busy.set(true);
    await this.told.doing(async () => {
      const bar = await this.shop.save<Bar>(routes.bar(this.id()), inputOf(p.value), 0);
      this.text.set('');
      this.id.set(newId());
      this.kept.done();
      this.added.emit(bar);
    });
    this.busy.set(false);
  }
}

const inputOf = (bar: TypedBar): object => ({ ...bar, why: '', removed: false });
