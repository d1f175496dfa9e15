export { schedulesOf } from './schedules';
export { type Bench, type Schedule, type Setting, type ToolNeed } from './schedule';
export { onCross, onDial } from './on-dial';
export { changeWheels, trainWords, type WheelTrain } from './change-wheels';
export { missingTools, type MissingTool } from './missing';
export { edgeToCentreMm, flatDepthMm, flatWidthMm } from './milled';
export { overWiresOf, type OverWires } from './thread';
export { halfAngleRad, setOverMm } from './turned';
export { along, type Along } from './along';
