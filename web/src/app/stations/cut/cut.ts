import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  cameIn,
  cutInHand,
  dialDecimals,
  formatLength,
  linesWords,
  newestRelease,
  nextOfBatch,
  partLengthMm,
  sentence,
  sizeInHand,
  throughOf,
  turnsOf,
  turnsWords,
  type Advice,
  type BatchStep,
  type CutFinding,
  type Figure,
  type PlannedSetUp,
  type ReadingRecord,
} from '@iron-patch/core';
import { ShopTimePipe } from '../../data';
import { HoldingShown, SheetStore } from '../../sheet-data';
import { ItemSteps, PieceRow } from '../../items';
import { StateMark } from '../../mark';
import { DialPicture } from './dial-picture';
import { PracticeLathe } from './practice-lathe';
import { PressLog } from './press-log';
import { ReadSizes } from './read-sizes';
import { SecondThoughts } from './second-thoughts';
import { SetBySet } from './set-by-set';
import { StationWords } from '../../working/station-words';
import { BlockSteps } from '../block-steps';
import { DrilledHoles } from '../drilled-holes';
import { TriedFit } from '../tried-fit';
import { WeldLog } from './weld-log';
import { Spoken } from './spoken';

const TITLES: Readonly<Record<Advice['state'], string>> = {
  'measure-first': 'First: skim it, set the dial to zero, measure',
  cut: 'Next cut: set the {dial} to',
  spring: 'Spring pass: leave the {dial} at',
  polish: 'Too thin for this tool',
  in: 'Inside its limits',
  close: 'Too near a limit to tell',
  under: 'Under its limit',
  cool: 'Let it cool',
};

/** As many of the last cuts stand on the screen from two metres; the others on demand. */
const SHOWN_CUTS = 4;

