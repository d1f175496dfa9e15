import type { ElementRef } from '@angular/core';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  HostListener,
  inject,
  input,
  linkedSignal,
  signal,
  untracked,
  viewChild,
  type WritableSignal,
} from '@angular/core';
import {
  decimalsInOther,
  choiceKey,
  dialDecimals,
  doubtInputFor,
  doubtOf,
  formatLength,
  formatWithUnit,
  INSTRUMENT_KINDS,
  otherUnit,
  MOST_MISTYPED_MM,
  parseLength,
  sameSpot,
  unitShownBy,
  type LengthUnit,
  type Offer,
  type ReadingDoubt,
  type StationId,
  type TypedLength,
  inSentence,
} from '@iron-patch/core';
import { DecimalMarks, SessionStore, ShopStore } from '../data';
import { ReadQueue, SheetStore, type QueuedReading, type TypedReading } from '../sheet-data';
import { GaugeLink, GaugePanel } from '../gauge';
import { ImportDialog } from './import-dialog';
import { instrumentCalled, lineInstrument } from './line-instrument';
import { OutboxAlerts } from './outbox-alerts';
import { WaitingReadings } from './waiting-readings';
import { nothingAsked, numberIn, PAUSE_MS } from './line-words';
import { aboutIn } from './about-in';
import { afterReading, besideSpot, corrected, lineTarget, type LineTarget, type Standing } from './spot';
import { typedReading } from './typed-reading';

/**
 * The one entry line: type or let a keyboard gauge type, Enter, and it moves to the next planned spot and says what it
 * expects. An implausible number is asked about before it is kept.
 */
@Component({
  selector: 'ip-reading-line',
  imports: [ImportDialog, GaugePanel, OutboxAlerts, WaitingReadings],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './reading-line.html',
  styleUrl: './reading-line.less',
})
export class ReadingLine {
  readonly station = input.required<StationId>();
  private readonly store = inject(SheetStore);
  protected readonly shop = inject(ShopStore);
  protected readonly marks = inject(DecimalMarks);
  private readonly session = inject(SessionStore);
  private readonly gauge = inject(GaugeLink);
  private readonly queue = inject(ReadQueue);
  /** The gauge's panel stays out while its line is up. */
  protected readonly gaugeOut = signal(this.gauge.state() !== 'off');
  private readonly entry = viewChild<ElementRef<HTMLInputElement>>('entry');
  protected readonly text = signal('');
  protected readonly pasted = signal<string | null>(null);
  /** The spot is read once more, to see how well it repeats: both readings stay. */
  protected readonly again = linkedSignal({ source: () => this.where(), computation: () => false });
  protected readonly temp = signal('');
  protected readonly target = computed(() => {
    const repair = this.store.repair();
    return repair && lineTarget(repair, this.station(), this.store.selection(), this.store.unit());
  });
  private readonly place = computed(() => {
    const t = this.target();
    return t ? `${t.purpose}${t.placeId ?? `${t.itemId}${t.segmentId}`}${t.spot.quantity}` : '';
  });
  private readonly where = computed(() => this.place() + JSON.stringify(this.target()?.spot ?? null));
  /** What is asked or said is about the spot that it was asked at: elsewhere it is gone, and can't be answered. */
  protected readonly doubt = this.atItsSpot<ReadingDoubt>();
  protected readonly said = this.atItsSpot<{ readonly text: string; readonly bad: boolean }>();
  /** The instrument stays with a place until somebody takes another. */
  protected readonly instrumentId = linkedSignal({
    source: this.place,
    computation: () => lineInstrument(this.target(), this.store.repair(), this.shop.shop(), this.store.sheet()?.job.unit ?? 'mm'),
  });
  protected readonly dialText = linkedSignal(() => {
    const t = this.target();
    const cut = this.store.repair()?.cuts.find((c) => c.segment.segment.id === t?.segmentId);
    return t?.dial == null || !cut ? '' : t.dial.toFixed(dialDecimals(cut.dialled.cross));
  });
  protected readonly dialValue = computed(() => numberIn(this.dialText(), -10_000, 10_000));
  protected readonly tempValue = computed(() => (this.temp().trim() === '' ? null : (numberIn(this.temp(), -30, 200) ?? undefined)));
  protected readonly shopTemp = computed(() => String(this.store.sheet()?.job.shopTempC ?? ''));
  /** What a bare number means: what the instrument in hand shows, whatever the screen shows; then the job's unit. */
  protected readonly bareUnit = computed<LengthUnit>(() => {
    const inHand = this.shop.shop().instruments.find((i) => i.id === this.instrumentId());
    return (inHand && unitShownBy(inHand)) ?? this.store.sheet()?.job.unit ?? 'mm';
  });
  private readonly parsed = computed(() =>
    parseLength(this.text(), {
      unit: this.bareUnit(),
      allowNegative: this.target()?.signed ?? false,
      allowZero: this.target()?.signed ?? false,
      ...(this.target()?.signed ? {} : { mostMm: MOST_MISTYPED_MM }),
      ...(this.target()?.nominalMm == null ? {} : { nominalMm: this.target()!.nominalMm! }),
      ...(this.target()?.expectedMm == null || this.target()!.signed ? {} : { expectedMm: this.target()!.expectedMm! }),
    }),
  );
  protected readonly expecting = computed(() => {
    const t = this.target()!;
    const about = t.signed
      ? 'the indicator, + or -'
      : t.expectedMm === null
        ? 'the first here'
        : `expecting about ${aboutIn(t.expectedMm, this.bareUnit(), this.store.unit())}`;
    if (!t.there.length) return about;
    if (this.again()) return `${about}; once more, kept beside the one there`;
    return this.corrects(t) ? `${about}; corrects the one there` : `${about}; a second instrument at this spot`;
  });
  protected readonly echo = computed(() => {
    const p = this.parsed();
    if (!p.ok || this.text().trim() === '') return '';
    const other = otherUnit(p.value.unit);
    const { countedFromMm, valueMm, unit } = p.value;
    const counted = countedFromMm === undefined ? '' : `${formatWithUnit(valueMm, unit)}, from ${formatWithUnit(countedFromMm, unit)}; `;
    return `${counted}${formatLength(valueMm, other, Math.min(decimalsInOther(p.value.decimals, p.value.unit), 5))} ${other}`;
  });
  protected readonly nothing = computed(() => nothingAsked(this.station(), this.store.repair(), this.store.sheet()));

