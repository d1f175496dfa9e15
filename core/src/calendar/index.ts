export { parseDay, type IsoDay, type Leaning } from './parse-day';
