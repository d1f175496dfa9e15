import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  crossTurns,
  cutsOf,
  turnsWords,
  type Figure,
  type MovedCut,
  type PlanFinding,
  type PlannedSetUp,
  type SegmentPasses,
} from '@iron-patch/core';
import { ChooseField, type Option } from '../../form';
import { FigureButton } from '../../show';
import { SheetStore } from '../../sheet-data';
import { LadderPicture } from './ladder-picture';
import { Schedules } from './schedules';

interface CutHere {
  readonly id: string;
  readonly name: string;
  readonly moved: boolean;
}

/** One holding: where it is held and zeroed, its acts, its stops, the passes of what is turned in it, and what to mind. */
@Component({
  selector: 'ip-set-up',
  imports: [ChooseField, FigureButton, LadderPicture, Schedules],
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
    ol {
      list-style: decimal;
      padding-left: 22px;
      font-size: 16px;
      columns: 2;
      column-gap: 44px;
    }
    li {
      padding: 3px 0;
      break-inside: avoid;
    }
    .said {
      margin: 6px 0;
      font-size: 15px;
      padding: 6px 12px;
    }
    .pass {
      display: inline-block;
      margin: 0 18px 2px 0;
      white-space: nowrap;
    }
    .moves {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
      gap: 4px 16px;
      margin-top: 6px;
    }
    summary {
      min-height: 44px;
      display: flex;
      align-items: center;
      cursor: pointer;
      color: var(--blue);
      font: 600 16px var(--label);
    }
    @media (max-width: 1000px) {
      ol {
        columns: 1;
      }
    }
  `,
})
export class SetUpSheet {
  private readonly store = inject(SheetStore);
  readonly plan = input.required<PlanFinding>();
  readonly one = input.required<PlannedSetUp>();
  /** Everything that is moved, as it is to be from now on. */
  readonly moved = output<readonly MovedCut[]>();

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

  protected move(id: string, to: string): void {
    this.moved.emit([...(this.plan().plan.moved ?? []).filter((m) => m.id !== id), { id, to: Number(to) }]);
  }

  /** Back where the way has it. */
  protected back(id: string): void {
    this.moved.emit((this.plan().plan.moved ?? []).filter((m) => m.id !== id));
  }

  protected bend(x: SegmentPasses): Figure | null {
    return this.one().pushed.find((p) => p.segmentId === x.segment.segment.id)?.bend ?? null;
  }

  /** Each pass with where the cross slide stands for it, counted from touching the bar. */
  protected dialled(x: SegmentPasses): { figure: Figure; kind: string; dial: string }[] {
    const { lathe } = this.plan();
    if (!x.passes.ok) return [];
    return x.passes.value.map((p, i) => ({
      figure: x.passFigures[i]!,
      kind: p.kind === 'finish' ? 'finish' : '',
      dial: turnsWords(crossTurns(Math.abs(x.fromMm - p.toMm), lathe), lathe.cross),
    }));
  }
}
