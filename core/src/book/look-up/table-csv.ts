import { formatLength } from '../../terms/quantity';
import type { BookTable, Cell } from './entry';

/** A cell as it is printed: lengths in the table's own unit. */
export const cellText = (cell: Cell, unit: 'mm' | 'in'): string =>
  typeof cell === 'string' ? cell : formatLength(cell, unit, unit === 'mm' ? 3 : 4);

const quoted = (text: string): string => (/[",\n]/.test(text) ? `"${text.replace(/"/g, '""')}"` : text);

/** A table as CSV (RFC 4180), its title, source and unit in the first line. */
export function tableCsv(table: BookTable): string {
  const head = [`${table.title}; ${table.source}; lengths in ${table.unit}`];
  return [head, table.columns, ...table.rows().map((row) => row.map((cell) => cellText(cell, table.unit)))]
    .map((row) => row.map(quoted).join(','))
    .join('\r\n');
}
