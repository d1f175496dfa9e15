import type { Problem } from '../outcome';
import { parseLength, type TypedLength } from '../quantity';
import { doubtReading } from '../readings';
import type { JobSheet, Shop } from '../repair';
import { READINGS_CSV_NEEDED } from './readings-csv';

/** A row of a readings file that can be stored. */
export interface ImportedReading {
  readonly featureId: string;
  readonly stationMm: number;
  readonly clockDeg: number;
  readonly length: TypedLength;
  readonly instrumentId: string;
  readonly partTempC: number | null;
}

export type ImportOutcome =
  { readonly ok: true; readonly value: readonly ImportedReading[] } | { readonly ok: false; readonly problems: readonly Problem[] };

export const MOST_IMPORTED_ROWS = 5000;

const same = (p: string, q: string): boolean => p.trim().toLowerCase() === q.trim().toLowerCase();

interface Column {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly what: string;
}
const STATION: Column = { name: 'station_mm', from: 0, to: 20_000, what: 'a station in mm from 0 up' };
const CLOCK: Column = { name: 'clock_deg', from: 0, to: 359.99, what: 'a clock angle from 0 to 359' };
const TEMP: Column = { name: 'part_temp_c', from: -30, to: 200, what: 'a temperature in °C' };

/**
 * Checks a table of readings against a job. All problems of all rows are told; when there is one, nothing is to be stored.
 *
 * @param rows records by column name, header already taken off; row 1 in messages is the first of them
 */
export function importReadings(rows: readonly Readonly<Record<string, string>>[], sheet: JobSheet, shop: Shop): ImportOutcome {
  const problems: Problem[] = [];
  const imported: ImportedReading[] = [];
  if (rows.length === 0) problems.push({ code: 'empty', path: '', message: 'The file holds no rows below its header.' });
  if (rows.length > MOST_IMPORTED_ROWS)
    problems.push({ code: 'too-many', path: '', message: `At most ${MOST_IMPORTED_ROWS} readings at once; this has ${rows.length}.` });
  const missing = READINGS_CSV_NEEDED.filter((c) => rows.length > 0 && !(c in rows[0]!));
  if (missing.length) problems.push({ code: 'columns', path: '', message: `The header lacks ${missing.join(', ')}.` });
  if (problems.length) return { ok: false, problems };
  rows.forEach((row, i) => {
    const say = (column: string, code: string, message: string): void => {
      problems.push({ code, path: `rows.${i}.${column}`, message: `Row ${i + 1}, ${column}: ${message}` });
    };
    const numberIn = (c: Column, text: string): number | null => {
      const value = Number(text.trim().replace(',', '.'));
      if (text.trim() !== '' && Number.isFinite(value) && value >= c.from && value <= c.to) return value;
      say(c.name, 'number', `"${text.slice(0, 20)}" is not ${c.what}.`);
      return null;
    };
    const feature = sheet.features.find((f) => same(f.name, row['feature'] ?? ''));
    if (!feature) say('feature', 'unknown', `there is no feature called "${(row['feature'] ?? '').slice(0, 40)}" on this job.`);
    const stationMm = numberIn(STATION, row['station_mm'] ?? '');
    const clockDeg = numberIn(CLOCK, row['clock_deg'] ?? '');
    const partTempC = (row['part_temp_c'] ?? '').trim() === '' ? null : numberIn(TEMP, row['part_temp_c']!);
    const named = (row['instrument'] ?? '').trim();
    const instrument =
      named === '' ? shop.instruments.find((x) => x.id === feature?.instrumentId) : shop.instruments.find((x) => same(x.name, named));
    if (!instrument && (named !== '' || feature)) say('instrument', 'unknown', `"${named.slice(0, 40)}" is not in the crib.`);
    const length = parseLength(row['reading'] ?? '', { unit: sheet.job.unit });
    if (!length.ok) say('reading', length.problems[0]!.code, length.problems[0]!.message);
    if (feature && stationMm !== null && clockDeg !== null && instrument && length.ok)
      imported.push({ featureId: feature.id, stationMm, clockDeg, length: length.value, instrumentId: instrument.id, partTempC });
  });
  if (problems.length === 0) problems.push(...doubtful(imported, sheet));
  return problems.length ? { ok: false, problems } : { ok: true, value: imported };
}

/** Rows far off from the middle of their feature, such as a point one place off. Every row is sound by now. */
function doubtful(rows: readonly ImportedReading[], sheet: JobSheet): Problem[] {
  const sizes = new Map<string, number[]>();
  for (const row of rows) {
    const list = sizes.get(row.featureId);
    if (list) list.push(row.length.valueMm);
    else sizes.set(row.featureId, [row.length.valueMm]);
  }
  const middles = new Map(
    [...sizes].map(([id, all]) => [id, all.length > 2 ? all.sort((p, q) => p - q)[Math.floor(all.length / 2)]! : null]),
  );
  return rows.flatMap((row, i) => {
    const doubt = doubtReading(row.length.valueMm, row.length.unit, middles.get(row.featureId) ?? null);
    const name = sheet.features.find((f) => f.id === row.featureId)?.name ?? '';
    return doubt ? [{ code: 'implausible', path: `rows.${i}.reading`, message: `Row ${i + 1}, ${name}: ${doubt.message}` }] : [];
  });
}
