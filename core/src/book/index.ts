export { lookUp } from './look-up';
export { TABLES } from './tables';
export { cellText, tableCsv } from './table-csv';
export type { BookEntry, BookTable, Cell } from './entry';
