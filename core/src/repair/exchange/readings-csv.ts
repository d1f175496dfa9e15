import type { JobSheet, ReadingRecord, Shop } from '../job';
import { AS_FOUND, liveReadings, partStates } from '../job';

/** One live reading with what it belongs to. */
interface Row {
  readonly reading: ReadingRecord;
  readonly component: string;
  readonly place: string;
  readonly state: string;
  readonly instrument: string;
  readonly person: string;
}

/** Columns of the readings file, in order, with what stands in each. */
const CELLS = {
  component: (r) => r.component,
  place: (r) => r.place,
  station_mm: (r) => r.reading.stationMm,
  clock_deg: (r) => r.reading.clockDeg,
  quantity: (r) => r.reading.quantity,
  state: (r) => r.state,
  reading: (r) => r.reading.text,
  unit: (r) => r.reading.unit,
  instrument: (r) => r.instrument,
  part_temp_c: (r) => r.reading.partTempC,
  value_mm: (r) => r.reading.valueMm.toFixed(5),
  person: (r) => r.person,
  taken_at: (r) => r.reading.takenAt,
} as const satisfies Readonly<Record<string, (r: Row) => string | number | null>>;

/** A column of the readings file. */
export type ReadingsCsvColumn = keyof typeof CELLS;
/** Columns of the readings file, in order. `READINGS_CSV_NEEDED` are needed coming in; of the others what is there is taken. */
export const READINGS_CSV_COLUMNS = Object.keys(CELLS) as readonly ReadingsCsvColumn[];
export const READINGS_CSV_NEEDED = ['place', 'station_mm', 'clock_deg', 'reading'] as const satisfies readonly ReadingsCsvColumn[];

/** What a spreadsheet would run, wherever it was made; a number below zero is none. */
const FORMULA = /^[=+@\t\r]|^-(?!\d*\.?\d+$)/;

/** A cell that was disarmed on its way out, as it was. */
export const asItWas = (text: string): string => (text.startsWith("'") && FORMULA.test(text.slice(1)) ? text.slice(1) : text);

/** A cell of a CSV file (RFC 4180), quoted where it must be, and disarmed where a spreadsheet would take it for a formula; null is empty. */
export function csvCell(value: string | number | null): string {
  const text = value === null ? '' : String(value);
  const safe = FORMULA.test(text) ? `'${text}` : text;
  return /[",\n\r;]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}

/** Live readings of a job as CSV (RFC 4180, header row, dot decimals). */
export function readingsToCsv(sheet: JobSheet, shop: Shop): string {
  const live = liveReadings(sheet.readings);
  const states = new Map(
    sheet.places.map((f) => [
      f.id,
      partStates(
        sheet,
        f,
        live.filter((r) => r.placeId === f.id),
      ),
    ]),
  );
  const rows = live.flatMap((r) => {
    if (r.purpose !== 'found') return [];
    const place = sheet.places.find((f) => f.id === r.placeId);
    const component = sheet.components.find((c) => c.id === place?.componentId);
    const row: Row = {
      reading: r,
      component: component?.name ?? '',
      place: place?.name ?? '',
      state: states.get(r.placeId ?? '')?.find((s) => s.actId === r.afterActId)?.words ?? AS_FOUND.words,
      instrument: shop.instruments.find((i) => i.id === r.instrumentId)?.name ?? '',
      person: shop.people.find((p) => p.id === r.personId)?.name ?? '',
    };
    return [READINGS_CSV_COLUMNS.map((c) => csvCell(CELLS[c](row))).join(',')];
  });
  return [READINGS_CSV_COLUMNS.join(','), ...rows, ''].join('\r\n');
}
