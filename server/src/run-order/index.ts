export { mountRunOrder } from './run-order-routes';
