export { SUMS, sumOfId } from './all-sums';
export { sumInWords, workSum } from './work-sum';
export { startText, textInUnit } from './values';
export type { Mark, MarkStyle, Sum, SumField, SumResult, SumShop, SumTable } from './sum';
export { findThread } from '../book/threads';
