export { changeRates, currentRates, tookRows } from './rate-queries';
export { mountRates } from './rate-routes';
