export { schedulesOf } from './schedules';
export { type Bench, type OnDial, type Schedule, type Setting } from './schedule';
export { edgeToCentreMm, flatDepthMm, flatWidthMm } from './milled';
export { halfAngleRad, setOverMm } from './turned';
