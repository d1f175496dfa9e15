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
import { ReadingLine } from '../reading-line/reading-line';
import { WorkingColumn } from '../working/working-column';
import { keepLookedAt } from './looked-at';
import { Moved } from './moved';
import { Rail } from './rail';
import { Trouble } from './trouble';

/** Which lanes each station shows under the picture; a station without any has no picture either. */
const LANES: Readonly<Record<StationId, readonly LaneName[]>> = {
  receive: [],
  strip: ['mate'],
  measure: ['readings', 'wear', 'mate'],
  decide: ['wear', 'mate'],
  draw: ['mate', 'target', 'stress'],
  plan: ['target'],
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
  imports: [RouterOutlet, RouterLink, DayPipe, Rail, ItemStrip, PartPicture, Lanes, WorkingColumn, ReadingLine, Moved, Trouble],
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
          <div aria-live="polite">
            @if (store.conflict(); as c) {
              <div class="said bad" role="alert">
                <b>Somebody else changed {{ c.what }} while you were at it.</b> Theirs is now on the screen.
                <span class="row"
                  ><button type="button" (click)="store.keepMine()">Save mine over it</button
                  ><button type="button" (click)="store.takeTheirs()">Keep theirs</button></span
                >
              </div>
            }
            @if (store.message(); as m) {
              <p class="said" [class.bad]="m.bad" [attr.role]="m.bad ? 'alert' : 'status'">
                {{ m.text }} <button type="button" class="plain" (click)="store.clearMessage()">Close</button>
              </p>
            }
          </div>
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
            <div class="drawn">
              <ip-part-picture [heightPx]="station() === 'measure' || station() === 'decide' ? 190 : 150" />
              <ip-lanes [names]="lanes()" />
            </div>
          }
          <div class="work"><router-outlet /></div>
        </div>
        @if (station() !== 'cut') {
          <ip-working class="working" [station]="station()" />
        }
        <ip-reading-line class="line no-print" [station]="station()" />
      </div>
    } @else {
      <p class="waiting" role="status">{{ store.message()?.text ?? 'Fetching the job.' }}</p>
    }
  `,
  styles: `
    :host {
      display: block;
      height: 100%;
    }
    .sheet {
      display: grid;
      grid-template: minmax(0, 1fr) auto / 116px minmax(0, 1fr) 296px;
      grid-template-areas: 'rail middle working' 'line line line';
      height: 100%;
    }
    .sheet.wide {
      grid-template-areas: 'rail middle middle' 'line line line';
    }
    .rail {
      grid-area: rail;
      position: relative;
      border-right: 1px solid var(--hairline);
      overflow: auto;
    }
    .middle {
      grid-area: middle;
      overflow: auto;
      background: var(--sheet);
      position: relative;
      display: flex;
      flex-direction: column;
    }
    .middle > * {
      flex: none;
    }
    .middle > .work {
      flex: 1 0 auto;
      display: flex;
      flex-direction: column;
    }
    .working {
      grid-area: working;
    }
    .line {
      grid-area: line;
    }
    header {
      display: flex;
      align-items: center;
      gap: 14px;
      background: var(--ground);
      min-height: 52px;
      padding: 0 18px;
    }
    .number {
      background: var(--ink);
      color: var(--sheet);
      font-weight: 700;
      font-size: 17px;
      padding: 2px 10px;
      border-radius: 2px;
    }
    h1 {
      font-size: 20px;
      white-space: nowrap;
      overflow: hidden;
      text-overflow: ellipsis;
      flex: 0 1 auto;
    }
    .who {
      font-size: 16px;
      white-space: nowrap;
      overflow: hidden;
      text-overflow: ellipsis;
      flex: 1 1 0;
    }
    .undo {
      border-color: transparent;
      white-space: nowrap;
      max-width: 260px;
      overflow: hidden;
      text-overflow: ellipsis;
      padding: 6px 8px;
    }
    .said {
      padding: 8px 18px;
    }
    .missing,
    .waiting {
      padding: 32px;
    }
    .missing h1 {
      white-space: normal;
      margin-bottom: 8px;
    }
    @media (max-width: 1000px) {
      .sheet {
        grid-template-columns: 64px minmax(0, 1fr);
        grid-template-areas: 'rail middle' 'rail working' 'line line';
        grid-template-rows: minmax(0, 1fr) auto auto;
      }
      .working {
        max-height: 190px;
        border-top: 1px solid var(--hairline);
      }
    }
    /* A telephone: the stations across, the picture pushed sideways by itself. */
    .drawn {
      position: relative;
      overflow-x: auto;
    }
    @media (max-width: 600px) {
      .sheet,
      .sheet.wide {
        grid-template-columns: minmax(0, 1fr);
        grid-template-areas: 'rail' 'middle' 'working' 'line';
        grid-template-rows: auto minmax(0, 1fr) auto auto;
      }
      .rail {
        border-right: 0;
        border-bottom: 1px solid var(--hairline);
      }
      .working {
        max-height: 120px;
      }
      header {
        flex-wrap: wrap;
        gap: 2px 12px;
        padding: 4px 10px;
      }
    }
    @media print {
      .drawn {
        overflow: visible;
      }
      .sheet,
      .middle {
        display: block;
        height: auto;
        overflow: visible;
      }
      .working {
        max-height: none;
      }
    }
  `,
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
  private readonly views = computed(() => this.store.picture()?.shows === 'block');
  /** A block has no axis for lanes; at Draw its form shows it as it is being changed. */
  protected readonly lanes = computed(() => (this.views() ? [] : LANES[this.station()]));
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
    const target = event.target as HTMLInputElement;
    const midWord = /^(INPUT|TEXTAREA)$/.test(target.tagName) && target.value !== '';
    if ((event.ctrlKey || event.metaKey) && event.key === 'z' && !midWord && this.store.undo()) {
      event.preventDefault();
      void this.store.undoLast();
    }
  }
}
