export { chooseBars, stockNeed, USUAL_ALLOWANCES, type Bar, type BarChoice, type StockAllowances, type StockNeed } from './stock';
