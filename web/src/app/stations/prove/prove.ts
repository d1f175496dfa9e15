import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  countOf,
  formatLength,
  type ProofFinding,
  type ReadingRecord,
  type Verdict,
  placeWithUnit,
  playInputs,
  proofPlanWords,
  proofInHand,
  provedWords,
  signProblems,
  spreadWords,
  type Problem,
  writtenDimension,
  playWords,
  type PlayWords,
} from '@iron-patch/core';
import { routes } from '@iron-patch/contract';
import { keptDraft, ShopStore } from '../../data';
import { May } from '../../sign-in';
import { SheetStore } from '../../sheet-data';
import { ItemSteps, PieceRow } from '../../items';
import { StateMark } from '../../mark';
import { DraftNote, TextField } from '../../form';
import { FigureButton } from '../../show';
import { LicensedMatters } from '../licensed-matters';
import { OutsideLink } from '../outside-link';
import { TriedFit } from '../tried-fit';
import { AssembledList } from './assembled-list';
import { GaugeForm } from './gauge-form';
import { PlayChart } from './play-chart';

const WORDS: Readonly<Record<Verdict, string>> = { fits: 'fits', close: 'close', out: 'out', unknown: 'not measured' };

/** The finished part, cold, against its limits with the instrument's own uncertainty; its play; who passes it. */
@Component({
  selector: 'ip-prove',
  imports: [
    May,
    AssembledList,
    DraftNote,
    FigureButton,
    GaugeForm,
    ItemSteps,
    LicensedMatters,
    OutsideLink,
    PieceRow,
    PlayChart,
    StateMark,
    TextField,
    TriedFit,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './prove.html',
  styles: `
    :host {
      display: block;
      padding: 10px 18px 24px;
    }
    td {
      vertical-align: middle !important;
    }
    tr.on td:first-child {
      box-shadow: inset 4px 0 0 var(--blue);
    }
    .readings td {
      padding-left: 14px;
    }
    .reading {
      display: inline-flex;
      align-items: center;
      gap: 8px;
      margin-right: 26px;
      font-size: 16px;
    }
    .name {
      color: var(--ink);
      font-weight: 600;
      padding: 6px 10px;
      text-align: left;
    }
    .verdict {
      font: 600 17px var(--label);
      white-space: nowrap;
    }
    .acts {
      display: flex;
      gap: 8px;
    }
    .remark {
      display: block;
      margin: 10px 0;
    }
    .paper a {
      display: inline-block;
      min-height: 44px;
      line-height: 44px;
      font-weight: 600;
    }
    .spread {
      display: block;
      font-size: 15px;
    }
    .how {
      font-size: 16px;
    }
    .verdict .quiet {
      font-weight: 400;
    }
    .said {
      margin: 10px 0;
    }
    section {
      border-top: 1px solid var(--hairline);
      padding: 10px 0;
      margin-top: 10px;
    }
    section p {
      margin: 6px 0;
    }
    .empty {
      padding: 12px 0;
    }
  `,
})
export class Prove {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  protected readonly paper = computed(() => routes.firstArticle(this.store.sheet()!.job.id));
  protected readonly words = WORDS;
  protected readonly remark = signal('');
  protected readonly kept = keptDraft(() => `prove:${this.store.sheet()!.job.id}`, { remark: this.remark });
  protected readonly proofs = computed(() => this.store.repair()?.proofs ?? []);
  /** What the line reads, or what is gauged and was picked. */
  protected readonly inHand = computed(() => {
    const repair = this.store.repair();
    const { spanId } = this.store.selection();
    return this.proofs().find((p) => p.gauged && p.dimension.dimension.key === spanId) ?? (repair && proofInHand(repair, spanId));
  });
  /** Of the general tolerance and not read: they may be proved, and need not be. */
  protected readonly others = computed(() => this.proofs().filter((p) => !p.dimension.mustProve && !p.readings.length));
  protected readonly all = signal(false);
  protected readonly countOf = countOf;
  protected readonly shownProofs = computed(() => (this.all() ? this.proofs() : this.proofs().filter((p) => !this.others().includes(p))));
  protected readonly open = computed(() => this.proofs().some((p) => p.measured && !p.signed));
  protected readonly close = computed(() => this.proofs().some((p) => p.verdict === 'close' && !p.signed));
  protected readonly playSaid = ({ mate, tight, loose }: ProofFinding['play'][number]): PlayWords =>
    playWords(mate.hole.place.name, tight.value, loose.value, (mm) => this.show(mm));
  protected readonly plays = computed(() =>
    this.proofs().flatMap((p) => p.play.map((x) => ({ ...x, expected: p.measured === null, inputs: playInputs(p, x.mate) }))),
  );

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected written = (p: ProofFinding): string => writtenDimension(p.dimension, this.store.unit());
  protected gaugedWords = (p: ProofFinding): string => provedWords(p, (mm) => this.show(mm)) ?? '';
  protected spread = (p: ProofFinding): string => spreadWords(p, (mm) => this.show(mm));
  protected resultWords = (p: ProofFinding): string =>
    p.gauged && p.verdict === 'unknown' ? (p.signed ? 'tried' : 'not tried') : this.words[p.verdict];

  protected at({ clockDeg, unit, stationMm }: ReadingRecord): string {
    return `${unit} at ${placeWithUnit(stationMm, this.store.unit())}, ${clockDeg}°`;
  }

  protected who(id: string): string {
    return this.shop.personName(id);
  }

  protected pick(p: ProofFinding): void {
    this.problems.set([]);
    this.store.select({ spanId: p.dimension.dimension.key, stationMm: null, clockDeg: null });
    if (!p.gauged) document.getElementById('reading')?.focus();
  }

  protected readonly problems = signal<readonly Problem[]>([]);
  /** What putting something in the remark does not mend. */
  protected readonly elsewhere = computed(() => this.problems().filter((x) => x.path !== 'remark'));
  protected planWords = (p: ProofFinding): string[] => (p.plan ? proofPlanWords(p.plan, this.store.unit()) : []);

  /** Beside the result of what is begun and not read everywhere. */
  protected stillToRead({ plan, readings }: ProofFinding): string {
    return plan?.next && readings.length ? `${plan.read} of ${plan.spots.length} read` : '';
  }

  protected async sign(p: ProofFinding, passed: boolean): Promise<void> {
    const given = { passed, remark: this.remark(), gaugedWith: '', gaugedValue: null };
    const problems = signProblems(p, given);
    // What keeps it from being passed is told where its readings stand.
    if (problems.some((x) => x.path !== 'remark')) this.pick(p);
    this.problems.set(problems);
    if (problems.length) return;
    const done = await this.store
      .prove({ ...this.store.atPiece(), segmentId: p.dimension.dimension.key, passed, remark: this.remark() })
      .catch(this.store.or(null));
    if (done) this.remark.set('');
  }
}
