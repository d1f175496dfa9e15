import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { choiceKey, dayWithoutIt, type Problem } from '@iron-patch/core';
import { ShopStore } from '../../data';
import { fromWhole, NumberField, toWhole } from '../../form';
import { SheetStore } from '../../sheet-data';
import { putChecked } from '../put-checked';

/** What a day without the thing costs the customer: ways that are ready later then cost them more. */
@Component({
  selector: 'ip-standing-still',
  imports: [NumberField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); save()">
      <ip-number
        [label]="'A day without it costs the customer' + (currency() ? ', ' + currency() : '')"
        name="dayWithoutIt"
        placeholder="not said"
        path="dayMinor"
        [problems]="problems()"
        [value]="typed()"
        (valueChange)="typed.set($event)"
      />
      @if (changed()) {
        <button type="submit">Save it</button>
      }
    </form>
  `,
  styles:
    'form { display: grid; grid-template-columns: minmax(0, 340px) auto; gap: 12px; align-items: end; justify-content: start; margin: 4px 0 12px; }',
})
export class StandingStill {
  private readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  protected readonly currency = computed(() => this.shop.shop().rates?.currency ?? '');
  private readonly stored = computed(() => toWhole(dayWithoutIt(this.store.sheet() ?? { choices: [] })));
  protected readonly typed = linkedSignal(() => this.stored());
  protected readonly changed = computed(() => this.typed() !== this.stored());
  protected readonly problems = signal<readonly Problem[]>([]);

  protected async save(): Promise<void> {
    const dayMinor = fromWhole(this.typed());
    const what = 'what a day without it costs';
    if (dayMinor === null) return void this.store.putChoice(choiceKey.standingStill, what, null).catch(this.store.bug);
    const { problems } = await putChecked(this.store, choiceKey.standingStill, what, { dayMinor });
    this.problems.set(problems);
  }
}
