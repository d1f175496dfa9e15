import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import {
  choiceKey,
  formatLength,
  fromUnit,
  defaultSchoolOf,
  ownOption,
  pinForTruedHole,
  REFERENCE_TEMP_C,
  showForce,
  toUnit,
  truedTooSmall,
  unknownMetal,
  type DeskOutlook,
  type FitFinding,
  type LengthUnit,
  type PinTarget,
  type RunningChoice,
  type SchoolOption,
  inSentence,
} from '@iron-patch/core';
import { scaleLinear } from 'd3-scale';
import { CopyTable } from '../../show';
import { SheetStore } from '../../sheet-data';
import { LengthInput, startsAs } from '../../form';
import { RunningForm } from './running-form';

/** A school picked for a hole that is kept or trued. */
export interface PickedFit {
  readonly option: SchoolOption;
  readonly hole: 'keep' | 'true';
  /** Size that a trued hole is bored to, mm; null for the smallest usual one that cleans up. */
  readonly truedMm: number | null;
}

/** One row of the desk, ready to show. */
interface Row {
  readonly option: SchoolOption;
  readonly from: number;
  readonly width: number;
  readonly tight: boolean;
  readonly pin: string;
  readonly play: string;
  readonly trued: string;
  readonly goes: string;
  readonly cracks: boolean;
  readonly warm: string;
  readonly seizes: boolean;
  /** It will not do for what runs here: `goes` says why. */
  readonly barred: boolean;
}

const CRACK_WORDS = { no: null, may: 'may crack the hub: measure closer', yes: 'would crack the hub' } as const;
const WAYS = { slides: 'by hand', taps: 'soft hammer', presses: 'press' } as const;

/** A handle moves by this much an arrow key, in the reader's unit. */
const STEP = { mm: 0.001, in: 0.0001 } as const;

/** "by hand 98 %", "press 92 %, 4.1 kN": the likeliest way in, and what it takes. */
function goesWords({ goesIn, push, closesAtAimMm }: DeskOutlook, unit: LengthUnit): string {
  const [way, share] = (Object.entries(goesIn) as [keyof typeof WAYS, number][]).sort((a, b) => b[1] - a[1])[0]!;
  const newton = push && way === 'presses' ? push.pushForceN : 0;
  const force = newton ? `, ${showForce(newton, unit, 2).replace(' ', '\u00a0')}` : '';
  const closes = closesAtAimMm > 0 ? `; its bore closes in ${formatLength(closesAtAimMm, unit)}` : '';
  return `${WAYS[way]}${share > 0.995 ? '' : ` ${Math.round(share * 100)}\u00a0%`}${force}${closes}`;
}

/** A tick nearer to the end than this would run into the next column, percent. */
const LAST_TICK = 92;

