import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal, type OnInit } from '@angular/core';
import { ReactiveFormsModule } from '@angular/forms';
import { check, placeInput, type PlaceInput } from '@iron-patch/contract';
import {
  PLACE_KIND_IDS,
  PLACE_KINDS,
  FOUR_CLOCKS,
  instrumentsFor,
  isDiameter,
  planFor,
  readsFor,
  SUSPICIONS,
  type PlaceKind,
  type PlaceRecord,
  type InstrumentKind,
  type Side,
  type Suspicion,
  roundStart,
} from '@iron-patch/core';
import { newId, ShopStore } from '../../data';
import { SheetStore } from '../../sheet-data';
import { CheckList, ChooseField, FormFrame, LengthInput, PickField, PlacesField, RecordForm, TextField, type Option } from '../../form';
import { PlaceDetailForm } from './place-detail-form';
import { anotherLike, detailFor, inputOf } from './place-input';

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
/** A place that nothing was said of yet. */
const NO_PLACE: PlaceInput = {
  componentId: '',
  name: '',
  kind: 'diameter',
  suspicions: [],
  detail: detailFor('diameter'),
  side: 'outside',
  startMm: 0,
  lengthMm: 40,
  land: 'worn',
  matesPlaceId: null,
  stationsMm: [],
  clocksDeg: [],
  instrumentId: '',
};
const sameList = (p: readonly number[], q: readonly number[]): boolean => p.length === q.length && p.every((x, i) => x === q[i]);

