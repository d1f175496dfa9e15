export { asksOf, movedTo, type Ask } from './asks';
export { optionsOf } from './answer';
export {
  addedBore,
  addedFeature,
  addedSurface,
  byWords,
  copied,
  deepened,
  freshName,
  hostsFor,
  otherEndOn,
  type Added,
  type ByWords,
} from './adding';
export { removed, withoutBore } from './removed';
export { entry, type Entry } from './entry';
export { outsideCuts } from './cut-span';
export { drawingDoubts, type DrawingDoubt } from './doubts';
export { drawingChanges } from './changes';
export { parseStack, stackLines, MOST_STACKED, type StackPiece } from './stack-lines';
export { stackFinding, type AxialStack, type StackFinding } from './axial-stack';
export { shoulderMoved } from './shoulder-moved';
export { likelyWalls, stackFaces, type StackFace } from './stack-faces';
export { liesTurned, turnedContour } from './lies-turned';
export { stretched } from './stretched';
export { limitsLost, rescaled } from './rescaled';
export { shoulderInstead } from './shoulder-instead';
export { converted } from './converted';
export { forAnotherJob } from './elsewhere';
export { partFromProfile, MOST_PIECES, type ProfileDrawing, type ProfilePiece } from './profile';
