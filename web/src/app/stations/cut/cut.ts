import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  countOf,
  cutInHand,
  dialDecimals,
  formatLength,
  newestRelease,
  sentence,
  turnsOf,
  turnsWords,
  type Advice,
  type CutFinding,
  type Figure,
  type ReadingRecord,
} from '@iron-patch/core';
import { SheetStore } from '../../sheet-data';
import { ItemSteps, PieceRow } from '../../items';
import { StateMark } from '../../mark';
import { DialPicture } from './dial-picture';
import { PracticeLathe } from './practice-lathe';

const TITLES: Readonly<Record<Advice['state'], string>> = {
  'measure-first': 'First: skim it, set the dial to zero, measure',
  cut: 'Next cut: set the cross slide to',
  spring: 'Spring pass: leave the cross slide at',
  polish: 'Too thin for this tool',
  in: 'Inside its limits',
  close: 'Too near a limit to tell',
  under: 'Under its limit',
  cool: 'Let it cool',
};

/** At the machine: now, wanted, to come off; what to set on the dial, from two metres away. */
@Component({
  selector: 'ip-cut',
  imports: [RouterLink, StateMark, DialPicture, ItemSteps, PieceRow, PracticeLathe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut.html',
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      flex: 1;
    }
    .tabs {
      padding: 6px 18px;
    }
    .holds {
      margin-left: auto;
      font-size: 15px;
    }
    .top {
      display: grid;
      grid-template-columns: 1fr 1.3fr 1.1fr;
      gap: 20px;
      padding: 4px 26px 14px;
    }
    @media (max-width: 1100px) {
      .top {
        padding: 4px 18px 10px;
      }
      .top .huge {
        font-size: 52px;
      }
    }
    @media (max-width: 900px) {
      .top {
        grid-template-columns: minmax(0, 1fr);
        gap: 4px;
      }
    }
    .top .label {
      display: block;
      font-size: 16px;
    }
    .huge {
      font-size: 66px;
      line-height: 1.05;
      font-weight: 700;
      letter-spacing: -0.5px;
    }
    .off {
      color: var(--accent);
    }
    .band {
      font-size: 22px;
      white-space: nowrap;
      color: var(--quiet);
      margin-left: 12px;
    }
    .bottom {
      display: grid;
      grid-template-columns: minmax(0, 600px) minmax(0, 1fr);
      flex: 1;
    }
    .next {
      background: var(--layout);
      color: var(--scribe);
      padding: 16px 26px;
    }
    .next h2 {
      font-size: 19px;
    }
    .dial {
      font-size: 112px;
      line-height: 1.08;
      font-weight: 700;
      color: var(--brass);
      letter-spacing: -1px;
    }
    .reads {
      font-size: 22px;
      margin-bottom: 12px;
    }
    .next p:not(.dial):not(.reads) {
      font-size: 18px;
      margin-top: 8px;
    }
    .next .then {
      color: var(--brass);
      font-size: 22px !important;
    }
    .practice {
      padding: 10px 26px;
    }
    .next .mind {
      border-left: 4px solid var(--brass);
      padding-left: 12px;
    }
    .next.calm h2 {
      font-size: 40px;
      color: var(--brass);
      line-height: 1.15;
    }
    .cuts {
      padding: 14px 26px;
    }
    .cuts ol {
      margin: 8px 0;
    }
    .cuts li {
      display: flex;
      align-items: center;
      gap: 10px;
      min-height: 36px;
      font-size: 17px;
      flex-wrap: wrap;
    }
    .bar {
      flex: none;
      height: 26px;
      min-width: 3px;
      background: var(--hairline);
      border: 1px solid var(--edge);
    }
    .ahead .bar {
      background: var(--worn);
      border-color: var(--accent);
    }
    .wanted {
      color: var(--fits);
      font-size: 15px;
    }
    .cuts .said {
      margin-top: 14px;
    }
    .speeds {
      margin-top: 12px;
      font-size: 15px;
    }
    .empty {
      padding: 32px;
    }
    @media (max-width: 1000px) {
      .bottom {
        grid-template-columns: 1fr;
      }
      .huge {
        font-size: 46px;
      }
    }
  `,
})
export class Cut {
  protected readonly store = inject(SheetStore);
  protected readonly practising = signal(false);
  protected readonly lathe = computed(() => this.store.repair()?.at?.lathe ?? null);
  protected readonly hold = computed(() => {
    const id = this.cut()?.segment.segment.id ?? '';
    const setUp = this.store.repair()?.plan?.setUps.find((s) => s.setUp.cuts.includes(id))?.setUp;
    return setUp ? `, set-up ${setUp.number}: ${setUp.hold}` : '';
  });
  protected readonly released = computed(() => {
    const sheet = this.store.sheet();
    return sheet && newestRelease(sheet, this.store.item()?.id) !== null;
  });
  protected readonly cut = computed<CutFinding | null>(() => {
    const repair = this.store.repair();
    return repair && cutInHand(repair, this.store.selection().spanId);
  });
  /** Cuts made, then those still to come, as bars over the wanted size. */
  protected readonly bars = computed(() => {
    const c = this.cut()!;
    // The newest can be withdrawn: what stands on it is worked out anew.
    const made = c.cuts
      .map((x, i) => ({
        mm: x.measuredMm,
        ahead: false,
        words: i === 0 ? 'before the first cut' : 'measured',
        reading: i === c.cuts.length - 1 ? (c.readings[i] ?? null) : null,
      }))
      .slice(-4);
    const now = c.cuts.at(-1)?.measuredMm;
    const { nextMm, cutsLeft, aimMm, state } = c.advice;
    const steps =
      (state === 'cut' || state === 'spring') && nextMm !== null && now !== undefined ? this.ahead(nextMm, cutsLeft, aimMm) : [];
    const all = [...made, ...steps.map((s) => ({ ...s, reading: null }))];
    // Metal still over the wanted size: a bore grows towards it.
    const over = (mm: number): number => (c.segment.segment.side === 'inside' ? aimMm - mm : mm - aimMm);
    const most = Math.max(...all.map((b) => over(b.mm)), 1e-6);
    return all.map((b) => ({ ...b, share: Math.max((over(b.mm) / most) * 48, 0) }));
  });

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

  protected title({ advice, segment }: CutFinding): string {
    return advice.state === 'under' && segment.segment.side === 'inside' ? 'Over its limit' : TITLES[advice.state];
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

  protected dialText(value: number): string {
    return value.toFixed(dialDecimals(this.lathe()!.cross));
  }

  /** Beyond the first turn the count of turns is told: it is what gets lost. */
  protected turns(dial: number): string {
    const { cross } = this.lathe()!;
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
    const from = this.dialText(c.cuts.at(-1)?.dial ?? 0);
    const way = c.segment.segment.side === 'inside' ? 'out' : 'in';
    return turnIn < 0
      ? `From ${from}, wind well back and come ${way} again: ${this.dialText(-turnIn)} less than before.`
      : `From ${from}, turn ${way} ${this.dialText(turnIn)} (${this.lineCount(c)}), always from the same side.`;
  }

  /** What it should measure then; the wanted size while nothing is known of the tool. */
  protected expected({ advice }: CutFinding): string {
    if (advice.nextMm === null || advice.nextDial === null) return '';
    const band = advice.nextPlusMinusMm === null ? '' : ` ± ${this.show(advice.nextPlusMinusMm)}`;
    return advice.nextPlusMinusMm === null
      ? `Meant to leave ${this.show(advice.nextMm)}`
      : `Should measure ${this.show(advice.nextMm)}${band}`;
  }

  protected lineCount(c: CutFinding): string {
    const lines = (c.advice.turnIn ?? 0) / this.lathe()!.cross.perLine;
    const whole = Math.floor(lines + 0.25);
    const half = Math.abs(lines - whole - 0.5) < 0.25;
    return `${countOf(whole, 'line')}${half ? ' and a half' : ''}`;
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
    const x = this.store.repair()?.plan?.passes.find((p) => p.segment.segment.id === this.cut()!.segment.segment.id);
    return x?.roughSpeed.ok && x.finishSpeed.ok
      ? `Rough at ${x.roughSpeed.value.gearRpm} rpm, finish at ${x.finishSpeed.value.gearRpm} rpm.`
      : '';
  }
}
