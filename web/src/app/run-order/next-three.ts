import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { nextOf, type PlanRow } from '@iron-patch/core/repair/order';
import { SessionStore, ShopStore, Told } from '../data';
import { doneWords, MomentWords } from './order-words';
import { RUN_ORDER_SOON, RunOrderStore, watchRunOrder } from './run-order-store';

const SHOWN = 3;

/** What whoever is at the bench is to do next: what they are at, then what is theirs in the order. */
@Component({
  selector: 'ip-next-three',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length) {
      <section [attr.aria-label]="'Next for ' + name()">
        <h2>Next for {{ name() }}</h2>
        <ol>
          @for (r of rows(); track r.job.id + r.act.key; let first = $first) {
            <li [class.now]="r.started" [class.first]="first">
              <a class="fig" [routerLink]="['/jobs', r.job.id]">{{ r.job.number }}</a>
              <span class="what">
                <b>{{ r.act.name }}</b>
                <span class="quiet">{{ where(r) }}</span>
              </span>
              @if (r.started) {
                <button type="button" class="next" (click)="finish(r)" [attr.aria-label]="'It is done: ' + r.act.name">It is done</button>
              } @else if (first) {
                <button type="button" class="next" (click)="begin(r)" [attr.aria-label]="'Begin: ' + r.act.name">Begin</button>
              }
            </li>
          }
        </ol>
        <a class="all" routerLink="/run-order">All of the run order</a>
      </section>
    }
  `,
  styles: `
    section {
      display: grid;
      grid-template-columns: auto minmax(0, 1fr) auto;
      gap: 4px 18px;
      align-items: center;
      background: var(--sheet);
      border: 1px solid var(--hairline);
      padding: 6px 12px;
      margin-bottom: 14px;
    }
    ol {
      display: grid;
      grid-template-columns: repeat(3, minmax(0, 1fr));
      gap: 6px 16px;
    }
    li {
      display: flex;
      gap: 12px;
      align-items: center;
      min-height: 52px;
      border-left: 4px solid var(--hairline);
      padding-left: 10px;
    }
    li.first {
      border-color: var(--accent);
    }
    li.now {
      border-color: var(--blue);
    }
    li a {
      font-weight: 700;
      font-size: 18px;
      text-decoration: underline;
    }
    .what {
      display: flex;
      flex-direction: column;
      min-width: 0;
      flex: 1;
    }
    .what b {
      font: 600 17px/1.2 var(--label);
      overflow: hidden;
      text-overflow: ellipsis;
      white-space: nowrap;
    }
    .what .quiet {
      font-size: 15px;
    }
    .all {
      text-decoration: underline;
      white-space: nowrap;
    }
    @media (max-width: 1000px) {
      section {
        grid-template-columns: minmax(0, 1fr);
      }
      ol {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class NextThree {
  private readonly store = inject(RunOrderStore);
  private readonly shop = inject(ShopStore);
  private readonly session = inject(SessionStore);
  private readonly told = inject(Told);
  protected readonly name = computed(() => this.shop.personName(this.session.personId()).split(' ')[0] ?? '');
  private readonly words = computed(() => new MomentWords(this.shop.timeZone(), this.store.today()));
  protected readonly rows = computed(() => {
    // Before anybody put it in order there is nothing to go by, and nothing to work out.
    const plan = this.store.page()?.order ? this.store.timed() : null;
    return plan ? nextOf(plan, this.session.personId(), SHOWN) : [];
  });

  constructor() {
    watchRunOrder(RUN_ORDER_SOON.beside);
  }

  protected where(row: PlanRow): string {
    const machine = this.shop.shop().machines.find((m) => m.id === row.machineId)?.name ?? 'Bench';
    return `${machine}, ${row.started ? `under way, until about ${this.words().of(row.handsEnd)}` : this.words().of(row.begin)}`;
  }

  protected begin(row: PlanRow): void {
    void this.told.doing(async () => {
      await this.store.begin(row, this.session.personId());
      this.told.say(`${row.job.number} ${row.act.name}: under way.`);
    });
  }

  protected finish(row: PlanRow): void {
    void this.told.doing(async () => this.told.say(doneWords(row, await this.store.finish(row))));
  }
}
