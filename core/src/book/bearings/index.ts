export { BEARINGS, bearingOf, nearestBearings, type BearingSize } from './sizes';
export {
  boreTolerance,
  outsideTolerance,
  widthTolerance,
  shaftSeat,
  housingSeat,
  type BearingClass,
  type BearingLoad,
  type BearingSeat,
  type TurningRing,
} from './seats';
export { BEARING_SOURCES } from './sizes.data';
export { ISO492_SOURCE } from './iso492.data';
