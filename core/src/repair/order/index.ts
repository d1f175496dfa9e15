export {
  isoOf,
  minuteOf,
  shopProblem,
  workedBetween,
  type AskedKind,
  type PlacedAct,
  type RunJob,
  type RunOrder,
  type RunOrderRecord,
  type ShopAct,
  type ShopOrderInputs,
  type ShopProblem,
} from './shop-order';
export { laidPlan, nextOf, placedOf, SAFE_SHARE, type LaidPlan, type PlanRow, type PromiseRow } from './plan-rows';
export { readyChance, readyIf, type ReadyChances } from './ready';
export { helpsFor, type Help } from './helps';
