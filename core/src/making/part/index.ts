export {
  largestDiameterMm,
  partLengthMm,
  placeSegments,
  type Bore,
  type CrossHole,
  type PlacedSegment,
  type Segment,
  type TurnedPart,
} from './turned-part';
export { validatePart, LEAST_WALL_MM, MOST_DIAMETER_MM, MOST_PART_LENGTH_MM } from './validate-part';
export { outline, type OutlinePoint } from './outline';
export { massKg, volumeMm3 } from './volume';
export { newPart, PART_KINDS, type PartKind } from './templates';
