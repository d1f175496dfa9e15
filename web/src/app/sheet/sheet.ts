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
  untracked,
  viewChild,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterOutlet } from '@angular/router';
import { calledOff, STATION_NAMES, STATIONS, type StationId } from '@iron-patch/core';
import { filter, map, startWith } from 'rxjs';
import { DayPipe, PageTitle } from '../data';
import { SheetStore } from '../sheet-data';
import { ItemStrip } from '../items';
import { Axis, Lanes, PartPicture, type LaneName } from '../picture';
import { DrawingLine } from '../drawing-line/drawing-line';
import { ReadingLine } from '../reading-line/reading-line';
import { WorkingColumn } from '../working/working-column';
import { keepLookedAt } from './looked-at';
import { Moved } from './moved';
import { Notices } from './notices';
import { Rail } from './rail';
import { Trouble } from './trouble';
import { undoKey } from './undo-key';

/** Which lanes each station shows under the picture; a station without any has no picture either. */
const LANES: Readonly<Record<StationId, readonly LaneName[]>> = {
  receive: [],
  strip: ['mate'],
  measure: ['readings', 'wear', 'mate'],
  decide: ['wear', 'mate'],
  draw: ['mate', 'target', 'length', 'stress'],
  plan: ['holding'],
  cut: [],
  prove: ['target', 'proof'],
  return: [],
};

/** Stations that look at the part as it came in. */
const WORN_STATIONS: readonly StationId[] = ['receive', 'strip', 'measure', 'decide'];

/** From Decide on a job is seen by what it does. */
const OVER_ITEMS: readonly StationId[] = ['decide', 'draw', 'plan', 'cut', 'prove', 'return'];

