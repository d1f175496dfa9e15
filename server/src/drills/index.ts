export { allDrillSets, saveDrillSet } from './drill-set-queries';
export { mountDrillSets } from './drill-set-routes';