/** One place to measure: where it is, what it fits, and the plan of stations and clock angles. */
@Component({
  selector: 'ip-place-form',
  imports: [ReactiveFormsModule, FormFrame, TextField, ChooseField, PickField, LengthInput, PlacesField, CheckList, PlaceDetailForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form ip-form [formGroup]="form.group" [of]="form" save="Save place" (left)="closed.emit()">
      <div class="grid3">
        <ip-text label="Place" name="name" placeholder="Body, land, bore" formControlName="name" />
        <ip-choose label="What is measured" name="kind" [options]="kinds" formControlName="kind" (valueChange)="setKind($event)" />
        <ip-pick label="Outside or inside" [options]="sides" formControlName="side" (valueChange)="setSide()" />
        <ip-choose label="Did it wear?" name="land" [options]="lands" formControlName="land" />
        <ip-length label="Starts at" [unit]="store.unit()" formControlName="startMm" (mmChange)="replan()" />
        <ip-length label="Length" [unit]="store.unit()" [allowZero]="false" formControlName="lengthMm" (mmChange)="longSaid()" />
        <ip-choose label="Fits together with" name="mate" [options]="mates()" [orNull]="true" formControlName="matesPlaceId" />
        @if (diameter() && siblings().length > 1) {
          <ip-choose
            label="Turned to one size with"
            name="oneSize"
            [options]="siblings()"
            [value]="draft().detail.oneSizeWithId ?? ''"
            (valueChange)="form.set({ detail: { ...draft().detail, oneSizeWithId: $event || null } })"
          />
        }
        <ip-places
          label="Stations"
          name="stations"
          [unit]="store.unit()"
          formControlName="stationsMm"
          (placesChange)="ownStations.set(true)"
        />
        <ip-choose label="Clock angles" name="clocks" [options]="clockOptions" [value]="clockChoice()" (valueChange)="setClocks($event)" />
        <ip-choose label="Instrument" name="instrument" [options]="instruments()" formControlName="instrumentId" />
      </div>
      <ip-place-detail-form [kind]="draft().kind" formControlName="detail" />
      @if (grid()) {
        <ip-checks
          label="What is suspected?"
          name="suspect"
          [options]="suspicions"
          formControlName="suspicions"
          (checksChange)="replan()"
        />
      }
      <p class="quiet">{{ plan().why.join(' ') }} {{ diameter() ? plan().unworn : '' }}</p>
    </form>
  `,
})
export class PlaceForm implements OnInit {
  protected readonly store = inject(SheetStore);
  protected readonly shop = inject(ShopStore);
  readonly componentId = input.required<string>();
  readonly record = input<PlaceRecord | null>(null);
  /** A new place starts as another of this. */
  readonly like = input<PlaceRecord | null>(null);
  readonly closed = output<void>();
  protected readonly sides: readonly Option[] = [
    ['outside', 'Outside'],
    ['inside', 'Inside'],
  ];
  protected readonly lands: readonly Option[] = [
    ['worn', 'It ran: may be worn'],
    ['unworn', 'Never ran: tells the size'],
  ];
  protected readonly kinds: readonly Option[] = PLACE_KIND_IDS.map((k) => [k, PLACE_KINDS[k].name] as const);
  protected readonly suspicions: readonly Option[] = SUSPICIONS.map((x) => [x, SUSPICION_WORDS[x]] as const);
  protected readonly diameter = computed(() => isDiameter(this.draft().kind));
  protected readonly grid = computed(() => PLACE_KINDS[this.draft().kind].grid);
  protected readonly plan = computed(() => planFor({ ...this.draft(), unit: this.store.unit() }));
  protected readonly clockOptions: readonly Option[] = CLOCK_CHOICES.map((c, i) => [String(i), c.words] as const);
  protected readonly instruments = computed<readonly Option[]>(() => this.shop.shop().instruments.map((i) => [i.id, i.name] as const));
  /** Stations follow the length until somebody types their own. */
  protected readonly ownStations = signal(false);
  private readonly opened = signal<PlaceRecord | null>(null);
  private readonly key = signal(newId());
  protected readonly form = new RecordForm<PlaceInput>({
    keptAs: () => `place:${this.record()?.id ?? `new:${this.like()?.id ?? this.componentId()}`}`,
    start: NO_PLACE,
    check: (v) => check(placeInput, v),
    rests: { ownStations: this.ownStations, opened: this.opened, key: this.key },
    save: (v) => {
      const opened = this.opened();
      return opened ? this.store.savePlace(opened, v) : this.store.addPlace(v, this.key());
    },
    close: () => this.closed.emit(),
  });
  protected readonly draft = this.form.value;
  protected readonly mates = computed<readonly Option[]>(() => [
    ['', 'nothing yet'],
    ...this.store
      .sheet()!
      .places.filter((f) => f.side !== this.draft().side && f.componentId !== this.componentId())
      .map((f) => [f.id, f.name] as const),
  ]);
  /** Places that may have been turned in one go with this one. */
  protected readonly siblings = computed<readonly Option[]>(() => [
    ['', 'nothing, or not known'],
    ...this.store
      .sheet()!
      .places.filter(
        (f) => f.componentId === this.componentId() && f.side === this.draft().side && isDiameter(f.kind) && f.id !== this.opened()?.id,
      )
      .map((f) => [f.id, f.name] as const),
  ]);
  protected readonly clockChoice = computed(() => {
    const index = CLOCK_CHOICES.findIndex((c) => sameList(c.clocks, this.draft().clocksDeg));
    return String(Math.max(index, 0));
  });

  ngOnInit(): void {
    const opened = this.record();
    this.opened.set(opened);
    const like = this.like();
    this.ownStations.set(opened !== null || like !== null);
    this.form.open(opened ? inputOf(opened) : like ? anotherLike(like, this.store.sheet()!.places) : this.fresh());
  }

  protected setSide(): void {
    this.form.set({ matesPlaceId: null });
    this.replan();
  }

  protected setKind(kind: string): void {
    this.form.set({ suspicions: [], matesPlaceId: null, detail: detailFor(kind as PlaceKind) });
    this.ownStations.set(false);
    this.replan();
  }

  protected setClocks(index: string): void {
    this.form.set({ clocksDeg: [...CLOCK_CHOICES[Number(index)]!.clocks] });
  }

  /** A length that somebody typed is no longer assumed. */
  protected longSaid(): void {
    this.form.set({ detail: { ...this.draft().detail, lengthAssumed: false } });
    this.replan();
  }

  /** Stations, clock angles and instrument by what is measured and suspected; stations that somebody typed stay. */
  protected replan(): void {
    const { startMm, lengthMm, stationsMm } = this.draft();
    if (startMm === null || !(lengthMm > 0)) return;
    const plan = this.plan();
    this.form.set({
      stationsMm: this.ownStations() ? stationsMm : [...plan.stationsMm],
      clocksDeg: [...plan.clocksDeg],
      instrumentId: this.instrumentFor(),
    });
  }

  private fresh(): PlaceInput {
    const component = this.store.sheet()!.components.find((c) => c.id === this.componentId());
    const side: Side = component?.role === 'mate' ? 'inside' : 'outside';
    const mates = this.store
      .sheet()!
      .places.filter((f) => f.side !== side && f.componentId !== this.componentId() && f.land === 'worn' && isDiameter(f.kind));
    const place = { kind: 'diameter' as const, side, startMm: 0, lengthMm: roundStart(this.store.unit(), 40, 1.5), suspicions: [] };
    const plan = planFor({ ...place, unit: this.store.unit() });
    return {
      ...place,
      componentId: this.componentId(),
      name: side === 'inside' ? 'Bore' : 'Body',
      detail: detailFor('diameter'),
      land: 'worn',
      matesPlaceId: mates.length === 1 ? mates[0]!.id : null,
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
    const seen = this.store.repair()?.places.find((f) => f.shape && f.component.id === this.componentId())?.shape?.meanMm ?? null;
    const kind = this.draft().kind ?? 'diameter';
    const size = isDiameter(kind) ? seen : null;
    const reads = readsFor(PLACE_KINDS[kind].quantities[0], side, kind);
    return (instrumentsFor(instruments, reads, size, this.store.sheet()!.job.unit, kinds)[0] ?? instruments[0])?.id ?? '';
  }
}
