export { mountEverything } from './everything-routes';
