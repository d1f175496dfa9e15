export { actMinutes, type ActMinutes, type Took, type WorkSize } from './act-minutes';
export { COST_ACT_IDS, COST_ACTS, type CostAct, type CostActRow } from './cost-acts.data';
export { priceOf, type Price, type PricedAct, type PricedBuy, type PricedStock, type PriceInput } from './price';
export { PRICED_FAMILIES, type Rates, type RatesChange, type RatesRecord } from './rates';
export { readyOn } from './ready-on';
export { ROUTE_TAKES, type RouteTakes, type TakesItem } from './route-takes.data';
export { deviationOf3, meanOf3, scaled, together, TOGETHER, type ThreePoint, type Together } from './spread';
export { actTook, tookBy, type ActTook, type TookRow } from './took';