/** At the machine: now, wanted, to come off; what to set on the dial, from two metres away. */
@Component({
  selector: 'ip-cut',
  imports: [
    BlockSteps,
    StationWords,
    RouterLink,
    StateMark,
    DialPicture,
    ItemSteps,
    DrilledHoles,
    PieceRow,
    PracticeLathe,
    PressLog,
    ReadSizes,
    SecondThoughts,
    SetBySet,
    ShopTimePipe,
    Spoken,
    TriedFit,
    WeldLog,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut.html',
  styleUrl: './cut.less',
})
export class Cut {
  protected readonly store = inject(SheetStore);
  private readonly held = inject(HoldingShown);
  protected readonly practising = signal(false);
  protected readonly shownCuts = SHOWN_CUTS;
  /** Older cuts are looked at too. */
  protected readonly allCuts = signal(false);
  /** What is read between cuts and is no diameter, where one was picked. */
  private readonly size = computed(() => {
    const repair = this.store.repair();
    return repair && sizeInHand(repair, this.store.selection().spanId);
  });
  /** Depths and what is cut into the part are looked at, not a diameter: always where one of them is what the line reads. */
  protected readonly bySets = linkedSignal<boolean, boolean>({
    source: () => this.size() !== null,
    computation: (reads, before) => reads || (before?.value ?? false),
  });
  protected readonly plan = computed(() => this.store.repair()?.plan ?? null);
  protected readonly block = computed(() => this.store.repair()?.blockPlan ?? null);
  /** The set-up that was touched, as long as the diameter in hand is of it or it has none; else that diameter's own. */
  protected readonly setUp = computed((): PlannedSetUp | null => {
    const touched = this.held.touched();
    const size = this.size();
    if (size) return this.plan()?.setUps.find((s) => s.setUp.number === size.setUp) ?? null;
    const own = this.setUpOf(this.cut());
    return touched && (touched === own || this.bySets() || !this.diametersOf(touched).length) ? touched : (own ?? this.held.now());
  });
  /** Its diameters; of what has no set-ups all of them. */
  protected readonly here = computed(() => {
    const setUp = this.setUp();
    return setUp ? this.diametersOf(setUp) : (this.store.repair()?.cuts ?? []);
  });
  protected readonly piece = computed(() => this.store.repair()?.piece?.piece.number ?? 0);
  /** Where a batch goes on, once this piece is through the set-up. */
  protected readonly onward = computed((): BatchStep | null => {
    const at = this.store.repair()?.at;
    const setUp = this.setUp();
    return at && setUp ? nextOfBatch(at, this.piece(), setUp) : null;
  });
  /** By set-up: how many pieces are through it. */
  protected readonly through = computed(() => {
    const at = this.store.repair()?.at;
    return new Map((at ? (this.plan()?.setUps ?? []) : []).map((s) => [s, throughOf(at!, s)]));
  });
  protected readonly cutsHere = computed(() => this.here().length > 0);
  /** Whether the set-up has anything to set beside its diameters. */
  protected readonly sets = computed(() => {
    const now = this.setUp();
    return now !== null && now.ladder.length + now.schedules.length > 0;
  });
  protected readonly rework = computed(() => this.store.repair()?.at?.rework ?? null);
  /** What is put on the cut. */
  protected readonly wet = computed(() => (this.setUp() ?? this.rework())?.coolant[0] ?? '');
  protected readonly hold = computed(() => {
    const at = this.store.repair()?.at;
    const lathe = at?.lathe?.name ?? '';
    const own = this.setUp()?.setUp;
    if (own) return own.machine === 'lathe' ? `${lathe}, ${own.hold}` : own.hold;
    const stays = this.cut()?.segment.segment.side === 'outside' ? at?.rework?.turned?.chosen : at?.boring?.chosen;
    return stays?.hold ?? lathe;
  });
  protected readonly released = computed(() => {
    const sheet = this.store.sheet();
    return sheet && newestRelease(sheet, this.store.item()?.id) !== null;
  });
  protected readonly cut = computed<CutFinding | null>(() => {
    const repair = this.store.repair();
    return repair && cutInHand(repair, this.store.selection().spanId);
  });
  /** What just came into its limits, where the line went on to the next by itself. */
  protected readonly done = computed(() => {
    const repair = this.store.repair();
    return repair && cameIn(repair, this.cut());
  });
  /** Cuts made, then those still to come, as bars over the wanted size. */
  protected readonly bars = computed(() => {
    const c = this.cut()!;
    // Each can be withdrawn: what stands on it is worked out anew.
    const made = c.cuts
      .map((x, i) => ({
        mm: x.measuredMm,
        ahead: false,
        words: i === 0 ? 'before the first cut' : 'measured',
        reading: c.readings[i] ?? null,
      }))
      .slice(this.allCuts() ? 0 : -SHOWN_CUTS);
    const now = c.cuts.at(-1)?.measuredMm;
    const { nextMm, cutsLeft, aimMm, state } = c.advice;
    const steps =
      (state === 'cut' || state === 'spring') && nextMm !== null && now !== undefined ? this.ahead(nextMm, cutsLeft, aimMm) : [];
    const all = [...made, ...steps.map((s) => ({ ...s, reading: null }))];
    // Metal still over the wanted size: a bore grows towards it.
    const over = (mm: number): number => (c.segment.segment.side === 'inside' ? aimMm - mm : mm - aimMm);
    const most = Math.max(...all.map((b) => over(b.mm)), 1e-6);
    return all.map((b) => ({ ...b, share: Math.max((over(b.mm) / most) * 42, 0) }));
  });

  constructor() {
    // What was looked at elsewhere is let go: the machine goes by what is cut next.
    this.held.letGo();
  }

  private ahead(nextMm: number, cutsLeft: number, aimMm: number): { mm: number; ahead: boolean; words: string }[] {
    if (cutsLeft === 0) return [{ mm: nextMm, ahead: true, words: 'once more, measure' }];
    if (cutsLeft <= 1) return [{ mm: nextMm, ahead: true, words: 'last, measure' }];
    if (cutsLeft === 2)
      return [
        { mm: nextMm, ahead: true, words: 'finish 1, measure' },
        { mm: aimMm, ahead: true, words: 'finish 2, measure' },
      ];
    return [
      { mm: nextMm, ahead: true, words: 'rough' },
      { mm: aimMm, ahead: true, words: `after ${cutsLeft - 1} more` },
    ];
  }

  protected title({ advice, segment, dialled }: CutFinding): string {
    const over = advice.state === 'under' && segment.segment.side === 'inside';
    return over ? 'Over its limit' : TITLES[advice.state].replace('{dial}', dialled.name);
  }

  /** The tailstock stands at the end that the tool reaches; between centres as it is usually put up. */
  protected readonly tailAt = computed(() => (this.setUpOf(this.cut())?.setUp.free === 'near' ? 'left' : 'right'));

  private setUpOf(cut: CutFinding | null): PlannedSetUp | null {
    const id = cut?.segment.segment.id ?? '';
    return this.plan()?.setUps.find((s) => s.setUp.cuts.includes(id)) ?? null;
  }

  private diametersOf({ setUp }: PlannedSetUp): readonly CutFinding[] {
    return (this.store.repair()?.cuts ?? []).filter((x) => setUp.cuts.includes(x.segment.segment.id));
  }

  protected goOn({ piece, setUp }: BatchStep): void {
    this.store.seeItem(this.store.item()!.id, piece);
    this.look(setUp.setUp.number);
  }

  /** Another set-up: its first diameter that is not in its limits comes to hand. */
  protected look(number: number): void {
    this.held.show(number);
    if (this.size()) this.store.select({ spanId: null, stationMm: null, clockDeg: null });
    const all = this.held.touched() ? this.diametersOf(this.held.touched()!) : [];
    const next = all.find((x) => x.advice.state !== 'in') ?? all[0];
    if (next) return this.take(next);
    this.bySets.set(true);
    // What is read of it is in hand at once: a length that is faced to, a keyseat's depth.
    const sizes = (this.store.repair()?.sizes ?? []).filter((x) => x.setUp === number);
    const size = sizes.find((x) => x.state !== 'in') ?? sizes[0];
    if (size) this.store.select({ spanId: size.key, stationMm: null, clockDeg: null });
  }

  protected readonly lengthMm = computed(() => partLengthMm(this.store.repair()?.part?.part ?? { outside: [] }));

  protected take(x: CutFinding): void {
    this.bySets.set(false);
    this.store.select({ spanId: x.segment.segment.id, stationMm: null, clockDeg: null });
  }

  protected withdraw(reading: ReadingRecord): void {
    this.store.withdraw(reading);
  }

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected last(c: CutFinding): string {
    const last = c.cuts.at(-1);
    return last ? this.show(last.measuredMm) : '–';
  }

  protected dialText({ dialled }: CutFinding, value: number): string {
    return value.toFixed(dialDecimals(dialled.cross));
  }

  /** Beyond the first turn the count of turns is told: it is what gets lost. */
  protected turns({ dialled: { cross } }: CutFinding, dial: number): string {
    const counted = turnsOf(dial, cross);
    // A boring bar that was zeroed on its skim goes outwards: below zero the ring shows what is left of a turn.
    if (dial < 0) {
      const shows = counted.remainder.toFixed(dialDecimals(cross));
      return `: outwards past zero, where the ring shows ${shows}${counted.turns < -1 ? ` in turn ${-counted.turns}` : ''}`;
    }
    return counted.turns === 0 ? '' : `: ${turnsWords(counted, cross)} from zero`;
  }

  protected told(figure: Figure): string {
    return sentence(figure, this.store.unit());
  }

  /** How to get from where the dial stands to where it goes. */
  protected turning(c: CutFinding): string {
    const { turnIn, state } = c.advice;
    if (turnIn === null || state === 'spring') return '';
    const from = this.dialText(c, c.cuts.at(-1)?.dial ?? 0);
    const way = c.segment.segment.side === 'inside' ? 'out' : 'in';
    return turnIn < 0
      ? `From ${from}, wind well back and come ${way} again: ${this.dialText(c, -turnIn)} less than before.`
      : `From ${from}, turn ${way} ${this.dialText(c, turnIn)} (${linesWords(turnIn, c.dialled.cross)}), always from the same side.`;
  }

  /** What it should measure then; the wanted size while nothing is known of the tool. */
  protected expected({ advice }: CutFinding): string {
    if (advice.nextMm === null || advice.nextDial === null) return '';
    const band = advice.nextPlusMinusMm === null ? '' : ` ± ${this.show(advice.nextPlusMinusMm)}`;
    return advice.nextPlusMinusMm === null
      ? `Meant to leave ${this.show(advice.nextMm)}`
      : `Should measure ${this.show(advice.nextMm)}${band}`;
  }

  /** The same as a voice says it: the dial, and what it should measure then. */
  protected aloud(c: CutFinding): string {
    const { nextDial } = c.advice;
    const dial =
      nextDial === null
        ? ''
        : `${this.dialText(c, nextDial)} ${c.dialled.cross.unit === 'in' ? 'inch' : 'millimetres'}${this.turns(c, nextDial)}.`;
    return [`${c.segment.segment.name}.`, `${this.title(c)}`, dial, this.expected(c).replace('±', 'give or take')]
      .filter(Boolean)
      .join(' ');
  }

  protected mark(c: CutFinding): 'done' | 'under-way' | 'not-yet' | 'out' {
    return c.advice.state === 'in' ? 'done' : c.advice.state === 'under' ? 'out' : c.cuts.length ? 'under-way' : 'not-yet';
  }

  protected warm(c: CutFinding): string {
    const shop = this.store.sheet()!.job.shopTempC;
    const above = c.partTempC - shop;
    if (above < 3 || c.advice.state === 'cool') return '';
    return `Part is at ${c.partTempC} °C, shop ${shop}. The sizes here are already corrected to 20 °C. Fine for this cut; let it cool before the last one.`;
  }

  protected speeds(): string {
    const x = (this.plan() ?? this.rework())?.passes.find((p) => p.segment.segment.id === this.cut()!.segment.segment.id);
    return x?.roughSpeed.ok && x.finishSpeed.ok
      ? `Rough at ${x.roughSpeed.value.gearRpm} rpm and ${this.show(x.feeds.rough.value)} a turn, finish at ${x.finishSpeed.value.gearRpm} and ${this.show(x.feeds.finish.value)}.`
      : '';
  }
}
