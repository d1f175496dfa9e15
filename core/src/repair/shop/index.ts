export { NO_SHOP } from './no-shop';
