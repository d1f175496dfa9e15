import { asItWas, bad, delimiterOf, good, type Outcome } from '@iron-patch/core';
import { CsvError, parse } from 'csv-parse/browser/esm/sync';

/** A table as cells of text: its header, and the rows below. */
export interface Table {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** UTF-8, and where it is none what spreadsheets of before wrote. */
export function textOf(bytes: ArrayBuffer): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** A CSV file with a header row, commas, semicolons or tabs between; rows may be shorter or longer than the header. */
export function readTable(text: string): Outcome<Table> {
  try {
    const cells: string[][] = parse(text, {
      delimiter: delimiterOf(text),
      cast: (value: string) => asItWas(value),
      bom: true,
      relax_column_count: true,
      skip_empty_lines: false,
    });
    const [header, ...rows] = cells;
    if (!header || header.every((h) => h.trim() === ''))
      return bad('empty', 'The file has no header row. Its first line names the columns.');
    return good({ header, rows });
  } catch (e) {
    if (e instanceof CsvError) return bad('csv', `This is no table that can be read: ${e.message}.`);
    throw e;
  }
}
