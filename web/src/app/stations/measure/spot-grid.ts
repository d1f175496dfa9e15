import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  FEATURE_KINDS,
  formatLength,
  formatPlace,
  INSTRUMENT_KINDS,
  instrumentOf,
  isDiameter,
  type FeatureFinding,
  type Quantity,
  type ReadingRecord,
  type Section,
  type Verdict,
} from '@iron-patch/core';
import { ShopStore } from '../../data';
import { StateMark } from '../../mark';
import { SheetStore } from '../../sheet-data';

interface Cell {
  readonly clockDeg: number;
  readonly readings: readonly ReadingRecord[];
  readonly planned: boolean;
  readonly skipped: boolean;
}
interface Row {
  readonly stationMm: number;
  readonly cells: readonly Cell[];
  readonly section: Section | null;
  readonly totalMm: number | null;
  readonly state: Verdict;
}

const SAME_STATION_MM = 0.25;
/** Ovality up to this many times the uncertainty cannot be told from noise. */
const NOISE_TIMES = 2;

/** Readings of one spot together, in one walk: a job may hold thousands. */
function readingsBySpot(readings: readonly ReadingRecord[]): Map<string, ReadingRecord[]> {
  const spots = new Map<string, ReadingRecord[]>();
  for (const r of readings) {
    const key = `${r.stationMm} ${r.clockDeg}`;
    const there = spots.get(key);
    if (there) there.push(r);
    else spots.set(key, [r]);
  }
  return spots;
}

