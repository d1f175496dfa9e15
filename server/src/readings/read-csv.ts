import { CsvError, parse } from 'csv-parse/sync';
import { asItWas, bad, delimiterOf, good, type Outcome } from '@iron-patch/core';

export type CsvRow = Readonly<Record<string, string>>;

/** A CSV file with a header row as records; a reason when it is no table. */
export function readCsv(text: string): Outcome<CsvRow[]> {
  try {
    const rows: CsvRow[] = parse(text, {
      columns: (header: string[]) => header.map((h) => h.trim().toLowerCase()).map((h) => (h === 'feature' ? 'place' : h)),
      delimiter: delimiterOf(text),
      cast: (value: string) => asItWas(value),
      bom: true,
      trim: true,
      skip_empty_lines: true,
    });
    return good(rows);
  } catch (e) {
    if (e instanceof CsvError) return bad('csv', `This is no table that can be read: ${e.message}.`, 'csv');
    throw e;
  }
}
