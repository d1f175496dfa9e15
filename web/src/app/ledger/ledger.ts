import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormsModule, ReactiveFormsModule } from '@angular/forms';
import { Router, RouterLink } from '@angular/router';
import { LEDGER, routes, type LedgerCount, type LedgerPage, type LedgerRow, type LedgerSums } from '@iron-patch/contract/wire';
import {
  actTook,
  capital,
  CAUSES,
  COST_ACT_IDS,
  COST_ACTS,
  countOf,
  formatWithUnit,
  type CauseId,
  type LedgerSize,
} from '@iron-patch/core';
import { dayWords } from '@iron-patch/core/terms/calendar';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Api, Live, ShopStore, Told } from '../data';
import { DateField } from '../form';
import { CountBars, type Bar } from './count-bars';
import { TakeOut } from './take-out';

/** What is typed is looked for once the hand rests; changes of others are fetched once they rest, ms. */
const RESTS_MS = 150;
const MOST_BARS = 8;
/** So many of the sizes that were looked for are shown of a job. */
const MOST_SIZES = 4;

/** Everything that was handed back: looked for by words, and what it comes to: causes, what was done, what came back, estimates and promises. */
@Component({
  selector: 'ip-ledger',
  imports: [CountBars, DateField, FormsModule, NzInputModule, ReactiveFormsModule, RouterLink, TakeOut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ledger.html',
  styleUrl: './ledger.less',
})
export class Ledger {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  private readonly router = inject(Router);
  protected readonly unit = computed(() => this.shop.shop().card.unit);
  protected readonly longest = LEDGER.length;
  /** A job of whose machine it tells alone; none where it tells of all. */
  readonly machineOf = input<string>();
  protected readonly text = signal('');
  /** First and last day that it tells of; null where it does from the first, or up to now. */
  protected readonly days = { from: new FormControl<string | null>(null), to: new FormControl<string | null>(null) };
  private readonly from = toSignal(this.days.from.valueChanges, { initialValue: null });
  private readonly to = toSignal(this.days.to.valueChanges, { initialValue: null });
  private readonly upTo = signal<number>(LEDGER.first);
  private readonly question = computed(() => {
    const asked = { find: this.text().trim(), from: this.from(), to: this.to(), machineOf: this.machineOf(), upTo: this.upTo() };
    return new URLSearchParams(Object.entries(asked).flatMap(([k, v]) => (v || k === 'find' ? [[k, String(v)]] : []))).toString();
  });
  /** Something is looked for: not all of it is shown. */
  protected readonly some = computed(() => Boolean(this.text().trim() || this.from() || this.to() || this.machineOf()));
  protected readonly page = signal<LedgerPage | null>(null);
  protected readonly sums = signal<LedgerSums | null>(null);
  /** Whether no answer came to what was asked last. */
  protected readonly away = signal(false);
  private asked = 0;
  /** Somebody changed something since the sums were fetched. */
  private stale = false;
  private soon: ReturnType<typeof setTimeout> | undefined;
  protected readonly more = computed(() => {
    const p = this.page();
    return p !== null && p.rows.length < Math.min(p.found, LEDGER.most);
  });
  protected readonly causes = computed(() =>
    this.bars(this.sums()?.causes ?? [], (id) => CAUSES[id as CauseId]?.name ?? id, 'no cause of the list'),
  );
  protected readonly ways = computed(() => this.bars(this.sums()?.routes ?? [], capital, 'no way was weighed'));
  /** What acts take of their estimates here, those that are known best first. */
  protected readonly acts = computed(() => {
    const rows = this.shop.shop().took;
    return COST_ACT_IDS.map((act) => ({ name: COST_ACTS[act].name, ...actTook(act, rows) }))
      .filter((a) => a.jobs > 0)
      .sort((a, b) => b.jobs - a.jobs || b.factor - a.factor)
      .slice(0, MOST_BARS);
  });

  constructor() {
    effect(() => {
      this.question();
      untracked(() => this.rest());
    });
    void this.add();
    const news = inject(Live).news.subscribe(({ table }) => {
      if (table !== 'choices') return;
      this.rest();
      this.stale = true;
    });
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(this.soon);
      news.unsubscribe();
    });
  }

  /** Fetches what all of it comes to. */
  private async add(): Promise<void> {
    this.stale = false;
    const sums = await this.api.get<LedgerSums>(routes.ledgerSums).catch(this.told.or(null));
    if (sums) this.sums.set(sums);
  }

  private rest(): void {
    clearTimeout(this.soon);
    this.soon = setTimeout(() => void this.look(), RESTS_MS);
  }

  private async look(): Promise<void> {
    const mine = ++this.asked;
    const page = await this.api.get<LedgerPage>(`${routes.ledger}?${this.question()}`).catch(this.told.or(null));
    if (mine !== this.asked) return;
    this.away.set(page === null);
    if (page) this.page.set(page);
    if (this.stale) await this.add();
  }

  protected typed(text: string): void {
    this.upTo.set(LEDGER.first);
    this.text.set(text);
  }

  protected showMore(): void {
    this.upTo.update((n) => Math.min(n * 3, LEDGER.most));
  }

  protected dayOf({ returnedOn }: LedgerRow): string {
    return returnedOn ? dayWords(returnedOn) : 'no day said';
  }

  /** `25.011 mm, Bush, bore; made: H7`. */
  protected sizeWords({ mm, name, kind, words }: LedgerSize): string {
    return `${formatWithUnit(mm, this.unit())}, ${name}, ${kind}${words ? `: ${words}` : ''}`;
  }

  protected sizesOf({ sizes }: LedgerRow): readonly LedgerSize[] {
    return sizes.slice(0, MOST_SIZES);
  }

  protected said({ found }: LedgerPage): string {
    return this.some() ? `${countOf(found, 'job')} found.` : `${countOf(found, 'job')} handed back.`;
  }

  protected ofAll(): void {
    void this.router.navigate(['/ledger']);
  }

  private bars(counts: readonly LedgerCount[], nameOf: (id: string) => string, none: string): Bar[] {
    return counts.slice(0, MOST_BARS).map(({ id, jobs, cameBack }) => ({ name: id ? nameOf(id) : none, jobs, cameBack }));
  }
}
