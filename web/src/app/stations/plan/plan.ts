import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { routes } from '@iron-patch/contract';
import {
  barLine,
  barSize,
  isCutToSize,
  isOut,
  countOf,
  dayWords,
  formatLength,
  inSentence,
  chosenPlan,
  materialOf,
  usualPlan,
  WAYS,
  newestRelease,
  sawFraction,
  USUAL_NOSE_MM,
  type Bar,
  type BoringId,
  type PlanChoice,
} from '@iron-patch/core';
import { ShopClock, ShopStore, ShopTimePipe } from '../../data';
import { May } from '../../sign-in';
import { HoldingShown, seenFigures, SheetStore } from '../../sheet-data';
import { ChooseField, LengthInput, type Option } from '../../form';
import { RackLine } from '../../rack/rack-line';
import { FigureButton } from '../../show';
import { BlockSteps } from '../block-steps';
import { DrilledHoles } from '../drilled-holes';
import { OutsideLink } from '../outside-link';
import { HeldSo } from './held-so';
import { ReworkSheet } from './rework-sheet';
import { SetUpSheet } from './set-up-sheet';
import { SetUpStrip } from './set-up-strip';
import { Ways } from './ways';

/** Bar, lathe, set-ups, depth ladders and passes; then the release for cutting. */
@Component({
  selector: 'ip-plan',
  imports: [
    May,
    NgTemplateOutlet,
    RouterLink,
    BlockSteps,
    ChooseField,
    FigureButton,
    HeldSo,
    DrilledHoles,
    LengthInput,
    OutsideLink,
    RackLine,
    ReworkSheet,
    SetUpSheet,
    SetUpStrip,
    ShopTimePipe,
    Ways,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './plan.html',
  styles: `
    :host {
      display: block;
      padding: 12px 18px 24px;
    }
    .choices {
      display: grid;
      grid-template-columns: 1fr 2fr 1fr;
      gap: 8px 16px;
    }
    .choices.four {
      grid-template-columns: repeat(4, 1fr);
    }
    /* One set-up on the screen, all of them on paper. */
    @media screen {
      ip-set-up:not(.here) {
        display: none;
      }
    }
    .why {
      margin-bottom: 12px;
    }
    .facts {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 28px;
      align-items: baseline;
      margin: 6px 0 10px;
    }
    .release {
      display: flex;
      gap: 18px;
      align-items: center;
      margin-bottom: 14px;
    }
    section {
      border-top: 1px solid var(--hairline);
      padding: 10px 0;
    }
    .said {
      margin: 6px 0;
      font-size: 15px;
      padding: 6px 12px;
    }
    .empty {
      padding: 12px 0;
    }
    @media (max-width: 1000px) {
      .choices,
      .choices.four {
        grid-template-columns: 1fr 1fr;
      }
    }
  `,
})
export class Plan {
  protected readonly countOf = countOf;
  protected readonly adding = signal(false);
  protected readonly store = inject(SheetStore);
  protected readonly shown = inject(HoldingShown);
  protected readonly shop = inject(ShopStore);
  private readonly clock = inject(ShopClock);
  protected readonly tools: readonly Option[] = [
    ['carbide', 'Carbide'],
    ['hss', 'High-speed steel, honed'],
  ];
  protected readonly finishes: readonly Option[] = [
    ['2', 'two equal'],
    ['3', 'three equal'],
  ];
  protected readonly batches: readonly Option[] = [
    ['set-up', 'all through one set-up, then the next'],
    ['piece', 'each right through'],
  ];
  protected readonly usualNoseMm = USUAL_NOSE_MM;
  protected readonly edges: readonly Option[] = [
    ['left', 'left, chuck side'],
    ['right', 'right, tailstock side'],
  ];
  protected readonly lathes = computed<readonly Option[]>(() => {
    const { lathes, machines } = this.shop.shop();
    const out = machines.filter((m) => isOut(m, this.clock.today()));
    return lathes.map((l) => {
      const until = out.find((m) => m.id === l.id)?.backOn;
      return [l.id, until ? `${l.name}, out of order until ${dayWords(until, 'weekday')}` : l.name] as const;
    });
  });
  protected readonly bars = computed<readonly Option[]>(() => {
    const bars = this.found()!.bars;
    if (!bars.ok) return [['', 'none will do']];
    return bars.value.map(
      (b) => [b.bar.id, [this.barLabel(b.bar), b.bar.place, `leaves ${this.size(b.left.value, 0)}`].filter(Boolean).join(', ')] as const,
    );
  });
  protected readonly found = computed(() => this.store.repair()?.plan ?? null);
  protected readonly block = computed(() => this.store.repair()?.blockPlan ?? null);
  protected readonly boring = computed(() => this.store.repair()?.at?.boring ?? null);
  /** What is cut of a component that stays; null for a new part. */
  protected readonly rework = computed(() => {
    const at = this.store.repair()?.at;
    return at?.item.kind === 'rework' && isCutToSize(at) ? at.part : null;
  });
  /** Of a rework machine and tool alone are chosen: the coach reads its dials. */
  protected readonly machine = computed((): PlanChoice | null => {
    const item = this.store.item();
    const sheet = this.store.sheet();
    const lathe = this.store.repair()?.at?.lathe;
    return item && sheet && lathe ? (chosenPlan(sheet, item.planKey) ?? usualPlan(lathe)) : null;
  });
  protected readonly orders = computed(() => {
    const machine = this.machine();
    return machine && (machine.order ?? []);
  });
  protected readonly released = computed(() => {
    const sheet = this.store.sheet();
    return sheet ? newestRelease(sheet, this.store.item()?.id) : null;
  });
  protected readonly material = computed(() => materialOf(this.store.repair()?.part?.part.materialId ?? '')?.name ?? '');
  /** Why nothing is released now; empty where it may be. */
  protected readonly withheld = computed(() => {
    if (this.store.draftPart()) return 'The drawing is not saved: save it or forget the changes at Draw first.';
    const item = this.store.item();
    if (item?.proposed && item.kind !== 'make') return 'Take this item up first, above.';
    const part = this.store.repair()?.part;
    if (part?.problems.length) return 'The drawing has problems: put them right at Draw first.';
    return part?.unlimited.length
      ? `Nothing limits ${part.unlimited.map((d) => d.dimension.label).join(', ')} yet: a fit at Decide, or limits at Draw.`
      : '';
  });
  protected readonly slip = computed(() => routes.slip(this.store.sheet()!.job.id));

  /** Why it is held so: what the best of the others would give of what the drawing asks, where this one does better. */
  protected readonly why = computed(() => {
    const p = this.found();
    if (!p) return '';
    const ruled = p.ways.filter((w) => w.way !== p.held.way && w.asked.some((a) => a.state === 'out'));
    const out = ruled[0]?.asked.find((a) => a.state === 'out');
    const own = p.held.asked.find((a) => a.id === out?.id);
    if (!out?.predicted || own?.state !== 'fits') return '';
    const unit = this.store.unit();
    const show = (mm: number): string => formatLength(mm, unit, unit === 'mm' ? 3 : 4);
    return `Why ${inSentence(WAYS[p.held.way].name)}: ${inSentence(WAYS[ruled[0]!.way].name)} may leave ${out.words} ${show(out.predicted.mostMm)} out; wanted ${show(out.wantedMm)}.`;
  });

  protected size(mm: number, decimals: number): string {
    const unit = this.store.unit();
    return formatLength(mm, unit, unit === 'mm' ? decimals : decimals + 2);
  }

  /** A round by its two numbers, any other shape by its name too. */
  private barLabel(bar: Bar): string {
    return bar.shape === 'round' ? `${this.size(bar.diameterMm, 1)} x ${this.size(bar.lengthMm, 0)}` : barLine(bar, this.store.unit());
  }

  protected barName(bar: Bar): string {
    return barSize(bar, this.store.unit());
  }

  protected fraction(mm: number): string {
    return `${sawFraction(mm)} in`;
  }

  protected who(id: string): string {
    return this.shop.personName(id);
  }

  /** A bar that was put on the rack from here is sawn from at once. */
  protected take(bar: Bar): void {
    this.adding.set(false);
    this.choose({ barId: bar.id });
  }

  /** One change after another: each counts from what the one before it left. */
  private changing: Promise<unknown> = Promise.resolve();
  private put(planOf: () => PlanChoice | null): void {
    const key = this.store.item()!.planKey;
    this.changing = this.changing.then(() => {
      const plan = this.store.item()?.planKey === key ? planOf() : null;
      return plan && this.store.putChoice(key, 'the plan', plan).catch(this.store.bug);
    });
  }

  protected choose(change: Partial<PlanChoice>): void {
    this.put(() => {
      const p = this.found();
      const barId = change.barId ?? p?.bar?.id ?? '';
      // What is chosen first of a plan settles how it is held with it.
      return p && barId !== '' ? { ...p.plan, barId, way: p.held.way, ...change } : null;
    });
  }

  protected takeBoring(boring: BoringId): void {
    this.takeMachine({ boring });
  }

  protected takeOrder(order: NonNullable<PlanChoice['order']>): void {
    this.takeMachine({ order });
  }

  protected takeTool(tool: string): void {
    this.takeMachine({ tool: tool as PlanChoice['tool'] });
  }

  /** Nothing is sawn off a bar for what stays. */
  protected takeMachine(change: Partial<PlanChoice>): void {
    this.put(() => {
      const machine = this.machine();
      return machine && { ...machine, barId: 'none', ...change };
    });
  }

  protected chooseTool(tool: string): void {
    this.choose({ tool: tool as PlanChoice['tool'] });
  }

  protected chooseFinishes(finishes: string): void {
    this.choose({ finishes: finishes === '3' ? 3 : 2 });
  }

  protected chooseEdge(touched: string): void {
    this.choose({ touched: touched as PlanChoice['touched'] });
  }

  protected release(): void {
    void this.store.release(seenFigures(this.store.repair())).catch(this.store.bug);
  }
}
