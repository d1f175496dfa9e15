export { May } from './may';
