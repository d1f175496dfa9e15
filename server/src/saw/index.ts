export { mountSaw } from './saw-routes';
