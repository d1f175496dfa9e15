import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { check, featureInput, type FeatureInput } from '@iron-patch/contract';
import {
  FEATURE_KIND_IDS,
  FEATURE_KINDS,
  FOUR_CLOCKS,
  formatPlace,
  fromUnit,
  instrumentsFor,
  isDiameter,
  parseNumberList,
  planFor,
  readsFor,
  SUSPICIONS,
  type FeatureKind,
  type FeatureRecord,
  type InstrumentKind,
  type Problem,
  type Side,
  type Suspicion,
} from '@iron-patch/core';
import { keptDraft, newId, ShopStore } from '../../data';
import { SheetStore } from '../../sheet-data';
import { NzCheckboxModule } from 'ng-zorro-antd/checkbox';
import { FormsModule } from '@angular/forms';
import { ChooseField, DraftNote, LengthInput, type Option, TextField } from '../../show';
import { FeatureDetailForm } from './feature-detail-form';
import { detailFor, inputOf } from './feature-input';

const CLOCK_CHOICES = [
  { words: '0°', clocks: [0] },
  { words: '0° and 90°', clocks: [0, 90] },
  { words: '0°, 60°, 120°', clocks: [0, 60, 120] },
  { words: '0°, 45°, 90°, 135°', clocks: [...FOUR_CLOCKS] },
  { words: '0°, 40°, 80° (three-point head turned)', clocks: [0, 40, 80] },
  { words: 'every 30° to 150°', clocks: [0, 30, 60, 90, 120, 150] },
  { words: '0°, 90°, 180°, 270°', clocks: [0, 90, 180, 270] },
  { words: 'every 45° all round', clocks: Array.from({ length: 8 }, (_, i) => i * 45) },
  { words: 'every 22.5° all round', clocks: Array.from({ length: 16 }, (_, i) => i * 22.5) },
];
const SUSPICION_WORDS: Readonly<Record<Suspicion, string>> = {
  bearing: 'a bearing ran here',
  oval: 'oval',
  tapered: 'tapered',
  bent: 'bent',
  lobed: 'lobed',
  'seal-groove': 'grooved by a seal',
};
const sameList = (p: readonly number[], q: readonly number[]): boolean => p.length === q.length && p.every((x, i) => x === q[i]);

