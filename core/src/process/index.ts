export { planPasses, USUAL_PASSES, type Pass, type PassOptions } from './passes';
export { spindleSpeed, PARTING_SHARE, type SpindleSpeed } from './speed';
