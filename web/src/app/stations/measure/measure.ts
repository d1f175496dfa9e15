import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { NgTemplateOutlet } from '@angular/common';
import { routes } from '@iron-patch/contract';
import {
  PLACE_KINDS,
  formatLength,
  formatPlace,
  inHand,
  isDiameter,
  isIndicator,
  QUANTITIES,
  TAPER_OVER,
  type PlaceFinding,
  type PartState,
  placeInHand,
  type ReadingRecord,
  type StationState,
} from '@iron-patch/core';
import { NzTableModule } from 'ng-zorro-antd/table';
import { ShopStore, ShopTimePipe } from '../../data';
import { StateMark } from '../../mark';
import { IndicatorMap, PolarSection, ProfileChart } from '../../picture';
import { ImportDialog } from '../../reading-line/import-dialog';
import { SheetStore } from '../../sheet-data';
import { FigureButton, OnPaper } from '../../show';
import { Advice } from './advice';
import { Disputes } from './disputes';
import { StandingOutNote } from './standing-out';
import { OtherValues } from './other-values';
import { PencilLine } from './pencil-line';
import { SeenForm } from './seen-form';
import { SpotGrid } from './spot-grid';
import { StatesOfPart } from './states-of-part';

/** More readings than these are drawn as they are scrolled to. */
const FEW_READINGS = 40;
/** Sections drawn side by side; the grid tells of all. */
const MOST_SECTIONS = 12;

/** The readings of each place with what they say and cannot say; every number there can be touched, corrected, taken back. */
@Component({
  selector: 'ip-measure',
  imports: [
    NgTemplateOutlet,
    NzTableModule,
    PolarSection,
    ProfileChart,
    IndicatorMap,
    FigureButton,
    StateMark,
    ImportDialog,
    ShopTimePipe,
    Advice,
    Disputes,
    StandingOutNote,
    OtherValues,
    PencilLine,
    SeenForm,
    SpotGrid,
    StatesOfPart,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './measure.html',
  styleUrl: './measure.less',
})
export class Measure {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  protected readonly importing = signal(false);
  protected readonly mostSections = MOST_SECTIONS;
  protected readonly taperWords = computed(() => `taper ${TAPER_OVER[this.store.sheet()?.job.unit ?? 'mm'].words}`);
  protected readonly stepWords = computed(() => {
    const step = this.finding()?.shape?.profile?.step;
    const at = (mm: number): string => formatPlace(mm, this.store.unit());
    return step ? `step between ${at(step.fromMm)} and ${at(step.toMm)} ${this.store.unit()}` : '';
  });
  protected readonly few = FEW_READINGS;
  protected readonly paper = inject(OnPaper);
  protected readonly byId = (_: number, r: ReadingRecord): string => r.id;
  protected readonly asFound = computed(() => placeInHand(this.store.repair()?.places ?? [], this.store.selection().spanId));
  /** In the state that is looked at. */
  protected readonly finding = computed<PlaceFinding | null>(() => {
    const f = this.asFound();
    return f && inHand(f, this.store.selection().afterActId);
  });
  protected readonly diameter = computed(() => isDiameter(this.finding()?.place.kind ?? 'diameter'));
  protected readonly indicator = computed(() => isIndicator(this.finding()?.place.kind ?? 'diameter'));
  protected readonly grid = computed(() => PLACE_KINDS[this.finding()?.place.kind ?? 'diameter'].grid);
  protected readonly section = computed(() => {
    const f = this.finding();
    const at = this.store.selection().stationMm;
    const sections = f?.shape?.sections ?? [];
    return sections.find((s) => at !== null && Math.abs(s.stationMm - at) < 0.25) ?? f?.shape?.mostOval ?? null;
  });
  protected readonly newestFirst = computed(() => [...(this.finding()?.readings ?? [])].reverse());
  protected readonly csv = computed(() => routes.readingsCsv(this.store.sheet()!.job.id));

  protected stateOf(f: PlaceFinding): StationState {
    if (f.disputes.some((d) => d.believed === null)) return 'out';
    return f.next ? (f.readings.length ? 'under-way' : 'not-yet') : 'done';
  }

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected place(mm: number): string {
    return formatPlace(mm, this.store.unit());
  }

  protected pick(f: PlaceFinding): void {
    const spot = inHand(f).next ?? f.planned[0];
    const { stationMm, clockDeg, quantity } = spot ?? { stationMm: null, clockDeg: null, quantity: null };
    this.store.select({ spanId: f.place.id, stationMm, clockDeg, quantity });
  }

  protected instrument(f: PlaceFinding): string {
    return this.shop.shop().instruments.find((i) => i.id === f.place.instrumentId)?.name ?? '';
  }

  protected what(r: ReadingRecord): string {
    const where = `at ${this.place(r.stationMm)}, ${r.clockDeg}°`;
    return r.quantity === 'size' ? where : `${QUANTITIES[r.quantity].name} ${where}`;
  }

  /** The other states in which a reading may have been taken. */
  protected elsewhere(f: PlaceFinding): PartState[] {
    const base = this.asFound();
    return base ? [base, ...base.after].map((s) => s.state).filter((s) => s.actId !== f.state.actId) : [];
  }

  protected who(r: ReadingRecord): string {
    return this.shop.personName(r.personId);
  }
}
