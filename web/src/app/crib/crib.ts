import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  biasAtMm,
  formatLength,
  havingWords,
  INSTRUMENT_KINDS,
  instrumentUncertaintyMm,
  otherUnit,
  type InstrumentRecord,
  type LengthUnit,
  type Verdict,
} from '@iron-patch/core';
import { FormsModule } from '@angular/forms';
import { NzInputModule } from 'ng-zorro-antd/input';
import { NzTableModule, type NzTableSortFn } from 'ng-zorro-antd/table';
import { DayPipe, OpenJob, ShopClock, ShopStore } from '../data';
import { StateMark } from '../mark';
import { SortHead } from '../show';
import { DrillSets } from './drill-sets';
import { InstrumentCheck } from './instrument-check';
import { Tools } from './tools';
import { InstrumentForm } from './instrument-form';

const SOON_DAYS = 30;
const DAY_MS = 86_400_000;
/** As many are seen at a glance; what looks for one among more appears then. */
const FEW_INSTRUMENTS = 8;
/** All on one page. */
const MOST_INSTRUMENTS = 10_000;

/** The crib: each instrument with its range, what it is good for, when it was calibrated, and what its last check found; and the drills. */
@Component({
  selector: 'ip-crib',
  imports: [DayPipe, DrillSets, FormsModule, InstrumentCheck, InstrumentForm, NzInputModule, NzTableModule, SortHead, StateMark, Tools],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page">
      <header>
        <h1>Crib: instruments</h1>
        <span class="quiet">What an instrument reads too big is taken off every reading from its last check on.</span>
        @if (all().length > few) {
          <input
            nz-input
            type="search"
            placeholder="Name, kind, range"
            aria-label="Find an instrument"
            [ngModel]="find()"
            (ngModelChange)="find.set($event)"
          />
        }
        <button type="button" [class.on]="opened() === 'new'" (click)="open('new')">Add an instrument</button>
      </header>
      @if (opened() === 'new') {
        <ip-instrument-form (closed)="open('')" />
      }
      <div class="scroll" tabindex="0" role="region" aria-label="Instruments">
        <nz-table #table [nzData]="instruments()" [nzShowPagination]="false" [nzPageSize]="most" [nzNoResult]="nothing">
          <thead>
            <tr>
              @for (h of heads; track h.name) {
                <th [class.num]="h.num" [nzSortFn]="h.order" [nzSortOrder]="null" [nzSortDirections]="['ascend', 'descend', null]">
                  <button type="button" class="head">{{ h.name }}</button>
                </th>
              }
              <th>Last check</th>
              <th><span class="sr-only">Change</span></th>
            </tr>
          </thead>
          <tbody>
            @for (i of table.data; track i.id) {
              <tr [class.overdue]="due(i) === 'out'">
                <td>
                  <b>{{ i.name }}</b>
                  <small>{{ kinds[i.kind].name }}, {{ i.unit }}</small>
                </td>
                <td class="num">{{ range(i) }}</td>
                <td class="num">{{ show(2 * uncertainty(i)) }}</td>
                <td class="num">{{ show(bias(i)) }}</td>
                <td>
                  <span class="due"
                    ><ip-state [state]="due(i)" [size]="17" /> {{ i.calibratedOn ? (i.calibratedOn | day) : 'no record' }},
                    {{ i.dueOn ? 'due ' + (i.dueOn | day) : 'no date' }}{{ due(i) === 'out' ? ': overdue' : '' }}</span
                  >
                </td>
                <td>{{ lastCheck(i) }}</td>
                <td class="acts">
                  <button type="button" class="plain" [attr.aria-label]="'Check ' + i.name" (click)="open('k' + i.id)">Check</button>
                  <button type="button" class="plain" [attr.aria-label]="'Change ' + i.name" (click)="open('c' + i.id)">Change</button>
                </td>
              </tr>
              @if (opened() === 'k' + i.id) {
                <tr>
                  <td colspan="7"><ip-instrument-check [instrument]="i" (closed)="open('')" /></td>
                </tr>
              }
              @if (opened() === 'c' + i.id) {
                <tr>
                  <td colspan="7"><ip-instrument-form [record]="i" (closed)="open('')" /></td>
                </tr>
              }
            }
          </tbody>
        </nz-table>
        <ng-template #nothing>
          <p class="quiet">
            @if (all().length) {
              No instrument has “{{ find() }}” in it. <button type="button" (click)="find.set('')">Show all</button>
            } @else {
              The crib is empty. Add the instruments that hang in it.
            }
          </p>
        </ng-template>
      </div>
      <ip-tools />
      <ip-drill-sets />
    </div>
  `,
  styles: `
    :host {
      display: block;
      height: 100%;
      overflow: auto;
    }
    .page {
      max-width: 1240px;
      margin: 0 auto;
      padding: 18px 24px 40px;
      background: var(--sheet);
      min-height: 100%;
    }
    header {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      gap: 18px;
      margin-bottom: 12px;
    }
    header button {
      margin-left: auto;
    }
    header input {
      max-width: 240px;
    }
    h1 {
      font-size: 24px;
    }
    small {
      display: block;
      font-size: 14px;
      color: var(--quiet);
    }
    td {
      vertical-align: middle !important;
    }
    .due {
      white-space: nowrap;
      display: inline-flex;
      gap: 8px;
      align-items: center;
    }
    .overdue {
      background: var(--out-soft);
    }
    .acts {
      white-space: nowrap;
      text-align: right;
    }
  `,
})
export class Crib {
  private readonly shop = inject(ShopStore);
  protected readonly unit = inject(OpenJob).unit as () => LengthUnit;
  protected readonly kinds = INSTRUMENT_KINDS;
  protected readonly opened = signal('');
  protected readonly most = MOST_INSTRUMENTS;
  protected readonly few = FEW_INSTRUMENTS;
  protected readonly find = signal('');
  protected readonly all = computed(() => this.shop.shop().instruments);
  protected readonly instruments = computed(() => {
    const has = havingWords(this.find());
    return this.all().filter((i) => has(`${i.name} ${INSTRUMENT_KINDS[i.kind].name} ${i.unit} ${this.range(i)}`));
  });
  /** As they were added until a head is touched. */
  protected readonly heads: readonly { readonly name: string; readonly num: boolean; readonly order: NzTableSortFn<InstrumentRecord> }[] = [
    { name: 'Instrument', num: false, order: (p, q) => p.name.localeCompare(q.name, 'en', { numeric: true }) },
    { name: 'Range', num: true, order: (p, q) => p.rangeLowMm - q.rangeLowMm || p.rangeHighMm - q.rangeHighMm },
    { name: '±95 %', num: true, order: (p, q) => this.uncertainty(p) - this.uncertainty(q) },
    { name: 'Reads too big', num: true, order: (p, q) => this.bias(p) - this.bias(q) },
    // Without a date after every date: what is due soonest comes first.
    { name: 'Calibrated, due', num: false, order: (p, q) => (p.dueOn ?? '9999').localeCompare(q.dueOn ?? '9999') },
  ];
  private readonly clock = inject(ShopClock);

  protected open(what: string): void {
    this.opened.update((now) => (now === what ? '' : what));
  }

  protected show(mm: number, decimals?: number): string {
    return formatLength(mm, this.unit(), decimals);
  }

  protected range(i: InstrumentRecord): string {
    return `${this.show(i.rangeLowMm, 0)} to ${this.show(i.rangeHighMm, this.unit() === 'mm' ? 0 : 1)}`;
  }

  protected uncertainty(i: InstrumentRecord): number {
    return instrumentUncertaintyMm(i, 'outside');
  }

  protected bias(i: InstrumentRecord): number {
    return biasAtMm(this.shop.shop(), i.id, new Date().toISOString());
  }

  /** Overdue is out, within a month close, without a date not known. */
  protected due(i: InstrumentRecord): Verdict {
    if (!i.dueOn) return 'unknown';
    const days = (Date.parse(i.dueOn) - Date.parse(this.clock.today())) / DAY_MS;
    return days < 0 ? 'out' : days < SOON_DAYS ? 'close' : 'fits';
  }

  protected lastCheck(i: InstrumentRecord): string {
    const check = this.shop.shop().instrumentChecks.findLast((c) => c.instrumentId === i.id);
    if (!check) return 'never here';
    const who = this.shop.personName(check.personId, 'somebody');
    const off = check.readMm - check.referenceMm;
    const unit = this.unit();
    return `${this.clock.dayOf(check.at)}, ${check.reference}: ${off >= 0 ? '+' : ''}${formatLength(off, unit)} ${unit} (${formatLength(off, otherUnit(unit))}), ${who}`;
  }
}
