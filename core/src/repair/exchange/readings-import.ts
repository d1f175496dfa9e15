import type { Problem } from '../../terms/outcome';
import { outOfMark, parseLength, type LengthUnit, type TypedLength } from '../../terms/quantity';
import { doubtReading, PLACE_KINDS, QUANTITIES, type Quantity } from '../../evidence/readings';
import { AS_FOUND, partStates, type PlaceRecord, type JobSheet, type PartState, type Shop } from '../job';
import { READINGS_CSV_NEEDED, type ReadingsCsvColumn } from './readings-csv';
import { keptTime } from './kept-time';

/** A row of a readings file that can be stored. */
export interface ImportedReading {
  readonly placeId: string;
  readonly stationMm: number;
  readonly clockDeg: number;
  readonly length: TypedLength;
  readonly instrumentId: string;
  readonly partTempC: number | null;
  readonly quantity: Quantity;
  readonly afterActId: string | null;
  /** As the file tells them; null where it does not. */
  readonly personId: string | null;
  readonly takenAt: string | null;
}

export type ImportOutcome =
  { readonly ok: true; readonly value: readonly ImportedReading[] } | { readonly ok: false; readonly problems: readonly Problem[] };

const MOST_IMPORTED_ROWS = 5000;

const same = (p: string, q: string): boolean => p.trim().toLowerCase() === q.trim().toLowerCase();

type Row = Readonly<Partial<Record<ReadingsCsvColumn, string>> & Record<string, string | undefined>>;

/** The place by its name, and by its component's where the file tells it and names repeat. */
function placeOf(row: Row, sheet: JobSheet): PlaceRecord | undefined {
  const named = sheet.places.filter((f) => same(f.name, row.place ?? ''));
  const component = (row.component ?? '').trim();
  const inIt = (f: PlaceRecord): boolean => same(sheet.components.find((c) => c.id === f.componentId)?.name ?? '', component);
  return (component ? named.find(inIt) : undefined) ?? named[0];
}

/** What was read: as told, else the first thing that is read of such a place. */
function quantityOf(row: Row, place: PlaceRecord | undefined): Quantity | null {
  if (!place) return null;
  const own: readonly Quantity[] = PLACE_KINDS[place.kind].quantities;
  const told = (row.quantity ?? '').trim().toLowerCase();
  return told === '' ? own[0]! : (own.find((q) => q === told) ?? null);
}

function unitOf(row: Row, sheet: JobSheet): LengthUnit | null {
  const told = (row.unit ?? '').trim().toLowerCase();
  return told === '' ? sheet.job.unit : told === 'mm' || told === 'in' ? told : null;
}

/** The state of the part: as found where the file does not tell, else `after act 2` with or without its words. */
function stateOf(row: Row, sheet: JobSheet, place: PlaceRecord | undefined): PartState | null {
  const told = (row.state ?? '').trim().toLowerCase();
  if (told === '' || told === AS_FOUND.words) return AS_FOUND;
  const number = Number(/^after act (\d+)\b/.exec(told)?.[1] ?? NaN);
  return (place && partStates(sheet, place, []).find((s) => s.number === number)) ?? null;
}

interface Column {
  readonly name: ReadingsCsvColumn;
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
export function importReadings(rows: readonly Row[], sheet: JobSheet, shop: Shop): ImportOutcome {
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
    const place = placeOf(row, sheet);
    if (!place) say('place', 'unknown', `there is no place called "${(row.place ?? '').slice(0, 40)}" on this job.`);
    const stationMm = numberIn(STATION, row.station_mm ?? '');
    const clockDeg = numberIn(CLOCK, row.clock_deg ?? '');
    const partTempC = (row.part_temp_c ?? '').trim() === '' ? null : numberIn(TEMP, row.part_temp_c!);
    const named = (row.instrument ?? '').trim();
    const instrument =
      named === '' ? shop.instruments.find((x) => x.id === place?.instrumentId) : shop.instruments.find((x) => same(x.name, named));
    if (!instrument && (named !== '' || place)) say('instrument', 'unknown', `"${named.slice(0, 40)}" is not in the crib.`);
    const quantity = quantityOf(row, place);
    if (place && quantity === null)
      say('quantity', 'unknown', `"${(row.quantity ?? '').slice(0, 40)}" is not read of ${PLACE_KINDS[place.kind].name.toLowerCase()}.`);
    const state = stateOf(row, sheet, place);
    if (place && state === null)
      say(
        'state',
        'unknown',
        `"${row.state!.slice(0, 40)}" is neither "as found" nor an act that is done on this part, such as "after act 1".`,
      );
    const unit = unitOf(row, sheet);
    if (unit === null) say('unit', 'unknown', `"${row.unit!.slice(0, 20)}" is neither mm nor in.`);
    const time = (row.taken_at ?? '').trim();
    const takenAt = time === '' ? null : keptTime(time);
    if (time !== '' && takenAt === null) say('taken_at', 'time', `"${time.slice(0, 30)}" is no time such as 2026-11-20T10:00:00Z.`);
    const person = (row.person ?? '').trim();
    const personId = shop.people.find((p) => same(p.name, person))?.id ?? null;
    if (person !== '' && personId === null)
      say('person', 'unknown', `"${person.slice(0, 40)}" does not work here. Leave it empty to take them as yours.`);
    const signed = quantity !== null && QUANTITIES[quantity].reads === 'indicator';
    const typed = outOfMark(row.reading ?? '', shop.card.decimalMark);
    const length = parseLength(typed, { unit: unit ?? sheet.job.unit, allowNegative: signed, allowZero: signed });
    if (!length.ok) say('reading', length.problems[0]!.code, length.problems[0]!.message);
    if (place && quantity && state && stationMm !== null && clockDeg !== null && instrument && length.ok)
      imported.push({
        placeId: place.id,
        stationMm,
        clockDeg,
        quantity,
        afterActId: state.actId,
        length: length.value,
        instrumentId: instrument.id,
        partTempC,
        personId,
        takenAt,
      });
  });
  if (problems.length === 0) problems.push(...doubtful(imported, sheet));
  return problems.length ? { ok: false, problems } : { ok: true, value: imported };
}

/** Rows far off from the middle of their place, such as a point one place off. Every row is sound by now. */
function doubtful(rows: readonly ImportedReading[], sheet: JobSheet): Problem[] {
  const keyOf = (row: ImportedReading): string => `${row.placeId} ${row.quantity} ${row.afterActId}`;
  const sizes = new Map<string, number[]>();
  for (const row of rows) {
    if (QUANTITIES[row.quantity].reads === 'indicator') continue;
    const list = sizes.get(keyOf(row));
    if (list) list.push(row.length.valueMm);
    else sizes.set(keyOf(row), [row.length.valueMm]);
  }
  const middles = new Map(
    [...sizes].map(([id, all]) => [id, all.length > 2 ? all.sort((p, q) => p - q)[Math.floor(all.length / 2)]! : null]),
  );
  return rows.flatMap((row, i) => {
    const doubt = doubtReading(row.length.valueMm, row.length.unit, middles.get(keyOf(row)) ?? null);
    const name = sheet.places.find((f) => f.id === row.placeId)?.name ?? '';
    return doubt ? [{ code: 'implausible', path: `rows.${i}.reading`, message: `Row ${i + 1}, ${name}: ${doubt.message}` }] : [];
  });
}
