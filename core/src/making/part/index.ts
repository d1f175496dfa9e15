export {
  largestDiameterMm,
  partLengthMm,
  placeAll,
  placeBore,
  placeOutside,
  isDrawn,
  type Bore,
  type Part,
  type TypedLimits,
} from './part';
export {
  isUnread,
  MOST_DIAMETER_MM,
  MOST_PART_LENGTH_MM,
  surface,
  unreadId,
  SURFACE_KINDS,
  type PlacedSurface,
  type Surface,
  type SurfaceKind,
} from './surface';
export type {
  FeatureBase,
  BookLimits,
  ContourPoint,
  DimensionWhat,
  FieldSpec,
  Host,
  OperationDraft,
  OperationKind,
  SideMark,
  StressRaiser,
} from './feature-kind';
export {
  aSide,
  beforeLimits,
  FEATURE_KINDS,
  fieldsOf,
  hardenedBy,
  isCutBackHere,
  kindOf,
  turnedOn,
  processOf,
  keyOf,
  ringOf,
  type FeatureKindId,
  type PartFeature,
  type Treatment,
} from './features';
export {
  BLOCK_KINDS,
  cutFieldsOf,
  cutKindOf,
  cutSurface,
  edgeOf,
  faceOf,
  FACE_NAMES,
  edgesOf,
  FACE_OPTIONS,
  oppositeOf,
  FACES,
  MOST_BLOCK_MM,
  sizeAlong,
  solidsOf,
  type Block,
  type BlockAxis,
  type BlockCut,
  type BlockCutId,
  type BlockHole,
  type Face,
  type Solid,
  isBlockShape,
} from './block';
export { clockWords, isTiming, onceRound, timedWords } from './features/clock';
export { standsWords } from './stands';
export { fieldProblem } from './field-problem';
export { fittings, type Fitting } from './fitting';
export { hostOf, radiusAt } from './host';
export { dimensionsOf, isDiameterOfSurface, isReadAllRound, READ_AS, sideRead } from './dimensions';
export { type Dimension } from './dimension';
export { limitsOf, type DimensionLimits } from './limits';
export { validatePart } from './validate-part';
export { boreOutlines, outline, type OutlinePoint } from './outline';
export { sideMarks, type PlacedMark } from './side-marks';
export { massKg, volumeMm3 } from './volume';
export { balancesAtMm, unbalanceOf } from './balance';
export { edge, newPart, PART_KINDS, type PartKind } from './templates';
export { upgradePart } from './upgrade-part';
export { parseLimits } from './parse-limits';
export { mirrored } from './mirrored';
export { parseTaper, tapersNamed, taperWords } from './taper-words';
