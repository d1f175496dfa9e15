import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal, untracked, viewChild } from '@angular/core';
import { RouterLink } from '@angular/router';
import { laidPlan, shopProblem, type AskedKind, type Help, type PlanRow, type ShopOrderInputs } from '@iron-patch/core/repair/order';
import { countOf, MACHINE_WORDS, type RunChoice } from '@iron-patch/core';
import { DayPipe, ShopStore, Told } from '../data';
import type { OrderMessage, OrderQuestion } from '../workers/order-message';
import { newWorker } from '../workers/order.worker-factory';
import { CalendarLink } from './calendar-link';
import { dayAxis } from './day-axis';
import { helpWords } from './help-words';
import { JobUrgency } from './job-urgency';
import { lanesOf, type LanesBy } from './lanes-of';
import { OrderLanes, type Pulled } from './order-lanes';
import { doneWords, MomentWords, promiseState, promiseWords, spanWords } from './order-words';
import { PinLine } from './pin-line';
import { NOTHING_SAID, RUN_ORDER_SOON, RunOrderStore, watchRunOrder } from './run-order-store';
import { withSaid } from './with-said';

/** How long an order is looked for, and after what rest it is played through what would help, ms. */
const LOOKS_FOR_MS = 4000;
const HELPS_REST_MS = 800;
const DAYS_SHOWN = [1, 2, 5] as const;
/** From this width on two days are shown at first, px. */
const WIDE_PX = 700;
/** Moved by less than this is as it was, min. */
const MOVED_LEAST_MIN = 20;
const MOST_MOVED = 4;

/** Who does what on which machine, when: the acts of all open jobs in order, what is promised, and what would help. */
@Component({
  selector: 'ip-run-order',
  imports: [RouterLink, CalendarLink, DayPipe, OrderLanes, PinLine, JobUrgency],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './run-order.html',
  styleUrl: './run-order.less',
})
export class RunOrder {
  protected readonly store = inject(RunOrderStore);
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  protected readonly countOf = countOf;
  protected readonly promiseWords = promiseWords;
  protected readonly promiseState = promiseState;
  protected readonly dayCounts = DAYS_SHOWN;

  protected readonly by = signal<LanesBy>('machine');
  protected readonly dayCount = signal<number>(innerWidth < WIDE_PX ? 1 : 2);
  protected readonly skipped = signal(0);
  /** Whether the address for calendars is shown. */
  protected readonly calendar = signal(false);
  protected readonly selected = signal<string | null>(null);
  protected readonly pulled = signal<Pulled | null>(null);
  /** How far the looking is; null where nobody looks. */
  protected readonly share = signal<number | null>(null);
  protected readonly helps = signal<readonly Help[] | null>(null);
  private looking: Worker | null = null;
  private helping: Worker | null = null;
  private resting: ReturnType<typeof setTimeout> | undefined;
  private readonly line = viewChild(PinLine);

