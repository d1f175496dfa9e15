export { blockBars, blockStock, type BlockBar } from './block-stock';
export { cutStock, cutStockNow, type BarSawn, type BlankNeed, type CuttingPlan, type SawOptions, type StockBar } from './cutting-stock';
export {
  barSectionMm2,
  barsFor,
  chooseBars,
  isOwnSize,
  NO_OTHER_STOCK,
  pieceMm,
  piecesOfLength,
  stockFit,
  stockNeed,
  USUAL_ALLOWANCES,
  type BarChoice,
  type OtherStock,
  type StockAllowances,
  type StockFit,
  type StockNeed,
} from './stock';
export {
  BAR_FINISHES,
  BAR_SHAPES,
  barSize,
  barLine,
  FINISH_WORDS,
  hasInner,
  needsInner,
  SHAPES,
  type Bar,
  type BarCount,
  type BarFinish,
  type BarShape,
} from './bar';
export { parseBar, type TypedBar } from './parse-bar';
export { blankOf, blankWords, isFlat, type Blank } from './blank';
