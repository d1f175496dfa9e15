export { daysOffWords, extraWords, parseDaysOff, parseExtra, parseWeek, weekWords } from './hours-text';
export { chanceBy, chancesOf, endIn, type Chances } from './chances';
export { firstOrder } from './first-order';
export {
  dayAfter,
  hoursOf,
  offOn,
  runs,
  spansOf,
  USUAL_HOURS,
  USUAL_PERSON,
  weekdayOf,
  type DaysOff,
  type ExtraHours,
  type MomentOf,
  type PersonHours,
  type WeekSpan,
  type WorkHours,
  type WorkHoursRecord,
} from './hours';
export { SHOP_COST, type Order, type OrderAct, type OrderJob, type OrderProblem } from './problem';
export { OrderSearch } from './search';
export { timed, type Timed } from './timed';
export { beginsAt, endsAt, worktimeOf, type Span, type Worktime } from './worktime';
