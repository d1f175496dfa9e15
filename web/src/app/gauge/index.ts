export { GaugeLink, type LinkState } from './gauge-link';
export { GaugePanel } from './gauge-panel';
