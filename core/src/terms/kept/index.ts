export { keeper, sameMembers } from './keeper';
export { withLater } from './later';
