import { MOST_SHEET_ROWS, SHEET_TABLES, type LiveEvent, type SheetRow, type SheetTable } from '@iron-patch/contract/wire';

/** News that come together are fetched together, ms. */
const GATHER_MS = 80;
const RETRY_MS = 1000;

/** Gathers what others changed of the open sheet, and fetches those rows; the whole sheet where there are many, or it is not said which. */
export class SheetNews {
  private rows = new Map<string, SheetRow>();
  private whole = false;
  private soon: ReturnType<typeof setTimeout> | undefined;

  /**
   * @param fetchRows false where no answer came: they are asked for again
   */
  constructor(
    private readonly fetchRows: (rows: readonly SheetRow[]) => Promise<boolean>,
    private readonly refresh: () => Promise<void>,
  ) {}

  hear({ table, row }: Pick<LiveEvent, 'table' | 'row'>): void {
    if (row && SHEET_TABLES.includes(table as SheetTable)) this.rows.set(`${table} ${row}`, [table as SheetTable, row]);
    else this.whole = true;
    this.wait(GATHER_MS);
  }

  private wait(ms: number): void {
    clearTimeout(this.soon);
    this.soon = setTimeout(() => void this.fetch(), ms);
  }

  private async fetch(): Promise<void> {
    const asked = [...this.rows.values()];
    const whole = this.whole || asked.length > MOST_SHEET_ROWS;
    this.rows.clear();
    this.whole = false;
    if (whole) return this.refresh();
    if (await this.fetchRows(asked)) return;
    for (const row of asked) this.rows.set(row.join(' '), row);
    this.wait(RETRY_MS);
  }
}