/** One place to measure: where it is, what it fits, and the plan of stations and clock angles. */
@Component({
  selector: 'ip-feature-form',
  imports: [FormsModule, NzCheckboxModule, TextField, ChooseField, LengthInput, FeatureDetailForm, DraftNote],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form (submit)="$event.preventDefault(); save()" novalidate>
      <ip-draft-note [kept]="kept" />
      <div class="grid3">
        <ip-text
          label="Place"
          name="name"
          placeholder="Body, land, bore"
          [value]="draft().name"
          path="name"
          [problems]="problems()"
          (valueChange)="set({ name: $event })"
        />
        <ip-choose label="What is measured" name="kind" [options]="kinds" [value]="draft().kind" (valueChange)="setKind($event)" />
        <ip-choose label="Outside or inside" name="side" [options]="sides" [value]="draft().side" (valueChange)="setSide($event)" />
        <ip-choose label="Did it wear?" name="land" [options]="lands" [value]="draft().land" (valueChange)="setLand($event)" />
        <ip-length
          label="Starts at"
          [mm]="draft().startMm"
          [unit]="store.unit()"
          path="startMm"
          [problems]="problems()"
          (mmChange)="setPlace({ startMm: $event ?? 0 })"
        />
        <ip-length
          label="Length"
          [mm]="draft().lengthMm"
          [unit]="store.unit()"
          [allowZero]="false"
          path="lengthMm"
          [problems]="problems()"
          (mmChange)="setPlace({ lengthMm: $event ?? 0 })"
        />
        <ip-choose
          label="Fits together with"
          name="mate"
          [options]="mates()"
          [value]="draft().matesFeatureId ?? ''"
          path="matesFeatureId"
          [problems]="problems()"
          (valueChange)="set({ matesFeatureId: $event || null })"
        />
        @if (diameter() && siblings().length > 1) {
          <ip-choose
            label="Turned to one size with"
            name="oneSize"
            [options]="siblings()"
            [value]="draft().detail.oneSizeWithId ?? ''"
            (valueChange)="set({ detail: { ...draft().detail, oneSizeWithId: $event || null } })"
          />
        }
        <ip-text
          [label]="'Stations, ' + store.unit()"
          name="stations"
          [value]="stations()"
          path="stationsMm"
          [problems]="problems()"
          (valueChange)="typeStations($event)"
        />
        <ip-choose
          label="Clock angles"
          name="clocks"
          [options]="clockOptions"
          [value]="clockChoice()"
          path="clocksDeg"
          [problems]="problems()"
          (valueChange)="setClocks($event)"
        />
        <ip-choose
          label="Instrument"
          name="instrument"
          [options]="instruments()"
          [value]="draft().instrumentId"
          path="instrumentId"
          [problems]="problems()"
          (valueChange)="set({ instrumentId: $event })"
        />
      </div>
      <ip-feature-detail-form
        [kind]="draft().kind"
        [detail]="draft().detail"
        [problems]="problems()"
        (detailChange)="set({ detail: $event })"
      />
      @if (grid()) {
        <fieldset>
          <legend>What is suspected?</legend>
          @for (s of suspicions; track s) {
            <label nz-checkbox [name]="'suspect-' + s" [ngModel]="draft().suspicions.includes(s)" (ngModelChange)="suspect(s, $event)">{{
              suspicionWords[s]
            }}</label>
          }
        </fieldset>
      }
      <p class="quiet">{{ plan().why.join(' ') }} {{ diameter() ? plan().unworn : '' }}</p>
      <div class="row end">
        <button type="button" (click)="closed.emit()">Leave it</button>
        <button type="submit" class="next" [disabled]="busy()">Save place</button>
      </div>
    </form>
  `,
  styles:
    'form { padding: 12px 0; } .grid3 { display: grid; grid-template-columns: repeat(3, 1fr); gap: 10px 18px; } fieldset { border: 0; padding: 0; margin: 0; display: flex; flex-wrap: wrap; gap: 0 18px; } legend { font: 600 15px var(--label); padding: 0; } fieldset label { min-height: 40px; display: inline-flex; align-items: center; margin: 0; } .end { justify-content: flex-end; }',
})
export class FeatureForm implements OnInit {
  protected readonly store = inject(SheetStore);
  protected readonly shop = inject(ShopStore);
  readonly componentId = input.required<string>();
  readonly record = input<FeatureRecord | null>(null);
  readonly closed = output<void>();
  protected readonly sides: readonly Option[] = [
    ['outside', 'Outside'],
    ['inside', 'Inside'],
  ];
  protected readonly lands: readonly Option[] = [
    ['worn', 'It ran: may be worn'],
    ['unworn', 'Never ran: tells the size'],
  ];
  protected readonly kinds: readonly Option[] = FEATURE_KIND_IDS.map((k) => [k, FEATURE_KINDS[k].name] as const);
  protected readonly suspicions = SUSPICIONS;
  protected readonly suspicionWords = SUSPICION_WORDS;
  protected readonly diameter = computed(() => isDiameter(this.draft().kind));
  protected readonly grid = computed(() => FEATURE_KINDS[this.draft().kind].grid);
  protected readonly plan = computed(() => planFor({ ...this.draft(), unit: this.store.unit() }));
  protected readonly clockOptions: readonly Option[] = CLOCK_CHOICES.map((c, i) => [String(i), c.words] as const);
  protected readonly instruments = computed<readonly Option[]>(() => this.shop.shop().instruments.map((i) => [i.id, i.name] as const));
  protected readonly draft = signal<FeatureInput>({} as FeatureInput);
  protected readonly stations = signal('');
  protected readonly busy = signal(false);
  private readonly attempted = signal(false);
  private readonly stationProblem = signal<Problem | null>(null);
  /** Stations follow the length until somebody types their own. */
  private readonly ownStations = signal(false);
  private readonly opened = signal<FeatureRecord | null>(null);
  private readonly key = signal(newId());
  protected readonly kept = keptDraft(() => `place:${this.record()?.id ?? `new:${this.componentId()}`}`, {
    draft: this.draft,
    stations: this.stations,
    ownStations: this.ownStations,
    opened: this.opened,
    key: this.key,
  });
  protected readonly mates = computed<readonly Option[]>(() => [
    ['', 'nothing yet'],
    ...this.store
      .sheet()!
      .features.filter((f) => f.side !== this.draft().side && f.componentId !== this.componentId())
      .map((f) => [f.id, f.name] as const),
  ]);
  /** Places that may have been turned in one go with this one. */
  protected readonly siblings = computed<readonly Option[]>(() => [
    ['', 'nothing, or not known'],
    ...this.store
      .sheet()!
      .features.filter(
        (f) => f.componentId === this.componentId() && f.side === this.draft().side && isDiameter(f.kind) && f.id !== this.opened()?.id,
      )
      .map((f) => [f.id, f.name] as const),
  ]);
  protected readonly clockChoice = computed(() => {
    const index = CLOCK_CHOICES.findIndex((c) => sameList(c.clocks, this.draft().clocksDeg));
    return String(Math.max(index, 0));
  });
  protected readonly problems = computed(() => {
    const own = this.stationProblem();
    const checked = check(featureInput, this.draft());
    return [
      ...(own ? [own] : []),
      ...(checked.ok || !this.attempted() ? [] : checked.problems.map((p) => ({ ...p, path: p.path.replace(/\.\d+$/, '') }))),
    ];
  });

  ngOnInit(): void {
    const opened = this.record();
    this.opened.set(opened);
    if (opened) {
      this.draft.set(inputOf(opened));
      this.ownStations.set(true);
    } else this.draft.set(this.fresh());
    this.showStations();
  }

  protected set(change: Partial<FeatureInput>): void {
    this.draft.update((d) => ({ ...d, ...change }));
  }

  protected setLand(land: string): void {
    this.set({ land: land as FeatureInput['land'] });
  }

  protected setSide(chosen: string): void {
    this.set({ side: chosen as Side, matesFeatureId: null });
    this.replan();
  }

  protected setKind(kind: string): void {
    this.set({ kind: kind as FeatureKind, suspicions: [], matesFeatureId: null, detail: detailFor(kind as FeatureKind) });
    this.ownStations.set(false);
    this.replan();
  }

  protected suspect(s: Suspicion, on: boolean): void {
    const now = this.draft().suspicions;
    this.set({ suspicions: on ? [...now, s] : now.filter((x) => x !== s) });
    this.replan();
  }

  protected setPlace(change: Partial<FeatureInput>): void {
    this.set(change);
    if (this.draft().lengthMm > 0) this.replan();
  }

  protected setClocks(index: string): void {
    this.set({ clocksDeg: [...CLOCK_CHOICES[Number(index)]!.clocks] });
  }

  protected typeStations(text: string): void {
    this.ownStations.set(true);
    this.stations.set(text);
    const parsed = parseNumberList(text);
    this.stationProblem.set(parsed.ok ? null : { ...parsed.problems[0]!, path: 'stationsMm' });
    if (parsed.ok) this.set({ stationsMm: parsed.value.map((v) => fromUnit(v, this.store.unit())) });
  }

  protected async save(): Promise<void> {
    this.attempted.set(true);
    if (this.problems().length) return;
    this.busy.set(true);
    try {
      const opened = this.opened();
      const saved = opened ? await this.store.saveFeature(opened, this.draft()) : await this.store.addFeature(this.draft(), this.key());
      if (!saved) return;
      this.kept.done();
      this.closed.emit();
    } catch {
      // The store has told why; the form stays as it is.
    } finally {
      this.busy.set(false);
    }
  }

  /** Stations, clock angles and instrument by what is measured and suspected; stations that somebody typed stay. */
  private replan(): void {
    const plan = this.plan();
    const stationsMm = this.ownStations() ? this.draft().stationsMm : [...plan.stationsMm];
    this.set({ stationsMm, clocksDeg: [...plan.clocksDeg], instrumentId: this.instrumentFor() });
    this.showStations();
  }

  private fresh(): FeatureInput {
    const component = this.store.sheet()!.components.find((c) => c.id === this.componentId());
    const side: Side = component?.role === 'mate' ? 'inside' : 'outside';
    const mates = this.store
      .sheet()!
      .features.filter((f) => f.side !== side && f.componentId !== this.componentId() && f.land === 'worn' && isDiameter(f.kind));
    const place = { kind: 'diameter' as const, side, startMm: 0, lengthMm: 40, suspicions: [] };
    const plan = planFor({ ...place, unit: this.store.unit() });
    return {
      ...place,
      componentId: this.componentId(),
      name: side === 'inside' ? 'Bore' : 'Body',
      detail: detailFor('diameter'),
      land: 'worn',
      matesFeatureId: mates.length === 1 ? mates[0]!.id : null,
      stationsMm: [...plan.stationsMm],
      clocksDeg: [...plan.clocksDeg],
      instrumentId: this.suggested(side, plan.instruments),
    };
  }

  private instrumentFor(): string {
    return this.suggested(this.draft().side, this.plan().instruments);
  }

  private suggested(side: Side, kinds: readonly InstrumentKind[]): string {
    const { instruments } = this.shop.shop();
    const seen = this.store.repair()?.features.find((f) => f.shape && f.component.id === this.componentId())?.shape?.meanMm ?? null;
    const kind = this.draft().kind ?? 'diameter';
    const size = isDiameter(kind) ? seen : null;
    const reads = readsFor(FEATURE_KINDS[kind].quantities[0], side);
    return (instrumentsFor(instruments, reads, size, this.store.sheet()!.job.unit, kinds)[0] ?? instruments[0])?.id ?? '';
  }

  private showStations(): void {
    this.stations.set(
      this.draft()
        .stationsMm.map((mm) => formatPlace(mm, this.store.unit()))
        .join(', '),
    );
  }
}
