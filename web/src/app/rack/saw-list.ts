import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { routes, type SawJob, type SawnAnswer, type SawnInput } from '@iron-patch/contract';
import {
  barSectionMm2,
  barSize,
  blankNeed,
  choiceKey,
  countOf,
  FINISH_WORDS,
  formatLength,
  materialName,
  noBarWords,
  onRack,
  sawStop,
  SHORTEST_KEPT_MM,
  USUAL_ALLOWANCES,
  type Bar,
  type BarSawn,
  type ChoiceRecord,
  type CuttingPlan,
  type SawNeed,
  type SawnChoice,
} from '@iron-patch/core';
import { Api, Live, newId, OpenJob, ShopStore, Told } from '../data';
import type { SawMessage, SawQuestion } from '../workers/saw-message';
import { newWorker } from '../workers/saw.worker-factory';

/** Something to be sawn, with whose it is. */
interface Wanted {
  readonly key: string;
  readonly job: SawJob;
  readonly need: SawNeed;
}
/** Blanks alike from one bar. */
interface Cut extends Wanted {
  readonly count: number;
}
/** One bar as it is sawn. */
interface Sawing {
  readonly key: string;
  readonly bar: Bar;
  readonly cuts: readonly Cut[];
  readonly strip: readonly { readonly share: number; readonly number: number; readonly stop: string }[];
  readonly restMm: number;
  readonly kept: boolean;
}

const OFFCUTS = 'offcuts';
/** Changes of others that come one after another are fetched once, ms. */
const SOON_MS = 400;

