import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { formatLength, type PlanFinding, type PlannedSetUp } from '@iron-patch/core';
import { HoldingShown, SheetStore } from '../../sheet-data';
import { about } from './about';

/** The holdings one after another: which one is looked at, what is done in it, how long it takes and what it gives. */
@Component({
  selector: 'ip-set-up-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Set-ups">
      @for (s of plan().setUps; track s.setUp.number) {
        <button
          type="button"
          [class.on]="s === shown.now()"
          [attr.aria-current]="s === shown.now() ? 'step' : null"
          (click)="shown.show(s.setUp.number)"
        >
          <b
            ><span class="fig">{{ s.setUp.number }}</span> {{ s.setUp.title }}</b
          >
          <small
            >{{ hold(s) }}, <span class="fig">{{ time(s) }}</span></small
          >
          @if (gives().get(s.setUp.number); as g) {
            <small [class]="g.state">{{ g.words }}</small>
          }
        </button>
      }
    </nav>
  `,
  styles: `
    nav {
      display: flex;
      gap: 6px;
      overflow-x: auto;
      scrollbar-width: thin;
    }
    button {
      flex: 1 1 0;
      min-width: 150px;
      display: flex;
      flex-direction: column;
      justify-content: flex-start;
      min-height: 64px;
      padding: 6px 9px 8px;
      border: 0;
      border-top: 3px solid var(--hairline);
      background: transparent;
      color: var(--ink);
      text-align: left;
      font: 400 15px/1.25 var(--text);
    }
    button.on {
      background: var(--blue-soft);
      border-top-color: var(--blue);
    }
    b {
      display: block;
      font: 600 17px/1.2 var(--label);
    }
    small {
      display: block;
      font-size: 14px;
      color: var(--quiet);
    }
    small.fits {
      color: var(--fits);
    }
    small.close {
      color: var(--close);
    }
    small.out {
      color: var(--out);
    }
  `,
})
export class SetUpStrip {
  private readonly store = inject(SheetStore);
  protected readonly shown = inject(HoldingShown);
  readonly plan = input.required<PlanFinding>();

  /** By set-up: what it gives of the run-outs that are asked; the worst of what it cuts last is told where it is cut. */
  protected readonly gives = computed(() => {
    const { runOuts, setUps } = this.plan();
    const unit = this.store.unit();
    const told = new Map<number, { readonly words: string; readonly state: string; readonly mm: number }>();
    for (const { asked, most } of runOuts) {
      const relation = this.store.repair()?.part?.part.features.find((f) => f.id === asked.id);
      if (relation?.kind !== 'relation') continue;
      const ends = [relation.of || relation.on, relation.to];
      const last = setUps.filter((s) => s.setUp.cuts.some((id) => ends.includes(id))).at(-1)?.setUp.number;
      const mm = most?.value ?? Infinity;
      if (last === undefined || mm <= (told.get(last)?.mm ?? -1)) continue;
      const words = most ? `${asked.words} ${formatLength(mm, unit, unit === 'mm' ? 3 : 4)}` : `${asked.words} not known`;
      told.set(last, { words, state: asked.state, mm });
    }
    return told;
  });

  protected hold({ setUp }: PlannedSetUp): string {
    return setUp.hold.replace(/,.*/, '');
  }

  protected time({ minutes }: PlannedSetUp): string {
    return about(minutes.value);
  }
}
