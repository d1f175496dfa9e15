export { mountAlike } from './alike-routes';
