export { readingsOf } from './reading-queries';
export { mountReadings } from './reading-routes';
