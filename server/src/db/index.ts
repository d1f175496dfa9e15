export { notNow, type NotNow } from './away';
export { atOneMoment, inTransaction, openPool, type Db, type Pool } from './pool';
export { migrate } from './migrate';
export { statements } from './statements';
export { grantRights } from './grants';
