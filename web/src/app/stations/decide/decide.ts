import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import {
  choiceKey,
  formatWithUnit,
  inLineMm,
  originalSizeMm,
  PAIR_KINDS,
  PAIRS,
  type PlaceFinding,
  type FitFinding,
  type RankedNominal,
  inSentence,
} from '@iron-patch/core';
import { NzInputModule } from 'ng-zorro-antd/input';
import { ShopStore } from '../../data';
import { SheetStore } from '../../sheet-data';
import { ChooseField, type Option } from '../../form';
import { FigureButton } from '../../show';
import { Diagnosis } from './diagnosis';
import { BoreDesk, type PickedBore } from './bore-desk';
import { FitDesk, type PickedFit } from './fit-desk';

/** What it was, which fit each mate gets, hole kept or trued, and why it wore. */
@Component({
  selector: 'ip-decide',
  imports: [ChooseField, FigureButton, FitDesk, BoreDesk, Diagnosis, FormsModule, NzInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './decide.html',
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
    .runs {
      display: grid;
      grid-template-columns: minmax(0, 300px) minmax(0, 1fr);
      gap: 4px 20px;
      align-items: end;
      margin: 6px 0 10px;
    }
    @media (max-width: 600px) {
      .runs {
        grid-template-columns: minmax(0, 1fr);
      }
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
  protected readonly inSentence = inSentence;
  private readonly shop = inject(ShopStore);
  protected readonly reason = signal('');
  protected readonly fits = computed(() => this.store.repair()?.fits ?? []);
  protected readonly bores = computed(() => this.store.repair()?.bores ?? []);
  protected readonly seats = computed(() => this.store.repair()?.seats ?? []);
  protected readonly worn = computed(() =>
    (this.store.repair()?.places ?? []).filter((f) => f.component.role === 'worn' && f.place.land === 'worn' && f.nominal.ranked.length),
  );

  protected inLine(fit: FitFinding): number | null {
    return inLineMm(fit, this.fits());
  }

  protected choose({ place }: PlaceFinding, { option, hole, truedMm }: PickedFit | PickedBore): void {
    void this.store
      .putChoice(choiceKey.fit(place.id), `fit of ${inSentence(place.name)}`, { schoolId: option.id, hole, truedMm }, this.reason())
      .catch(this.store.bug);
  }

  protected readonly pairs: readonly Option[] = [['', 'not known yet'] as const, ...PAIR_KINDS.map((k) => [k, PAIRS[k].name] as const)];

  protected runsWords({ runs }: Pick<FitFinding, 'runs'>): string {
    if (runs.kind === null) return `Not known yet: ${runs.why}. It decides by which school the pair is sized.`;
    return `${runs.chosen ? '' : `Proposed: ${runs.why}. `}${PAIRS[runs.kind].words}`;
  }

  protected say({ place }: PlaceFinding, kind: string): void {
    if (!kind) return;
    void this.store
      .putChoice(choiceKey.runs(place.id), `what runs at ${inSentence(place.name)}`, { kind }, this.reason())
      .catch(this.store.bug);
  }

  protected show(mm: number): string {
    return formatWithUnit(mm, this.store.unit());
  }

  protected reasonOf({ place }: PlaceFinding): string {
    const choice = this.store.sheet()?.choices.find((c) => c.key === choiceKey.fit(place.id));
    const who = this.shop.personName(choice?.personId, 'somebody');
    const why = choice?.reason ? `Why: ${choice.reason}` : 'No reason was written down.';
    return `Chosen by ${who}. ${why}`;
  }

  /** What speaks for the first, as a sentence. */
  protected reasons(f: PlaceFinding): string {
    const said = f.nominal.ranked[0]?.reasons.join('; ') ?? '';
    return said && `${said[0]!.toUpperCase()}${said.slice(1)}.`;
  }

  protected chosen(f: PlaceFinding): number | null {
    return f.chosenNominal?.sizeMm ?? originalSizeMm(f);
  }

  protected pickNominal(f: PlaceFinding, r: RankedNominal): void {
    void this.store
      .putChoice(choiceKey.nominal(f.place.id), `what ${inSentence(f.place.name)} was`, { sizeMm: r.sizeMm, name: r.name })
      .catch(this.store.bug);
  }

  protected percent(share: number): string {
    return share > 0.995 ? 'over 99 %' : share < 0.005 ? 'under 1 %' : `${Math.round(share * 100)} %`;
  }
}
