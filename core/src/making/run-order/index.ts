export { chanceBy, chancesOf, endIn, type Chances } from './chances';
export { firstOrder } from './first-order';
export { SHOP_COST, type Order, type OrderAct, type OrderJob, type OrderProblem } from './problem';
export { OrderSearch } from './search';
export { timed, type Timed } from './timed';
export { beginsAt, endsAt, worktimeOf, type Span, type Worktime } from './worktime';
