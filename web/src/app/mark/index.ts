export { StateMark } from './state-mark';
