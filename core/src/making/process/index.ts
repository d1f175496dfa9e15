export { drillBeforeBoringMm, planBorePasses, planPasses, USUAL_PASSES, type Pass, type PassOptions } from './passes';
export { idealRpm, spindleSpeed, type SpindleSpeed } from './speed';