/** The job sheet: stations left, picture and lanes in the middle with the station's work below, Working right, reading line at the bottom. */
@Component({
  selector: 'ip-sheet',
  imports: [
    RouterOutlet,
    RouterLink,
    DayPipe,
    Rail,
    ItemStrip,
    PartPicture,
    Lanes,
    WorkingColumn,
    DrawingLine,
    ReadingLine,
    Moved,
    Notices,
    Trouble,
  ],
  providers: [Axis],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (store.missing()) {
      <section class="missing">
        <h1>There is no such job.</h1>
        <p>It may have been asked for by an old link. <a routerLink="/">Go to the floor</a>.</p>
      </section>
    } @else if (store.trouble()) {
      <ip-trouble />
    } @else if (store.shown(); as s) {
      <div class="sheet" [class.wide]="station() === 'cut'">
        <ip-rail class="rail no-print" [station]="station()" />
        <div class="middle" #middle>
          <header>
            <span class="number fig">{{ s.job.number }}</span>
            <h1>{{ s.job.title }}</h1>
            <span class="quiet who">{{ s.customer.name }}{{ s.job.promisedOn ? ', for ' + (s.job.promisedOn | day: 'weekday') : '' }}</span>
            @if (store.undo(); as undo) {
              <button type="button" class="undo no-print" title="Ctrl + Z" (click)="store.undoLast()">Take back: {{ undo.what }}</button>
            }
          </header>
          <ip-notices />
          @if (off(); as why) {
            <p class="said" role="status">
              This job is called off: {{ why }} <a [routerLink]="['/jobs', s.job.id, 'receive']">Take it up again at Receive</a>
            </p>
          }
          @if (overItems()) {
            <ip-item-strip [station]="station()" />
          }
          <ip-moved />
          @if (pictured()) {
            <div class="drawn" [class.stays]="drawn()">
              <ip-part-picture
                [heightPx]="station() === 'measure' || station() === 'decide' ? 190 : 150"
                [holding]="station() === 'plan'"
              />
              <ip-lanes [names]="lanes()" />
            </div>
          }
          <div class="work"><router-outlet /></div>
        </div>
        @if (station() !== 'cut') {
          <ip-working class="working" [station]="station()" />
        }
        @if (station() === 'draw') {
          <ip-drawing-line class="line no-print" />
        } @else {
          <ip-reading-line class="line no-print" [station]="station()" />
        }
      </div>
    } @else {
      <p class="waiting" role="status">{{ store.message()?.text ?? 'Fetching the job.' }}</p>
    }
  `,
  styleUrl: './sheet.less',
})
export class Sheet {
  protected readonly store = inject(SheetStore);
  private readonly axis = inject(Axis);
  private readonly router = inject(Router);
  readonly id = input.required<string>();
  /** From the address: the place to look at, and the key of the figure whose working is read. */
  readonly place = input<string>();
  readonly item = input<string>();
  readonly piece = input<string>();
  readonly figure = input<string>();
  readonly leaf = input<string>();
  private readonly middle = viewChild<ElementRef<HTMLElement>>('middle');
  readonly url = toSignal(
    this.router.events.pipe(
      filter((e) => e instanceof NavigationEnd),
      map((e) => e.urlAfterRedirects),
      startWith(this.router.url),
    ),
    { initialValue: this.router.url },
  );
  readonly station = computed<StationId>(() => STATIONS.find((s) => this.url().split('?')[0]!.endsWith(`/${s}`)) ?? 'measure');
  protected readonly off = computed(() => {
    const sheet = this.store.sheet();
    return sheet && calledOff(sheet);
  });
  /** Name of the place that is looked at. */
  private readonly placeName = computed(() => {
    const { spanId } = this.store.selection();
    return this.store.sheet()?.places.find((f) => f.id === spanId)?.name ?? '';
  });
  /** Whether the job that the address names is on the screen. */
  readonly here = computed(() => this.store.sheet()?.job.id === this.id());
  /** Stations that stand over the items of the job. */
  protected readonly overItems = computed(() => OVER_ITEMS.includes(this.station()) && this.store.repair() !== null);
  /** At Draw, with something drawn: its picture stays in sight. */
  protected readonly drawn = computed(() => this.station() === 'draw' && this.store.picture()?.shows === 'part');
  private readonly views = computed(() => this.store.picture()?.shows === 'block');
  /** A block has no axis for lanes; at Draw its form shows it as it is being changed. */
  protected readonly lanes = computed((): readonly LaneName[] => {
    if (this.views()) return [];
    const drawn = this.station() !== 'draw' || this.drawn();
    const mates = this.station() !== 'draw' || (this.store.repair()?.fits.length ?? 0) > 0;
    return LANES[this.station()].filter((lane) => (lane === 'mate' ? mates : drawn));
  });
  protected readonly pictured = computed(() => LANES[this.station()].length > 0 && !(this.views() && this.station() === 'draw'));

  constructor() {
    effect(() => {
      const id = this.id();
      untracked(() => void this.store.open(id));
    });
    effect(() => {
      const pictured = WORN_STATIONS.includes(this.station()) ? 'worn' : 'new';
      untracked(() => this.store.lookAt(pictured));
    });
    keepLookedAt(this);
    const title = inject(PageTitle);
    effect(() => {
      const job = this.store.sheet()?.job;
      if (job?.id === this.id()) title.be(`${job.number} ${job.title}, ${STATION_NAMES[this.station()]}`, this.placeName());
    });
    const observer =
      typeof ResizeObserver === 'undefined'
        ? null
        : new ResizeObserver(([entry]) => this.axis.widthPx.set(Math.max(entry!.contentRect.width, 480)));
    effect(() => {
      const element = this.middle()?.nativeElement;
      observer?.disconnect();
      if (element) observer?.observe(element);
    });
    inject(DestroyRef).onDestroy(() => observer?.disconnect());
  }

  @HostListener('document:keydown', ['$event'])
  protected undo(event: KeyboardEvent): void {
    if (undoKey(event, this.store, this.station())) event.preventDefault();
  }
}
