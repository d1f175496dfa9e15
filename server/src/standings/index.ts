export { inlineBench, threadBench, type Bench } from './bench';
export { Standings, type StandingCounts } from './standings';
