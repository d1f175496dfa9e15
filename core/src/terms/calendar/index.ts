export { parseMoment, type DayMinute } from './parse-moment';
export { dayWords, type DayStyle } from './day-words';
export { daysUntil } from './days-until';
export { parseDay, type IsoDay, type Leaning } from './parse-day';
export { guessDayOrder, oldDay, type DayOrder } from './old-day';
