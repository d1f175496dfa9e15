export { readGaugeFile, type GaugeFile } from './gauge-file';
export { GaugeDesk } from './gauge-desk';
export { serveGauge, type RunningGauge } from './serve-gauge';