/** All schools on one scale against the hole as it was measured; one is picked, or a target of one's own dragged or typed. */
@Component({
  selector: 'ip-fit-desk',
  imports: [CopyTable, LengthInput, RunningForm, NgTemplateOutlet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './fit-desk.html',
  styleUrl: './fit-desk.less',
})
export class FitDesk {
  protected readonly store = inject(SheetStore);
  readonly fit = input.required<FitFinding>();
  /** The size at which every hole of the job cleans up, where there are several: for boring them in line. */
  readonly inLineMm = input<number | null>(null);
  readonly picked = output<PickedFit>();
  /** What is taken while nobody has chosen. */
  protected readonly byDefault = computed(() => defaultSchoolOf(this.fit()));
  protected readonly unit = computed(() => this.store.unit());

  /** Largest that an own pin may be, mm: starts where the pin stands now. */
  protected readonly ownMm = startsAs<number>(() => {
    const { choice, target, hole, options } = this.fit();
    const house = options.find((o) => o.id === defaultSchoolOf(this.fit()))?.kept;
    // An own target is for the hole as it is.
    const kept = choice?.hole === 'true' ? (house?.ok ? house.value : null) : target;
    return kept?.upperMm ?? hole.shape!.smallestMm;
  });
  protected readonly own = computed(() => ownOption(this.fit(), this.ownMm()));

  /** Size that the hole is bored to where it is trued, mm: as chosen, or as typed here. */
  protected readonly truedMm = startsAs<number>(() => this.fit().truedMm!);
  protected readonly tooSmall = computed(() => truedTooSmall(this.fit(), this.truedMm(), this.unit()));

  private readonly kept = computed(() => this.fit().options.flatMap((o) => (o.kept.ok ? [{ option: o, target: o.kept.value }] : [])));
  /** Percent of the bar column, 0 to 100, over every size that is shown. */
  private readonly scale = computed(() => {
    const { smallestMm, largestMm } = this.fit().hole.shape!;
    const sizes = [smallestMm - this.band(), largestMm + this.band(), ...this.kept().flatMap(({ target: t }) => [t.lowerMm, t.upperMm])];
    const [low, high] = [Math.min(...sizes), Math.max(...sizes)];
    const room = (high - low) * 0.05 || 0.01;
    return scaleLinear()
      .domain([low - room, high + room])
      .range([0, 100]);
  });
  protected readonly unknown = computed(() => unknownMetal(this.fit().setting, this.fit().hole.component.name));
  private readonly band = computed(() => this.fit().setting.plusMinusMm);
  protected readonly hole = computed(() => {
    const { smallestMm, largestMm } = this.fit().hole.shape!;
    const at = this.scale();
    return {
      from: at(smallestMm),
      width: Math.max(at(largestMm) - at(smallestMm), 0.4),
      unsureFrom: at(smallestMm - this.band()),
      unsureWidth: Math.max(at(smallestMm + this.band()) - at(smallestMm - this.band()), 0.2),
    };
  });
  protected readonly ticks = computed(() => {
    const unit = this.unit();
    const scale = this.scale();
    const inUnit = scale.copy().domain(scale.domain().map((mm) => toUnit(mm, unit)));
    return inUnit
      .ticks(4)
      .map((t) => ({ at: inUnit(t), text: t.toFixed(unit === 'mm' ? 2 : 3) }))
      .filter((t) => t.at < LAST_TICK);
  });
  protected readonly rows = computed(() => this.kept().map(({ option, target }) => this.row(option, target)));
  protected readonly outside = computed(() =>
    this.fit()
      .options.filter((o) => !o.kept.ok)
      .map((o) => o.name),
  );
  protected readonly ownRow = computed(() => {
    const own = this.own();
    return own?.kept.ok ? this.row(own, own.kept.value) : null;
  });
  /** Play when it runs is a column of its own once the pair does not run at 20 °C. */
  protected readonly warm = computed(() => {
    const { pinC, holeC } = this.fit().setting.running;
    return pinC !== REFERENCE_TEMP_C || holeC !== REFERENCE_TEMP_C;
  });

  private row(option: SchoolOption, t: PinTarget): Row {
    const at = this.scale();
    const out = option.outlook!;
    return {
      option,
      from: at(t.lowerMm),
      width: Math.max(at(t.upperMm) - at(t.lowerMm), 0.6),
      tight: t.clearanceMm < 0,
      pin: this.show(t.upperMm),
      play: `${this.show(t.playAtSmallestMm)} to ${this.show(t.playAtLargestMm)}`,
      trued: this.truedPin(option),
      goes: option.barred ?? CRACK_WORDS[out.cracks] ?? goesWords(out, this.unit()),
      barred: option.barred !== null,
      cracks: option.barred === null && out.cracks === 'yes',
      warm: this.show(out.playWarm.leastMm),
      seizes: out.playNow.leastMm > 0 && out.playWarm.leastMm <= 0,
    };
  }

  /** Largest the pin may be in the hole once it is bored true. */
  private truedPin({ school }: SchoolOption): string {
    const trued = pinForTruedHole(this.truedMm(), school);
    return trued.ok && !this.tooSmall() ? this.show(trued.value.upperMm) : '';
  }

  protected bore(mm: number | null): void {
    if (mm !== null) this.truedMm.set(mm);
  }

  protected show(mm: number): string {
    return formatLength(mm, this.unit());
  }

  protected using(o: SchoolOption): boolean {
    return (this.fit().choice?.schoolId ?? this.byDefault()) === o.id;
  }

  protected is(o: SchoolOption, hole: 'keep' | 'true'): boolean {
    const { choice, truedMm } = this.fit();
    return choice?.schoolId === o.id && choice.hole === hole && (hole === 'keep' || truedMm === this.truedMm());
  }

  /** Enter behind a typed target takes it. */
  protected pickOwn(): void {
    const own = this.ownRow();
    if (own && !own.barred) this.pick(own.option, 'keep');
  }

  protected pick(option: SchoolOption, hole: 'keep' | 'true'): void {
    const own = hole === 'true' && this.truedMm() !== this.fit().cleanUpMm;
    this.picked.emit({ option, hole, truedMm: own ? this.truedMm() : null });
  }

  /** The handle follows the finger; sizes are kept to what a micrometer can show. */
  protected drag(event: PointerEvent): void {
    const track = event.currentTarget as SVGElement;
    if (event.type === 'pointerdown') {
      track.setPointerCapture?.(event.pointerId);
      event.preventDefault();
    } else if (!(event.buttons & 1)) return;
    const { left, width } = track.getBoundingClientRect();
    this.setOwn(this.scale().invert((100 * (event.clientX - left)) / width));
  }

  protected nudge(event: KeyboardEvent): void {
    const steps = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -10, PageUp: 10 }[event.key];
    if (steps === undefined) return;
    event.preventDefault();
    this.setOwn(this.ownMm() + fromUnit(steps * STEP[this.unit()], this.unit()));
  }

  protected setOwn(mm: number | null): void {
    if (mm === null) return;
    const unit = this.unit();
    const [low, high] = this.scale().domain() as [number, number];
    const step = STEP[unit];
    this.ownMm.set(fromUnit(Math.round(toUnit(Math.min(Math.max(mm, low), high), unit) / step) * step, unit));
  }

  protected saveRunning(running: RunningChoice): void {
    const { id, name } = this.fit().hole.place;
    void this.store.putChoice(choiceKey.running(id), `what ${inSentence(name)} runs at`, running).catch(this.store.bug);
  }
}
