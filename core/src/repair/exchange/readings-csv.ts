import type { JobSheet, Shop } from '../job';
import { AS_FOUND, liveReadings, partStates } from '../job';

/** Columns of the readings file, in order. `READINGS_CSV_NEEDED` are needed coming in; of the others what is there is taken. */
export const READINGS_CSV_COLUMNS = [
  'component',
  'place',
  'station_mm',
  'clock_deg',
  'quantity',
  'state',
  'reading',
  'unit',
  'instrument',
  'part_temp_c',
  'value_mm',
  'person',
  'taken_at',
] as const;
export const READINGS_CSV_NEEDED = ['place', 'station_mm', 'clock_deg', 'reading'] as const;

/** What a spreadsheet would run, wherever it was made; a number below zero is none. */
const FORMULA = /^[=+@\t\r]|^-(?!\d*\.?\d+$)/;

/** A cell that was disarmed on its way out, as it was. */
export const asItWas = (text: string): string => (text.startsWith("'") && FORMULA.test(text.slice(1)) ? text.slice(1) : text);

/** Quotes a cell, and disarms one that a spreadsheet would take for a formula. */
function cell(value: string | number | null): string {
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
    const instrument = shop.instruments.find((i) => i.id === r.instrumentId);
    const person = shop.people.find((p) => p.id === r.personId);
    const cells = [
      component?.name ?? '',
      place?.name ?? '',
      r.stationMm,
      r.clockDeg,
      r.quantity,
      states.get(r.placeId ?? '')?.find((s) => s.actId === r.afterActId)?.words ?? AS_FOUND.words,
      r.text,
      r.unit,
      instrument?.name ?? '',
      r.partTempC,
      r.valueMm.toFixed(5),
      person?.name ?? '',
      r.takenAt,
    ];
    return [cells.map(cell).join(',')];
  });
  return [READINGS_CSV_COLUMNS.join(','), ...rows, ''].join('\r\n');
}