/** What all open jobs have to have sawn, laid out over the rack so that least is used and what is left is long; each bar is put on record as sawn. */
@Component({
  selector: 'ip-saw-list',
  imports: [NgTemplateOutlet, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './saw-list.html',
  styleUrls: ['./rack.less', './saw-list.less'],
})
export class SawList {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  private readonly told = inject(Told);
  protected readonly unit = inject(OpenJob).unit;
  protected readonly countOf = countOf;
  protected readonly jobs = signal<readonly SawJob[] | null>(null);
  protected readonly failed = signal(false);
  /** Ways looked at while it is worked out; null once it is. */
  protected readonly ways = signal<number | null>(null);
  protected readonly stopped = signal(false);
  private readonly plan = signal<CuttingPlan | null>(null);
  private worker: Worker | null = null;
  private asked = 0;

  private readonly wanted = computed((): readonly Wanted[] =>
    (this.jobs() ?? []).flatMap((job) =>
      job.saws.map((need) => ({ key: `${job.id}/${need.itemId}`, job, need: onRack(need, this.shop.shop().rack) })),
    ),
  );
  private readonly question = computed((): SawQuestion | null => {
    const { rack } = this.shop.shop();
    if (!this.jobs() || !this.shop.loaded()) return null;
    const needs = this.wanted().map((w) => blankNeed(w.key, w.need, rack));
    const bars = rack.map((b) => ({ id: b.id, lengthMm: b.lengthMm, pieces: b.pieces, sectionMm2: barSectionMm2(b) }));
    return { needs, bars, options: { sawMm: USUAL_ALLOWANCES.sawMm, keepMm: SHORTEST_KEPT_MM } };
  });
  protected readonly sawings = computed((): readonly Sawing[] => (this.plan()?.bars ?? []).flatMap((b, i) => this.sawing(b, i)));
  /** What comes out of no bar, with the reason. */
  protected readonly short = computed(() => {
    const missed = this.plan()?.short ?? [];
    return this.wanted().flatMap((w) => {
      const count = missed.filter((key) => key === w.key).length;
      return count ? [{ ...w, count, why: noBarWords(w.need, this.shop.shop().rack) }] : [];
    });
  });
  protected readonly proven = computed(() => this.plan()?.proven ?? false);
  protected readonly done = computed(() => this.plan() !== null);
  protected readonly total = computed(() => this.sawings().reduce((sum, s) => sum + s.strip.length, 0));

  constructor() {
    const live = inject(Live);
    let soon: ReturnType<typeof setTimeout> | undefined;
    const again = (): void => {
      soon ??= setTimeout(() => {
        soon = undefined;
        void this.load();
      }, SOON_MS);
    };
    const subscriptions = [live.news.subscribe(again), live.back.subscribe(again)];
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(soon);
      subscriptions.forEach((s) => s.unsubscribe());
      this.worker?.terminate();
    });
    void this.load();
    effect(() => this.layOut(this.question()));
  }

  protected async load(): Promise<void> {
    const mine = ++this.asked;
    try {
      const jobs = await this.api.get<SawJob[]>(routes.saw);
      if (mine !== this.asked) return;
      this.jobs.set(jobs);
      this.failed.set(false);
    } catch (e) {
      this.told.bug(e);
      if (mine === this.asked) this.failed.set(true);
    }
  }

  private layOut(question: SawQuestion | null): void {
    this.worker?.terminate();
    this.worker = null;
    this.stopped.set(false);
    if (!question) return;
    this.ways.set(0);
    const worker = newWorker();
    this.worker = worker;
    worker.onmessage = ({ data }: MessageEvent<SawMessage>) => {
      if (data.kind === 'progress') return this.ways.set(data.ways);
      this.plan.set(data.plan);
      this.stop();
      this.stopped.set(false);
    };
    worker.onerror = () => {
      this.stop();
      this.told.wrong(new Error('The saw list could not be worked out in this browser.'));
    };
    worker.postMessage(question);
  }

  protected stop(): void {
    this.worker?.terminate();
    this.worker = null;
    this.ways.set(null);
    this.stopped.set(true);
  }

  protected again(): void {
    this.layOut(this.question());
  }

  private sawing({ barId, blanks, restMm }: BarSawn, i: number): Sawing[] {
    const bar = this.shop.shop().rack.find((b) => b.id === barId);
    const own = blanks.map((key) => this.wanted().find((w) => w.key === key));
    // The rack or a job moved while it was laid out: it is laid out again already.
    if (!bar || own.some((w) => !w)) return [];
    const all = own as Wanted[];
    const cuts = [...new Set(all)].map((w): Cut => ({ ...w, count: all.filter((x) => x === w).length }));
    const strip = all.map((w) => ({ share: w.need.fit.lengthMm / bar.lengthMm, number: w.job.number, stop: this.stopAt(w.need) }));
    return [{ key: `${barId}.${i}`, bar, cuts, strip, restMm, kept: restMm >= SHORTEST_KEPT_MM }];
  }

  protected barWords({ bar }: Sawing): string {
    return [barSize(bar, this.unit()), materialName(bar.materialId), FINISH_WORDS[bar.finish]].filter(Boolean).join(', ');
  }

  protected stopAt(need: SawNeed): string {
    return sawStop(need, this.unit());
  }

  protected length(mm: number): string {
    return `${formatLength(mm, this.unit(), this.unit() === 'mm' ? 0 : 2)} ${this.unit()}`;
  }

  /** What the blade takes, as the shop's unit has it. */
  protected readonly blade = computed(
    () => `${formatLength(USUAL_ALLOWANCES.sawMm, this.unit(), this.unit() === 'mm' ? 1 : 2)} ${this.unit()}`,
  );

  protected sawn({ bar, cuts, kept }: Sawing): Promise<void> {
    const input: SawnInput = {
      version: bar.version,
      blanks: cuts.map(({ job, need, count }) => ({ jobId: job.id, itemId: need.itemId, blanks: count, lengthMm: need.fit.lengthMm })),
      keep: kept,
      offcutId: newId(),
      place: OFFCUTS,
    };
    return this.told.doing(async () => {
      const answer = await this.api.post<SawnAnswer>(routes.sawn(bar.id), input);
      await this.fresh();
      const rest = answer.offcut ? ` ${this.length(answer.offcut.lengthMm)} of it is back on the rack.` : '';
      this.told.say(
        `${countOf(
          cuts.reduce((n, c) => n + c.count, 0),
          'blank',
        )} sawn.${rest}`,
        () => this.takeBack(bar, answer),
      );
    });
  }

  protected has({ need }: Wanted): string {
    return need.left === 1 ? 'It has its blank' : 'They have their blanks';
  }

  /** Blanks that came from elsewhere, or were sawn before this was kept: the rack stays as it is. */
  protected haveThem({ job, need }: Wanted): Promise<void> {
    const path = routes.choice(job.id, choiceKey.sawn(need.itemId));
    const put = (value: SawnChoice, version: number): Promise<ChoiceRecord> => this.api.put(path, { value, reason: '' }, version);
    return this.told.doing(async () => {
      const { blanks, pieces } = need.sawn;
      const { version } = await put({ blanks: blanks + need.left, pieces: pieces + need.left * need.each }, need.version);
      await this.load();
      this.told.say(`${job.number}, ${need.name}: ${countOf(need.left, 'blank')} there already.`, () =>
        put(need.sawn, version).then(() => this.load()),
      );
    });
  }

  /** The bar whole again, its rest off the rack, the blanks not sawn. */
  private async takeBack({ id, version: _, ...was }: Bar, { bar, offcut, sawn }: SawnAnswer): Promise<void> {
    const why = 'sawing taken back';
    await this.api.put(routes.bar(id), { ...was, why, removed: false }, bar.version);
    if (offcut) {
      const { id: offcutId, version, ...rest } = offcut;
      await this.api.put(routes.bar(offcutId), { ...rest, pieces: 0, why, removed: true }, version);
    }
    for (const s of sawn) await this.api.put(routes.choice(s.jobId, choiceKey.sawn(s.itemId)), { value: s.before, reason: why }, s.version);
    await this.fresh();
  }

  private async fresh(): Promise<void> {
    await Promise.all([this.shop.load(), this.load()]);
  }

  protected print(): void {
    print();
  }
}
