import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import {
  choiceKey,
  chosenRoute,
  formatLength,
  HOUSE_DEFAULT_SCHOOL,
  originalSizeMm,
  type FeatureFinding,
  type FitFinding,
  type PinTarget,
  type RankedNominal,
  type SchoolOption,
} from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { SheetStore } from '../../data';
import { FigureButton } from '../../show';
import { FitScale } from './fit-scale';

/** What it was, which fit each mate gets, hole kept or trued, and why it wore. */
@Component({
  selector: 'ip-decide',
  imports: [FormsModule, NzInputModule, FigureButton, FitScale],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (fit of fits(); track fit.hole.feature.id) {
      <section>
        <h2>{{ fit.hole.feature.name }}: the new pin</h2>
        @if (fit.figures; as fig) {
          <div class="facts">
            <span>pin at most <ip-figure [figure]="fig.upper" [size]="26" [strong]="true" [withOther]="true" /></span>
            <span>play at the widest <ip-figure [figure]="fig.playLargest" [size]="20" [strong]="true" /></span>
            <span>turn to <ip-figure [figure]="fig.aim" [size]="20" /></span>
          </div>
        } @else {
          <p class="said">{{ fit.problem }}</p>
        }
        @if (fit.target?.trueTheHole) {
          <p class="said">
            <b>True the hole.</b> Its oval eats more than half of the play that this fit allows at most: a pin for the smallest place
            rattles at the widest.
          </p>
        }
        @if (fit.options.length) {
          <ip-fit-scale [fit]="fit" />
          <table class="plain schools">
            <thead>
              <tr>
                <th>Fit</th>
                <th class="num">clearance</th>
                <th class="num">hole kept: pin, play</th>
                <th class="num">hole trued to {{ show(fit.options[0]!.truedMm, true) }}: pin</th>
              </tr>
            </thead>
            <tbody>
              @for (o of fit.options; track o.id) {
                <tr [class.on]="using(fit, o)">
                  <td>
                    {{ o.name }}
                    @if (o.id === houseDefault) {
                      <span class="quiet">house default</span>
                    }
                  </td>
                  <td class="num">{{ clearance(o) }}</td>
                  <td class="num">
                    @if (o.kept.ok) {
                      <button
                        type="button"
                        class="pick"
                        [attr.aria-pressed]="is(fit, o, 'keep')"
                        [attr.aria-label]="o.name + ', keep the hole, pin ' + show(o.kept.value.upperMm)"
                        [class.on]="is(fit, o, 'keep')"
                        (click)="choose(fit, o, 'keep')"
                      >
                        <b>{{ show(o.kept.value.upperMm) }}</b> {{ playText(o.kept.value) }}
                      </button>
                    } @else {
                      <span class="quiet">{{ o.kept.problems[0]!.code === 'out-of-table' ? 'outside the table' : '–' }}</span>
                    }
                  </td>
                  <td class="num">
                    @if (o.trued.ok) {
                      <button
                        type="button"
                        class="pick"
                        [attr.aria-pressed]="is(fit, o, 'true')"
                        [attr.aria-label]="o.name + ', true the hole, pin ' + show(o.trued.value.upperMm)"
                        [class.on]="is(fit, o, 'true')"
                        (click)="choose(fit, o, 'true')"
                      >
                        <b>{{ show(o.trued.value.upperMm) }}</b>
                      </button>
                    }
                  </td>
                </tr>
              }
            </tbody>
          </table>
          @if (fit.choice) {
            <p class="quiet">{{ reasonOf(fit) }}</p>
          } @else {
            <p class="quiet">
              Nothing is chosen yet; the numbers above follow the house default: room for grease and for grit to pass, since most of what
              comes in works outdoors.
            </p>
          }
        }
      </section>
    } @empty {
      <p class="empty">A fit needs a measured mate. Add what the part runs in at Strip and measure its bore.</p>
    }
    @if (fits().length) {
      <label class="why"
        >Why this fit (kept with the choice)
        <input nz-input name="reason" autocomplete="off" maxlength="400" [ngModel]="reason()" (ngModelChange)="reason.set($event)" />
      </label>
    }
    @for (f of worn(); track f.feature.id) {
      <section>
        <h2>What was {{ f.feature.name.toLowerCase() }}?</h2>
        <div class="row" role="group" [attr.aria-label]="'What was ' + f.feature.name">
          @for (r of f.nominal.ranked.slice(0, 4); track r.name) {
            <button
              type="button"
              class="pick"
              [attr.aria-pressed]="chosen(f) === r.sizeMm"
              [class.on]="chosen(f) === r.sizeMm"
              (click)="pickNominal(f, r)"
            >
              <b>{{ r.name }}</b> {{ percent(r.probability) }}
            </button>
          }
        </div>
        <p class="quiet">{{ f.nominal.note }} {{ f.nominal.ranked[0]?.reasons?.join('; ') }}</p>
      </section>
    }
    <section>
      <h2>Cause and route</h2>
      <form class="grid2" (ngSubmit)="saveRoute()">
        <label
          >Why it wore: like for like repeats it
          <textarea nz-input rows="3" name="cause" maxlength="4000" [ngModel]="cause()" (ngModelChange)="cause.set($event)"></textarea>
        </label>
        <label
          >What is done, and what the customer agreed to
          <textarea nz-input rows="3" name="route" maxlength="4000" [ngModel]="route()" (ngModelChange)="route.set($event)"></textarea>
        </label>
        <div class="row end">
          @if (routeProblem()) {
            <p class="problem" role="alert">{{ routeProblem() }}</p>
          }
          <button type="submit" [class.next]="store.next()?.id === 'decide'">Save cause and route</button>
        </div>
      </form>
    </section>
  `,
  styles: `
    :host {
      display: block;
      padding: 12px 18px 24px;
    }
    section {
      margin-bottom: 18px;
    }
    .facts {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 28px;
      align-items: baseline;
      margin: 6px 0;
    }
    .said {
      margin: 8px 0;
    }
    .schools td {
      vertical-align: middle;
      padding: 2px 10px 2px 0;
    }
    .schools tr.on td:first-child {
      font-weight: 600;
      box-shadow: inset 4px 0 0 var(--blue);
      padding-left: 10px;
    }
    .pick {
      border: 1px solid var(--hairline);
      color: var(--ink);
      font: 400 16px var(--figures);
      min-height: 40px;
      padding: 4px 10px;
      min-width: 120px;
    }
    .pick.on {
      background: var(--blue-soft);
      border: 2px solid var(--blue);
    }
    .why {
      display: block;
      margin: 0 0 18px;
    }
    label {
      font-size: 15px;
    }
    .end {
      grid-column: 1 / -1;
      justify-content: flex-end;
    }
    .empty {
      padding: 12px 0;
    }
  `,
})
export class Decide {
  protected readonly store = inject(SheetStore);
  protected readonly houseDefault = HOUSE_DEFAULT_SCHOOL;
  protected readonly reason = signal('');
  protected readonly fits = computed(() => this.store.repair()?.fits ?? []);
  protected readonly worn = computed(() =>
    (this.store.repair()?.features ?? []).filter(
      (f) => f.component.role === 'worn' && f.feature.land === 'worn' && f.nominal.ranked.length,
    ),
  );
  private readonly stored = computed(() => {
    const sheet = this.store.sheet();
    return sheet ? chosenRoute(sheet) : null;
  });
  protected readonly cause = linkedSignal(() => this.stored()?.cause ?? '');
  protected readonly route = linkedSignal(() => this.stored()?.route ?? '');
  protected readonly routeProblem = signal('');

  protected show(mm: number, short = false): string {
    const unit = this.store.unit();
    return formatLength(mm, unit, short ? (unit === 'mm' ? 2 : 4) : undefined);
  }

  protected clearance(o: SchoolOption): string {
    return o.kept.ok ? this.show(o.kept.value.clearanceMm) : '–';
  }

  protected playText(t: PinTarget): string {
    return `${this.show(t.playAtSmallestMm)} to ${this.show(t.playAtLargestMm)}`;
  }

  protected is(fit: FitFinding, o: SchoolOption, hole: 'keep' | 'true'): boolean {
    return fit.choice?.schoolId === o.id && fit.choice.hole === hole;
  }

  protected using(fit: FitFinding, o: SchoolOption): boolean {
    return (fit.choice?.schoolId ?? HOUSE_DEFAULT_SCHOOL) === o.id;
  }

  protected choose(fit: FitFinding, o: SchoolOption, hole: 'keep' | 'true'): void {
    const name = fit.hole.feature.name.toLowerCase();
    void this.store
      .putChoice(choiceKey.fit(fit.hole.feature.id), `fit of ${name}`, { schoolId: o.id, hole, truedMm: null }, this.reason())
      .catch(() => undefined);
  }

  protected reasonOf(fit: FitFinding): string {
    const choice = this.store.sheet()?.choices.find((c) => c.key === choiceKey.fit(fit.hole.feature.id));
    return choice?.reason ? `Why: ${choice.reason}` : 'No reason was written down.';
  }

  protected chosen(f: FeatureFinding): number | null {
    return f.chosenNominal?.sizeMm ?? originalSizeMm(f);
  }

  protected pickNominal(f: FeatureFinding, r: RankedNominal): void {
    void this.store
      .putChoice(choiceKey.nominal(f.feature.id), `what ${f.feature.name.toLowerCase()} was`, { sizeMm: r.sizeMm, name: r.name })
      .catch(() => undefined);
  }

  protected percent(share: number): string {
    return share > 0.995 ? 'over 99 %' : share < 0.005 ? 'under 1 %' : `${Math.round(share * 100)} %`;
  }

  protected async saveRoute(): Promise<void> {
    if (!this.cause().trim() || !this.route().trim()) return this.routeProblem.set('Write down both: why it wore, and what is done.');
    this.routeProblem.set('');
    await this.store.putChoice(choiceKey.route, 'cause and route', { cause: this.cause(), route: this.route() }).catch(() => undefined);
  }
}
