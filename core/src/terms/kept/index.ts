export { keeper, sameMembers } from './keeper';
