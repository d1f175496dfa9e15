export { blockBars, blockStock, type BlockBar } from './block-stock';
export { cutStock, cutStockNow, type BarSawn, type BlankNeed, type CuttingPlan, type SawOptions, type StockBar } from './cutting-stock';
export {
  barSectionMm2,
  barsFor,
  chooseBars,
  isOwnHexagon,
  isOwnSize,
  pieceMm,
  piecesOfLength,
  stockFit,
  stockNeed,
  type BarChoice,
  type StockNeed,
} from './stock';
export {
  BAR_FINISHES,
  BAR_SHAPES,
  barSize,
  barLine,
  FINISH_WORDS,
  hasInner,
  isHollow,
  needsInner,
  SHAPES,
  type Bar,
  type BarCount,
  type BarFinish,
  type BarShape,
} from './bar';
export { parseBar, type TypedBar } from './parse-bar';
export { blankOf, overCornersMm, blankWords, isFlat, type Blank } from './blank';
export { NO_OTHER_STOCK, USUAL_ALLOWANCES, type OtherStock, type StockAllowances, type StockFit } from './stock-fit';
