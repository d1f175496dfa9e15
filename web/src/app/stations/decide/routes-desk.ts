import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  allInAll,
  barSize,
  choiceKey,
  choiceOf,
  FINDINGS,
  findings,
  itemsOff,
  layOut,
  LASTS_WORDS,
  materialName,
  placeWithUnit,
  capital,
  countOf,
  dayWithoutIt,
  estimatedNow,
  customersWay,
  proposeRoute,
  readyOn,
  routeIdsOf,
  ROUTES,
  untouchedOf,
  type ComponentRecord,
  type ConsideredBuy,
  type ConsideredChoice,
  type ConsideredStock,
  type Figure,
  type FindingId,
  type JobItem,
  type Lasts,
  type Problem,
  type RouteFinding,
  type RouteId,
  type StationState,
  type Verdict,
} from '@iron-patch/core';
import { newId, ShopClock, ShopStore } from '../../data';
import { TextField } from '../../form';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';
import { FigureButton } from '../../show';
import { daysUntil, dayWords } from '@iron-patch/core/terms/calendar';
import { RouteForm } from './route-form';
import { StandingStill } from './standing-still';

/** How a life looks beside that of the new thing. */
const MARKS: Readonly<Record<Lasts, StationState | Verdict>> = { weeks: 'out', 'years-fewer': 'close', 'as-new': 'fits', longer: 'fits' };

