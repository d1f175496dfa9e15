export { lookUp } from './look-up';
export { inBookWords } from './synonyms.data';
export { TABLES } from './tables';
export { cellText, tableCsv } from './table-csv';
export type { BookEntry, BookTable, Cell } from './entry';
