export { SUMS, sumOfId } from './all-sums';
export { sumInWords, workSum } from './work-sum';
export { startText, textInUnit } from './values';
export type { Mark, MarkStyle, Sum, SumResult, SumShop, SumTable } from './sum';
export type { SumField } from './sum-field';
export { findThread } from '../book/threads';
