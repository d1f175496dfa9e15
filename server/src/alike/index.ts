export { comebacksOf, mountAlike, type Comeback } from './alike-routes';
