import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { routes } from '@iron-patch/contract';
import {
  formatLength,
  formatPlace,
  INSTRUMENT_KINDS,
  type FeatureFinding,
  type ReadingRecord,
  type Section,
  type Verdict,
} from '@iron-patch/core';
import { ShopStore } from '../../data';
import { SheetStore } from '../../sheet-data';
import { PolarSection } from '../../picture';
import { ImportDialog } from '../../reading-line/import-dialog';
import { StateMark } from '../../mark';
import { FigureButton } from '../../show';

interface Cell {
  readonly clockDeg: number;
  readonly readings: readonly ReadingRecord[];
  readonly planned: boolean;
}
interface Row {
  readonly stationMm: number;
  readonly cells: readonly Cell[];
  readonly section: Section | null;
  readonly state: Verdict;
}
const RECENT = 6;
/** Sections drawn side by side; the grid tells of all. */
const MOST_SECTIONS = 12;
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

/** The grid by station and clock with the section beside it; every number there can be touched, corrected, taken back. */
@Component({
  selector: 'ip-measure',
  imports: [PolarSection, FigureButton, StateMark, ImportDialog, DatePipe],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './measure.html',
  styles: `
    :host {
      display: block;
      padding: 10px 18px 20px;
    }
    .tabs {
      margin-bottom: 8px;
    }
    .body {
      display: flex;
      gap: 22px;
      align-items: flex-start;
    }
    .polar {
      flex: none;
      width: 220px;
    }
    .grid {
      flex: 1;
      min-width: 0;
      overflow-x: auto;
    }
    .light {
      font-weight: 400;
      font-size: 15px;
    }
    .grid table {
      border-collapse: collapse;
      margin-top: 4px;
    }
    .grid th {
      font-weight: 400;
      color: var(--quiet);
      font-size: 15px;
      text-align: right;
      padding: 2px 8px;
    }
    .grid th[scope='row'] {
      color: var(--ink);
      font-weight: 600;
    }
    .grid td {
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
    .cell.on {
      border-color: var(--blue);
      background: var(--blue-soft);
    }
    .cell.next {
      color: var(--accent);
      font-family: var(--label);
      font-weight: 600;
    }
    .sections {
      display: flex;
      flex-wrap: wrap;
      gap: 10px;
      margin-top: 14px;
    }
    figure {
      margin: 0;
      padding: 4px;
      border-bottom: 3px solid transparent;
    }
    figure.on {
      border-color: var(--blue);
    }
    figcaption {
      font: 400 15px var(--label);
      color: var(--quiet);
      text-align: center;
    }
    .facts {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 26px;
      margin: 10px 0 4px;
    }
    .blind {
      font-size: 15px;
    }
    details {
      margin-top: 8px;
    }
    summary {
      cursor: pointer;
      min-height: 36px;
      display: flex;
      align-items: center;
      color: var(--blue);
      font: 600 15px var(--label);
    }
    td {
      vertical-align: middle !important;
    }
    .right {
      text-align: right;
    }
    .acts {
      margin-top: 8px;
    }
    @media (max-width: 1000px) {
      .polar {
        display: none;
      }
    }
    .empty {
      padding: 20px 0;
    }
  `,
})
export class Measure {
  protected readonly store = inject(SheetStore);
  private readonly shop = inject(ShopStore);
  protected readonly importing = signal(false);
  protected readonly mostSections = MOST_SECTIONS;
  protected readonly shown = signal(RECENT);
  /** The picked place; else the one with the next planned spot; else the first mate, whose size decides. */
  protected readonly finding = computed<FeatureFinding | null>(() => {
    const all = this.store.repair()?.features ?? [];
    return (
      all.find((f) => f.feature.id === this.store.selection().spanId) ??
      all.find((f) => f.next) ??
      all.find((f) => f.component.role === 'mate') ??
      all[0] ??
      null
    );
  });
  protected readonly clocks = computed(() => {
    const f = this.finding();
    return f ? [...new Set([...f.feature.clocksDeg, ...f.readings.map((r) => r.clockDeg)])].sort((p, q) => p - q) : [];
  });
  protected readonly rows = computed<Row[]>(() => {
    const f = this.finding();
    if (!f) return [];
    const stations = [...new Set([...f.feature.stationsMm, ...f.readings.map((r) => r.stationMm)])].sort((p, q) => p - q);
    const bySpot = readingsBySpot(f.readings);
    return stations.map((stationMm) => {
      const section = f.shape?.sections.find((s) => Math.abs(s.stationMm - stationMm) < 0.25) ?? null;
      const cells = this.clocks().map((clockDeg) => ({
        clockDeg,
        readings: bySpot.get(`${stationMm} ${clockDeg}`) ?? [],
        planned: f.feature.clocksDeg.includes(clockDeg),
      }));
      return { stationMm, cells, section, state: this.stateOf(f, section, cells) };
    });
  });
  protected readonly section = computed(() => {
    const f = this.finding();
    const at = this.store.selection().stationMm;
    const sections = f?.shape?.sections ?? [];
    return sections.find((s) => at !== null && Math.abs(s.stationMm - at) < 0.25) ?? f?.shape?.mostOval ?? null;
  });
  protected readonly recent = computed(() => [...(this.finding()?.readings ?? [])].reverse().slice(0, this.shown()));
  protected readonly csv = computed(() => routes.readingsCsv(this.store.sheet()!.job.id));

