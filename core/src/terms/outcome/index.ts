export { good, bad, type Outcome, type Problem } from './outcome';