  protected readonly words = computed(() => new MomentWords(this.shop.timeZone(), this.store.today()));
  /** All days that can be shown, the first of them by how many were passed over. */
  private readonly first = computed(() => {
    const axis = dayAxis(this.store.today(), this.skipped() + 1, this.store.hours(), this.store.moments());
    return axis.days.at(-1)?.day ?? this.store.today();
  });
  protected readonly axis = computed(() => dayAxis(this.first(), this.dayCount(), this.store.hours(), this.store.moments()));
  protected readonly lanes = computed(() => {
    const problem = this.store.problem();
    const plan = this.shown();
    return problem && plan ? lanesOf(problem, plan.rows, this.by(), this.store.today()) : [];
  });
  protected readonly row = computed((): PlanRow | null => {
    const key = this.selected();
    return this.store.plan()?.rows.find((r) => `${r.job.id}/${r.act.key}` === key) ?? null;
  });
  /** The order with what is on the line, not yet said; null where nothing is. */
  protected readonly tried = computed(() => {
    const row = this.row();
    const choice = this.line()?.onLine() ?? null;
    const inputs = this.store.inputs();
    if (!row || !choice || !inputs) return null;
    const problem = shopProblem(withSaid(inputs, row, choice));
    return laidPlan(problem, problem.order, inputs.stored, 0);
  });
  /** What is drawn: the order in force, or as it would be while a box is pulled. */
  protected readonly shown = computed(() => (this.pulled() ? this.tried() : null) ?? this.store.plan());
  /** What the line would do to the others. */
  protected readonly effect = computed((): string => {
    const [tried, now, row] = [this.tried(), this.store.plan(), this.row()];
    if (!tried || !now || !row) return '';
    const own = tried.rows.find((r) => r.job.id === row.job.id && r.act.key === row.act.key)!;
    const before = new Map(now.promises.map((p) => [p.job.id, p]));
    const late = ({ end, due }: { readonly end: number; readonly due: number }): number => (due === Infinity ? 0 : Math.max(0, end - due));
    const worse = tried.promises
      .map((p) => ({ job: p.job, more: late(p) - late(before.get(p.job.id) ?? p) }))
      .filter((p) => p.more >= 1)
      .sort((a, b) => b.more - a.more);
    const when = this.words().span(own.begin, own.end);
    if (!worse.length) return `${when}; nobody’s promise is later for it`;
    const [first, ...more] = worse;
    return `${when}; ${first!.job.number} would be late by ${spanWords(first!.more)} more${more.length ? `, and ${countOf(more.length, 'other')}` : ''}`;
  });
  protected readonly late = computed(() => new Set((this.store.plan()?.promises ?? []).filter((p) => p.end > p.due).map((p) => p.job.id)));
  protected readonly safe = computed(() => {
    const promised = (this.store.plan()?.promises ?? []).filter((p) => p.due < Infinity);
    return { all: promised.length, safe: promised.filter((p) => promiseState(p) === 'good').length };
  });
  protected readonly left = computed(() => (this.store.plan()?.rows ?? []).filter((r) => r.act.act !== null).length);
  /** What begins later or sooner than when the order was stored, the most first. */
  protected readonly moved = computed(() => {
    const rows = this.store.plan()?.rows ?? [];
    const byIndex = new Map(rows.map((r) => [r.index, r]));
    return rows
      .filter((r) => r.act.act !== null && !r.started && r.movedMin !== null && Math.abs(r.movedMin) >= MOVED_LEAST_MIN)
      .sort((a, b) => Math.abs(b.movedMin!) - Math.abs(a.movedMin!))
      .slice(0, MOST_MOVED)
      .map((row) => ({ row, behind: row.behind === null ? null : (byIndex.get(row.behind) ?? null) }));
  });
  protected readonly fresh = computed(() => {
    if (!this.store.page()?.order) return 0;
    return (this.store.plan()?.rows ?? []).filter((r) => r.movedMin === null && r.act.act !== null && !r.started).length;
  });
  private inWords(kinds: readonly AskedKind[]): string {
    return kinds.map(({ kind, acts }) => `${countOf(acts, 'act')} for a ${MACHINE_WORDS[kind].toLowerCase()}`).join(', ');
  }
  protected readonly missing = computed(() => this.inWords(this.store.problem()?.missing ?? []));
  protected readonly unmanned = computed(() => this.inWords(this.store.problem()?.unmanned ?? []));
  protected readonly undecided = computed(() => (this.store.problem()?.jobs ?? []).filter((j) => !j.toDo.decided));
  protected readonly helpLines = computed(() => {
    const helps = this.helps();
    const jobs = this.store.problem()?.jobs ?? [];
    return helps?.map((h) => ({
      number: jobs.find((j) => j.id === h.jobId)?.number ?? 0,
      words: helpWords(h, jobs, this.words(), (id) => this.shop.personName(id)),
    }));
  });

  constructor() {
    watchRunOrder(RUN_ORDER_SOON.page);
    inject(DestroyRef).onDestroy(() => {
      this.looking?.terminate();
      this.helping?.terminate();
      clearTimeout(this.resting);
    });
    effect(() => {
      this.store.page();
      const inputs = this.shop.loaded() ? untracked(() => this.store.inputs()) : null;
      clearTimeout(this.resting);
      if (inputs) this.resting = setTimeout(() => this.askHelps(inputs), HELPS_REST_MS);
    });
  }

