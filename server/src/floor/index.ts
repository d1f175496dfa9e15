export { mountFloor } from './floor-routes';
