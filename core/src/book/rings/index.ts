export { RINGS, ringsFor, leastEdgeMm, type RingGroove } from './rings';