/** Ways to put it right, side by side: price, hours, life, risk, what each takes; one is chosen and lays out its items. */
@Component({
  selector: 'ip-routes',
  imports: [FigureButton, RouteForm, RouterLink, StandingStill, StateMark, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './routes-desk.html',
  styleUrl: './routes-desk.less',
})
export class RoutesDesk {
  private readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  private readonly clock = inject(ShopClock);
  /** The name of the route that was chosen. */
  readonly chosen = output<string>();
  protected readonly names = ROUTES;
  protected readonly lasts = LASTS_WORDS;
  protected readonly ways = computed(() => this.store.repair()?.routes ?? []);
  /** The way that the customer said yes to last. */
  protected readonly wanted = computed(() => customersWay(this.store.sheet()?.quotes ?? [])?.id ?? null);
  protected readonly currency = computed(() => this.shop.shop().rates?.currency ?? '');
  /** Routes of the list that nobody weighs yet; to buy it always is one. */
  protected readonly offered = computed((): readonly RouteId[] => {
    const sheet = this.store.sheet();
    const weighed = new Set(this.ways().map((w) => w.route.value.routeId));
    const of = sheet ? routeIdsOf(sheet) : [];
    return [...new Set<RouteId>([...of, 'buy'])].filter((id) => !weighed.has(id));
  });
  /** The route whose form is open; `own` for a new one. */
  protected readonly opened = signal('');
  protected readonly asked = signal<{ readonly way: RouteFinding; readonly to: 'chosen' | 'dropped' } | null>(null);
  protected readonly why = signal('');
  protected readonly problems = signal<readonly Problem[]>([]);
  protected readonly busy = signal(false);

  protected readonly capital = capital;

  protected list = (words: readonly string[]): string => words.join(', ');
  protected mark = ({ route }: RouteFinding): StationState | Verdict => MARKS[route.value.lasts];

  protected span({ price }: RouteFinding): string {
    const { lower, upper } = price!.limits!;
    return `${Math.round(lower)} to ${Math.round(upper)}, 8 in 10`;
  }

  protected hours({ minutes, aloneMin }: RouteFinding): string {
    const { lower, upper } = minutes.limits!;
    const alone = aloneMin >= 5 ? `; saw ${Math.round(aloneMin)} min by itself` : '';
    return `${(lower / 60).toFixed(1)} to ${(upper / 60).toFixed(1)} h${alone}`;
  }

  protected stock({ what, materialId, diameterMm, lengthMm, pieces }: ConsideredStock): string {
    const size = barSize({ shape: 'round', diameterMm, innerMm: null }, this.store.unit());
    const many = pieces > 1 ? `${pieces} x ` : '';
    return `${what}: ${many}${size} by ${placeWithUnit(lengthMm, this.store.unit())}${materialId === 'unknown' ? '' : `, ${materialName(materialId)}`}`;
  }

  protected bought({ what, count, leadDays, outside }: ConsideredBuy): string {
    const many = count > 1 ? `${count} ` : '';
    return `${many}${what}${outside ? ', elsewhere' : ''}${leadDays === null ? '' : `, ${countOf(leadDays, 'day')}`}`;
  }

  private readyDay({ minutes, waitDays }: RouteFinding): string {
    return readyOn(this.clock.today(), waitDays ?? 0, minutes.limits!.upper);
  }

  protected ready(way: RouteFinding): string {
    return dayWords(this.readyDay(way), 'weekday');
  }

  private daysTo(way: RouteFinding): number {
    return daysUntil(this.clock.today(), this.readyDay(way));
  }

  protected days(way: RouteFinding): string {
    return countOf(this.daysTo(way), 'day');
  }

  /** Price and days without it; null where nobody said what a day costs. */
  protected allInAll(way: RouteFinding): Figure | null {
    const dayMinor = dayWithoutIt(this.store.sheet() ?? { choices: [] });
    return dayMinor === null ? null : allInAll(way, this.daysTo(way), dayMinor);
  }

  protected readyNote({ undated }: RouteFinding): string {
    return `if begun today and nothing else waits${undated.length ? `; days of ${this.list(undated)} not asked yet` : ''}`;
  }

  /** What choosing it lays out. */
  protected layWords({ route }: RouteFinding): string {
    const laid = layOut(route.value, this.store.sheet()!, this.items(), newId);
    const added = laid.filter((l) => !l.item).map((l) => l.value.name);
    if (!laid.length) return 'It lays out no items: add what is made or bought where it stands.';
    return added.length ? `It adds to this job: ${this.list(added)}.` : 'What it takes stands on this job already.';
  }

  protected turn(id: string): void {
    this.opened.update((now) => (now === id ? '' : id));
  }

  protected ask(way: RouteFinding, to: 'chosen' | 'dropped'): void {
    this.why.set(way.route.value.why);
    this.problems.set([]);
    this.asked.set({ way, to });
  }

  protected weighAll(): Promise<void> {
    return this.weigh(this.offered());
  }

  /** Puts routes of the list beside those that are weighed. */
  protected weigh(ids: readonly RouteId[]): Promise<void> {
    return this.doing(async () => {
      for (const id of ids) {
        const { places, routes } = this.store.repair()!;
        const { pieces } = this.store.sheet()!.job;
        const value = proposeRoute(id, this.componentFor(id), places, routes.length, pieces);
        await this.put(choiceKey.considered(newId()), value, 0);
      }
    });
  }

  protected weighAgain({ route }: RouteFinding): void {
    void this.doing(() => this.put(route.key, { ...route.value, state: 'considered', why: '', estimated: null }, route.version));
  }

  protected takeOff({ route }: RouteFinding): void {
    void this.doing(() => this.put(route.key, { ...route.value, removed: true }, route.version));
  }

  protected decide(): Promise<void> {
    const { way, to } = this.asked()!;
    const why = this.why().trim();
    if (!why) {
      const message = to === 'chosen' ? 'Say why it is this one: one line is enough.' : 'Say why it is not done: one line is enough.';
      this.problems.set([{ code: 'needed', path: 'why', message }]);
      return Promise.resolve();
    }
    return this.doing(async () => {
      if (to === 'chosen') await this.choose(way, why);
      else await this.put(way.route.key, { ...way.route.value, state: 'dropped', why }, way.route.version);
      this.asked.set(null);
    });
  }

  /** The one that was chosen before is weighed again, and what it laid out and nobody touched is called off. */
  private async choose(way: RouteFinding, why: string): Promise<void> {
    for (const { route } of this.ways())
      if (route.value.state === 'chosen') {
        for (const item of untouchedOf(route.value, this.store.sheet()!, this.items()))
          await this.store.putItem(item, { ...choiceOf(item), off: true });
        await this.put(route.key, { ...route.value, state: 'considered', why: '', estimated: null }, route.version);
      }
    for (const { id, item, value } of layOut(way.route.value, this.store.sheet()!, this.items(), newId))
      await this.store.putItem(item ?? { key: choiceKey.item(id), name: value.name, version: 0 }, value);
    await this.put(way.route.key, { ...way.route.value, state: 'chosen', why, estimated: estimatedNow(way) }, way.route.version);
    this.chosen.emit(way.route.value.name);
  }

  /** What the job does, and what was called off. */
  private items(): JobItem[] {
    return [...(this.store.repair()?.items ?? []).map((i) => i.item), ...itemsOff(this.store.sheet()!)];
  }

  private put(key: string, value: ConsideredChoice, version: number): Promise<unknown> {
    return this.store.putChoice(key, value.name, value, '', true, version);
  }

  /** The component on which that was found; else the first that is worn. */
  private componentFor(id: RouteId): ComponentRecord | null {
    const { components, ...sheet } = this.store.sheet()!;
    const found = findings(sheet).find((f) => (FINDINGS[f.value.findingId as FindingId].routes as readonly RouteId[]).includes(id));
    return components.find((c) => c.id === found?.value.componentId) ?? components.find((c) => c.role === 'worn') ?? components[0] ?? null;
  }

  private async doing(act: () => Promise<unknown>): Promise<void> {
    this.busy.set(true);
    await act().catch(this.store.bug);
    this.busy.set(false);
  }
}
