import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, choiceInput } from '@iron-patch/contract';
import {
  carriedBy,
  choiceKey,
  chosenLoad,
  inSentence,
  leastSafe,
  materialOf,
  MPA_PER_KSI,
  N_PER_LBF,
  NM_PER_LBF_FT,
  placeWithUnit,
  safetyAlong,
  significant,
  versionOfChoice,
  type KnownLoad,
} from '@iron-patch/core';
import { FormFrame, inValue, NumberField, RecordForm } from '../../form';
import { SheetStore } from '../../sheet-data';

/** The load as its fields have it: in the reader's unit, under the names that the check tells of; empty for none. */
type LoadFields = { readonly [K in keyof KnownLoad]: number | null };
const NO_LOAD: LoadFields = { bendingNm: null, torqueNm: null, pullN: null };

const SCHEMA = choiceInput(choiceKey.load('any'))!;

/** The load that the part bears, where somebody knows it, and how safe that leaves the weakest place. */
@Component({
  selector: 'ip-load-form',
  imports: [FormFrame, NumberField, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <details [open]="safest() !== null">
      <summary>{{ safest() ? 'The load it bears' : 'Is the load known?' }}</summary>
      <form ip-form [formGroup]="form.group" [of]="form" save="Reckon with it" [closable]="false">
        <div class="grid3">
          <ip-number [label]="'Bent by, largest moment, ' + units().moment" name="loadBending" formControlName="bendingNm" />
          <ip-number [label]="'Twisted by, steady, ' + units().moment" name="loadTorque" formControlName="torqueNm" />
          <ip-number [label]="'Pulled by, steady, ' + units().force" name="loadPull" formControlName="pullN" />
        </div>
      </form>
      @if (safest(); as s) {
        <p>
          Least safe at <b>{{ inSentence(s.words) }}</b>, {{ at(s.atMm) }}: <b class="fig">{{ times(s.fatigue) }}</b> against fatigue,
          <b class="fig">{{ times(s.yield) }}</b> against staying bent.
        </p>
        @if (carried().length) {
          <table class="plain">
            <caption>
              What its joints bear, if each takes the whole load
            </caption>
            <thead>
              <tr>
                <th scope="col">Joint</th>
                <th scope="col">Stress</th>
                <th scope="col">Times safe</th>
              </tr>
            </thead>
            <tbody>
              @for (c of carried(); track c.words) {
                <tr [class.bad]="c.factor < 1">
                  <td>
                    {{ c.words }} <span class="quiet">{{ c.source }}</span>
                  </td>
                  <td class="fig">{{ stress(c.stressMpa) }}</td>
                  <td class="fig">
                    <b>{{ times(c.factor) }}</b>
                  </td>
                </tr>
              }
            </tbody>
          </table>
        }
        <p class="quiet">
          The whole load at every place, the bending reversed by each turn; Goodman’s line, no shock and no reliability counted. Below 1 it
          breaks in time; below 2 have it looked at by somebody who designs shafts.
        </p>
      }
    </details>
  `,
  styles: `
    summary {
      cursor: pointer;
      min-height: 40px;
      align-content: center;
      color: var(--blue);
    }
    p {
      max-width: 84ch;
    }
    b.fig {
      font-size: 18px;
    }
    table {
      max-width: 860px;
    }
    caption {
      caption-side: top;
      text-align: left;
      font: 600 15px var(--label);
      padding: 4px 0;
    }
    .bad b {
      color: var(--out);
    }
  `,
})
export class LoadForm {
  private readonly store = inject(SheetStore);
  protected readonly inSentence = inSentence;
  private readonly itemId = computed(() => this.store.item()?.id ?? '');
  private readonly stored = computed(() => {
    const sheet = this.store.sheet();
    return sheet && chosenLoad(sheet, this.itemId());
  });
  protected readonly units = computed(() =>
    this.store.unit() === 'in'
      ? { moment: 'lbf·ft', force: 'lbf', nm: NM_PER_LBF_FT, n: N_PER_LBF }
      : { moment: 'Nm', force: 'N', nm: 1, n: 1 },
  );
  private readonly version = computed(() => versionOfChoice(this.store.sheet()!, choiceKey.load(this.itemId())));
  /** Of what was read before anything was typed: what somebody else says meanwhile is asked about, not written over. */
  private readonly readAt = linkedSignal(() => this.version());
  protected readonly form = new RecordForm<LoadFields>({
    keptAs: () => `load:${this.store.sheet()!.job.id}:${this.itemId()}`,
    start: NO_LOAD,
    check: (v) => inValue(check(SCHEMA, { value: this.load(v), reason: '' })),
    untouched: () => this.fields(),
    rests: { readAt: this.readAt },
    save: (v) => this.store.putChoice(choiceKey.load(this.itemId()), 'the load', this.load(v), '', true, this.readAt()),
  });
  /** The drawing that is loaded; null while it does not hold, or nothing is known. */
  private readonly loaded = computed(() => {
    const [load, part] = [this.stored(), this.store.repair()?.part];
    const material = part && materialOf(part.part.materialId);
    return !load || !material || part.problems.length || part.part.block ? null : ([part.part, material, load] as const);
  });
  protected readonly safest = computed(() => {
    const loaded = this.loaded();
    const least = loaded && leastSafe(safetyAlong(...loaded));
    return least && Number.isFinite(least.yield) ? least : null;
  });
  protected readonly carried = computed(() => {
    const loaded = this.loaded();
    return loaded ? [...carriedBy(...loaded)].sort((p, q) => p.factor - q.factor) : [];
  });

  protected at = (mm: number): string => placeWithUnit(mm, this.store.unit());
  protected stress = (mpa: number): string =>
    this.store.unit() === 'in' ? `${significant(mpa / MPA_PER_KSI, 3)} ksi` : `${significant(mpa, 3)} MPa`;
  protected times = (factor: number | null): string => (factor === null ? 'not known' : significant(factor, 2));

  private fields(): LoadFields {
    const load = this.stored();
    const { nm, n } = this.units();
    const shown = (si: number, unit: number): number | null => (si === 0 ? null : Number((si / unit).toPrecision(6)));
    return load ? { bendingNm: shown(load.bendingNm, nm), torqueNm: shown(load.torqueNm, nm), pullN: shown(load.pullN, n) } : NO_LOAD;
  }

  private load({ bendingNm, torqueNm, pullN }: LoadFields): KnownLoad {
    const { nm, n } = this.units();
    return { bendingNm: (bendingNm ?? 0) * nm, torqueNm: (torqueNm ?? 0) * nm, pullN: (pullN ?? 0) * n };
  }
}