  protected show(mm: number): string {
    return formatLength(mm, this.store.unit());
  }

  protected place(mm: number): string {
    return formatPlace(mm, this.store.unit());
  }

  protected pick(f: FeatureFinding): void {
    const spot = f.next ?? f.planned[0];
    this.store.select({ spanId: f.feature.id, stationMm: spot?.stationMm ?? null, clockDeg: spot?.clockDeg ?? null });
  }

  protected spot(row: Row, cell: Cell): void {
    this.store.select({ spanId: this.finding()!.feature.id, stationMm: row.stationMm, clockDeg: cell.clockDeg });
    document.getElementById('reading')?.focus();
  }

  protected selected(row: Row, cell: Cell): boolean {
    const { stationMm, clockDeg } = this.store.selection();
    return stationMm === row.stationMm && clockDeg === cell.clockDeg;
  }

  protected isNext(row: Row, cell: Cell): boolean {
    const next = this.finding()?.next;
    return next?.stationMm === row.stationMm && next.clockDeg === cell.clockDeg;
  }

  protected cellText(row: Row, cell: Cell): string {
    const last = cell.readings.at(-1);
    if (last) return this.cellSize(last) + (cell.readings.length > 1 ? ` ×${cell.readings.length}` : '');
    return this.isNext(row, cell) ? 'next' : '·';
  }

  /** As fine as the instrument shows. */
  private cellSize(r: ReadingRecord): string {
    const kind = this.shop.shop().instruments.find((i) => i.id === r.instrumentId)?.kind ?? 'caliper';
    return formatLength(r.valueMm, this.store.unit(), INSTRUMENT_KINDS[kind].decimals[this.store.unit()]);
  }

  protected spoken(row: Row, cell: Cell): string {
    const last = cell.readings.at(-1);
    return `Station ${this.place(row.stationMm)}, ${cell.clockDeg} degrees, ${last ? this.show(last.valueMm) : this.isNext(row, cell) ? 'next' : 'no reading'}`;
  }

  protected ovalText(s: Section | null): string {
    if (!s || s.ovalityKind === 'unknown') return '';
    return (s.ovalityKind === 'at-least' ? '≥ ' : '') + this.show(s.ovalityMm);
  }

  protected instrument(f: FeatureFinding): string {
    return this.shop.shop().instruments.find((i) => i.id === f.feature.instrumentId)?.name ?? '';
  }

  protected who(r: ReadingRecord): string {
    return this.shop.shop().people.find((p) => p.id === r.personId)?.name ?? '';
  }

  /** Round within the uncertainty fits, a hole that its fit wants trued is out, between is close. */
  private stateOf(f: FeatureFinding, section: Section | null, cells: readonly Cell[]): Verdict {
    if (!section || cells.some((c) => c.planned && c.readings.length === 0) || section.ovalityKind === 'unknown') return 'unknown';
    const most = this.store.repair()?.fits.find((x) => x.hole.feature.id === f.feature.id)?.target?.mostPlayMm;
    if (most !== undefined && most > 0 && section.ovalityMm > most / 2) return 'out';
    return section.ovalityMm <= NOISE_TIMES * (f.shape?.plusMinusMm ?? 0) ? 'fits' : 'close';
  }
}
