import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  cutsOf,
  type AfterChoice,
  type AfterHoldId,
  type MovedCut,
  ordersWith,
  type PlanChoice,
  type PlanFinding,
  type PlannedSetUp,
} from '@iron-patch/core';
import { ChooseField, type Option } from '../../form';
import { FigureButton } from '../../show';
import { SheetStore } from '../../sheet-data';
import { ActOrder } from '../act-order';
import { OnTheCut } from '../on-the-cut';
import { HoldList } from './hold-list';
import { LadderPicture } from './ladder-picture';
import { PassesTable } from './passes-table';
import { Schedules } from '../schedules';

interface CutHere {
  readonly id: string;
  readonly name: string;
  readonly moved: boolean;
}

/** One holding: where it is held and zeroed, its acts, its stops, the passes of what is turned in it, and what to mind. */
@Component({
  selector: 'ip-set-up',
  imports: [ActOrder, HoldList, ChooseField, FigureButton, LadderPicture, OnTheCut, PassesTable, Schedules],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './set-up-sheet.html',
  styles: `
    :host {
      display: block;
      padding: 10px 0;
    }
    h3 {
      margin: 12px 0 4px;
      font: 600 16px var(--label);
    }
    .said {
      margin: 6px 0;
      font-size: 15px;
      padding: 6px 12px;
    }
    .moves {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
      gap: 4px 16px;
      margin-top: 6px;
    }
  `,
})
export class SetUpSheet {
  private readonly store = inject(SheetStore);
  readonly plan = input.required<PlanFinding>();
  readonly one = input.required<PlannedSetUp>();
  /** What is changed of how it is held and done. */
  readonly changed = output<Pick<PlanChoice, 'moved' | 'order' | 'afterHolds'>>();

  /** Passes of what is turned to size here. */
  protected readonly passes = computed(() => this.plan().passes.filter((x) => this.one().setUp.cuts.includes(x.segment.segment.id)));

  protected readonly cuts = computed((): readonly CutHere[] => {
    const part = this.store.repair()?.part?.part;
    const here = new Set(this.one().setUp.cuts);
    const moved = new Set((this.plan().plan.moved ?? []).map((m) => m.id));
    return part
      ? cutsOf(part, this.store.unit()).flatMap((c) => (here.has(c.id) ? [{ id: c.id, name: c.name, moved: moved.has(c.id) }] : []))
      : [];
  });
  protected readonly anyMoved = computed(() => this.cuts().some((c) => c.moved));
  protected readonly places = computed((): readonly Option[] =>
    this.plan().setUps.map(({ setUp }) => [String(setUp.number), `${setUp.number} ${setUp.title}`] as const),
  );

  protected readonly orderedByHand = computed(() => (this.plan().plan.order ?? []).some((o) => o.setUp === this.one().setUp.number));

  protected readonly minds = computed(() =>
    this.plan().held.outOfOrder.flatMap((o) => (o.setUp === this.one().setUp.number ? [o.words] : [])),
  );

  protected move(id: string, to: string): void {
    this.changed.emit({ moved: [...this.unmoved(id), { id, to: Number(to) }] });
  }

  /** Back where the way has it. */
  protected back(id: string): void {
    this.changed.emit({ moved: this.unmoved(id) });
  }

  protected order(keys: readonly string[]): void {
    this.changed.emit({ order: ordersWith(this.plan().plan.order ?? [], this.one().setUp.number, keys) });
  }

  protected hold(id: string, of: readonly AfterChoice[]): void {
    const others = (this.plan().plan.afterHolds ?? []).filter((h) => !of.some((c) => c.id === h));
    this.changed.emit({ afterHolds: [...others, id as AfterHoldId] });
  }

  private unmoved(id: string): readonly MovedCut[] {
    return (this.plan().plan.moved ?? []).filter((m) => m.id !== id);
  }
}
