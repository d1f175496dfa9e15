export { LOADS, type Load } from './factors';
export { heatedOf } from './heated';
export { SHARP_CORNER_MM } from './notches';
export { strengthAlong, weakest, type Bearing } from './strength';
export { leastSafe, safetyAlong, type KnownLoad, type Safety } from './safety';
export { carriedBy, type Carried } from './carried';
export { materialChange } from './material-change';
