export { SUMS, sumOfId } from './all-sums';
export { sumInWords, workSum } from './work-sum';
export { startText, textInUnit } from './values';
export { findThread } from './find-thread';
export type { Mark, MarkStyle, Sum, SumField, SumResult, SumShop, SumTable } from './sum';
