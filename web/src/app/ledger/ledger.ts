import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal, untracked } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { LEDGER, routes, type LedgerCount, type LedgerPage, type LedgerSums } from '@iron-patch/contract/wire';
import { actTook, capital, CAUSES, COST_ACT_IDS, COST_ACTS, countOf, type CauseId } from '@iron-patch/core';
import { dayWords } from '@iron-patch/core/terms/calendar';
import { NzInputModule } from 'ng-zorro-antd/input';
import { Api, Live, ShopClock, ShopStore, Told } from '../data';
import { CountBars, type Bar } from './count-bars';

/** What is typed is looked for once the hand rests; changes of others are fetched once they rest, ms. */
const RESTS_MS = 150;
const MOST_BARS = 8;

/** Everything that was handed back: looked for by words, and what it comes to: causes, what was done, what came back, estimates and promises. */
@Component({
  selector: 'ip-ledger',
  imports: [CountBars, FormsModule, NzInputModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ledger.html',
  styleUrl: './ledger.less',
})
export class Ledger {
  private readonly api = inject(Api);
  private readonly clock = inject(ShopClock);
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  protected readonly longest = LEDGER.length;
  protected readonly text = signal('');
  private readonly upTo = signal<number>(LEDGER.first);
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
      this.text();
      this.upTo();
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
    const asked = `${routes.ledger}?find=${encodeURIComponent(this.text().trim())}&upTo=${this.upTo()}`;
    const page = await this.api.get<LedgerPage>(asked).catch(this.told.or(null));
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

  protected dayOf(at: string): string {
    return dayWords(this.clock.dayOf(at));
  }

  protected said({ found }: LedgerPage): string {
    return this.text().trim() ? `${countOf(found, 'job')} with these words.` : `${countOf(found, 'job')} handed back.`;
  }

  private bars(counts: readonly LedgerCount[], nameOf: (id: string) => string, none: string): Bar[] {
    return counts.slice(0, MOST_BARS).map(({ id, jobs, cameBack }) => ({ name: id ? nameOf(id) : none, jobs, cameBack }));
  }
}
