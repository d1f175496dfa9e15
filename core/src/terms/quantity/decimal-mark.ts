/** What parts whole from decimals where people write: a point, or a comma. Inside the program, and in every file, it is a point. */
export type DecimalMark = '.' | ',';

/** A decimal of running text: not inside a name (`B4.1`), a date (`4.12.2026`), an address (`127.0.0.1`) or a list of versions. */
const DECIMAL = /(?<![A-QS-WY-Za-wyz\d.,:/_])(\d+)\.(\d+)(?![\d.]*\.\d|\d)/g;
/** A material's number as EN 10027 writes it, in brackets behind a name and before another: `(1.4301, 304)`; a size there is followed by neither. */
const MATERIAL_NUMBER = /\(1\.\d{4}(?=,| [A-Z])/g;
/** Between two numbers of a list a comma would be taken for the mark; between a day and its hour it is none. */
const LISTED = /(\d), (?=[-+±]?\d)(?!\d\d:\d\d)/g;
const KEPT = '\u0001';

/**
 * A text of the program as this shop writes numbers: `0.7491 in` is `0,7491 in` with a comma, and a list of such is parted by semicolons.
 * Names of standards (`ANSI B4.1`), numbers of materials (`1.4301`), dates and addresses stay as they are.
 */
export function inMark(text: string, mark: DecimalMark): string {
  if (mark === '.' || !text.includes('.')) return text;
  const held = text.replace(MATERIAL_NUMBER, (name) => name.replace('.', KEPT));
  const written = held.replace(DECIMAL, '$1,$2');
  return written === held ? text : written.replace(LISTED, '$1; ').replaceAll(KEPT, '.');
}

/** A comma with digits on both sides, or before digits at the start of a number, and no other mark in the same number. */
const TYPED = /(?<!(?![xØ])[\d.,\p{L}])(\d*),(\d+)(?![.,]?\d)/gu;

/**
 * What somebody typed where a comma is the mark, with points: `19,027` is `19.027`, `M16 x 1,5` is `M16 x 1.5`. A point stays one, as
 * gauges send it; `5, 20` and `5,20,35` stay lists; `1.234,5` is left to the reading of numbers.
 */
export const outOfMark = (text: string, mark: DecimalMark): string => (mark === '.' ? text : text.replace(TYPED, '$1.$2'));
