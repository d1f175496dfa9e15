import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { COST_ACT_IDS, COST_ACTS, type ConsideredAct, type RouteAct, type ThreePoint } from '@iron-patch/core';
import { ShopStore } from '../../data';
import { ChooseField, FormField, NumberField, TextField, type Option } from '../../form';

/** Minutes that somebody types spread like those of the act itself. */
const spread = (likely: number, act: ConsideredAct['act']): ThreePoint => {
  const { low, high } = COST_ACTS[act];
  return { low: likely * low, likely, high: likely * high };
};

/** What a route does, act by act, with its minutes: as estimated until somebody says them. */
@Component({
  selector: 'ip-acts-field',
  imports: [ChooseField, NumberField, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (a of acts(); track $index; let i = $index) {
      <div class="act" role="group" [attr.aria-label]="'Act ' + (i + 1)">
        <ip-choose
          [label]="i ? '' : 'Act'"
          [spoken]="'Act, ' + (i + 1)"
          [name]="'act' + i"
          [options]="kinds"
          [value]="a.act"
          (valueChange)="change(i, { act: $any($event) })"
        />
        <ip-text
          [label]="i ? '' : 'In own words'"
          [spoken]="'In own words, ' + (i + 1)"
          [name]="'actWhat' + i"
          [value]="a.what"
          [path]="i + '.what'"
          [problems]="told()"
          (valueChange)="change(i, { what: $event })"
        />
        <ip-number
          [label]="i ? '' : 'Times'"
          [spoken]="'Times, ' + (i + 1)"
          [name]="'actTimes' + i"
          [value]="a.times"
          [path]="i + '.times'"
          [problems]="told()"
          (valueChange)="change(i, { times: $any($event) })"
        />
        <ip-number
          [label]="i ? '' : 'Minutes in all'"
          [spoken]="'Minutes in all, ' + (i + 1)"
          [name]="'actMinutes' + i"
          [placeholder]="estimate(i)"
          [value]="a.minutes?.likely ?? null"
          [path]="i + '.minutes.likely'"
          [problems]="told()"
          (valueChange)="say(i, $event)"
        />
        <ip-choose
          [label]="i ? '' : 'On'"
          [spoken]="'On, ' + (i + 1)"
          [name]="'actMachine' + i"
          [options]="machines(a)"
          [value]="a.machineId"
          (valueChange)="change(i, { machineId: $event })"
        />
        <button type="button" class="plain" [attr.aria-label]="'Remove act ' + (i + 1)" (click)="remove(i)">Remove</button>
      </div>
    }
    <button type="button" (click)="add()">Add an act</button>
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      justify-items: start;
    }
    .act {
      display: grid;
      grid-template-columns: minmax(130px, 1.2fr) minmax(120px, 1.6fr) 76px 104px minmax(120px, 1fr) auto;
      gap: 6px 12px;
      align-items: end;
      width: 100%;
    }
    @media (max-width: 1100px) {
      .act {
        grid-template-columns: 1fr 1fr 76px 104px;
      }
    }
  `,
})
export class ActsField extends FormField<readonly ConsideredAct[]> {
  private readonly shop = inject(ShopStore);
  /** The same acts as they were worked out, where they were. */
  readonly worked = input<readonly RouteAct[]>([]);
  protected readonly kinds: readonly Option[] = COST_ACT_IDS.map((id) => [id, COST_ACTS[id].name] as const);
  protected readonly acts = computed(() => this.held() ?? []);

  protected machines({ act }: ConsideredAct): readonly Option[] {
    const { at } = COST_ACTS[act];
    const own = this.shop.shop().machines.filter((m) => m.kind === at);
    return [['', at === 'bench' ? 'the bench' : 'whichever is there'], ...own.map((m) => [m.id, m.name] as const)];
  }

  /** As estimated, while the act stands as it was opened. */
  protected estimate(i: number): string {
    const worked = this.worked()[i];
    const now = this.acts()[i]!;
    return worked && !worked.said && worked.act.act === now.act && worked.act.times === now.times
      ? `about ${Math.round(worked.hands.likely)}`
      : 'estimated';
  }

  protected add(): void {
    this.hand([...this.acts(), { act: 'other', what: '', times: 1, minutes: null, machineId: '' }]);
  }

  protected say(i: number, likely: number | null): void {
    this.change(i, { minutes: likely === null ? null : spread(likely, this.acts()[i]!.act) });
  }

  protected change(i: number, change: Partial<ConsideredAct>): void {
    const other = change.act && COST_ACTS[change.act].at !== COST_ACTS[this.acts()[i]!.act].at ? { machineId: '' } : {};
    this.hand(this.acts().map((a, k) => (k === i ? { ...a, ...change, ...other } : a)));
  }

  protected remove(i: number): void {
    this.hand(this.acts().filter((_, k) => k !== i));
  }
}
