import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  choiceKey,
  chosenWay,
  COST_ACT_IDS,
  COST_ACTS,
  handsPrice,
  moneyWords,
  spentAgainst,
  spentOn,
  type Problem,
  type SpentChoice,
} from '@iron-patch/core';
import { DayPipe, keptDraft, newId, ShopClock, ShopStore } from '../../data';
import { ChooseField, DraftNote, NumberField, TextField, type Option } from '../../form';
import { SheetStore } from '../../sheet-data';
import { putChecked } from '../put-checked';

/** Minutes as hours and minutes: `1:35`. */
const clock = (minutes: number): string => `${Math.floor(minutes / 60)}:${String(Math.round(minutes % 60)).padStart(2, '0')}`;

/** Time that went into the job, against what was estimated when its route was chosen: the next estimates learn from it. */
@Component({
  selector: 'ip-time-spent',
  imports: [ChooseField, DraftNote, NumberField, TextField, DayPipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section>
      <h2>Time spent</h2>
      @if (rows().length) {
        <table class="plain">
          <thead>
            <tr>
              <th scope="col">Act</th>
              <th scope="col" class="num">Estimated, h</th>
              <th scope="col" class="num">Took, h</th>
            </tr>
          </thead>
          <tbody>
            @for (r of rows(); track r.act) {
              <tr>
                <th scope="row">{{ names[r.act].name }}</th>
                <td class="num">{{ r.estimatedMin === null ? 'not planned' : time(r.estimatedMin) }}</td>
                <td class="num">{{ r.tookMin === null ? '' : time(r.tookMin) }}</td>
              </tr>
            }
            <tr class="sum">
              <th scope="row">All</th>
              <td class="num">{{ time(sums().estimated) }}</td>
              <td class="num">{{ time(sums().took) }}</td>
            </tr>
          </tbody>
        </table>
        <p class="quiet">{{ against() }}</p>
      } @else {
        <p class="quiet">Nothing on record yet. What each act took is what the next estimate of this shop learns from.</p>
      }
      <form class="add" (submit)="$event.preventDefault(); add()">
        <ip-draft-note [kept]="kept" />
        <ip-choose label="Act" name="spentAct" [options]="kinds()" [value]="act()" (valueChange)="act.set($event)" />
        <ip-number
          label="Minutes"
          name="spentMinutes"
          path="minutes"
          [problems]="problems()"
          [value]="minutes()"
          (valueChange)="minutes.set($event)"
        />
        <ip-text
          label="Remark"
          name="spentRemark"
          path="remark"
          [problems]="problems()"
          [value]="remark()"
          (valueChange)="remark.set($event)"
        />
        <button type="submit">Add time</button>
      </form>
      @if (logged().length) {
        <ul>
          @for (s of logged(); track s.id) {
            <li>
              <b class="fig">{{ time(s.minutes) }}</b> {{ names[s.act].name }}
              <span class="quiet">{{ name(s.personId) }}, {{ s.day | day: 'short' }}{{ s.remark ? ', ' + s.remark : '' }}</span>
              <button
                type="button"
                class="plain"
                [attr.aria-label]="'Withdraw ' + time(s.minutes) + ' ' + names[s.act].name"
                (click)="withdraw(s)"
              >
                Withdraw
              </button>
            </li>
          }
        </ul>
      }
    </section>
  `,
  styles: `
    section {
      margin-bottom: 18px;
    }
    table {
      max-width: 560px;
    }
    .sum > * {
      font-weight: 700;
    }
    .add {
      display: grid;
      grid-template-columns: minmax(160px, 1fr) 110px minmax(160px, 2fr) auto;
      gap: 6px 14px;
      align-items: end;
      margin: 10px 0;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li {
      display: flex;
      align-items: center;
      gap: 10px;
      min-height: 44px;
    }
    @media (max-width: 760px) {
      .add {
        grid-template-columns: 1fr 1fr;
      }
    }
  `,
})
export class TimeSpent {
  private readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  private readonly clock = inject(ShopClock);
  protected readonly names = COST_ACTS;
  protected readonly time = clock;
  protected readonly minutes = signal<number | null>(null);
  protected readonly remark = signal('');
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly rows = computed(() => spentAgainst(this.store.sheet()!));
  protected readonly logged = computed(() => spentOn(this.store.sheet()!));
  /** Acts of the chosen route first. */
  protected readonly kinds = computed<readonly Option[]>(() => {
    const own = this.rows().map((r) => r.act);
    return [...new Set([...own, ...COST_ACT_IDS])].map((id) => [id, COST_ACTS[id].name] as const);
  });
  protected readonly act = signal<string>(this.kinds()[0]![0]);
  protected readonly kept = keptDraft(() => `spent:${this.store.sheet()!.job.id}`, {
    act: this.act,
    minutes: this.minutes,
    remark: this.remark,
  });
  protected readonly sums = computed(() => {
    const of = (minutes: readonly (number | null)[]): number => minutes.reduce<number>((sum, m) => sum + (m ?? 0), 0);
    return { estimated: of(this.rows().map((r) => r.estimatedMin)), took: of(this.rows().map((r) => r.tookMin)) };
  });
  protected readonly against = computed(() => {
    const way = chosenWay(this.store.sheet()!);
    const { rates } = this.shop.shop();
    if (!way?.estimated) return 'No route with an estimate was chosen at Decide: there is nothing to hold it against.';
    const hours =
      rates && this.sums().took > 0
        ? ` At ${moneyWords(rates.hourMinor, '')} an hour the hours came to ${handsPrice(this.sums().took, rates).toFixed(2)} ${rates.currency}.`
        : '';
    const { priceMinor } = way.estimated;
    return `${priceMinor === null ? '' : `The route was estimated at ${moneyWords(priceMinor, rates?.currency ?? '')} in all.`}${hours}`;
  });

  protected name(personId: string): string {
    return this.shop.personName(personId, 'Somebody');
  }

  protected async add(): Promise<void> {
    const value = {
      act: this.act(),
      itemId: null,
      minutes: this.minutes(),
      day: this.clock.today(),
      remark: this.remark(),
      removed: false,
    };
    const { stored, problems } = await putChecked(this.store, choiceKey.spent(newId()), 'time spent', value);
    this.problems.set(problems);
    if (!stored) return;
    this.minutes.set(null);
    this.remark.set('');
    this.kept.done();
  }

  protected withdraw({ id, personId: _, ...value }: SpentChoice & { readonly id: string; readonly personId: string }): void {
    void this.store.putChoice(choiceKey.spent(id), 'time spent', { ...value, removed: true }).catch(this.store.bug);
  }
}
