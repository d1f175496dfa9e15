export { blockStock } from './block-stock';
export {
  chooseBars,
  NO_OTHER_STOCK,
  stockNeed,
  USUAL_ALLOWANCES,
  type BarChoice,
  type OtherStock,
  type StockAllowances,
  type StockNeed,
} from './stock';
export {
  BAR_FINISHES,
  BAR_SHAPES,
  barSize,
  barLine,
  FINISH_WORDS,
  hasInner,
  SHAPE_WORDS,
  type Bar,
  type BarCount,
  type BarFinish,
  type BarShape,
} from './bar';
export { parseBar, type TypedBar } from './parse-bar';
