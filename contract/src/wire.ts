/** What goes over the wire without the checks of what people type: for the first screen, which needs no schema. */
export type { CustomersResource, ShopResource } from './shop';
export {
  FLOOR_PAGE,
  MOST_FLOOR_ROWS,
  type FloorCounts,
  type FloorJob,
  type FloorPage,
  type FloorRows,
  type PromisedJob,
  type Standing,
} from './floor';
export type { OldListResource } from './old-list-resource';
export { LEDGER, type LedgerCount, type LedgerPage, type LedgerRow, type LedgerSums } from './ledger';
export type { RunOrderPage } from './run-order';
export type { SawJob, SawnAnswer } from './saw';
export type { LiveEvent } from './live';
export { SEARCH, type SearchHit, type SearchKind, type SearchResource } from './search';
export { MOST_SHEET_ROWS, SHEET_TABLES, type SheetRow, type SheetRows, type SheetTable } from './sheet-rows';
export type { ReadingInput } from './reading';
export { MOST_WAITING, type WaitingAnswer, type WaitingAnswers, type WaitingReading } from './waiting';
export { PROBLEM_NAMES, PROBLEM_TYPE, type ProblemDetails } from './problem';
export { etagOf, HEADERS, versionOf } from './headers';
export { isTimeZone, momentsIn, ownTimeZone, wallTime, type WallTime } from './shop-day';
export { routes } from './routes';
export {
  AUDIT_PAGE,
  PASSWORD_LENGTH,
  PIN_LENGTH,
  type AccountRow,
  type AuditPage,
  type AuditRow,
  type PersonHere,
  type SessionResource,
  type SessionState,
  type SignInWay,
} from './session';
export { doorOf, type Door } from './doors';
