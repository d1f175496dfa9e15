export { loadSheet, loadSheets } from './sheet-queries';
export { mountSheets } from './sheet-routes';
