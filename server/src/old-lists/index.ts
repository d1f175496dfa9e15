export { mountOldLists } from './old-list-routes';