  private question({ momentOf: _, ...inputs }: ShopOrderInputs, forMs: number): OrderQuestion {
    return { inputs, zone: this.shop.timeZone(), forMs };
  }

  private askHelps(inputs: ShopOrderInputs): void {
    this.helping?.terminate();
    const worker = newWorker();
    this.helping = worker;
    worker.onmessage = ({ data }: MessageEvent<OrderMessage>) => {
      if (data.kind !== 'helps') return;
      this.helps.set(data.helps);
      worker.terminate();
    };
    worker.postMessage(this.question(inputs, 0));
  }

  /** Looks for a better order, and puts it in force. */
  protected putInOrder(): void {
    const inputs = this.store.inputs();
    if (!inputs || this.looking) return;
    const over = this.store.page()?.order?.version ?? 0;
    this.share.set(0);
    const worker = newWorker();
    this.looking = worker;
    worker.onmessage = ({ data }: MessageEvent<OrderMessage>) => {
      if (data.kind === 'progress') return this.share.set(data.share);
      this.stop();
      if (data.kind !== 'order') return;
      if (!data.better && inputs.stored && !this.fresh()) return this.told.say('No better order was found: it stays as it is.');
      const before = inputs.stored;
      void this.told.doing(async () => {
        const version = await this.store.store(data.placed, over);
        this.told.say('Put in order.', before ? () => this.store.store(before.placed, version) : undefined);
      });
    };
    worker.onerror = () => {
      this.stop();
      this.told.wrong(new Error('The order could not be worked out in this browser.'));
    };
    worker.postMessage(this.question(inputs, LOOKS_FOR_MS));
  }

  protected stop(): void {
    this.looking?.terminate();
    this.looking = null;
    this.share.set(null);
  }

  protected pick(row: PlanRow): void {
    const key = `${row.job.id}/${row.act.key}`;
    this.selected.set(this.selected() === key ? null : key);
    this.calendar.set(false);
    this.pulled.set(null);
  }

  protected pull(pulled: Pulled): void {
    this.selected.set(`${pulled.row.job.id}/${pulled.row.act.key}`);
    this.pulled.set(pulled);
  }

  protected drop(): void {
    const choice = this.line()?.onLine() ?? null;
    this.pulled.set(null);
    if (choice) this.say(choice);
  }

  protected say(choice: RunChoice): void {
    const row = this.row();
    if (!row) return;
    const before = row.act.said ?? NOTHING_SAID;
    void this.told.doing(async () => {
      await this.store.say(row.job, row.act, choice);
      this.told.say(`${row.job.number} ${row.act.name}: ${sayWords(choice)}.`, () => this.takeBack(row, before));
    });
  }

  private async takeBack(row: PlanRow, before: RunChoice): Promise<void> {
    const now = this.store.page()?.jobs.find((j) => j.id === row.job.id);
    const act = now?.toDo.acts.find((a) => a.key === row.act.key);
    if (now && act) await this.store.say(now, act, before);
  }

  protected begin(row: PlanRow, personId: string): void {
    const before = row.act.said ?? NOTHING_SAID;
    void this.told.doing(async () => {
      await this.store.begin(row, personId);
      this.told.say(`${row.job.number} ${row.act.name}: under way.`, () => this.takeBack(row, before));
    });
  }

  protected done(): void {
    const row = this.row();
    if (!row) return;
    void this.told.doing(async () => {
      const minutes = await this.store.finish(row);
      this.selected.set(null);
      this.told.say(doneWords(row, minutes));
    });
  }

  protected print(): void {
    print();
  }

  protected movedWords(movedMin: number): string {
    return `${spanWords(Math.abs(movedMin))} ${movedMin > 0 ? 'later' : 'sooner'}`;
  }
}

function sayWords({ pinnedAt, personId }: RunChoice): string {
  if (pinnedAt) return 'pinned';
  return personId ? 'theirs' : 'free to go where it fits';
}
