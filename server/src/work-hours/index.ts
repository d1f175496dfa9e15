export { mountWorkHours, workHours } from './work-hours-routes';