  constructor() {
    const readings = this.gauge.readings.subscribe((text) => this.fromGauge(text));
    inject(DestroyRef).onDestroy(() => readings.unsubscribe());
    // What stands in the line is worked out before Enter asks for it.
    effect((onCleanup) => {
      const [t, parsed] = [this.target(), this.parsed()];
      if (!t || !parsed.ok || this.text().trim() === '') return;
      const timer = setTimeout(() => this.store.foresee(this.typed(t, parsed.value.valueMm, false), parsed.value.valueMm), PAUSE_MS);
      onCleanup(() => clearTimeout(timer));
    });
    // What was typed with its place goes through the line reading by reading; one that is doubted holds up the next.
    effect(() => {
      const next = this.queue.first((id) => this.store.repair()?.places.some((f) => f.place.id === id) ?? false);
      // One that is doubted or being put right is waited for.
      const free = !this.queue.inLine() && !this.queue.paused() && this.text() === '';
      if (next && free && this.station() === 'measure') untracked(() => this.readNext(next));
    });
    // One that stands in the line is of its own spot: it waits again once somebody looks at another.
    effect(() => {
      const [held, t] = [this.queue.inLine(), this.target()];
      if (!held || (t?.placeId === held.placeId && sameSpot(t.spot, held.spot))) return;
      untracked(() => {
        this.queue.putBack();
        this.empty();
      });
    });
    // A gauge types wherever the cursor is: at the measuring stations it is here.
    effect(() => {
      const typing = ['measure', 'cut', 'prove'].includes(this.station()) && this.entry();
      if (typing && !/^(INPUT|TEXTAREA|SELECT)$/.test(document.activeElement?.tagName ?? '')) this.focus();
    });
  }

  focus(): void {
    this.entry()?.nativeElement.focus();
  }

  @HostListener('document:keydown', ['$event'])
  protected global(event: KeyboardEvent): void {
    const target = event.target as HTMLElement;
    if (event.key !== '/' || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || event.ctrlKey || event.altKey) return;
    event.preventDefault();
    this.focus();
  }

  protected enter(): void {
    if (!this.session.personId()) return this.say('Who is at the bench? Pick your name at the top right, then press Enter again.', true);
    if (this.tempValue() === undefined)
      return this.say('The temperature of the part is a number from -30 to 200 °C, or empty for that of the shop.', true);
    if (this.target()?.dial != null && this.dialValue() === null)
      return this.say('Type where the cross-slide dial stood, such as 0.2379.', true);
    const parsed = this.parsed();
    if (!parsed.ok) return this.say(parsed.problems[0]!.message, true);
    const t = this.target()!;
    const doubt = t.signed ? null : this.doubtOf(t, parsed.value);
    if (!doubt) return this.take(parsed.value.valueMm, false);
    this.doubt.set(doubt);
    this.said.set({ text: doubt.message, bad: false });
  }

  private doubtOf(t: LineTarget, value: TypedLength): ReadingDoubt | null {
    const { purpose, placeId, segmentId, afterActId, spot, expectedMm } = t;
    const about = {
      ...{ purpose, placeId, segmentId, afterActId, spot, expectedMm },
      ...{ valueMm: value.valueMm, unit: value.unit, decimals: value.decimals },
      ...{ instrumentId: this.instrumentId(), dial: this.dialValue(), supersedesId: this.corrects(t)?.id ?? null },
    };
    return doubtOf(doubtInputFor(this.store.repair()!, this.shop.shop(), this.store.sheet()!.job.unit, about));
  }