/** The readings of a place by station and clock; every number can be touched, corrected, repeated. */
@Component({
  selector: 'ip-spot-grid',
  imports: [StateMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <thead>
        <tr>
          <th>at {{ store.unit() }}</th>
          @for (c of clocks(); track c) {
            <th>{{ c }}°</th>
          }
          @if (diameter()) {
            <th>mean</th>
            <th>oval</th>
          } @else {
            <th>total</th>
          }
          <th><span class="sr-only">State</span></th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.stationMm) {
          <tr>
            <th scope="row">{{ place(row.stationMm) }}</th>
            @for (cell of row.cells; track cell.clockDeg) {
              <td>
                <button
                  type="button"
                  class="cell fig"
                  [class.on]="selected(row, cell)"
                  [class.next]="isNext(row, cell)"
                  [class.narrow]="clocks().length > 6"
                  [attr.aria-label]="spoken(row, cell)"
                  (click)="spot(row, cell)"
                >
                  {{ cellText(row, cell) }}
                </button>
              </td>
            }
            @if (diameter()) {
              <td class="fig strong">{{ row.section ? show(row.section.meanMm) : '' }}</td>
              <td class="fig">{{ ovalText(row.section) }}</td>
            } @else {
              <td class="fig strong">{{ row.totalMm === null ? '' : show(row.totalMm) }}</td>
            }
            <td><ip-state [state]="row.state" /></td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
      overflow-x: auto;
    }
    table {
      border-collapse: collapse;
      margin-top: 4px;
    }
    th {
      font-weight: 400;
      color: var(--quiet);
      font-size: 15px;
      text-align: right;
      padding: 2px 8px;
      white-space: nowrap;
    }
    th[scope='row'] {
      color: var(--ink);
      font-weight: 600;
    }
    td {
      text-align: right;
      padding: 1px 6px;
      font-size: 17px;
    }
    .strong {
      font-weight: 700;
    }
    .cell {
      border: 2px solid transparent;
      color: var(--ink);
      min-height: 36px;
      min-width: 74px;
      padding: 0 6px;
      text-align: right;
      font: 400 17px var(--figures);
    }
    .cell.narrow {
      min-width: 60px;
      font-size: 15px;
    }
    .cell.on {
      border-color: var(--blue);
      background: var(--blue-soft);
    }
    .cell.next {
      color: var(--accent);
      font-family: var(--label);
      font-weight: 600;
    }
  `,
})
export class SpotGrid {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  readonly finding = input.required<FeatureFinding>();
  protected readonly diameter = computed(() => isDiameter(this.finding().feature.kind));
  private readonly quantity = computed<Quantity>(() => FEATURE_KINDS[this.finding().feature.kind].quantities[0]);
  private readonly readings = computed(() => this.finding().readings.filter((r) => r.quantity === this.quantity()));
  protected readonly clocks = computed(() =>
    [...new Set([...this.finding().feature.clocksDeg, ...this.readings().map((r) => r.clockDeg)])].sort((p, q) => p - q),
  );
  protected readonly rows = computed<Row[]>(() => {
    const f = this.finding();
    const stations = [...new Set([...f.feature.stationsMm, ...this.readings().map((r) => r.stationMm)])].sort((p, q) => p - q);
    const bySpot = readingsBySpot(this.readings());
    return stations.map((stationMm) => {
      const section = f.shape?.sections.find((s) => Math.abs(s.stationMm - stationMm) < SAME_STATION_MM) ?? null;
      const cells = this.clocks().map((clockDeg) => ({
        clockDeg,
        readings: bySpot.get(`${stationMm} ${clockDeg}`) ?? [],
        planned: f.feature.clocksDeg.includes(clockDeg) && f.feature.stationsMm.includes(stationMm),
        skipped: f.skipped.some((s) => s.stationMm === stationMm && s.clockDeg === clockDeg),
      }));
      const values = cells.flatMap((c) => (c.readings.length ? [c.readings.at(-1)!.valueMm] : []));
      const totalMm = values.length > 1 ? Math.max(...values) - Math.min(...values) : null;
      return { stationMm, cells, section, totalMm, state: this.stateOf(section, cells) };
    });
  });

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected place(mm: number): string {
    return formatPlace(mm, this.store.unit());
  }

  protected spot(row: Row, cell: Cell): void {
    const quantity = this.quantity();
    this.store.select({ spanId: this.finding().feature.id, stationMm: row.stationMm, clockDeg: cell.clockDeg, quantity });
    document.getElementById('reading')?.focus();
  }

  protected selected(row: Row, cell: Cell): boolean {
    const { stationMm, clockDeg } = this.store.selection();
    return stationMm === row.stationMm && clockDeg === cell.clockDeg;
  }

  protected isNext(row: Row, cell: Cell): boolean {
    const { next } = this.finding();
    return next?.stationMm === row.stationMm && next.clockDeg === cell.clockDeg;
  }

  protected cellText(row: Row, cell: Cell): string {
    const last = cell.readings.at(-1);
    if (last) return this.cellSize(last) + (cell.readings.length > 1 ? ` ×${cell.readings.length}` : '');
    return this.isNext(row, cell) ? 'next' : cell.skipped ? 'passed' : '·';
  }

  protected spoken(row: Row, cell: Cell): string {
    const last = cell.readings.at(-1);
    const what = last ? this.cellText(row, cell) : this.isNext(row, cell) ? 'next' : cell.skipped ? 'passed over' : 'no reading';
    return `Station ${this.place(row.stationMm)}, ${cell.clockDeg} degrees, ${what}`;
  }

  protected ovalText(s: Section | null): string {
    if (!s || s.ovalityKind === 'unknown') return '';
    return (s.ovalityKind === 'at-least' ? '≥ ' : '') + this.show(s.ovalityMm);
  }

  /** As fine as the instrument shows; an indicator with its sign. */
  private cellSize(r: ReadingRecord): string {
    const kind = instrumentOf(this.shop.shop(), r.instrumentId)?.kind ?? 'caliper';
    const sign = this.quantity() === 'indicator' && r.valueMm > 0 ? '+' : '';
    return sign + formatLength(r.valueMm, this.store.unit(), INSTRUMENT_KINDS[kind].decimals[this.store.unit()]);
  }

  /** Round within the uncertainty fits, a hole that its fit wants trued is out, between is close. */
  private stateOf(section: Section | null, cells: readonly Cell[]): Verdict {
    const f = this.finding();
    if (cells.some((c) => c.planned && !c.skipped && c.readings.length === 0)) return 'unknown';
    if (!this.diameter()) return 'fits';
    if (!section || section.ovalityKind === 'unknown') return 'unknown';
    const most = this.store.repair()?.fits.find((x) => x.hole.feature.id === f.feature.id)?.target?.mostPlayMm;
    if (most !== undefined && most > 0 && section.ovalityMm > most / 2) return 'out';
    return section.ovalityMm <= NOISE_TIMES * (f.shape?.plusMinusMm ?? 0) ? 'fits' : 'close';
  }
}
