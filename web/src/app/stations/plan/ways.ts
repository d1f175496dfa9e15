import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  formatLength,
  shortfall,
  WAYS,
  worstAsked,
  type PlanFinding,
  type PredictedRunOut,
  type Verdict,
  type WayId,
} from '@iron-patch/core';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';
import { FigureButton } from '../../show';
import { about } from './about';

interface WayRow {
  readonly way: WayId;
  readonly name: string;
  readonly chosen: boolean;
  readonly state: Verdict;
  readonly said: string;
  readonly runOut: string;
  readonly holdings: number;
  readonly time: string;
}

const STATES: readonly Verdict[] = ['fits', 'close', 'unknown', 'out'];
const STATE_WORDS: Readonly<Record<Verdict, string>> = {
  fits: 'true enough',
  close: 'may do',
  unknown: 'not known',
  out: 'not true enough',
};

/** The ways to hold the part, the best first: what each gives of what must run true, how often it is held, and how long that takes to set up. */
@Component({
  selector: 'ip-ways',
  imports: [StateMark, FigureButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Ways to hold it</h2>
    @for (x of asked(); track x.asked.id) {
      <p class="asked">
        <ip-state [state]="x.asked.state" [size]="13" /> {{ x.asked.words }}: {{ show(x.asked.wantedMm) }} wanted,
        @if (x.most; as most) {
          at most <ip-figure [figure]="most" [size]="18" [strong]="true" /> as it is held now
        } @else {
          nothing tells what this way gives
        }
      </p>
    }
    <div class="scroll" tabindex="0" role="region" aria-label="Ways to hold it">
      <table class="plain">
        <thead>
          <tr>
            <th>Way</th>
            <th class="num">run-out, at most</th>
            <th class="num">holdings</th>
            <th class="num">to set up</th>
          </tr>
        </thead>
        <tbody>
          @for (r of rows(); track r.way) {
            <tr [class.on]="r.chosen">
              <td>
                <button type="button" class="way" [attr.aria-pressed]="r.chosen" (click)="picked.emit(r.way)">
                  <ip-state [state]="r.state" [size]="15" />
                  <span>
                    <b>{{ r.name }}</b>
                    <small class="quiet">{{ r.said }}</small>
                  </span>
                </button>
              </td>
              <td class="num">{{ r.runOut }}</td>
              <td class="num">{{ r.holdings }}</td>
              <td class="num">{{ r.time }}</td>
            </tr>
          }
        </tbody>
      </table>
    </div>
    @if (no().length) {
      <details class="no-print">
        <summary class="fold">What will not do, and why</summary>
        @for (n of no(); track n.why) {
          <p class="no quiet">
            <b>{{ n.names }}</b>: {{ n.why }}
          </p>
        }
      </details>
    }
  `,
  styles: `
    .asked {
      margin: 6px 0;
    }
    .way {
      all: unset;
      display: flex;
      gap: 10px;
      align-items: center;
      min-height: 44px;
      cursor: pointer;
      width: 100%;
    }
    .way:focus-visible {
      outline: 3px solid var(--accent);
    }
    .way b {
      display: block;
      font-family: var(--label);
      font-size: 17px;
    }
    small {
      font-size: 14px;
    }
    tr.on td {
      background: var(--blue-soft);
    }
    td {
      vertical-align: middle;
      padding-top: 2px;
      padding-bottom: 2px;
    }
    td:first-child {
      padding-left: 8px;
    }
    td.num {
      font-size: 17px;
    }
    .no {
      margin: 4px 0;
      font-size: 15px;
    }
  `,
})
export class Ways {
  private readonly store = inject(SheetStore);
  readonly plan = input.required<PlanFinding>();
  readonly picked = output<WayId>();

  protected readonly rows = computed(() =>
    this.plan().ways.map((way): WayRow => {
      // The chosen one as it is with what somebody moved.
      const p = way.way === this.plan().held.way ? this.plan().held : way;
      const cannot = p.cannot.length > 0;
      const state = cannot ? 'out' : p.asked.length ? STATES[shortfall(p)]! : 'fits';
      return {
        way: p.way,
        name: WAYS[p.way].name,
        chosen: p.way === this.plan().held.way,
        state,
        said: p.cannot[0] ?? (p.asked.length ? `${STATE_WORDS[state]}. ${WAYS[p.way].about}` : WAYS[p.way].about),
        runOut: this.runOut(p.asked.length ? worstAsked(p) : p.worst),
        holdings: p.setUps.length,
        time: about(p.settingMin),
      };
    }),
  );
  /** What the drawing asks of run-out, with its working. */
  protected readonly asked = computed(() => this.plan().runOuts);
  /** Each reason once, with all that it speaks of. */
  protected readonly no = computed(() => {
    const byWhy = new Map<string, string[]>();
    for (const { way, why } of this.plan().noWays) byWhy.set(why, [...(byWhy.get(why) ?? []), WAYS[way].name]);
    return [...byWhy].map(([why, names]) => ({ why, names: names.join('; ') }));
  });

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  private runOut(p: PredictedRunOut | null): string {
    return p ? this.show(p.mostMm) : 'not known';
  }
}
