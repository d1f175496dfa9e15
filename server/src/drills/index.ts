export { allDrillSets, saveDrillSet } from './drill-set-queries';
export { drillSets } from './drill-set-routes';