  /** One way out of a doubt. */
  protected answer(offer: Offer): void {
    if (offer.kind === 'keep') return this.insist();
    if (offer.kind === 'take') return this.take(offer.valueMm, true);
    // The same text read by another instrument may mean another size: it is weighed again.
    this.instrumentId.set(offer.instrumentId);
    this.forget();
    this.enter();
  }

  private readNext(next: QueuedReading): void {
    const { placeId, spot, text } = next;
    this.queue.take(next);
    this.store.select({ spanId: placeId, ...spot });
    this.text.set(text);
    this.enter();
  }

  protected gaugeInstrument(name: string): void {
    const own = instrumentCalled(name, this.shop.shop());
    if (own) this.instrumentId.set(own.id);
  }

  /** A reading from the gauge is typed and entered like any other; where nothing is asked for it waits in the line. */
  private fromGauge(text: string): void {
    this.forget();
    this.text.set(text);
    if (this.target()) this.enter();
  }

  /** Somebody was asked and says that the typed number is right. */
  protected insist(): void {
    const parsed = this.parsed();
    if (parsed.ok) this.take(parsed.value.valueMm, true);
  }

  /** Keeps a reading; a suggested one is kept as the text that stands for it. */
  protected take(valueMm: number, confirmed: boolean): void {
    const t = this.target()!;
    this.store.takeReading(this.typed(t, valueMm, confirmed), valueMm);
    this.clear();
    this.onward(t);
    this.focus();
  }

  private typed(target: LineTarget, valueMm: number, confirmed: boolean): TypedReading {
    return typedReading(target, valueMm, {
      text: this.text(),
      parsed: this.parsed(),
      unit: this.bareUnit(),
      instrumentId: this.instrumentId(),
      partTempC: this.tempValue() ?? null,
      dial: this.dialValue(),
      supersedesId: this.corrects(target)?.id ?? null,
      confirmed,
    });
  }

  protected keys(event: KeyboardEvent): void {
    if (event.key === 'Escape') return this.entry()?.nativeElement.blur();
    const step = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : 0;
    const t = this.target();
    if (step === 0 || t?.purpose !== 'found') return;
    event.preventDefault();
    this.step(t, step);
  }

  /** Several lines at once are a table, not a reading. */
  protected paste(event: ClipboardEvent): void {
    const text = event.clipboardData?.getData('text') ?? '';
    if (!/[\r\n]/.test(text.trim())) return;
    event.preventDefault();
    this.pasted.set(text);
  }

  protected clear(): void {
    this.queue.settled();
    this.empty();
    this.focus();
  }

  private atItsSpot<T>(): WritableSignal<T | null> {
    return linkedSignal<string, T | null>({ source: this.where, computation: () => null });
  }

  private empty(): void {
    this.text.set('');
    // A gauge types and enters within one frame: to the binding nothing changed then, and the number would stay in the line.
    const input = this.entry()?.nativeElement;
    if (input) input.value = '';
    this.forget();
  }

  protected forget(): void {
    this.doubt.set(null);
    this.said.set(null);
  }

  protected show(mm: number): string {
    const unit = this.store.unit();
    const kind = this.shop.shop().instruments.find((i) => i.id === this.instrumentId())?.kind;
    return formatLength(mm, unit, kind ? INSTRUMENT_KINDS[kind].decimals[unit] : undefined);
  }

  protected pickInstrument(event: Event): void {
    this.instrumentId.set((event.target as HTMLSelectElement).value);
  }

  private say(text: string, bad: boolean): void {
    this.doubt.set(null);
    this.said.set({ text, bad });
    this.focus();
  }

  private corrects(t: LineTarget): Standing | null {
    return this.again() ? null : corrected(t, this.instrumentId());
  }

  /** Passes over the spot on purpose: it is no longer asked for, and can be measured all the same. */
  protected skip(): void {
    const t = this.target();
    const finding = this.store.repair()?.places.find((f) => f.place.id === t?.placeId);
    if (!t || t.purpose !== 'found' || !finding) return;
    const spots = [...finding.skipped.filter((s) => !sameSpot(s, t.spot)), t.spot];
    const { id, name } = finding.place;
    void this.store.putChoice(choiceKey.skip(id), `spots passed over on ${inSentence(name)}`, { spots }).catch(this.store.bug);
    this.onward(t);
    this.focus();
  }

  /** The spot before this one. */
  protected back(): void {
    const t = this.target();
    if (t?.purpose === 'found') this.step(t, -1);
    this.focus();
  }

  private onward(t: LineTarget): void {
    const next = afterReading(this.store.repair(), t);
    if (next) this.store.select(next);
  }

  private step(t: LineTarget, by: number): void {
    const to = besideSpot(this.store.repair()?.places ?? [], t, by);
    if (to) this.store.select(to);
  }
}
