import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { check, instrumentInput, routes, type InstrumentInput } from '@iron-patch/contract';
import { INSTRUMENT_KINDS, type InstrumentKind, type InstrumentRecord, type Problem } from '@iron-patch/core';
import { Api, ApiProblem, keptDraft, newId, NO_ANSWER, ShopStore } from '../data';
import { ChooseField, DraftNote, LengthInput, type Option, TextField } from '../show';

const EMPTY: InstrumentInput = {
  name: '',
  kind: 'micrometer',
  unit: 'mm',
  uMm: null,
  repeatMm: null,
  resolutionMm: null,
  biasMm: 0,
  rangeLowMm: 0,
  rangeHighMm: 25,
  calibratedOn: null,
  dueOn: null,
};

/** An instrument's own record. */
@Component({
  selector: 'ip-instrument-form',
  imports: [TextField, ChooseField, LengthInput, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); save()" novalidate>
      <ip-draft-note [kept]="kept" />
      <div class="grid4">
        <ip-text
          label="Name"
          name="instrumentName"
          [value]="draft().name"
          path="name"
          [problems]="problems()"
          (valueChange)="set({ name: $event })"
        />
        <ip-choose label="Kind" name="instrumentKind" [options]="kinds" [value]="draft().kind" (valueChange)="setKind($event)" />
        <ip-choose label="Shows" name="instrumentUnit" [options]="units" [value]="draft().unit" (valueChange)="setUnit($event)" />
        <ip-length
          label="Smallest step"
          [mm]="draft().resolutionMm"
          [unit]="draft().unit"
          [optional]="true"
          path="resolutionMm"
          [problems]="problems()"
          (mmChange)="set({ resolutionMm: $event })"
        />
        <ip-length
          label="Range from"
          [mm]="draft().rangeLowMm"
          [unit]="draft().unit"
          path="rangeLowMm"
          [problems]="problems()"
          (mmChange)="set({ rangeLowMm: $event ?? 0 })"
        />
        <ip-length
          label="Range to"
          [mm]="draft().rangeHighMm"
          [unit]="draft().unit"
          path="rangeHighMm"
          [problems]="problems()"
          (mmChange)="set({ rangeHighMm: $event ?? 0 })"
        />
        <ip-length
          label="Uncertainty (k = 1)"
          [mm]="draft().uMm"
          [unit]="draft().unit"
          [decimals]="4"
          [optional]="true"
          path="uMm"
          [problems]="problems()"
          (mmChange)="set({ uMm: $event })"
        />
        <ip-length
          label="Of it scatter (k = 1)"
          [mm]="draft().repeatMm"
          [unit]="draft().unit"
          [decimals]="4"
          [optional]="true"
          path="repeatMm"
          [problems]="problems()"
          (mmChange)="set({ repeatMm: $event })"
        />
        <ip-length
          label="Reads too big by (at calibration)"
          [mm]="draft().biasMm"
          [unit]="draft().unit"
          [decimals]="4"
          [allowNegative]="true"
          path="biasMm"
          [problems]="problems()"
          (mmChange)="set({ biasMm: $event ?? 0 })"
        />
        <ip-text
          label="Calibrated on"
          name="calibratedOn"
          placeholder="2026-11-25"
          [value]="draft().calibratedOn ?? ''"
          path="calibratedOn"
          [problems]="problems()"
          (valueChange)="set({ calibratedOn: $event.trim() || null })"
        />
        <ip-text
          label="Due on"
          name="dueOn"
          placeholder="2027-11-25"
          [value]="draft().dueOn ?? ''"
          path="dueOn"
          [problems]="problems()"
          (valueChange)="set({ dueOn: $event.trim() || null })"
        />
      </div>
      <p class="quiet">Left empty, uncertainty is that of its kind in a skilled hand, half of it (by variance) scatter.</p>
      @if (message()) {
        <p class="said bad" role="alert">{{ message() }}</p>
      }
      <div class="row end">
        <button type="button" (click)="closed.emit()">Leave it</button>
        <button type="submit" class="next" [disabled]="busy()">Save instrument</button>
      </div>
    </form>
  `,
  styles:
    'form { padding: 12px 0; display: grid; gap: 8px; } .grid4 { display: grid; grid-template-columns: repeat(4, 1fr); gap: 10px 18px; } .end { justify-content: flex-end; }',
})
export class InstrumentForm implements OnInit {
  private readonly api = inject(Api);
  private readonly shop = inject(ShopStore);
  readonly record = input<InstrumentRecord | null>(null);
  readonly closed = output<void>();
  protected readonly kinds: readonly Option[] = Object.entries(INSTRUMENT_KINDS).map(([id, k]) => [id, k.name] as const);
  protected readonly units: readonly Option[] = [
    ['mm', 'mm'],
    ['in', 'in'],
  ];
  protected readonly draft = signal<InstrumentInput>(EMPTY);
  protected readonly busy = signal(false);
  protected readonly message = signal('');
  private readonly attempted = signal(false);
  private readonly told = signal<readonly Problem[]>([]);
  private readonly opened = signal<InstrumentRecord | null>(null);
  private readonly id = signal(newId());
  protected readonly kept = keptDraft(() => `instrument:${this.record()?.id ?? 'new'}`, {
    draft: this.draft,
    opened: this.opened,
    id: this.id,
  });
  protected readonly problems = computed(() => {
    const checked = check(instrumentInput, this.draft());
    return [...(checked.ok || !this.attempted() ? [] : checked.problems), ...this.told()];
  });

  ngOnInit(): void {
    const opened = this.record();
    this.opened.set(opened);
    if (!opened) return;
    const { name, kind, unit, uMm, repeatMm, resolutionMm, biasMm, rangeLowMm, rangeHighMm, calibratedOn, dueOn } = opened;
    this.draft.set({ name, kind, unit, uMm, repeatMm, resolutionMm, biasMm, rangeLowMm, rangeHighMm, calibratedOn, dueOn });
  }

  protected set(change: Partial<InstrumentInput>): void {
    this.told.set([]);
    this.draft.update((d) => ({ ...d, ...change }));
  }

  protected setKind(kind: string): void {
    this.set({ kind: kind as InstrumentKind });
  }

  protected setUnit(unit: string): void {
    this.set({ unit: unit === 'in' ? 'in' : 'mm' });
  }

  protected async save(): Promise<void> {
    this.attempted.set(true);
    if (this.problems().length) return;
    this.busy.set(true);
    try {
      await this.api.put(routes.instrument(this.opened()?.id ?? this.id()), this.draft(), this.opened()?.version ?? 0);
      this.kept.done();
      await this.shop.load();
      this.closed.emit();
    } catch (e) {
      if (!(e instanceof ApiProblem)) this.message.set(NO_ANSWER);
      else if (e.details.status === 412) this.theirs(e.details.current as InstrumentRecord | null);
      else {
        this.told.set(e.details.problems ?? []);
        this.message.set(`${e.details.title} ${e.details.detail}`);
      }
    } finally {
      this.busy.set(false);
    }
  }

  /** Somebody else changed it first: saving again saves over theirs. */
  private theirs(current: InstrumentRecord | null): void {
    this.opened.set(current);
    this.message.set('Somebody else changed this instrument in the meantime. Save again to put yours over theirs, or leave it.');
    void this.shop.load();
  }
}
